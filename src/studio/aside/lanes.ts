/** Long work by the thread that it is done in: a plan keeps its thread for seconds, and nobody’s list shall wait for it. */
export const LANES = {
  checkImport: 'books',
  postImport: 'books',
  planCuts: 'plans',
  chooseWhatToMake: 'plans',
} as const;

export type JobName = keyof typeof LANES;
export type Lane = (typeof LANES)[JobName];
