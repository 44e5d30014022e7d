import type { Id } from '@/core/id';
import { AsyncLocalStorage } from 'node:async_hooks';
import { Sequelize } from 'sequelize';

type Values = Map<string, unknown>;

/** The framework may load this module several times over in one process: what travels does so in one place. */
const held = globalThis as { pewtererContext?: AsyncLocalStorage<Values> };
const storage = (held.pewtererContext ??= new AsyncLocalStorage<Values>());

/**
 * What travels with a transaction through all calls that it makes: Sequelize keeps the transaction itself here, so that no query has to be
 * told, and {@link inStudio} the studio.
 */
const namespace = {
  run<T>(work: (values: Values) => T): T {
    const values: Values = new Map(storage.getStore());
    return storage.run(values, () => work(values));
  },
  get: (key: string): unknown => storage.getStore()?.get(key),
  set: (key: string, value: unknown): void => void storage.getStore()?.set(key, value),
  bind<Work extends (...given: never[]) => unknown>(work: Work): Work {
    return AsyncLocalStorage.bind(work) as Work;
  },
};

/** Lets transactions of Sequelize travel by themselves. */
export const letTransactionsTravel = (): typeof Sequelize => Sequelize.useCLS(namespace);

const STUDIO = 'studio';

/** Says whose studio the running transaction is in. */
export const setStudio = (studioId: Id<'studio'>): void => namespace.set(STUDIO, studioId);

/** The studio of the running transaction. @throws Error outside of one */
export function currentStudio(): string {
  const studioId = namespace.get(STUDIO);
  if (typeof studioId !== 'string') throw new Error('a table of the studio is asked outside of inStudio');
  return studioId;
}
