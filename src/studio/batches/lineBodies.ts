import type { Id } from '@/core/id';
import { type NewestPattern, newestPatterns } from '../patterns/newestPatterns';
import { bodyFor, withStoneChosen, type Wanted } from '@/core/batch/lineBody';
import type { WantedLine } from '@/core/batch/batchState';
import type { Texts } from '@/core/parameter/readTexts';
import type { PatternBody } from '@/core/pattern/pattern';
import { ok, type Result } from '@/core/result';
import { stoneTexts, type StoneMeasures } from '@/core/stone/stone';
import { techniqueOf } from '@/core/techniques/registry';
import type { LengthSystem } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import type { RowOf } from '@/data/sql/statement';
import { lockedStonesSql, stonesOfNumbersSql } from '@/data/sql/stock';
import { specsOfStudio, type KnownSpec } from '../catalogue/wireSpecs';
import { breath } from '../kernel/breath';
import type { ValuesOf } from '../kernel/typed';
import { look, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import type { BatchLineInput } from './planBatch.input';

/** A stone that a line is made for. */
export type ChosenStone = RowOf<typeof stonesOfNumbersSql>;

/** A line as it was read. */
export type LineAsked = ValuesOf<BatchLineInput>;

export const wantedOf = ({ stone, ring, bead, metal }: LineAsked): WantedLine => ({
  stone,
  ring,
  bead,
  metal,
});

/** What lines are worked out from. */
interface Ground {
  readonly specs: Readonly<Record<string, KnownSpec>>;
  readonly lengthSystem: LengthSystem;
  readonly patterns: readonly NewestPattern[];
  readonly stones: readonly ChosenStone[];
}

export async function groundOf(
  tx: Tx,
  batchId: Id<'batch'> | null,
  lines: readonly LineAsked[],
  lock: boolean,
): Promise<Ground> {
  const specs = Object.fromEntries((await specsOfStudio(tx)).map((spec) => [spec.id, spec]));
  const { lengthSystem } = await settingsIn(tx);
  const patterns = await newestPatterns(
    tx,
    lines.map(({ pattern }) => pattern),
  );
  return { specs, lengthSystem, patterns, stones: await stonesFor(tx, batchId, lines, lock) };
}

export const patternOf = (
  patterns: readonly NewestPattern[],
  { pattern }: LineAsked,
): NewestPattern | undefined => patterns.find(({ number }) => number === pattern);

/** What lines come to, by what they were worked out from. */
export type Bodies = ReadonlyMap<string, Result<PatternBody>>;

/** Equal for lines that come to the same. */
export const sameBody = (
  { patternId, revision }: NewestPattern,
  wanted: WantedLine,
  stone: ChosenStone | undefined,
): string => JSON.stringify([patternId, revision, wanted, stone && stoneTexts(stone), stone?.material]);

/** A line that was worked out: what it makes, or why it cannot be made. */
interface WorkedLine {
  readonly pattern: NewestPattern;
  readonly wanted: WantedLine;
  readonly body: Result<PatternBody>;
}

/**
 * Works lines out with nothing locked and no transaction open; others have their turn in between.
 * @returns what each comes to, undefined where its pattern is not there; and all of them by {@link sameBody}
 */
export async function workOutLines(
  session: StudioSession,
  lines: readonly LineAsked[],
): Promise<{ readonly lines: readonly (WorkedLine | undefined)[]; readonly bodies: Bodies }> {
  const ground = await look(session, (tx) => groundOf(tx, null, lines, false));
  const bodies = new Map<string, Result<PatternBody>>();
  const worked: (WorkedLine | undefined)[] = [];
  for (const asked of lines) {
    const pattern = patternOf(ground.patterns, asked);
    const wanted = wantedOf(asked);
    const stone = ground.stones.find(({ number }) => number === wanted.stone);
    const key = pattern && sameBody(pattern, wanted, stone);
    if (!key) {
      worked.push(undefined);
      continue;
    }
    const body = bodies.get(key) ?? bodyOfLine(pattern.body, wanted, stone, ground);
    bodies.set(key, body);
    worked.push({ pattern, wanted, body });
    await breath();
  }
  return { lines: worked, bodies };
}

/** What is made for a line: its pattern, for the stone, ring, bead and metal that are wanted; or why it cannot be. */
export function bodyOfLine(
  pattern: PatternBody,
  wanted: WantedLine,
  stone: (StoneMeasures & { readonly material: string }) | undefined,
  { specs, lengthSystem }: Pick<Ground, 'specs' | 'lengthSystem'>,
): Result<PatternBody> {
  const { metal } = wanted;
  const asked: Wanted = { measures: measuresOf(wanted, stone), ...(metal ? { metal } : {}) };
  const body = bodyFor(pattern, asked, specs, techniqueOf, lengthSystem);
  return body.ok && stone ? ok(withStoneChosen(body.value, stone.material)) : body;
}

export const measuresOf = ({ ring, bead }: WantedLine, stone: StoneMeasures | undefined): Texts => ({
  ...(stone ? stoneTexts(stone) : {}),
  ...(ring === '' ? {} : { ring }),
  ...(bead === '' ? {} : { bead }),
});

/** The stones that lines name by their tags; locked when they are to be set aside. */
const stonesFor = (
  tx: Tx,
  batchId: Id<'batch'> | null,
  lines: readonly LineAsked[],
  lock = true,
): Promise<ChosenStone[]> =>
  tx.rows(lock ? lockedStonesSql : stonesOfNumbersSql, {
    numbers: lines.flatMap(({ stone }) => stone ?? []),
    batchId,
  });
