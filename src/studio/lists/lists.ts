import { BEAD_RANGE, BEAD_SHAPES, beadKey, type BeadKind } from '@/core/bead/bead';
import { ok, refuse, type Result } from '@/core/result';
import { plainAmountOf, SUPPLY_UNITS, type SupplyUnit } from '@/core/stock/amount';
import { FINDINGS, type FindingKind } from '@/core/stock/finding';
import { FORMS, type StockForm } from '@/core/stock/ware';
import { HOLE_AXES, OUTLINES, STONE_RANGE, type HoleAxis, type OutlineKind } from '@/core/stone/stone';
import { um, type Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import { formatGauge, gaugeSize, parseGauge, type GaugeLabel } from '@/core/wire/gauge';
import { FINISHES, METAL_IDS, metalOf, TEMPERS } from '@/core/wire/metal';
import { hasOwnHeight, isTwisted, PROFILES, usualHeight } from '@/core/wire/profile';
import { specKey, type WireSpec } from '@/core/wire/spec';
import type { Tx } from '@/data/inStudio';
import { addStone, ensureBead, ensureFinding, ensureSupply } from '../drawers/receive';
import { parseShades } from '../drawers/receive.input';
import { ensureScrap } from '../ledger/posting';
import { ensureSpec, SPEC_COLUMNS, specFromRow, type SpecColumns } from '../wire/specs';
import {
  COMMON_COLUMNS,
  COMMON_JOINS,
  COMMON_SQL,
  COMMON_WHERE,
  commonCells,
  massCell,
  readCommon,
  TAG_COLUMN,
  tagCell,
  type CommonRow,
} from './commonColumns';
import type { RowReader } from './rowReader';
import type { StockList } from './stockList';

const mmCell = (size: Micrometres | null): string =>
  size === null ? '' : plainAmountOf({ ware: 'wire' }, size);

/** Rows of one ware with columns of its own. */
const select = <Own extends object>(
  tx: Tx,
  ware: string,
  columns: string,
  joins: string,
  after: number,
  most: number,
) =>
  tx.select<CommonRow & Own>(
    `SELECT ${COMMON_SQL}, ${columns} FROM stock_pieces p ${COMMON_JOINS} ${joins} WHERE ${COMMON_WHERE}`,
    [tx.session.studioId, ware, after, most],
  );

const own = (table: string) => `JOIN ${table} s ON s.studio_id = p.studio_id AND s.article_id = p.article_id`;

function readSpec(reader: RowReader): WireSpec {
  const metal = reader.choice('metal', METAL_IDS, undefined, (id) => metalOf(id).name);
  const profile = reader.choice('profile', PROFILES, 'round');
  const label = reader.by<GaugeLabel>('size', parseGauge, { system: 'AWG', number: '20' });
  const size = gaugeSize(label);
  const width = size.ok ? size.value : um(0);
  const finish = reader.choice('finish', FINISHES, 'bare');
  const finishName = reader.text('finishName', 40);
  if (finish !== 'bare' && finishName === '')
    reader.say('finishName', 'is needed for plated and coated wire.');
  const twist = reader.by('twist', readTwist, 0);
  if (twist > 0 !== isTwisted(profile))
    reader.say('twist', isTwisted(profile) ? 'is needed for twisted stock.' : 'is for twisted stock only.');
  return {
    metal,
    profile,
    width,
    height: hasOwnHeight(profile)
      ? reader.size('height', { from: 20, to: 12_000 }, usualHeight(profile, width))
      : usualHeight(profile, width),
    temper: reader.choice('temper', TEMPERS),
    finish,
    finishName: finish === 'bare' ? '' : finishName,
    label,
    ...(twist > 0 ? { twist } : {}),
  };
}

const readTwist = (text: string): Result<number> =>
  text === ''
    ? ok(0)
    : /^\d{1,5}$/.test(text) && Number(text) > 0
      ? ok(Number(text))
      : refuse(`“${text.slice(0, 40)}” is not a number of turns a metre.`);

const WIRE: StockList = {
  id: 'wire',
  ware: 'wire',
  title: 'Wire',
  columns: [
    TAG_COLUMN,
    { key: 'metal', title: 'Metal', required: true, also: ['material'] },
    { key: 'profile', title: 'Profile', also: ['shape', 'cross-section'] },
    { key: 'size', title: 'Size', required: true, also: ['gauge', 'diameter', 'ga'] },
    { key: 'height', title: 'Height' },
    { key: 'twist', title: 'Turns a metre', also: ['twist'] },
    { key: 'temper', title: 'Temper', required: true, also: ['hardness'] },
    { key: 'finish', title: 'Finish', also: ['coating', 'plating'] },
    { key: 'finishName', title: 'Colour or plating', also: ['colour', 'color'] },
    { key: 'form', title: 'On', also: ['form', 'spool or coil'] },
    { key: 'label', title: 'Label as bought' },
    { key: 'spoolType', title: 'Kind of spool' },
    { key: 'empty', title: 'Empty spool', also: ['empty weight'] },
    ...COMMON_COLUMNS,
  ],
  read: (reader) => {
    const spec = readSpec(reader);
    const form = reader.choice('form', FORMS.wire, 'spool');
    const label = reader.raw('label') === '' ? spec.label : reader.by('label', parseGauge, spec.label);
    const emptyMass = reader.mass('empty');
    const spoolType = reader.text('spoolType', 120);
    return {
      ...readCommon(reader, 'wire'),
      form,
      label,
      spoolType,
      emptyMass,
      articleKey: specKey(spec),
      article: async (tx) => ({ articleId: (await ensureSpec(tx, spec)).id, sortKey: specKey(spec) }),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await select<
      SpecColumns & {
        labelSystem: GaugeLabel['system'] | null;
        labelNumber: string;
        spoolType: string;
        empty: Micrograms | null;
      }
    >(
      tx,
      'wire',
      `${SPEC_COLUMNS}, l.gauge_system AS "labelSystem", l.gauge_number AS "labelNumber", COALESCE(t.name, '') AS "spoolType", p.empty_mass_ug AS empty`,
      `JOIN wire_specs s ON s.studio_id = p.studio_id AND s.spec_id = p.article_id
       LEFT JOIN spool_types t ON t.studio_id = p.studio_id AND t.spool_type_id = p.spool_type_id`,
      after,
      most,
    );
    return rows.map((row) => {
      const spec = specFromRow(row);
      const label =
        row.labelSystem === null ? '' : formatGauge({ system: row.labelSystem, number: row.labelNumber });
      return {
        number: row.number,
        cells: [
          tagCell('wire', row),
          metalOf(spec.metal).name,
          spec.profile,
          formatGauge(spec.label),
          hasOwnHeight(spec.profile) ? mmCell(spec.height) : '',
          spec.twist ? String(spec.twist) : '',
          spec.temper,
          spec.finish,
          spec.finishName,
          row.form,
          label,
          row.spoolType,
          massCell(row.empty),
          ...commonCells(row, { ware: 'wire' }, currency),
        ],
      };
    });
  },
};

const BEADS: StockList = {
  id: 'beads',
  ware: 'bead',
  title: 'Beads',
  columns: [
    TAG_COLUMN,
    { key: 'material', title: 'Material', required: true, also: ['stone', 'name'] },
    { key: 'shape', title: 'Shape', required: true },
    { key: 'size', title: 'Size', required: true, also: ['diameter', 'smallest'] },
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
      shape: reader.choice('shape', BEAD_SHAPES),
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
      form: reader.choice('form', FORMS.bead, 'strand'),
      shades,
      articleKey: beadKey(bead),
      article: (tx) => ensureBead(tx, bead),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await select<{
      material: string;
      shape: string;
      min: Micrometres;
      max: Micrometres;
      hole: Micrometres;
      shades: { name: string; count: number }[];
    }>(
      tx,
      'bead',
      's.material, s.shape, s.min_um AS min, s.max_um AS max, s.hole_um AS hole, p.shades',
      own('beads'),
      after,
      most,
    );
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

const STONES: StockList = {
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
    const rows = await select<{
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

const FINDING_LIST: StockList = {
  id: 'findings',
  ware: 'finding',
  title: 'Findings',
  columns: [
    TAG_COLUMN,
    { key: 'finding', title: 'Finding', required: true, also: ['kind', 'type'] },
    { key: 'material', title: 'Material', required: true, also: ['metal'] },
    { key: 'size', title: 'Size' },
    ...COMMON_COLUMNS,
  ],
  read: (reader) => {
    const finding = {
      finding: reader.choice('finding', FINDINGS),
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
    const rows = await select<{ finding: FindingKind; material: string; size: string }>(
      tx,
      'finding',
      's.finding, s.material, s.size',
      own('findings'),
      after,
      most,
    );
    return rows.map((row) => ({
      number: row.number,
      cells: [
        tagCell('finding', row),
        row.finding,
        row.material,
        row.size,
        ...commonCells(row, { ware: 'finding' }, currency),
      ],
    }));
  },
};

const SUPPLY_LIST: StockList = {
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
    const perPiece = reader.amount('perPiece', measure, { zero: true });
    return {
      ...readCommon(reader, 'supply', measure),
      form: 'pack',
      articleKey: name.toLowerCase(),
      article: (tx) => ensureSupply(tx, name, unit, perPiece),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await select<{ name: string; unit: SupplyUnit; perPiece: number }>(
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

const SCRAP: StockList = {
  id: 'scrap',
  ware: 'scrap',
  title: 'Scrap jars',
  columns: [
    TAG_COLUMN,
    { key: 'metal', title: 'Metal', required: true },
    ...COMMON_COLUMNS.filter(({ key }) => ['quantity', 'cost', 'place', 'note'].includes(key)),
  ],
  read: (reader) => {
    const metal = reader.choice('metal', METAL_IDS, undefined, (id) => metalOf(id).name);
    return {
      ...readCommon(reader, 'scrap'),
      purchase: null,
      form: 'jar' as StockForm,
      articleKey: metal,
      article: (tx) => ensureScrap(tx, metal),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await select<{ sortKey: string }>(tx, 'scrap', 'p.sort_key AS "sortKey"', '', after, most);
    return rows.map((row) => ({
      number: row.number,
      cells: [
        tagCell('scrap', row),
        metalOf(METAL_IDS[Number(row.sortKey)] ?? 'copper').name,
        ...commonCells(row, { ware: 'scrap' }, currency).slice(0, 4),
      ],
    }));
  },
};

/** Every list that goes out to a file and comes in from one. */
export const STOCK_LISTS: readonly StockList[] = [WIRE, BEADS, STONES, FINDING_LIST, SUPPLY_LIST, SCRAP];

export const listOf = (id: string): StockList | undefined => STOCK_LISTS.find((each) => each.id === id);
