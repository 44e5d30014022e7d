import { ok, refuse, type Result } from '@/core/result';
import { FORMS } from '@/core/stock/ware';
import { um } from '@/core/units/length';
import { formatGauge, gaugeSize, parseGauge, type GaugeLabel } from '@/core/wire/gauge';
import { FINISHES, METAL_IDS, metalOf, TEMPERS } from '@/core/wire/metal';
import { hasOwnHeight, isTwisted, PROFILES, usualHeight } from '@/core/wire/profile';
import { lengthOfMass } from '@/core/wire/mass';
import { specIdentity, specKey, type WireSpec } from '@/core/wire/spec';
import { ensureSpec, specFromRow } from '../catalogue/wireSpecs';
import { COMMON_COLUMNS, commonCells, massCell, readCommon, TAG_COLUMN, tagCell } from './commonColumns';
import { type RowReader } from './rowReader';
import { type StockList } from './stockList';
import { mmCell } from './rows';
import { wireToExportSql } from '@/data/sql/exports';

function readSpec(reader: RowReader): WireSpec {
  const description = [reader.raw('description'), reader.raw('metal'), reader.raw('size')].join(' ');
  const metal = reader.choice('metal', METAL_IDS, { said: (id) => metalOf(id).name, description });
  const profile = reader.choice('profile', PROFILES, { otherwise: 'round', description });
  const label = readLabel(reader, description);
  const size = gaugeSize(label);
  const width = size.ok ? size.value : um(0);
  const finish = reader.choice('finish', FINISHES, { otherwise: 'bare', description });
  const finishName = reader.text('finishName', 40) || finishIn(description);
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
    temper: reader.choice('temper', TEMPERS, { description }),
    finish,
    finishName: finish === 'bare' ? '' : finishName,
    label,
    ...(twist > 0 ? { twist } : {}),
  };
}

/** A size in its own column, in the unit that its title says, else somewhere in the description. */
function readLabel(reader: RowReader, description: string): GaugeLabel {
  const otherwise: GaugeLabel = { system: 'AWG', number: '20' };
  const text = reader.raw('size');
  if (text === '' || /[a-z]{3,}/i.test(text)) {
    const found = sizeIn(description);
    if (found) return found;
  }
  const isMetric = reader.unit('size') === 'mm' && /^[\d.,]+$/.test(text);
  return reader.by<GaugeLabel>('size', (plain) => parseGauge(isMetric ? `${plain} mm` : plain), otherwise);
}

/** The first size in a description: "copper 20ga soft", "0.8 mm sterling". */
function sizeIn(description: string): GaugeLabel | undefined {
  const [found] =
    description.match(/#\d{1,2}\b|\b\d{1,2}(?:[.,]\d{1,3})?\s?(?:ga|gauge|g|awg|swg|mm)\b/gi) ?? [];
  const read = found === undefined ? undefined : parseGauge(found);
  return read?.ok ? read.value : undefined;
}

/** The colour or plating in a description: "silver plated copper" is plated with silver. */
function finishIn(description: string): string {
  const words = description.toLowerCase().split(/[\s-]+/);
  const at = words.findIndex((word) => word === 'plated' || word === 'coated');
  return at > 0 ? (words[at - 1] ?? '') : '';
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
    { key: 'description', title: 'Description', also: ['wire', 'item', 'what', 'name', 'product', 'stock'] },
    { key: 'metal', title: 'Metal', required: true, also: ['material', 'alloy', 'type', 'kind'] },
    { key: 'profile', title: 'Profile', also: ['shape', 'cross-section', 'section', 'form factor'] },
    {
      key: 'size',
      title: 'Size',
      required: true,
      also: ['gauge', 'diameter', 'ga', 'awg', 'thickness', 'wire size', 'size mm', 'ø', 'ø mm'],
    },
    { key: 'height', title: 'Height' },
    { key: 'twist', title: 'Turns a metre', also: ['twist'] },
    { key: 'temper', title: 'Temper', required: true, also: ['hardness', 'hard or soft', 'hard/soft'] },
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
    const form = reader.choice('form', FORMS.wire, { otherwise: 'spool' });
    const label = reader.raw('label') === '' ? spec.label : reader.by('label', parseGauge, spec.label);
    const emptyMass = reader.mass('empty');
    const spoolType = reader.text('spoolType', 120);
    return {
      ...readCommon(reader, 'wire', { lengthOf: (mass) => lengthOfMass(spec, mass) }),
      form,
      label,
      spoolType,
      emptyMass,
      articleKey: specIdentity(spec),
      article: async (tx) => ({ articleId: (await ensureSpec(tx, spec)).id, sortKey: specKey(spec) }),
    };
  },
  write: async (tx, currency, after, most) => {
    const rows = await tx.rows(wireToExportSql, { after, most });
    return rows.map((row) => {
      const spec = specFromRow(row);
      const label =
        row.labelSystem === null ? '' : formatGauge({ system: row.labelSystem, number: row.labelNumber });
      return {
        number: row.number,
        cells: [
          tagCell('wire', row),
          '',
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
