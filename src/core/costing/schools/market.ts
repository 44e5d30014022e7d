import { ok, refuse } from '../../result';
import type { PriceSchool } from './school';

/** The market's round price, taken as given: the answer is what the hour earned and whether the piece is worth making. */
export const market: PriceSchool = {
  id: 'market',
  name: 'Going price',
  rule: () => 'what such pieces sell for, taken as it is',
  price: (_basis, _rules, marketPrice) =>
    marketPrice === null
      ? refuse('Type what such a piece sells for to see what its hour earns.')
      : ok(marketPrice),
  rounds: false,
};
