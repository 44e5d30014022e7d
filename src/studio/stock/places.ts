import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { type Micrograms } from '@/core/units/mass';
import { type RowOf } from '@/data/sql/statement';
import { calledAlike } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { Place, SpoolType } from '@/data/models/articles';
import { orderPlacesSql, placesInOrderSql } from '@/data/sql/stock';
import { invalid, refused } from '../kernel/outcome';
import { acts, posts } from '../kernel/posts';
import { look, type StudioSession } from '../kernel/useCase';
import { RenamePlaceInput, KeepSpoolTypeInput } from './places.input';

/** A drawer, a peg, a tin, with how much lies in it. */
export type PlaceView = RowOf<typeof placesInOrderSql>;

/** The places in the order one goes round them. */
export function listPlaces(session: StudioSession): Promise<PlaceView[]> {
  return look(session, (tx) => tx.rows(placesInOrderSql, {}));
}

/** The place of a name, made when there is none yet; null for no name. */
export async function ensurePlace(tx: Tx, name: string): Promise<string | null> {
  const said = name.trim();
  if (said === '') return null;
  const found = await tx.one(Place, ['placeId'], { where: calledAlike(name) });
  if (found) return found.placeId;
  const placeId = randomUUID();
  const last = await tx.one(Place, ['position'], { where: {}, order: [['position', 'DESC']] });
  await tx.add(Place, [{ placeId, name: said, position: (last?.position ?? 0) + 1 }]);
  return placeId;
}

/** Puts the places into the order one goes round them; every place is named once. */
export const orderPlaces = acts('orderPlaces', async ({ tx }, ids: readonly string[]) => {
  const known = await tx.all(Place, ['placeId']);
  if (known.length !== ids.length || known.some((place) => !ids.includes(place.placeId)))
    throw refused('The places changed meanwhile; reload the page.');
  await tx.execute(orderPlacesSql, { ids: ids });
  return null;
});

export const renamePlace = posts(
  'renamePlace',
  { input: RenamePlaceInput },
  async ({ tx }, { name }, placeId: Id<'place'>) => {
    const taken = await tx.one(Place, ['placeId'], { where: calledAlike(name, { placeId }) });
    if (taken) throw invalid('name', `There is a place called “${name}” already.`);
    await tx.change(Place, { placeId }, { name });
    return null;
  },
);

/** An empty spool and what it weighs. */
export interface SpoolTypeView {
  readonly id: string;
  readonly name: string;
  readonly emptyMass: Micrograms;
}

export function listSpoolTypes(session: StudioSession): Promise<SpoolTypeView[]> {
  return look(session, async (tx) => {
    const rows = await tx.all(SpoolType, ['spoolTypeId', 'name', 'emptyMassUg'], {
      order: ['name'],
      limit: 200,
    });
    return rows.map(({ spoolTypeId, name, emptyMassUg }) => ({
      id: spoolTypeId,
      name,
      emptyMass: emptyMassUg,
    }));
  });
}

/** Notes the empty weight of a kind of spool, or notes it anew. */
export const keepSpoolType = posts(
  'keepSpoolType',
  { input: KeepSpoolTypeInput },
  async ({ tx }, { name, emptyMass }) => {
    await ensureSpoolType(tx, name, emptyMass);
    return null;
  },
);

/** The kind of spool of a name with this empty weight. @returns its id */
export async function ensureSpoolType(tx: Tx, name: string, emptyMassUg: Micrograms): Promise<string> {
  const found = await tx.one(SpoolType, ['spoolTypeId'], { where: calledAlike(name) });
  if (found) {
    await tx.change(SpoolType, found, { emptyMassUg });
    return found.spoolTypeId;
  }
  const spoolTypeId = randomUUID();
  await tx.add(SpoolType, [{ spoolTypeId, name: name.trim(), emptyMassUg }]);
  return spoolTypeId;
}
