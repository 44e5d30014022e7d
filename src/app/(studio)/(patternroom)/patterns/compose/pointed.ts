/** A judgement that is shown on the picture: the technique that it is of, and what it says. */
export interface Pointed {
  readonly use: string;
  readonly said: string;
}

/** A technique whose measures were asked for. */
export interface Asked {
  readonly use: string;
  /** How often something was: asked for once more, it is come to once more. */
  readonly times: number;
}
