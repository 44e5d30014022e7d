import { Refused, type Outcome } from '../kernel/outcome';
import { post, attempt, ownerOnly, type StudioSession } from '../kernel/useCase';
import { readSettings } from '../settings/settings';
import { ensureSpec } from '../wire/specs';
import { composePattern } from './composePattern';
import { patternFromFile, type PatternRead } from './patternFile';
import { writePattern, type Written } from './writePattern';

/**
 * Hangs a pattern from a file in the room. Wires that the studio has none of become known to it, with nothing on the rack. Costs of
 * parts are taken over when the file is in the studio’s currency, and are nothing otherwise.
 * @param keys for the wires and for the pattern, so that a file that is sent twice is kept once
 */
export async function importPattern(
  session: StudioSession,
  keys: { readonly wires: string; readonly pattern: string },
  text: string,
): Promise<Outcome<Written>> {
  const read = await attempt(async () => {
    ownerOnly(session);
    const file = patternFromFile(text);
    if (!file.ok) throw new Refused({ kind: 'invalid', message: file.error });
    return { file: file.value, currency: (await readSettings(session)).currency };
  });
  if (!read.ok) return read;
  const { file, currency } = read.value;
  const known = await post(
    session,
    'importWires',
    keys.wires,
    () => file.wires,
    async (tx, wires) => {
      const ids: Record<string, string> = {};
      for (const [name, spec] of Object.entries(wires)) ids[name] = (await ensureSpec(tx, spec)).id;
      return ids;
    },
  );
  if (!known.ok) return known;
  return keep(session, keys.pattern, file, known.value, currency);
}

function keep(
  session: StudioSession,
  key: string,
  { name, kind, notes, composition, cuts, steps, parts, currency }: PatternRead,
  ids: Readonly<Record<string, string>>,
  ours: string,
): Promise<Outcome<Written>> {
  const common = {
    name,
    kind,
    notes,
    parts: parts.map((part) => ({ ...part, unitCost: `${currency === ours ? part.unitCost : '0'} ${ours}` })),
  };
  if (!composition)
    return writePattern(session, key, null, {
      ...common,
      cuts: cuts.map(({ wire, ...cut }) => ({ ...cut, specId: ids[wire] ?? '' })),
      steps,
    });
  return composePattern(session, key, null, {
    ...common,
    composition: {
      ...composition,
      uses: composition.uses.map((use) => ({
        ...use,
        wires: Object.fromEntries(Object.entries(use.wires).map(([param, wire]) => [param, ids[wire] ?? ''])),
      })),
    },
  });
}
