import { todayOf, type StudioSession } from '@/studio/kernel/useCase';
import { listPlaces, listSpoolTypes } from '@/studio/stock/places';
import { listSuppliers } from '@/studio/wire/rack';

/** What is offered while a purchase is typed. */
export async function purchaseHints(session: StudioSession) {
  const [suppliers, places] = await Promise.all([listSuppliers(session), listPlaces(session)]);
  return { suppliers, places: places.map(({ name }) => name), today: todayOf(session) };
}

/** The places and kinds of spool that are offered when something is put away. */
export async function listPlacesAndSpools(session: StudioSession) {
  const [places, spools] = await Promise.all([listPlaces(session), listSpoolTypes(session)]);
  return { places: places.map(({ name }) => name), spools };
}
