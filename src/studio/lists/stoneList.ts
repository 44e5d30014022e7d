import type { Vec } from '@/core/geometry/vector';
import { parsePoints, printPoints } from '@/core/outline/points';
import { fittedTrace } from '@/core/stone/fittedTrace';
import { HOLE_AXES, OUTLINES, STONE_RANGE, type StoneMeasures } from '@/core/stone/stone';
import { parseLength, um, type Micrometres } from '@/core/units/length';
import { addStone } from '../drawers/receive';
import { COMMON_COLUMNS, commonCells, readCommon, TAG_COLUMN, tagCell } from './commonColumns';
import type { RowReader } from './rowReader';
import { type StockList } from './stockList';
import { mmCell } from './rows';
import { stonesToExportSql } from '@/data/sql/exports';

/** The numbers of "25 × 18 × 6 mm"; nothing of a cell that holds one number only. */
const sizesTogether = (text: string): string[] => {
  const plain = text.toLowerCase().replaceAll('mm', '').replaceAll('×', 'x').replace(/\s/g, '');
  return /\dx\d/.test(plain) ? plain.split('x') : [];
};

/** One of several sizes in a cell, in millimetres. */
function sizeWithin(reader: RowReader, key: string, index: number): Micrometres {
  const read = parseLength(sizesTogether(reader.raw(key))[index] ?? '', 'mm');
  if (read.ok && read.value >= STONE_RANGE.from && read.value <= STONE_RANGE.to) return read.value;
  reader.say(key, read.ok ? `“${reader.raw(key)}” is outside 1 to 200 mm.` : read.error);
  return um(0);
}

/** Places of the edge of a stone, as they were written; none when nothing is. */
function tracedIn(
  reader: RowReader,
  stone: Pick<StoneMeasures, 'outline' | 'length' | 'width'>,
): readonly Vec[] {
  const text = reader.raw('traced');
  if (text === '') return [];
  const points = parsePoints(text);
  const fitted = points.ok ? fittedTrace(points.value, stone) : points;
  if (fitted.ok) return fitted.value;
  reader.say('traced', fitted.error);
  return [];
}

/** Stones, one by one. */
export const STONE_LIST: StockList = {
  id: 'stones',
  ware: 'stone',
  title: 'Stones',
  columns: [
    TAG_COLUMN,
    {
      key: 'material',
      title: 'Material',
      required: true,
      also: ['stone', 'name', 'cab', 'cabochon', 'description', 'type'],
    },
    { key: 'outline', title: 'Outline', required: true, also: ['shape'] },
    { key: 'length', title: 'Length', required: true, also: ['size', 'dimensions', 'measurements'] },
    { key: 'width', title: 'Width' },
    { key: 'depth', title: 'Depth', required: true, also: ['thickness', 'height', 'thick', 'deep'] },
    { key: 'edge', title: 'Edge', also: ['edge height', 'girdle'] },
    { key: 'holeAxis', title: 'Drilled', also: ['hole axis'] },
    { key: 'hole', title: 'Hole', also: ['hole size'] },
    { key: 'setAside', title: 'Set aside for' },
    { key: 'traced', title: 'Traced outline (mm)' },
    ...COMMON_COLUMNS,
  ],
  read: (reader) => {
    // "25x18x6" in one cell says all three.
    const [, alsoWide, alsoDeep] = sizesTogether(reader.raw('length'));
    const long =
      alsoWide === undefined ? reader.size('length', STONE_RANGE) : sizeWithin(reader, 'length', 0);
    const width =
      alsoWide === undefined ? reader.size('width', STONE_RANGE) : sizeWithin(reader, 'length', 1);
    const depth =
      alsoDeep === undefined || reader.raw('depth') !== ''
        ? reader.size('depth', STONE_RANGE)
        : sizeWithin(reader, 'length', 2);
    const edge = reader.size('edge', { from: 0, to: STONE_RANGE.to });
    if (edge > depth) reader.say('edge', 'is more than the depth.');
    const holeAxis = reader.choice('holeAxis', HOLE_AXES, { otherwise: 'none' });
    const stone = {
      material: reader.text('material', 80, { required: true }),
      outline: reader.choice('outline', OUTLINES, { description: reader.raw('material') }),
      length: long,
      width,
      depth,
      edge,
      holeAxis,
      hole: holeAxis === 'none' ? um(0) : reader.size('hole', { from: 100, to: 12_000 }),
    };
    const traced = tracedIn(reader, stone);
    const setAside = reader.text('setAside', 120);
    const common = readCommon(reader, 'stone', { missing: 1 });
    if (common.quantity > 1) reader.say('quantity', 'is 1 for a stone: each has a row of its own.');
    return {
      ...common,
      form: 'stone',
      articleKey: '',
      setAside,
      article: (tx) => addStone(tx, { ...stone, traced }),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await tx.rows(stonesToExportSql, { after, most });
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
        printPoints(row.traced),
        ...commonCells(row, { ware: 'stone' }, currency),
      ],
    }));
  },
};
