import { readSaid, standing, type Said, type Sitting, type Word } from './sitting';
import { goTo, newWatch, readWatch, spentOn, tick, type Watch } from './watch';

/**
 * What a device keeps of a sitting, so that it goes on without a connection and through a reload. What is said here is kept until the studio
 * has answered that it heard it; sending it twice says it once, since every word has an id.
 */
export interface Kept {
  /** Counts what was not said yet; its steps are the slots of the sitting. */
  readonly watch: Watch;
  /** All that the studio is known to have heard, in its order, from this device and others. */
  readonly heard: readonly Word[];
  /** What was said here and is not known to have been heard. */
  readonly unheard: readonly Word[];
}

export const NOTHING_KEPT: Kept = { watch: newWatch(), heard: [], unheard: [] };

/** How the sitting stands, as far as this device knows, with what its watch counted. */
export function sittingOf({ heard, unheard, watch }: Kept): Sitting {
  const said = standing([...heard, ...unheard]);
  const spent = new Map(said.spent);
  watch.spent.forEach((ms, slot) => ms > 0 && spent.set(slot, (spent.get(slot) ?? 0) + ms));
  return { ...said, spent };
}

/** Says something: it counts at once here, and is sent when there is a connection. */
export const say = (kept: Kept, said: Said, id: string): Kept => ({
  ...kept,
  unheard: [...kept.unheard, { id, said }],
});

/**
 * Says what the watch counted since it was said last, so that other devices know of it.
 * @param newId a new id for each of what is said
 */
export function sayCounted(kept: Kept, newId: () => string): Kept {
  const counted = kept.watch.spent.flatMap((_, slot) => {
    const ms = Math.round(spentOn(kept.watch, slot));
    return ms > 0 ? [{ id: newId(), said: { kind: 'worked', slot, ms } } as const] : [];
  });
  if (counted.length === 0) return kept;
  return { ...kept, watch: { ...kept.watch, spent: [] }, unheard: [...kept.unheard, ...counted] };
}

/** Lets the watch count to where the sitting is now, wherever and on whatever device somebody went there; it runs on when it was running. */
export const countingTo = (kept: Kept, slot: number, now: number): Kept =>
  kept.watch.step === slot ? kept : { ...kept, watch: goTo(kept.watch, slot, now) };

/** Goes to a station: what was counted before is said, so that other devices know of it. */
export const goToStation = (kept: Kept, at: number, now: number, newId: () => string): Kept =>
  say(sayCounted({ ...kept, watch: tick(kept.watch, now) }, newId), { kind: 'at', at }, newId());

/** Corrects by hand what a slot took: what the watch counted and did not say yet is part of what it replaces. */
export function correctSlot(kept: Kept, slot: number, ms: number, now: number, newId: () => string): Kept {
  const counted = sayCounted({ ...kept, watch: tick(kept.watch, now) }, newId);
  return say(counted, { kind: 'corrected', slot, ms }, newId());
}

/**
 * Takes in what the studio has heard of a sitting, in its order.
 * @param all from the first word on
 */
export function hear(kept: Kept, all: readonly Word[]): Kept {
  // An answer that was overtaken by a later one knows less.
  if (all.length < kept.heard.length) return kept;
  const ids = new Set(all.map(({ id }) => id));
  return { ...kept, heard: all, unheard: kept.unheard.filter(({ id }) => !ids.has(id)) };
}

/** A list of words as it was kept or sent; undefined when anything of it cannot be read. */
export function readWords(given: unknown, most: number): readonly Word[] | undefined {
  if (!Array.isArray(given) || given.length > most) return undefined;
  const words = given.map((each: unknown): Word | undefined => {
    if (typeof each !== 'object' || each === null) return undefined;
    const { id, said } = each as Record<string, unknown>;
    const read = readSaid(said);
    return typeof id === 'string' && id.length <= 40 && read ? { id, said: read } : undefined;
  });
  return words.every((word) => word !== undefined) ? words : undefined;
}

/** The most words that a device keeps of a sitting. */
export const MOST_KEPT = 20_000;

/**
 * What a device kept of a sitting. Of something that is damaged as much as can be read is taken: what was said here is not lost with it.
 */
export function readKept(kept: string | null): Kept {
  try {
    const read: unknown = JSON.parse(kept ?? 'null');
    if (typeof read !== 'object' || read === null) return NOTHING_KEPT;
    const { watch, heard, unheard } = read as Record<string, unknown>;
    return {
      watch: readWatch(JSON.stringify(watch ?? null)),
      heard: readWords(heard, MOST_KEPT) ?? [],
      unheard: readWords(unheard, MOST_KEPT) ?? [],
    };
  } catch {
    return NOTHING_KEPT;
  }
}
