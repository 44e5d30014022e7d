import type { Id } from '@/core/id';
import { withMissingWires } from '@/core/pattern/addTechnique';
import type { Composition, Specs } from '@/core/pattern/composition';
import { techniqueOf } from '@/core/techniques/registry';
import { Refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { look, ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import { allWires, ensureSpec } from '../catalogue/wireSpecs';
import { composedBody, workOut, type WorkedOut } from './composePattern';
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
  postKey: Id<'post'>,
  text: string,
): Promise<Outcome<Written>> {
  const prepare = async () => {
    ownerOnly(session);
    const file = patternFromFile(text);
    if (!file.ok) throw new Refused({ kind: 'invalid', message: file.error });
    const [ours, known] = await look(session, async (tx) => [
      (await settingsIn(tx)).currency,
      await allWires(tx),
    ]);
    const common = commonOf(file.value, ours);
    return file.value.composition
      ? workedOutOf(file.value, file.value.composition, common, known)
      : { file: file.value, common };
  };
  return post(session, 'importPattern', postKey, prepare, async (tx, read) => {
    if ('resolved' in read) return keepPattern(tx, null, await composedBody(tx, read));
    const { file, common } = read;
    const ids: Record<string, string> = {};
    for (const [name, spec] of Object.entries(file.wires)) ids[name] = (await ensureSpec(tx, spec)).id;
    const input = await readInput(WritePatternInput, {
      ...common,
      cuts: file.cuts.map(({ wire, ...cut }) => ({ ...cut, specId: ids[wire] ?? '' })),
      steps: file.steps,
    });
    return keepPattern(tx, null, await writtenBody(tx, input));
  });
}

/** What a file says of any pattern, as a form has it. @param ours the currency of the studio */
const commonOf = ({ name, kind, notes, parts, currency }: PatternRead, ours: string) => ({
  name,
  kind,
  notes,
  parts: parts.map((part) => ({
    ...part,
    unitCost: currency === ours && part.unitCost !== '' ? `${part.unitCost} ${ours}` : '',
  })),
});

/** Works out a composition from a file. @param known wires of the studio and of the trade */
async function workedOutOf(
  { wires }: PatternRead,
  composition: Composition,
  common: ReturnType<typeof commonOf>,
  known: Specs,
): Promise<WorkedOut> {
  // Wires of the file stand under names of their own until they are the studio’s.
  const inFile = (name: string): string => `file ${name}`;
  const theirs = {
    ...composition,
    uses: composition.uses.map((use) => ({
      ...use,
      wires: Object.fromEntries(
        Object.entries(use.wires).map(([parameter, name]) => [
          parameter,
          Object.hasOwn(wires, name) ? inFile(name) : '',
        ]),
      ),
    })),
  };
  const specs = {
    ...known,
    ...Object.fromEntries(Object.entries(wires).map(([name, spec]) => [inFile(name), spec])),
  };
  // An earlier release may have known fewer wires of a technique.
  const whole = withMissingWires(theirs, techniqueOf, specs);
  return workOut(await readInput(ComposePatternInput, { ...common, composition: whole }), specs);
}
