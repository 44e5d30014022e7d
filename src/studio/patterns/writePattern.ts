import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { toCost } from '@/core/units/money';
import type { PatternBody, PatternPart } from '@/core/pattern/pattern';
import { brokenConstraint } from '@/data/faults';
import type { Tx } from '@/data/inStudio';
import { Pattern, PatternRevision } from '@/data/models/making';
import { invalid, refused, Refused, stale } from '../kernel/outcome';
import { takeNumbers } from '../kernel/numbers';
import { posts } from '../kernel/posts';
import type { ValuesOf } from '../kernel/typed';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { specsById } from '../catalogue/wireSpecs';
import { WritePatternInput, type PatternPartInput } from './writePattern.input';

export interface Written {
  readonly number: number;
  readonly revision: number;
}

/** The revision a form was opened on; a new pattern has none. */
export interface PatternBase {
  readonly number: number;
  readonly revision: number;
}

/** Writes a pattern: a new one, or the next revision of one. Earlier revisions stay as they were. */
export const writePattern = posts(
  'writePattern',
  { input: WritePatternInput, by: 'owner' },
  async ({ tx }, input, base: PatternBase | null) => keepPattern(tx, base, await writtenBody(tx, input)),
);

/**
 * Keeps what a pattern says: as a new pattern, or as the next revision of one.
 * @throws Refused when its name is taken, or somebody revised it meanwhile
 */
export async function keepPattern(tx: Tx, base: PatternBase | null, body: PatternBody): Promise<Written> {
  try {
    return await (base ? revise(tx, base, body) : begin(tx, body));
  } catch (fault) {
    if (brokenConstraint(fault) === 'patterns_name') {
      throw invalid('name', `There is already a pattern called “${body.name}”; choose another name.`);
    }
    throw fault;
  }
}

/** What was typed, as it is kept. @throws Refused when one of its wires is not the studio’s */
export async function writtenBody(tx: Tx, input: ValuesOf<WritePatternInput>): Promise<PatternBody> {
  const { currency } = await settingsIn(tx);
  const specs = await specsById(
    tx,
    input.cuts.map(({ specId }) => specId),
  );
  const unknown = input.cuts.findIndex(({ specId }) => !specs.has(specId));
  if (unknown >= 0)
    throw invalid(`cuts.${unknown}.specId`, 'This wire is not one of the studio’s; choose another.');
  return { ...input, parts: partsFrom(input.parts, currency) };
}

/** Beads and findings as they were typed. */
export const partsFrom = (parts: readonly ValuesOf<PatternPartInput>[], currency: string): PatternPart[] =>
  parts.map(({ name, count, unitCost }, index) => ({
    name,
    count,
    unitCost: unitCost && toCost(inCurrency(`parts.${index}.unitCost`, unitCost, currency)),
  }));

async function begin(tx: Tx, body: PatternBody): Promise<Written> {
  const number = await takeNumbers(tx, 'pattern');
  const patternId = randomUUID();
  const { name, kind } = body;
  await tx.add(Pattern, [{ patternId, number, revision: 1, name, kind, createdAt: tx.session.now }]);
  await addRevision(tx, patternId, 1, body);
  return { number, revision: 1 };
}

async function revise(tx: Tx, base: PatternBase, body: PatternBody): Promise<Written> {
  const where = { studioId: tx.session.studioId, number: base.number };
  const pattern = await tx.one(Pattern, ['patternId', 'number', 'revision'], { where, lock: true });
  if (!pattern) throw new Refused({ kind: 'refused', message: 'This pattern is no longer there.' });
  if (pattern.revision !== base.revision) {
    throw stale(
      `This pattern was changed to revision ${pattern.revision} while you had revision ${base.revision} open. What you typed is still here; open the pattern in another tab to compare.`,
    );
  }
  const revision = base.revision + 1;
  if (revision > 9999) throw refused('A pattern has at most 9999 revisions.');
  await tx.change(Pattern, where, { revision, name: body.name, kind: body.kind });
  await addRevision(tx, pattern.patternId, revision, body);
  return { number: base.number, revision };
}

const addRevision = (tx: Tx, patternId: Id<'pattern'>, revision: number, body: PatternBody) =>
  tx.add(PatternRevision, [
    { patternId, revision, body, userId: tx.session.userId, writtenAt: tx.session.now },
  ]);
