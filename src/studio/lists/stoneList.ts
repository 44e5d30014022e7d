import { HOLE_AXES, OUTLINES, STONE_RANGE, type HoleAxis, type OutlineKind } from '@/core/stone/stone';
import { um, type Micrometres } from '@/core/units/length';
import { addStone } from '../drawers/receive';
import { COMMON_COLUMNS, commonCells, readCommon, TAG_COLUMN, tagCell } from './commonColumns';
import { type StockList } from './stockList';
import { mmCell, selectRows, own } from './rows';

/** Stones, one by one. */
export const STONE_LIST: StockList = {
  id: 'stones',
  ware: 'stone',
  title: 'Stones',
  columns: [
    TAG_COLUMN,
    { key: 'material', title: 'Material', required: true, also: ['stone', 'name'] },
    { key: 'outline', title: 'Outline', required: true, also: ['shape'] },
    { key: 'length', title: 'Length', required: true },
    { key: 'width', title: 'Width', required: true },
    { key: 'depth', title: 'Depth', required: true, also: ['thickness', 'height'] },
    { key: 'edge', title: 'Edge', required: true },
    { key: 'holeAxis', title: 'Drilled', also: ['hole axis'] },
    { key: 'hole', title: 'Hole', also: ['hole size'] },
    { key: 'setAside', title: 'Set aside for' },
    ...COMMON_COLUMNS,
  ],
  read: (reader) => {
    const depth = reader.size('depth', STONE_RANGE);
    const edge = reader.length('edge');
    if (edge > depth) reader.say('edge', 'is more than the depth.');
    const holeAxis = reader.choice('holeAxis', HOLE_AXES, 'none');
    const stone = {
      material: reader.text('material', 80, { required: true }),
      outline: reader.choice('outline', OUTLINES),
      length: reader.size('length', STONE_RANGE),
      width: reader.size('width', STONE_RANGE),
      depth,
      edge,
      holeAxis,
      hole: holeAxis === 'none' ? um(0) : reader.size('hole', { from: 100, to: 12_000 }),
    };
    const setAside = reader.text('setAside', 120);
    const common = readCommon(reader, 'stone');
    if (common.quantity > 1) reader.say('quantity', 'is 1 for a stone: each has a row of its own.');
    return { ...common, form: 'stone', articleKey: '', article: (tx) => addStone(tx, stone, setAside) };
  },
  write: async (tx, currency, after, most) => {
    const rows = await selectRows<{
      material: string;
      outline: OutlineKind;
      length: Micrometres;
      width: Micrometres;
      depth: Micrometres;
      edge: Micrometres;
      holeAxis: HoleAxis;
      hole: Micrometres;
      setAside: string;
    }>(
      tx,
      'stone',
      `s.material, s.outline, s.length_um AS length, s.width_um AS width, s.depth_um AS depth, s.edge_um AS edge, s.hole_axis AS "holeAxis",
       s.hole_um AS hole, s.set_aside_for AS "setAside"`,
      own('stones'),
      after,
      most,
    );
    return rows.map((row) => ({
      number: row.number,
      cells: [
        tagCell('stone', row),
        row.material,
        row.outline,
        ...[row.length, row.width, row.depth, row.edge].map(mmCell),
        row.holeAxis,
        row.holeAxis === 'none' ? '' : mmCell(row.hole),
        row.setAside,
        ...commonCells(row, { ware: 'stone' }, currency),
      ],
    }));
  },
};
