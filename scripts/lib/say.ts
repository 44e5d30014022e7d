/** A plain sentence for the person at the terminal; the command ends with it and a non-zero exit. */
export class Refusal extends Error {}

export const say = (sentence: string): void => console.log(sentence);

/** Runs a command's main function: a refusal prints its sentence only, anything else its stack; both exit non-zero. */
export function runCommand(main: () => Promise<void>): void {
  main().then(
    () => process.exit(process.exitCode ?? 0),
    (fault: unknown) => {
      console.error(fault instanceof Refusal ? `\n${fault.message}` : fault);
      process.exit(1);
    },
  );
}
