/** A judgement of the trade on a piece that is being planned. Advice never blocks; a fault is overridden by name. */
export interface Judgement {
  readonly weight: 'advice' | 'fault';
  /** The parameter or step that it judges. */
  readonly about: string;
  readonly said: string;
  readonly why: string;
  readonly mend: string;
}

const judgementOf =
  (weight: Judgement['weight']) =>
  (about: string, said: string, why: string, mend: string): Judgement => ({ weight, about, said, why, mend });

export const advice = judgementOf('advice');
/** What spoils the piece as it is planned: its stone falls out, or a step undoes another. */
export const fault = judgementOf('fault');
