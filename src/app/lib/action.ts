import { readArguments, type Argument } from '@/studio/kernel/arguments';
import { refused, type Outcome } from '@/studio/kernel/outcome';
import { attempt, type StudioSession } from '@/studio/kernel/useCase';
import { asMember } from './member';

/**
 * Makes a server action of a use case: for the signed-in person, with every argument read before anything is done with it.
 * @param args how each argument is read, in their order
 */
export function action<Args extends readonly unknown[], T>(
  args: { readonly [K in keyof Args]: Argument<Args[K]> },
  work: (session: StudioSession, ...read: Args) => Promise<Outcome<T>>,
): (...given: Args) => Promise<Outcome<T>> {
  return async (...given) => {
    const read = readArguments<Args>(args, given);
    return asMember((session) =>
      read
        ? work(session, ...read)
        : attempt(() => Promise.reject(refused('Nothing readable was sent; reload the page.'))),
    );
  };
}

/** The same for what only looks, and answers without an outcome of its own. */
export const question = <Args extends readonly unknown[], T>(
  args: { readonly [K in keyof Args]: Argument<Args[K]> },
  work: (session: StudioSession, ...read: Args) => Promise<T>,
): ((...given: Args) => Promise<Outcome<T>>) =>
  action<Args, T>(args, (session, ...read) => attempt(() => work(session, ...read)));
