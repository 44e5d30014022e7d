import type { Result } from '../result';

/** Told by a run that cannot go on, with a sentence that names the wire and the course; caught where the run began. */
export class CannotBeMade extends Error {}

/** @throws CannotBeMade what was refused, and where */
export function orStop<T>(result: Result<T>, where: string): T {
  if (!result.ok) throw new CannotBeMade(`${where}: ${result.error}`);
  return result.value;
}
