/** A judgement that is shown on the picture: the technique that it is of, and what it says. */
export interface Pointed {
  readonly use: string;
  readonly said: string;
}
