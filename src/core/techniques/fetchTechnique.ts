import type { AnyTechnique, Techniques } from '../technique/technique';

/** What was fetched, and what is on its way. */
const fetched = new Map<string, AnyTechnique>();
const onTheWay = new Map<string, Promise<AnyTechnique>>();
/** One promise for several that are waited for together, the same while one waits. */
const together = new Map<string, Promise<unknown>>();

/** The techniques that were fetched so far. */
export const fetchedTechniques: Techniques = (id) => fetched.get(id);

/** The file of a technique, and what it exports, are named after its id. */
const nameOf = (id: string): string => id.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());

async function load(id: string): Promise<AnyTechnique> {
  const name = nameOf(id);
  if (!/^[a-zA-Z]+$/.test(name)) throw new Error(`“${id}” is the id of no technique`);
  const file = (await import(`./each/${name}.ts`)) as Readonly<Record<string, AnyTechnique>>;
  const found = file[name];
  if (found?.id !== id) throw new Error(`the file of “${id}” holds another technique`);
  fetched.set(id, found);
  return found;
}

/**
 * Fetches a technique by itself: a browser loads those that a piece is made by and leaves the others.
 * @param id of the registry
 * @throws when there is no such technique, or it cannot be fetched just now: the next call tries again
 */
export function fetchTechnique(id: string): Promise<AnyTechnique> {
  const known = onTheWay.get(id);
  if (known) return known;
  const asked = load(id);
  onTheWay.set(id, asked);
  asked.catch(() => onTheWay.delete(id));
  return asked;
}

/**
 * What to wait for until techniques are there; undefined when they are. The same promise while one waits.
 * @throws by its promise, as {@link fetchTechnique} does
 */
export function techniquesToCome(ids: readonly string[]): Promise<unknown> | undefined {
  const missing = [...new Set(ids)].filter((id) => !fetched.has(id));
  if (missing.length === 0) return undefined;
  const key = missing.join();
  const known = together.get(key);
  if (known) return known;
  const waited = Promise.all(missing.map(fetchTechnique));
  together.set(key, waited);
  const forget = () => together.delete(key);
  waited.then(forget, forget);
  return waited;
}
