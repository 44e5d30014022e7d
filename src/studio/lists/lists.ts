import { BEAD_LIST } from './beadList';
import { FINDING_LIST } from './findingList';
import { SCRAP_LIST } from './scrapList';
import { STONE_LIST } from './stoneList';
import { SUPPLY_LIST } from './supplyList';
import { WIRE_LIST } from './wireList';
import type { StockList } from './stockList';

/** Every list that goes out to a file and comes in from one. */
export const STOCK_LISTS: readonly StockList[] = [
  WIRE_LIST,
  BEAD_LIST,
  STONE_LIST,
  FINDING_LIST,
  SUPPLY_LIST,
  SCRAP_LIST,
];

export const listOf = (id: string): StockList | undefined => STOCK_LISTS.find((each) => each.id === id);
