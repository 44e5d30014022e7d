import type { Tx } from '@/data/inStudio';

/** A list that goes out only. */
export interface OutList {
  readonly id: string;
  readonly title: string;
  /** What each of its columns is called, and what stands in it. */
  readonly columns: readonly (readonly [title: string, meaning: string])[];
  /** Cells of its rows, so many after a place; none at its end. A list that is short comes whole. */
  readonly rows: (
    tx: Tx,
    currency: string,
    after: number,
    most: number,
  ) => Promise<readonly (readonly string[])[]>;
}
