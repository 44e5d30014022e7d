import { plainAmountOf, SUPPLY_UNITS } from '@/core/stock/amount';
import { ensureSupply } from '../drawers/receive';
import { COMMON_COLUMNS, commonCells, readCommon, TAG_COLUMN, tagCell } from './commonColumns';
import { type StockList } from './stockList';
import { suppliesToExportSql } from '@/data/sql/exports';

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
    const rows = await tx.rows(suppliesToExportSql, { after, most });
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
