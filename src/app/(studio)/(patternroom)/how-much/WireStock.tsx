import type { KnownWire } from '@/core/plan/judgePlan';
import type { Parameters } from '@/core/parameter/parameter';
import type { Texts } from '@/core/parameter/readTexts';
import { FINISHES, TEMPERS, type MetalId } from '@/core/wire/metal';

const one = <T extends string>(list: readonly T[], text: string | undefined): T | undefined =>
  list.find((each) => each === text);

/** What was said of each wire besides its size. */
export function knownWires(
  parameters: Parameters,
  texts: Texts,
  metal: MetalId,
): Readonly<Record<string, KnownWire>> {
  const wires = Object.entries(parameters).filter(([, { kind }]) => kind === 'wire');
  return Object.fromEntries(
    wires.map(([key]) => {
      const temper = one(TEMPERS, texts[`${key}.temper`]);
      const finish = one(FINISHES, texts[`${key}.finish`]);
      return [key, { metal, ...(temper && { temper }), ...(finish && { finish }) }];
    }),
  );
}

/** Temper and finish of each wire, for those who want them judged; nothing else hangs on them. */
export function WireStock({
  parameters,
  texts,
  onChange,
}: {
  parameters: Parameters;
  texts: Texts;
  onChange: (field: string, text: string) => void;
}) {
  return Object.entries(parameters).map(
    ([key, { kind, label }]) =>
      kind === 'wire' && (
        <fieldset key={key} className="mt-2 grid grid-cols-2 gap-2">
          <legend className="text-sm font-semibold">{label}</legend>
          {(
            [
              ['temper', TEMPERS],
              ['finish', FINISHES],
            ] as const
          ).map(([what, choices]) => (
            <select
              key={what}
              aria-label={`${label}: ${what}`}
              className="select w-full text-base"
              value={one<string>(choices, texts[`${key}.${what}`]) ?? ''}
              onChange={(event) => onChange(`${key}.${what}`, event.target.value)}
            >
              <option value="">any {what}</option>
              {choices.map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
          ))}
        </fieldset>
      ),
  );
}
