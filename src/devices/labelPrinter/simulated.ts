import type { LabelPrinter } from './port';

/** The label printer that ships: what comes out of it is shown in its panel, newest first. */
export class SimulatedLabelPrinter implements LabelPrinter {
  readonly #out: string[] = [];
  #paper = 40;

  /** What came out, newest first. */
  get printed(): readonly string[] {
    return this.#out;
  }

  /** Labels left on the roll. */
  get paper(): number {
    return this.#paper;
  }

  /** Puts a new roll in. */
  reload(): void {
    this.#paper = 40;
  }

  print(labels: readonly string[]): Promise<number> {
    const out = labels.slice(0, this.#paper);
    this.#paper -= out.length;
    this.#out.unshift(...out.toReversed());
    return Promise.resolve(out.length);
  }
}
