import { BEAD_RANGE, BEAD_SHAPES, beadIdentity, type BeadKind } from '@/core/bead/bead';
import { FORMS } from '@/core/stock/ware';
import { ensureBead } from '../drawers/receive';
import { parseShades } from '../drawers/receive.input';
import { COMMON_COLUMNS, commonCells, readCommon, TAG_COLUMN, tagCell } from './commonColumns';
import { type StockList } from './stockList';
import { mmCell } from './rows';
import { beadsToExportSql } from '@/data/sql/exports';

/** Beads, each strand or lot. */
export const BEAD_LIST: StockList = {
  id: 'beads',
  ware: 'bead',
  title: 'Beads',
  columns: [
    TAG_COLUMN,
    {
      key: 'material',
      title: 'Material',
      required: true,
      also: ['stone', 'name', 'bead', 'beads', 'description', 'type'],
    },
    { key: 'shape', title: 'Shape', required: true },
    { key: 'size', title: 'Size', required: true, also: ['diameter', 'smallest', 'bead size'] },
    { key: 'largest', title: 'Largest', also: ['max size'] },
    { key: 'hole', title: 'Hole', required: true, also: ['hole size', 'drill'] },
    { key: 'form', title: 'On', also: ['form'] },
    { key: 'shades', title: 'Shades' },
    ...COMMON_COLUMNS,
  ],
  read: (reader) => {
    const min = reader.size('size', BEAD_RANGE);
    const max = reader.size('largest', BEAD_RANGE, min);
    const hole = reader.size('hole', { from: 100, to: 12_000 });
    if (max < min) reader.say('largest', 'is smaller than the smallest.');
    if (hole >= max && max > 0) reader.say('hole', 'is as wide as the bead.');
    const bead: BeadKind = {
      material: reader.text('material', 80, { required: true }),
      shape: reader.choice('shape', BEAD_SHAPES, { description: reader.raw('material') }),
      min,
      max,
      hole,
    };
    const common = readCommon(reader, 'bead');
    const shades = reader.by('shades', parseShades, []);
    if (shades.reduce((sum, { count }) => sum + count, 0) > common.quantity)
      reader.say('shades', 'hold more beads than there are.');
    return {
      ...common,
      form: reader.choice('form', FORMS.bead, { otherwise: 'strand' }),
      shades,
      articleKey: beadIdentity(bead),
      article: (tx) => ensureBead(tx, bead),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await tx.rows(beadsToExportSql, { after, most });
    return rows.map((row) => ({
      number: row.number,
      cells: [
        tagCell('bead', row),
        row.material,
        row.shape,
        mmCell(row.min),
        row.max > row.min ? mmCell(row.max) : '',
        mmCell(row.hole),
        row.form,
        row.shades.map(({ name, count }) => `${name} ${count}`).join(', '),
        ...commonCells(row, { ware: 'bead' }, currency),
      ],
    }));
  },
};
