import { ok, refuse, type Result } from '@/core/result';
import { FORMS } from '@/core/stock/ware';
import { um } from '@/core/units/length';
import { type Micrograms } from '@/core/units/mass';
import { formatGauge, gaugeSize, parseGauge, type GaugeLabel } from '@/core/wire/gauge';
import { FINISHES, METAL_IDS, metalOf, TEMPERS } from '@/core/wire/metal';
import { hasOwnHeight, isTwisted, PROFILES, usualHeight } from '@/core/wire/profile';
import { specKey, type WireSpec } from '@/core/wire/spec';
import { ensureSpec, SPEC_COLUMNS, specFromRow, type SpecColumns } from '../wire/specs';
import { COMMON_COLUMNS, commonCells, massCell, readCommon, TAG_COLUMN, tagCell } from './commonColumns';
import { type RowReader } from './rowReader';
import { type StockList } from './stockList';
import { mmCell, selectRows } from './rows';

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

/** Wire, each length with its spec and purchase. */
export const WIRE_LIST: StockList = {
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
    const rows = await selectRows<
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
