import type { PatternBody } from '@/core/pattern/pattern';
import { writableLength, type LengthSystem } from '@/core/units/length';
import { plainMoney, toMinor } from '@/core/units/money';
import type { WritePatternInput } from '@/studio/patterns/writePattern.input';

/** A form with one wire and one step to fill in. */
export const EMPTY_PATTERN: WritePatternInput = {
  name: '',
  kind: 'pendant',
  notes: '',
  cuts: [{ name: '', specId: '', count: '1', net: '', allowances: [] }],
  parts: [],
  steps: [{ name: '', minutes: '', perSitting: false }],
};

/** A stored pattern as the form's texts. */
export function patternValues(body: PatternBody, system: LengthSystem, currency: string): WritePatternInput {
  return {
    name: body.name,
    kind: body.kind,
    notes: body.notes,
    cuts: body.cuts.map(({ name, specId, count, net, allowances }) => ({
      name,
      specId,
      count: String(count),
      net: writableLength(net, system),
      allowances: allowances.map((each) => ({
        name: each.name,
        length: writableLength(each.length, system),
      })),
    })),
    parts: body.parts.map(({ name, count, unitCost }) => ({
      name,
      count: String(count),
      unitCost: unitCost === null ? '' : `${plainMoney(toMinor(unitCost), currency)} ${currency}`,
    })),
    steps: body.steps.map(({ name, minutes, perSitting }) => ({
      name,
      minutes: String(minutes),
      perSitting,
    })),
  };
}
