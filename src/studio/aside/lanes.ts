/** Long work by the thread that it is done in: a plan keeps its thread for seconds, and nobody’s list shall wait for it. */
export const LANES = {
  checkImport: 'books',
  postImport: 'books',
  planCuts: 'plans',
  chooseWhatToMake: 'plans',
  lookForTouches: 'plans',
} as const;

export type JobName = keyof typeof LANES;
export type Lane = (typeof LANES)[JobName];

/** What a lane takes on. */
export interface LaneRules {
  /** A job that is not done after this much time is ended with its thread, ms. */
  readonly hardLimitMs: number;
  /** Jobs that may wait of one studio, and of all. */
  readonly mostOfOne: number;
  readonly mostOfAll: number;
}

export const RULES: Readonly<Record<Lane, LaneRules>> = {
  books: { hardLimitMs: 15 * 60_000, mostOfOne: 8, mostOfAll: 200 },
  // Plans are told to be done within 30 s at most, and their solver looks at the clock now and then only.
  plans: { hardLimitMs: 60_000, mostOfOne: 24, mostOfAll: 200 },
};
