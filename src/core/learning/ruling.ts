/** What is learned: what stays of a wire, how long a pattern takes, how its rings come out. */
export const FIGURES = ['wire', 'time', 'ring'] as const;
export type Figure = (typeof FIGURES)[number];

/** What an owner says against the log. */
export interface Ruling {
  /** What was logged before counts no more; null when all of it counts. */
  readonly since: Date | null;
  /**
   * What goes in place of what the log says; null when it goes by the log. Of wires and times it is the natural logarithm of what they take over
   * what is planned, of rings US sizes: as an estimate has it.
   */
  readonly fixed: number | null;
}

export const NOT_RULED: Ruling = { since: null, fixed: null };

/** What of a log still counts. */
export const stillCounts = <Logged extends { readonly madeAt: Date }>(
  logged: readonly Logged[],
  { since }: Ruling,
): readonly Logged[] => (since === null ? logged : logged.filter(({ madeAt }) => madeAt > since));
