import { plainAmountOf, SUPPLY_UNITS, type SupplyUnit } from '@/core/stock/amount';
import { ensureSupply } from '../drawers/receive';
import { COMMON_COLUMNS, commonCells, readCommon, TAG_COLUMN, tagCell } from './commonColumns';
import { type StockList } from './stockList';
import { selectRows, own } from './rows';

/** Supplies, each pack. */
export const SUPPLY_LIST: StockList = {
  id: 'supplies',
  ware: 'supply',
  title: 'Supplies',
  columns: [
    TAG_COLUMN,
    { key: 'name', title: 'Supply', required: true, also: ['name', 'item'] },
    { key: 'unit', title: 'By the', required: true, also: ['unit'] },
    { key: 'perPiece', title: 'A piece takes', also: ['per piece'] },
    ...COMMON_COLUMNS,
  ],
  read: (reader) => {
    const unit = reader.choice('unit', SUPPLY_UNITS);
    const measure = { ware: 'supply', unit } as const;
    const name = reader.text('name', 120, { required: true });
    const perPiece = reader.amount('perPiece', measure, { zero: true, missing: 0 });
    return {
      ...readCommon(reader, 'supply', { measure }),
      form: 'pack',
      articleKey: name.toLowerCase(),
      article: (tx) => ensureSupply(tx, name, unit, perPiece),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await selectRows<{ name: string; unit: SupplyUnit; perPiece: number }>(
      tx,
      'supply',
      'a.name, s.unit, s.per_piece AS "perPiece"',
      `${own('supplies')} JOIN articles a ON a.studio_id = p.studio_id AND a.article_id = p.article_id`,
      after,
      most,
    );
    return rows.map((row) => {
      const measure = { ware: 'supply', unit: row.unit } as const;
      return {
        number: row.number,
        cells: [
          tagCell('supply', row),
          row.name,
          row.unit,
          plainAmountOf(measure, row.perPiece),
          ...commonCells(row, measure, currency),
        ],
      };
    });
  },
};
