import { OUTLINES, STONE_RANGE, type OutlineKind } from '../stone/stone';
import { outlineOf } from '../stone/outlineOf';
import { ok, refuse, type Result } from '../result';
import { UM_PER_MM } from '../units/length';
import { weaveOfGroups, type WrittenGroup } from '../weave/groups';
import { parseWeave, type Weave } from '../weave/notation';
import { gaugeSize, GAUGE_SYSTEMS, MAX_SIZE, MIN_SIZE, type GaugeSystem } from '../wire/gauge';
import { DRAWN_PROFILES, type DrawnProfile } from '../wire/profile';
import type { PointsAllowed } from '../outline/points';
import { LINE_POINTS, type Parameter, type Parameters } from './parameter';
import type { StoneSize } from '../stone/stoneSize';
import type { WireSize } from '../wire/wireSize';

/** The values of a technique’s parameters, by name. */
export type Values = Readonly<Record<string, unknown>>;

/** A sentence beside each wrong field, by its path: “stone.lengthMm”. */
export type Wrong = Readonly<Record<string, string>>;

type Plain = Readonly<Record<string, unknown>>;

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What was given, short enough for a sentence. */
function given(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text = typeof value === 'string' ? `“${value}”` : JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}

/** Collects what is wrong while values are read. */
class Reading {
  readonly wrong: Record<string, string> = {};

  fault(field: string, value: unknown, allowed: string): undefined {
    this.wrong[field] ??= `${given(value)} was given; ${allowed}.`;
    return undefined;
  }

  number(field: string, value: unknown, from: number, to: number, unit = 'mm'): number | undefined {
    if (typeof value === 'number' && value >= from && value <= to) return value;
    return this.fault(field, value, `a number from ${from} to ${to}${unit ? ` ${unit}` : ''} is allowed`);
  }

  whole(field: string, value: unknown, from: number, to: number): number | undefined {
    if (Number.isInteger(value) && (value as number) >= from && (value as number) <= to)
      return value as number;
    return this.fault(field, value, `a whole number from ${from} to ${to} is allowed`);
  }

  oneOf<Choice extends string>(
    field: string,
    value: unknown,
    choices: readonly Choice[],
  ): Choice | undefined {
    if (choices.includes(value as Choice)) return value as Choice;
    return this.fault(field, value, `one of ${choices.join(', ')} is allowed`);
  }

  object(field: string, value: unknown, fields: readonly string[]): Plain | undefined {
    if (!isPlain(value)) return this.fault(field, value, `an object of ${fields.join(', ')} is allowed`);
    for (const key of Object.keys(value))
      if (!fields.includes(key))
        this.fault(`${field}.${key}`, value[key], `there is no such field; ${fields.join(', ')} are allowed`);
    return value;
  }
}

const WIRE_FIELDS = ['profile', 'gauge', 'widthMm', 'heightMm'] as const;

/** `{gauge: {system: "AWG", value: 20}}` or `{widthMm: 0.812}`, round unless a profile is told. */
function readWire(reading: Reading, field: string, value: unknown): WireSize | undefined {
  const plain = reading.object(field, value, WIRE_FIELDS);
  if (!plain) return undefined;
  const profile: DrawnProfile | undefined =
    plain['profile'] === undefined
      ? 'round'
      : reading.oneOf(`${field}.profile`, plain['profile'], DRAWN_PROFILES);
  const [least, most] = [MIN_SIZE / UM_PER_MM, MAX_SIZE / UM_PER_MM];
  const width =
    plain['gauge'] === undefined
      ? reading.number(`${field}.widthMm`, plain['widthMm'], least, most)
      : readGauge(reading, `${field}.gauge`, plain['gauge']);
  if (plain['gauge'] !== undefined && plain['widthMm'] !== undefined)
    reading.fault(`${field}.widthMm`, plain['widthMm'], 'a gauge or a width is allowed, not both');
  if (profile === undefined || width === undefined) return undefined;
  const usual = profile === 'half-round' ? width / 2 : width;
  const height =
    plain['heightMm'] === undefined
      ? usual
      : reading.number(`${field}.heightMm`, plain['heightMm'], least / 2, most);
  return height === undefined ? undefined : { profile, width, height };
}

function readGauge(reading: Reading, field: string, value: unknown): number | undefined {
  const plain = reading.object(field, value, ['system', 'value']);
  if (!plain) return undefined;
  const system: GaugeSystem | undefined = reading.oneOf(`${field}.system`, plain['system'], GAUGE_SYSTEMS);
  if (system === undefined) return undefined;
  const size = gaugeSize({ system, number: String(plain['value']) });
  if (size.ok) return size.value / UM_PER_MM;
  reading.wrong[`${field}.value`] ??= size.error;
  return undefined;
}

const STONE_FIELDS = [
  'outline',
  'lengthMm',
  'widthMm',
  'depthMm',
  'edgeMm',
  'cornerMm',
  'stripMm',
  'pointsMm',
] as const;

function readStone(
  reading: Reading,
  field: string,
  value: unknown,
  initial: StoneSize,
): StoneSize | undefined {
  const plain = reading.object(field, value, STONE_FIELDS);
  if (!plain) return undefined;
  const [least, most] = [STONE_RANGE.from / UM_PER_MM, STONE_RANGE.to / UM_PER_MM];
  const outline: OutlineKind | undefined = reading.oneOf(`${field}.outline`, plain['outline'], OUTLINES);
  const length = reading.number(`${field}.lengthMm`, plain['lengthMm'], least, most);
  const width = reading.number(`${field}.widthMm`, plain['widthMm'] ?? plain['lengthMm'], least, most);
  const optional = (name: string, otherwise: number | undefined, from: number) =>
    plain[name] === undefined ? otherwise : reading.number(`${field}.${name}`, plain[name], from, most * 4);
  const depth = optional('depthMm', initial.depth, 0.1);
  const edge = optional('edgeMm', initial.edge, 0.1);
  const corner = optional('cornerMm', undefined, 0);
  const strip = optional('stripMm', undefined, 1);
  const points =
    plain['pointsMm'] === undefined
      ? undefined
      : readPoints(reading, `${field}.pointsMm`, plain['pointsMm'], STONE_POINTS);
  if (outline === undefined || length === undefined || width === undefined) return undefined;
  if (depth === undefined || edge === undefined) return undefined;
  const stone: StoneSize = {
    outline,
    length,
    width,
    depth,
    edge,
    ...(corner === undefined ? {} : { corner }),
    ...(strip === undefined ? {} : { strip }),
    ...(points === undefined ? {} : { points }),
  };
  const drawn = outlineOf(stone);
  if (drawn.ok) return stone;
  reading.wrong[`${field}.lengthMm`] ??= drawn.error;
  return undefined;
}

/** How many points the outline of a stone may be told by. */
const STONE_POINTS: PointsAllowed = { least: 3, most: 500 };

function readPoints(reading: Reading, field: string, value: unknown, { least, most }: PointsAllowed) {
  const isPoint = (each: unknown): each is { x: number; y: number } =>
    isPlain(each) && Number.isFinite(each['x']) && Number.isFinite(each['y']);
  if (Array.isArray(value) && value.length >= least && value.length <= most && value.every(isPoint))
    return value.map(({ x, y }) => ({ x, y }));
  return reading.fault(field, value, `${least} to ${most} points of x and y are allowed`);
}

/** A notation, or `{groups: [{wires: ["A", "B"], wraps: 2}]}`. */
function readWeaveValue(reading: Reading, field: string, value: unknown): Weave | undefined {
  if (typeof value === 'string') {
    const read = parseWeave(value);
    if (read.ok) return read.value;
    reading.wrong[field] ??= `${read.error.message} (at character ${read.error.at + 1})`;
    return undefined;
  }
  const plain = reading.object(field, value, ['groups']);
  const groups = plain?.['groups'];
  const isGroup = (each: unknown): each is WrittenGroup =>
    isPlain(each) &&
    Array.isArray(each['wires']) &&
    each['wires'].every((wire) => typeof wire === 'string') &&
    Number.isInteger(each['wraps']);
  if (!plain) return undefined;
  if (!Array.isArray(groups) || !groups.every(isGroup))
    return reading.fault(`${field}.groups`, groups, 'a list of {wires, wraps} is allowed');
  const read = weaveOfGroups(groups);
  if (read.ok) return read.value;
  reading.wrong[`${field}.groups`] ??= read.error;
  return undefined;
}

function readValue(reading: Reading, field: string, parameter: Parameter, value: unknown): unknown {
  switch (parameter.kind) {
    case 'length':
      return reading.number(field, value, parameter.from, parameter.to);
    case 'count':
      return reading.whole(field, value, parameter.from, parameter.to);
    case 'choice':
      return reading.oneOf(field, value, parameter.choices);
    case 'wire':
      return readWire(reading, field, value);
    case 'stone':
      return readStone(reading, field, value, parameter.initial);
    case 'line':
      return readPoints(reading, field, value, LINE_POINTS);
    case 'weave':
      return readWeaveValue(reading, field, value);
  }
}

/**
 * Reads the values of a technique’s parameters from JSON: lengths in mm. What is not told keeps its initial value; what is no
 * parameter is refused, not ignored.
 * @returns a sentence beside each wrong field: what was given, and what is allowed
 */
export function readValues(parameters: Parameters, plain: unknown): Result<Values, Wrong> {
  const reading = new Reading();
  const names = Object.keys(parameters);
  if (!isPlain(plain))
    return refuse({ '': `${given(plain)} was given; an object of ${names.join(', ')} is allowed.` });
  for (const key of Object.keys(plain))
    if (!names.includes(key))
      reading.fault(key, plain[key], `there is no such field; ${names.join(', ')} are allowed`);
  const values = Object.fromEntries(
    Object.entries(parameters).map(([key, parameter]) => [
      key,
      plain[key] === undefined ? parameter.initial : readValue(reading, key, parameter, plain[key]),
    ]),
  );
  return Object.keys(reading.wrong).length > 0 ? refuse(reading.wrong) : ok(values);
}
