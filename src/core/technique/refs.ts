/** What was chosen for the ports of a use: names of what others leave, “use.id”; a port that is left out is cut afresh. */
export type ChosenPorts = Readonly<Record<string, readonly string[]>>;

/** The id of the use that leaves what a reference, “use.id”, is of. */
export const leaverOf = (ref: string): string => ref.slice(0, ref.indexOf('.'));

/** What another use leaves under the same id. */
export const refOfUse = (ref: string, use: string): string => `${use}${ref.slice(ref.indexOf('.'))}`;

/** Everything that a use takes up. */
export const refsOf = (takes: ChosenPorts): readonly string[] => Object.values(takes).flat();

/**
 * The same ports with other things in them.
 * @param to what is taken up in place of something; undefined when there is nothing
 * @returns undefined when there is nothing in place of some of it, or nothing was taken up
 */
export function takesInstead(
  takes: ChosenPorts,
  to: (ref: string) => string | undefined,
): ChosenPorts | undefined {
  const ports = Object.entries(takes).map(([port, refs]) => [port, refs.map(to)] as const);
  if (ports.length === 0 || ports.some(([, refs]) => refs.includes(undefined))) return undefined;
  return Object.fromEntries(ports.map(([port, refs]) => [port, refs.flatMap((ref) => ref ?? [])]));
}
