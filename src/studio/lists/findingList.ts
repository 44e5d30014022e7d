import { FINDINGS } from '@/core/stock/finding';
import { ensureFinding } from '../drawers/receive';
import { COMMON_COLUMNS, commonCells, readCommon, TAG_COLUMN, tagCell } from './commonColumns';
import { type StockList } from './stockList';
import { findingsToExportSql } from '@/data/sql/exports';

/** Findings, each pack. */
export const FINDING_LIST: StockList = {
  id: 'findings',
  ware: 'finding',
  title: 'Findings',
  columns: [
    TAG_COLUMN,
    { key: 'finding', title: 'Finding', required: true, also: ['kind', 'type', 'item', 'what'] },
    { key: 'description', title: 'Description', also: ['name'] },
    { key: 'material', title: 'Material', required: true, also: ['metal'] },
    { key: 'size', title: 'Size' },
    ...COMMON_COLUMNS,
  ],
  read: (reader) => {
    const finding = {
      finding: reader.choice('finding', FINDINGS, { description: reader.raw('description') }),
      material: reader.text('material', 80, { required: true }),
      size: reader.text('size', 80),
    };
    return {
      ...readCommon(reader, 'finding'),
      form: 'pack',
      articleKey: Object.values(finding).join('|').toLowerCase(),
      article: (tx) => ensureFinding(tx, finding),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await tx.rows(findingsToExportSql, { after, most });
    return rows.map((row) => ({
      number: row.number,
      cells: [
        tagCell('finding', row),
        row.finding,
        '',
        row.material,
        row.size,
        ...commonCells(row, { ware: 'finding' }, currency),
      ],
    }));
  },
};
