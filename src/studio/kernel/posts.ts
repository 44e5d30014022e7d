import type { Id } from '@/core/id';
import type { ClassConstructor } from 'class-transformer';
import type { Tx } from '@/data/inStudio';
import type { Outcome } from './outcome';
import { readInput } from './readInput';
import type { ValuesOf } from './typed';
import { ownerOnly, post, type StudioSession } from './useCase';

/** The transaction that something is posted in, for whom, and the key that it is posted under. */
export interface Posted {
  readonly tx: Tx;
  readonly session: StudioSession;
  readonly postKey: Id<'post'>;
}

/** The form of a use case, and whose it is: everybody's when it does not say. */
interface Form<Input> {
  readonly input: ClassConstructor<Input>;
  readonly by?: 'owner';
}

/**
 * Makes a use case that posts what a form tells, in one transaction and at most once per key. It is asked with who asks, the key, what it is
 * done to, and the form.
 * @param name kept with the key
 * @param work does it; what it is done to comes last
 */
export const posts =
  <Input extends object, T, On extends readonly unknown[] = []>(
    name: string,
    { input, by }: Form<Input>,
    work: (posted: Posted, read: ValuesOf<Input>, ...on: On) => Promise<T>,
  ) =>
  (
    session: StudioSession,
    postKey: Id<'post'>,
    ...told: [...on: On, plain: unknown]
  ): Promise<Outcome<T>> => {
    const prepare = () => {
      if (by === 'owner') ownerOnly(session);
      return readInput(input, told.at(-1));
    };
    const on = told.slice(0, -1) as unknown as On;
    return post(session, name, postKey, prepare, (tx, read) => work({ tx, session, postKey }, read, ...on));
  };

/** The same for an act that needs no form. */
export const acts =
  <T, On extends readonly unknown[]>(
    name: string,
    work: (posted: Posted, ...on: On) => Promise<T>,
    { by }: Pick<Form<unknown>, 'by'> = {},
  ) =>
  (session: StudioSession, postKey: Id<'post'>, ...on: On): Promise<Outcome<T>> => {
    const prepare = () => {
      if (by === 'owner') ownerOnly(session);
    };
    return post(session, name, postKey, prepare, (tx) => work({ tx, session, postKey }, ...on));
  };
