import type { Id } from '@/core/id';
import type { Day } from '@/core/calendar/day';
import type { StockForm, Ware } from '@/core/stock/ware';
import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { GaugeLabel } from '@/core/wire/gauge';
import type { Tx } from '@/data/inStudio';
import type { RowReader } from './rowReader';

/** One column of a list as it is written and read. */
export interface ListColumn {
  readonly key: string;
  /** As it stands in the first line of a file. */
  readonly title: string;
  /** Other words for it, lower case, that a file from elsewhere may have. */
  readonly also?: readonly string[];
  readonly required?: boolean;
}

/** What a row says of the purchase it came from. */
export interface RowPurchase {
  readonly supplier: string;
  readonly boughtOn: Day | null;
  readonly price: MinorUnits | null;
  readonly quantity: number;
  readonly note: string;
}

/** A row of stock that has been read. */
export interface StockRow {
  readonly number: number | undefined;
  readonly form: StockForm;
  readonly quantity: number;
  readonly cost: CostUnits;
  readonly place: string;
  readonly note: string;
  readonly purchase: RowPurchase | null;
  readonly label?: GaugeLabel;
  readonly spoolType?: string;
  readonly emptyMass?: Micrograms | null;
  readonly shades?: readonly ShadeGroup[];
  /** What it is set aside for by hand. */
  readonly setAside?: string;
  /** Equal for rows of the same article, so that it is looked up once. */
  readonly articleKey: string;
  /** Finds or makes what the row is of. */
  readonly article: (tx: Tx) => Promise<{ readonly articleId: Id<'article'>; readonly sortKey: string }>;
}

/** Exported rows come with their key, to go on after. */
export interface ExportedRow {
  readonly cells: readonly string[];
  readonly after: string;
}

/** A list of stock that can be written to a file and read from one. */
export interface StockList {
  readonly id: string;
  readonly ware: Ware;
  readonly title: string;
  readonly columns: readonly ListColumn[];
  readonly read: (reader: RowReader) => StockRow;
  /** Rows after a tag number, in the order of their tags. */
  readonly write: (
    tx: Tx,
    currency: string,
    after: number,
    most: number,
  ) => Promise<{ number: number; cells: string[] }[]>;
}
