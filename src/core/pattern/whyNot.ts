import type { Resolved } from './resolve';

/** Why a pattern cannot be made for its measures: what is wrong with a measure, or what refuses which technique, by name; empty when it can. */
export function whyNot({ measuresWrong, uses }: Pick<Resolved, 'measuresWrong' | 'uses'>): string {
  const [measure] = Object.values(measuresWrong);
  if (measure !== undefined) return measure;
  for (const { use, refusal, wrong } of uses) {
    const said = refusal || Object.values(wrong)[0];
    if (said) return `${use.name}: ${said}`;
  }
  return '';
}
