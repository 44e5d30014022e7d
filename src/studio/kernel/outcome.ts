/** Why a use case did not do what was asked. */
export interface Problem {
  /**
   * `invalid`: something typed is not right. `refused`: the studio's state does not allow it. `stale`: somebody changed it
   * meanwhile. `forbidden`: not for this role. `signed-out`: the session ended. `fault`: our mistake or a broken machine.
   */
  readonly kind: 'invalid' | 'refused' | 'stale' | 'forbidden' | 'signed-out' | 'fault';
  /** One sentence for the person. */
  readonly message: string;
  /** Sentences beside fields, by path ("cuts.0.net"). */
  readonly fields?: Readonly<Record<string, string>>;
}

/** What came of a use case: a value, or a problem that leaves the form as it was typed. */
export type Outcome<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

/** Thrown inside a transaction to undo it and answer with a problem; never leaves the use case. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message);
  }
}

export const refused = (message: string, fields?: Record<string, string>): Refused =>
  new Refused({ kind: 'refused', message, ...(fields ? { fields } : {}) });

export const invalid = (field: string, message: string): Refused =>
  new Refused({ kind: 'invalid', message, fields: { [field]: message } });

export const stale = (message: string): Refused => new Refused({ kind: 'stale', message });
