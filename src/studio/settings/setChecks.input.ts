import { LONGEST_CHECK, MOST_CHECKS } from '@/core/bench/checks';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import { ok, refuse, type Result } from '@/core/result';
import { ReadsBy, ReadsOneOf } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** Checks as they are typed: one a line. */
function readChecks(typed: string): Result<readonly string[]> {
  const checks = typed
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
  const long = checks.find((check) => check.length > LONGEST_CHECK);
  if (long !== undefined)
    return refuse(`“${long.slice(0, 40)}…” has ${long.length} characters; ${LONGEST_CHECK} are allowed.`);
  return checks.length > MOST_CHECKS
    ? refuse(`${checks.length} checks were given; ${MOST_CHECKS} are allowed.`)
    : ok(checks);
}

/** What finished pieces of a kind are looked at for. */
export class SetChecksInput {
  @ReadsOneOf(PATTERN_KINDS, 'a kind') kind!: Typed<PatternKind>;
  @ReadsBy('readsChecks', readChecks) checks!: Typed<readonly string[]>;
}
