import type { Id } from '@/core/id';
import { describeSpec, specIdentity, specKey, type WireSpec } from '@/core/wire/spec';
import { tradeWiresBeside } from '@/core/wire/tradeWires';
import { type ValuesOf } from '@/data/columns';
import { SPEC_GIVES } from '@/data/sql/fragments';
import type { Tx } from '@/data/inStudio';
import { WireSpecRow } from '@/data/models/articles';
import { look, type StudioSession } from '../kernel/useCase';
import { ensureArticle } from './articles';

/** A wire spec the studio has, with its id. */
export interface KnownSpec extends WireSpec {
  readonly id: Id<'article'>;
}

/** A row of wire_specs. */
export type SpecColumns = ValuesOf<typeof SPEC_GIVES>;

const SPEC_FIELDS = Object.keys(SPEC_GIVES) as (keyof SpecColumns)[];

/** A stored spec as the core knows it. */
export function specFromRow(row: SpecColumns): KnownSpec {
  const { specId, widthUm, heightUm, twist, gaugeSystem, gaugeNumber } = row;
  const { metal, profile, temper, finish, finishName } = row;
  return {
    id: specId,
    metal,
    profile,
    width: widthUm,
    height: heightUm,
    ...(twist > 0 ? { twist } : {}),
    temper,
    finish,
    finishName,
    label: { system: gaugeSystem, number: gaugeNumber },
  };
}

/** The studio's spec that is the same stock, made when there is none yet. */
export async function ensureSpec(tx: Tx, spec: WireSpec): Promise<KnownSpec> {
  const article = await ensureArticle(tx, {
    ware: 'wire',
    name: describeSpec(spec),
    identity: specIdentity(spec),
    sortKey: specKey(spec),
  });
  const specId = article.id;
  if (!article.isNew) {
    const known = (await specsById(tx, [specId])).get(specId);
    if (!known) throw new Error(`wire spec ${specId} vanished`);
    return known;
  }
  await tx.add(WireSpecRow, [
    {
      specId,
      metal: spec.metal,
      profile: spec.profile,
      widthUm: spec.width,
      heightUm: spec.height,
      twist: spec.twist ?? 0,
      temper: spec.temper,
      finish: spec.finish,
      finishName: spec.finishName,
      gaugeSystem: spec.label.system,
      gaugeNumber: spec.label.number,
    },
  ]);
  return { ...spec, id: specId };
}

/** Specs by id. */
export async function specsById(tx: Tx, ids: readonly string[]): Promise<Map<string, KnownSpec>> {
  const rows = await tx.all(WireSpecRow, SPEC_FIELDS, { where: { specId: [...new Set(ids)] } });
  return new Map(rows.map((row) => [row.specId, specFromRow(row)]));
}

/** Every wire the studio knows, in rack order: some hundred at most. */
export const listSpecs = (session: StudioSession): Promise<KnownSpec[]> => look(session, specsOfStudio);

/** Far more than a studio has. */
const MOST_SPECS = 1000;

/** {@link listSpecs} inside a transaction. */
export async function specsOfStudio(tx: Tx): Promise<KnownSpec[]> {
  const rows = await tx.allWith(
    WireSpecRow,
    SPEC_FIELDS,
    { article: [] },
    { order: [['article', 'sortKey', 'ASC']], limit: MOST_SPECS },
  );
  return rows.map(specFromRow);
}

/** Every wire that a pattern can be cut from, by its id: those of the studio, and those of the trade beside them. */
export async function allWires(tx: Tx): Promise<Readonly<Record<string, KnownSpec>>> {
  const own = await specsOfStudio(tx);
  return Object.fromEntries([...own, ...tradeWiresBeside(own)].map((spec) => [spec.id, spec]));
}
