import type { Id } from '@/core/id';
import { newestPattern } from './newestPatterns';
import { boundMeasures, type Measure } from '@/core/pattern/composition';
import { techniqueOf } from '@/core/techniques/registry';
import { PATTERN_KINDS, type PatternBody, type PatternKind } from '@/core/pattern/pattern';
import { um, type Micrometres } from '@/core/units/length';
import { patternList } from '@/data/sql/lists';
import { readPage, readSums } from '@/data/pages';
import type { Tx } from '@/data/inStudio';
import { onHandOfSql } from '@/data/sql/stock';
import { patternsByNameSql } from '@/data/sql/patterns';
import { Piece } from '@/data/models/making';
import { calledAs } from '../kernel/called';
import { look, type StudioSession } from '../kernel/useCase';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';
import type { PatternQuery } from './patterns.input';

/** A pattern as it hangs in the pattern room: its wires are drawn. */
export interface PatternCard {
  readonly number: number;
  readonly name: string;
  readonly kind: PatternKind;
  readonly revision: number;
  readonly madeCount: number;
  readonly body: PatternBody;
}

export interface PatternList {
  readonly patterns: readonly PatternCard[];
  /** Of what was asked for. */
  readonly total: number;
  readonly specs: Readonly<Record<string, KnownSpec>>;
  readonly next: string | null;
}

/** The ways of sorting them. */
export const PATTERN_SORTINGS = patternList.orders;

const PAGE = 24;

/** What helpers may not see of a pattern: what its beads cost. */
function withoutCosts(body: PatternBody): PatternBody {
  return { ...body, parts: body.parts.map((part) => ({ ...part, unitCost: null })) };
}

export const bodyShownTo = (session: StudioSession, body: PatternBody): PatternBody =>
  session.role === 'owner' ? body : withoutCosts(body);

/** The ids of the wires that a pattern names. */
export const specIdsOf = ({
  cuts,
  composition,
}: Pick<PatternBody, 'cuts' | 'composition'>): readonly string[] => [
  ...cuts.map(({ specId }) => specId),
  // Some wires are wound about and not cut: their size counts all the same.
  ...(composition?.uses ?? []).flatMap(({ wires }) => Object.values(wires)),
];

/** The wires that patterns name, by id. */
export async function specsOf(tx: Tx, bodies: readonly PatternBody[]): Promise<Record<string, KnownSpec>> {
  return Object.fromEntries(await specsById(tx, bodies.flatMap(specIdsOf)));
}

/** Patterns as they are asked for, a page at a time. */
export function listPatterns(session: StudioSession, query: PatternQuery = {}): Promise<PatternList> {
  return look(session, async (tx) => {
    const kind = PATTERN_KINDS.find((each) => each === query.kind);
    const asked = { ...calledAs('pattern', query.words), kind };
    const [sums] = await readSums(tx, patternList, {}, asked);
    const { rows: shown, next } = await readPage(tx, patternList, {}, asked, { ...query, size: PAGE });
    return {
      patterns: shown.map((row) => ({ ...row, body: bodyShownTo(session, row.body) })),
      total: sums?.total ?? 0,
      specs: await specsOf(
        tx,
        shown.map(({ body }) => body),
      ),
      next,
    };
  });
}

/** A pattern as it is chosen for a batch. */
export interface PatternChoice {
  readonly number: number;
  readonly name: string;
  /** What it can be made for besides its own stone, ring or bead. */
  readonly measures: readonly Measure[];
}

/** Every pattern, by name: some thousand at most. */
export function patternChoices(session: StudioSession): Promise<PatternChoice[]> {
  return look(session, async (tx) => {
    const rows = await tx.rows(patternsByNameSql, {});
    return rows.map(({ number, name, composition }) => ({
      number,
      name,
      measures: composition ? boundMeasures(composition, techniqueOf) : [],
    }));
  });
}

/** Wire of one spec there is for a pattern. */
export interface WireOnHand {
  readonly length: Micrometres;
  readonly longest: Micrometres;
}

export interface PatternView extends PatternCard {
  readonly id: Id<'pattern'>;
  readonly specs: Readonly<Record<string, KnownSpec>>;
  readonly onHand: Readonly<Record<string, WireOnHand>>;
}

/** A pattern in its newest revision; null when there is none of that number. */
export function showPattern(session: StudioSession, number: number): Promise<PatternView | null> {
  return look(session, async (tx) => {
    const row = await newestPattern(tx, number);
    if (!row) return null;
    const onHand = await tx.rows(onHandOfSql, { articleIds: row.body.cuts.map(({ specId }) => specId) });
    const { patternId: id, name, kind, revision, body } = row;
    return {
      id,
      number,
      name,
      kind,
      revision,
      madeCount: await Piece.count({ where: { patternId: id } }),
      body: bodyShownTo(session, body),
      specs: await specsOf(tx, [row.body]),
      onHand: Object.fromEntries(
        onHand.map(({ articleId, quantity, longest }) => [
          articleId,
          { length: um(quantity), longest: um(longest) },
        ]),
      ),
    };
  });
}
