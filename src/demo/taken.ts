import { expectOk } from '@/core/result';
import type { Outcome } from '@/studio/kernel/outcome';

/** The value of an outcome; thrown on a refusal: the demo data are ours, so it is a mistake of ours. */
export const taken = <T>(outcome: Outcome<T>): T =>
  expectOk(outcome.ok ? outcome : { ok: false as const, error: JSON.stringify(outcome.problem) });
