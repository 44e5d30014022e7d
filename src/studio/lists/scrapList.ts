import { type StockForm } from '@/core/stock/ware';
import { METAL_IDS, metalOf } from '@/core/wire/metal';
import { ensureScrap } from '../ledger/posting';
import { COMMON_COLUMNS, commonCells, readCommon, TAG_COLUMN, tagCell } from './commonColumns';
import { type StockList } from './stockList';
import { scrapToExportSql } from '@/data/sql/exports';

/** Scrap jars, one for each metal. */
export const SCRAP_LIST: StockList = {
  id: 'scrap',
  ware: 'scrap',
  title: 'Scrap jars',
  columns: [
    TAG_COLUMN,
    { key: 'metal', title: 'Metal', required: true },
    ...COMMON_COLUMNS.filter(({ key }) => ['quantity', 'cost', 'place', 'note'].includes(key)),
  ],
  read: (reader) => {
    const metal = reader.choice('metal', METAL_IDS, { said: (id) => metalOf(id).name });
    return {
      ...readCommon(reader, 'scrap'),
      purchase: null,
      form: 'jar' as StockForm,
      articleKey: metal,
      article: (tx) => ensureScrap(tx, metal),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await tx.rows(scrapToExportSql, { after, most });
    return rows.map((row) => ({
      number: row.number,
      cells: [
        tagCell('scrap', row),
        metalOf(row.metal).name,
        ...commonCells(row, { ware: 'scrap' }, currency).slice(0, 4),
      ],
    }));
  },
};
