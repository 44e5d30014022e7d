import { outlineOf, type OutlineMeasures } from '../stone/outlineOf';
import { parsePoints, printPoints } from '../outline/points';
import { ok, refuse, type Result } from '../result';
import { completedRing, readRingSize, type RingSystem } from '../ring/ringSize';
import { OUTLINES, STONE_RANGE, type OutlineKind } from '../stone/stone';
import {
  formatLength,
  mm,
  parseLength,
  UM_PER_MM,
  type Micrometres,
  writableLength,
  type LengthSystem,
} from '../units/length';
import { parseWeave, printWeave, type Weave } from '../weave/notation';
import { formatGauge, gaugeSize, identifyGauge, MAX_SIZE, MIN_SIZE, parseGauge } from '../wire/gauge';
import { DRAWN_PROFILES, hasOwnHeight, type DrawnProfile } from '../wire/profile';
import type { Vec } from '../geometry/vector';
import { LINE_POINTS, type Parameter, type Parameters } from './parameter';
import type { StoneSize } from '../stone/stoneSize';
import type { WireSize } from '../wire/wireSize';
import type { Values, Wrong } from './readValues';

/** What was typed, by field: a parameter’s own name, or “stone.length” for a part of it. */
export type Texts = Readonly<Record<string, string>>;

/** A field that a parameter is typed into. */
export interface TextField {
  readonly field: string;
  readonly label: string;
  readonly kind: 'length' | 'ring' | 'count' | 'choice' | 'size' | 'weave' | 'line';
  readonly choices?: readonly string[];
  readonly help?: string;
  /** What a number without a unit is; in the studio’s when it is left out. */
  readonly bare?: 'mm';
  /** May be left empty. */
  readonly optional?: boolean;
}

const STONE_PARTS = [
  ['length', 'Length'],
  ['width', 'Width'],
  ['edge', 'Edge height'],
  ['depth', 'Depth'],
] as const;

/** Stones and heights of wire are told in millimetres everywhere. */
const IN_MM = { kind: 'length', bare: 'mm' } as const;

/** The fields that a parameter is typed into, as they stand now: flat wire has a height, a square has corners. */
export function fieldsOf(key: string, parameter: Parameter, texts: Texts): TextField[] {
  const help = parameter.help === undefined ? {} : { help: parameter.help };
  switch (parameter.kind) {
    case 'length':
      return [
        {
          field: key,
          label: parameter.label,
          kind: parameter.as === 'ring' ? 'ring' : 'length',
          ...(parameter.bare ? { bare: parameter.bare } : {}),
          ...help,
        },
      ];
    case 'count':
    case 'weave':
    case 'line':
      return [{ field: key, label: parameter.label, kind: parameter.kind, ...help }];
    case 'choice':
      return [{ field: key, label: parameter.label, kind: 'choice', choices: parameter.choices }];
    case 'wire': {
      const profile = (texts[`${key}.profile`] ?? parameter.initial.profile) as DrawnProfile;
      return [
        { field: key, label: parameter.label, kind: 'size', ...help },
        { field: `${key}.profile`, label: 'Profile', kind: 'choice', choices: DRAWN_PROFILES },
        ...(hasOwnHeight(profile)
          ? [{ field: `${key}.height`, label: 'Height', ...IN_MM, optional: true }]
          : []),
      ];
    }
    case 'stone': {
      const outline = texts[`${key}.outline`] ?? parameter.initial.outline;
      const cornered = outline === 'square' || outline === 'rectangle';
      return [
        { field: `${key}.outline`, label: 'Outline', kind: 'choice', choices: OUTLINES },
        ...STONE_PARTS.map(([part, label]) => ({ field: `${key}.${part}`, label, ...IN_MM })),
        ...(cornered ? [{ field: `${key}.corner`, label: 'Corner radius', ...IN_MM, optional: true }] : []),
        ...(outline === 'freeform'
          ? [
              {
                field: `${key}.strip`,
                label: 'Strip of paper round it',
                ...IN_MM,
                optional: true,
              },
            ]
          : []),
      ];
    }
  }
}

/** "20 ga", or "0.815 mm" where no AWG number is that size. */
function sizeText(width: number): string {
  const size = mm(width);
  const awg = identifyGauge(size).candidates.find(({ system }) => system === 'AWG');
  return awg && Math.abs(awg.deviation) <= 1 ? formatGauge(awg) : `${size / UM_PER_MM} mm`;
}

/** Values as they are put into fields to be typed over. */
export function textsOf(parameters: Parameters, values: Values, system: LengthSystem): Texts {
  const length = (value: number) => writableLength(mm(value), system);
  const texts: Record<string, string> = {};
  for (const [key, { kind }] of Object.entries(parameters)) {
    const value = values[key];
    if (kind === 'length') texts[key] = length(value as number);
    else if (kind === 'count' || kind === 'choice') texts[key] = String(value);
    else if (kind === 'weave') texts[key] = printWeave(value as Weave);
    else if (kind === 'line') texts[key] = printPoints(value as readonly Vec[]);
    else if (kind === 'wire') {
      const { profile, width, height } = value as WireSize;
      texts[key] = sizeText(width);
      texts[`${key}.profile`] = profile;
      if (hasOwnHeight(profile)) texts[`${key}.height`] = length(height);
    } else {
      const stone = value as StoneSize;
      texts[`${key}.outline`] = stone.outline;
      for (const [part] of STONE_PARTS) texts[`${key}.${part}`] = length(stone[part]);
      if (stone.corner !== undefined) texts[`${key}.corner`] = length(stone.corner);
      if (stone.strip !== undefined) texts[`${key}.strip`] = length(stone.strip);
      if (stone.points !== undefined) texts[`${key}.points`] = printPoints(stone.points);
    }
  }
  return texts;
}

/** A length, or the inside of a ring told as a size: “US 7”. */
export function readInside(text: string, system: LengthSystem): Result<Micrometres> {
  const ring = /^(US|UK|ISO)(.+)$/i.exec(text.trim());
  return ring ? readRing(ring[1] ?? '', ring[2]?.trim() ?? '') : parseLength(text, system);
}

/** What says how a bare number is meant where the studio is. */
export interface Customs {
  readonly system: LengthSystem;
  readonly rings: RingSystem;
}

/** The text of a field with what a bare number leaves unsaid: its unit, or which ring size it is. */
export function completedText({ kind, bare }: TextField, text: string, { system, rings }: Customs): string {
  if (kind === 'ring') return completedRing(text, rings);
  const plain = text.trim();
  const unit = bare ?? system;
  const isBare = kind === 'length' && !parseLength(plain).ok && parseLength(plain, unit).ok;
  return isBare ? `${plain} ${unit}` : text;
}

/** A length from a field, mm; a bare number is in the system shown. */
function readMm(text: string, system: LengthSystem, from: number, to: number): Result<number> {
  const read = readInside(text, system);
  if (!read.ok) return read;
  const value = read.value / UM_PER_MM;
  if (value >= from - 1e-9 && value <= to + 1e-9) return ok(value);
  const said = (each: number) => formatLength(mm(each), system);
  return refuse(`“${text.slice(0, 40)}” was given; ${said(from)} to ${said(to)} are allowed.`);
}

function readRing(system: string, text: string): Result<Micrometres> {
  const read = readRingSize(system.toUpperCase() as 'US' | 'UK' | 'ISO', text);
  return read.ok ? ok(mm(read.value.diameter)) : read;
}

class Reading {
  readonly wrong: Record<string, string> = {};

  constructor(
    readonly texts: Texts,
    readonly system: LengthSystem,
  ) {}

  take<T>(field: string, read: Result<T>): T | undefined {
    if (read.ok) return read.value;
    this.wrong[field] = read.error;
    return undefined;
  }

  length(field: string, from: number, to: number, bare: LengthSystem = this.system): number | undefined {
    return this.take(field, readMm(this.texts[field] ?? '', bare, from, to));
  }

  /** A measure that is told in millimetres everywhere, and may be left empty. */
  optional(field: string, from: number, to: number): number | undefined {
    return (this.texts[field] ?? '').trim() === '' ? undefined : this.length(field, from, to, 'mm');
  }

  wire(field: string, initial: WireSize): WireSize | undefined {
    const profile = (this.texts[`${field}.profile`] ?? initial.profile) as DrawnProfile;
    const label = this.take(field, parseGauge(this.texts[field] ?? ''));
    const width = label && this.take(field, gaugeSize(label));
    const height = hasOwnHeight(profile)
      ? this.optional(`${field}.height`, MIN_SIZE / 2 / UM_PER_MM, MAX_SIZE / UM_PER_MM)
      : undefined;
    if (width === undefined) return undefined;
    const across = width / UM_PER_MM;
    return { profile, width: across, height: height ?? (profile === 'half-round' ? across / 2 : across) };
  }

  stone(field: string): StoneSize | undefined {
    const [least, most] = [STONE_RANGE.from / UM_PER_MM, STONE_RANGE.to / UM_PER_MM];
    const outline = this.texts[`${field}.outline`] as OutlineKind;
    const length = this.length(`${field}.length`, least, most, 'mm');
    const width = this.length(`${field}.width`, least, most, 'mm');
    const edge = this.length(`${field}.edge`, 0.1, most, 'mm');
    const depth = this.length(`${field}.depth`, 0.1, most, 'mm');
    const corner = /square|rectangle/.test(outline) ? this.optional(`${field}.corner`, 0, most) : undefined;
    const strip = outline === 'freeform' ? this.optional(`${field}.strip`, least, most * 4) : undefined;
    if (length === undefined || width === undefined || edge === undefined || depth === undefined)
      return undefined;
    const pointsText = outline === 'freeform' ? (this.texts[`${field}.points`] ?? '') : '';
    const points = pointsText === '' ? undefined : this.take(`${field}.outline`, parsePoints(pointsText));
    const measures: OutlineMeasures = {
      outline,
      length,
      width,
      ...(corner === undefined ? {} : { corner }),
      ...(strip === undefined ? {} : { strip }),
      ...(points === undefined ? {} : { points }),
    };
    return this.take(`${field}.length`, outlineOf(measures)) && { ...measures, edge, depth };
  }

  value(field: string, parameter: Parameter): unknown {
    const text = this.texts[field] ?? '';
    switch (parameter.kind) {
      case 'length':
        return this.length(field, parameter.from, parameter.to, parameter.bare ?? this.system);
      case 'count': {
        const { from, to } = parameter;
        const count = /^\s*\d{1,6}\s*$/.test(text) ? Number(text) : NaN;
        return count >= from && count <= to
          ? count
          : this.take(field, refuse(`“${text.slice(0, 40)}” was given; ${from} to ${to} are allowed.`));
      }
      case 'choice':
        return parameter.choices.includes(text)
          ? text
          : this.take(field, refuse(`One of ${parameter.choices.join(', ')} is allowed.`));
      case 'wire':
        return this.wire(field, parameter.initial);
      case 'stone':
        return this.stone(field);
      case 'line':
        return this.take(field, parsePoints(text, LINE_POINTS));
      case 'weave': {
        const read = parseWeave(text);
        return read.ok
          ? read.value
          : this.take(field, refuse(`${read.error.message} (character ${read.error.at + 1})`));
      }
    }
  }
}

/**
 * Reads the values of a technique’s parameters as they were typed; a bare number is in the system shown, a ring’s inside may be
 * told as a size, like “US 7”.
 * @returns a sentence beside each wrong field
 */
export function readTexts(parameters: Parameters, texts: Texts, system: LengthSystem): Result<Values, Wrong> {
  const reading = new Reading(texts, system);
  const values = Object.fromEntries(
    Object.entries(parameters).map(([key, parameter]) => [key, reading.value(key, parameter)]),
  );
  return Object.keys(reading.wrong).length > 0 ? refuse(reading.wrong) : ok(values);
}
