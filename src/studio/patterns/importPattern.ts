import { withMissingWires } from '@/core/pattern/addTechnique';
import type { PatternBody } from '@/core/pattern/pattern';
import { techniqueOf } from '@/core/techniques/registry';
import type { Tx } from '@/data/inStudio';
import { Refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import { allWires, ensureSpec } from '../catalogue/wireSpecs';
import { composedBody } from './composePattern';
import { ComposePatternInput } from './composePattern.input';
import { patternFromFile, type PatternRead } from './patternFile';
import { keepPattern, writtenBody, type Written } from './writePattern';
import { WritePatternInput } from './writePattern.input';

/**
 * Hangs a pattern from a file in the room. Wires that the studio has none of become known to it, with nothing on the rack; when the
 * pattern is refused they do not. Costs of parts are taken over when the file is in the studio’s currency, and are nothing otherwise.
 */
export function importPattern(
  session: StudioSession,
  postKey: string,
  text: string,
): Promise<Outcome<Written>> {
  const prepare = () => {
    ownerOnly(session);
    const file = patternFromFile(text);
    if (!file.ok) throw new Refused({ kind: 'invalid', message: file.error });
    return file.value;
  };
  return post(session, 'importPattern', postKey, prepare, async (tx, file) => {
    const ids: Record<string, string> = {};
    for (const [name, spec] of Object.entries(file.wires)) ids[name] = (await ensureSpec(tx, spec)).id;
    return keepPattern(tx, null, await bodyOnFile(tx, file, ids));
  });
}

/** What a file says, read as a form is. @param ids of the wires by the names they have in the file */
async function bodyOnFile(
  tx: Tx,
  { name, kind, notes, composition, cuts, steps, parts, currency }: PatternRead,
  ids: Readonly<Record<string, string>>,
): Promise<PatternBody> {
  const ours = (await settingsIn(tx)).currency;
  const common = {
    name,
    kind,
    notes,
    parts: parts.map((part) => ({
      ...part,
      unitCost: currency === ours && part.unitCost !== '' ? `${part.unitCost} ${ours}` : '',
    })),
  };
  if (!composition)
    return writtenBody(
      tx,
      await readInput(WritePatternInput, {
        ...common,
        cuts: cuts.map(({ wire, ...cut }) => ({ ...cut, specId: ids[wire] ?? '' })),
        steps,
      }),
    );
  const own = {
    ...composition,
    uses: composition.uses.map((use) => ({
      ...use,
      wires: Object.fromEntries(Object.entries(use.wires).map(([param, wire]) => [param, ids[wire] ?? ''])),
    })),
  };
  // An earlier release may have known fewer wires of a technique.
  return composedBody(
    tx,
    await readInput(ComposePatternInput, {
      ...common,
      composition: withMissingWires(own, techniqueOf, await allWires(tx)),
    }),
  );
}
