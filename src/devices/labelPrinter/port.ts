/** A label printer: it takes labels by their tags. */
export interface LabelPrinter {
  /** @returns how many labels came out */
  print(labels: readonly string[]): Promise<number>;
}
