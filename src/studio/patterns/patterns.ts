import { boundMeasures, type Measure } from '@/core/pattern/composition';
import { techniqueOf } from '@/core/techniques/registry';
import { PATTERN_KINDS, type PatternBody, type PatternKind } from '@/core/pattern/pattern';
import type { Micrometres } from '@/core/units/length';
import type { Tx } from '@/data/inStudio';
import { wireOnHandSql } from '@/data/sql/stock';
import { patternsByNameSql } from '@/data/sql/patterns';
import { calledSql, pageOf, pageSql, sortingOf, type SortedRow, type Sorting } from '../kernel/sorting';
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

const MADE =
  '(SELECT count(*) FROM pieces f WHERE f.studio_id = p.studio_id AND f.pattern_id = p.pattern_id)';

/** Ways of sorting the patterns: as they were written when nothing is said. */
export const PATTERN_SORTINGS = {
  written: { by: 'p.number', as: 'bigint' },
  newest: { by: 'p.number', as: 'bigint', isDown: true },
  name: { by: 'p.name_lower', as: 'text' },
  'most made': { by: MADE, as: 'bigint', isDown: true },
} as const satisfies Readonly<Record<string, Sorting>>;

/** Patterns as they are asked for, a page at a time. */
export function listPatterns(session: StudioSession, query: PatternQuery = {}): Promise<PatternList> {
  return look(session, async (tx) => {
    const bind: unknown[] = [session.studioId];
    const ofKind = PATTERN_KINDS.some((each) => each === query.kind)
      ? ` AND p.kind = $${bind.push(query.kind)}`
      : '';
    const asked = `p.studio_id = $1${calledSql('pattern', 'p', query.words, bind)}${ofKind}`;
    const total = await tx.first<{ total: number }>(
      `SELECT count(*)::int AS total FROM patterns p WHERE ${asked}`,
      bind,
    );
    const page = pageSql(sortingOf(PATTERN_SORTINGS, query.sort), 'p.number', query.after, bind);
    const rows = await tx.select<PatternCard & SortedRow>(
      `SELECT p.number, p.name, p.kind, p.revision, r.body, ${MADE}::int AS "madeCount", ${page.column}
         FROM patterns p JOIN pattern_revisions r
           ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision
        WHERE ${asked}${page.where} ${page.orderBy} LIMIT ${PAGE + 1}`,
      bind,
    );
    const { shown, next } = pageOf(rows, PAGE);
    return {
      patterns: shown.map(({ sortedBy: _, ...row }) => ({ ...row, body: bodyShownTo(session, row.body) })),
      total: total?.total ?? 0,
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
  readonly id: string;
  readonly specs: Readonly<Record<string, KnownSpec>>;
  readonly onHand: Readonly<Record<string, WireOnHand>>;
}

/** A pattern in its newest revision; null when there is none of that number. */
export function showPattern(session: StudioSession, number: number): Promise<PatternView | null> {
  return look(session, async (tx) => {
    const row = await tx.first<PatternCard & { id: string }>(
      `SELECT p.pattern_id AS id, p.number, p.name, p.kind, p.revision, r.body,
              (SELECT count(*)::int FROM pieces f WHERE f.studio_id = p.studio_id AND f.pattern_id = p.pattern_id) AS "madeCount"
         FROM patterns p JOIN pattern_revisions r
           ON r.studio_id = p.studio_id AND r.pattern_id = p.pattern_id AND r.revision = p.revision
        WHERE p.studio_id = $1 AND p.number = $2`,
      [session.studioId, number],
    );
    if (!row) return null;
    const onHand = await tx.rows(wireOnHandSql, { specIds: row.body.cuts.map(({ specId }) => specId) });
    return {
      ...row,
      body: bodyShownTo(session, row.body),
      specs: await specsOf(tx, [row.body]),
      onHand: Object.fromEntries(onHand.map(({ specId, ...rest }) => [specId, rest])),
    };
  });
}
