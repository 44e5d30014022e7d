/** A judgement of the trade on a piece that is being planned. Advice never blocks; a fault is overridden by name. */
export interface Judgement {
  readonly weight: 'advice' | 'fault';
  /** The parameter or step that it judges. */
  readonly about: string;
  readonly said: string;
  readonly why: string;
  readonly mend: string;
}

export const advice = (about: string, said: string, why: string, mend: string): Judgement => ({
  weight: 'advice',
  about,
  said,
  why,
  mend,
});
