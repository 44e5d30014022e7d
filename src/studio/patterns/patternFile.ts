import { readComposition } from '@/core/pattern/readComposition';
import { TECHNIQUES } from '@/core/techniques/registry';
import type { Composition } from '@/core/pattern/composition';
import type { PatternBody } from '@/core/pattern/pattern';
import { ok, refuse, type Result } from '@/core/result';
import { formatLength, um, type Micrometres } from '@/core/units/length';
import { plainMoney, toMinor } from '@/core/units/money';
import { GAUGE_SYSTEMS } from '@/core/wire/gauge';
import { FINISHES, METAL_IDS, TEMPERS } from '@/core/wire/metal';
import { PROFILES } from '@/core/wire/profile';
import type { WireSpec } from '@/core/wire/spec';

/** The format of a pattern’s file; a reader refuses what is newer than it knows. */
export const PATTERN_FORMAT = 'pewterer-pattern';
export const PATTERN_VERSION = 1;

/** A wire as a file has it: sizes in mm. */
export interface WireOnFile {
  readonly metal: string;
  readonly profile: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly twist: number;
  readonly temper: string;
  readonly finish: string;
  readonly finishName: string;
  readonly gauge: { readonly system: string; readonly number: string };
}

/** A pattern as a file has it: it knows its wires by what they are, so that any studio can read it. */
export interface PatternOnFile {
  readonly format: typeof PATTERN_FORMAT;
  readonly version: number;
  readonly name: string;
  readonly kind: string;
  readonly notes: string;
  /** By the name that cuts and techniques call them. */
  readonly wires: Readonly<Record<string, WireOnFile>>;
  readonly composition: Composition | null;
  /** Of a pattern that was written by hand; lengths in mm. */
  readonly cuts: readonly {
    readonly name: string;
    readonly wire: string;
    readonly count: number;
    readonly netMm: number;
    readonly allowances: readonly { readonly name: string; readonly lengthMm: number }[];
  }[];
  readonly steps: PatternBody['steps'];
  readonly parts: readonly { readonly name: string; readonly count: number; readonly unitCost: string }[];
  readonly currency: string;
}

const mm = (length: Micrometres): number => length / 1000;

/** Writes a pattern to a file. @param specs of the studio by id */
export function patternToFile(
  { name, kind, notes, cuts, steps, parts, composition }: PatternBody,
  specs: Readonly<Record<string, WireSpec>>,
  currency: string,
): PatternOnFile {
  const ids = [
    ...new Set([
      ...cuts.map(({ specId }) => specId),
      ...(composition?.uses ?? []).flatMap(({ wires }) => Object.values(wires)),
    ]),
  ].filter((id) => specs[id]);
  const called = new Map(ids.map((id, index) => [id, `w${index + 1}`]));
  const call = (id: string) => called.get(id) ?? '';
  return {
    format: PATTERN_FORMAT,
    version: PATTERN_VERSION,
    name,
    kind,
    notes,
    wires: Object.fromEntries(ids.flatMap((id) => (specs[id] ? [[call(id), wireToFile(specs[id])]] : []))),
    composition: composition
      ? {
          ...composition,
          uses: composition.uses.map((use) => ({
            ...use,
            wires: Object.fromEntries(Object.entries(use.wires).map(([key, id]) => [key, call(id)])),
          })),
        }
      : null,
    cuts: composition
      ? []
      : cuts.map((cut) => ({
          name: cut.name,
          wire: call(cut.specId),
          count: cut.count,
          netMm: mm(cut.net),
          allowances: cut.allowances.map((each) => ({ name: each.name, lengthMm: mm(each.length) })),
        })),
    steps: composition ? [] : steps,
    // What follows from the techniques follows from them again where the file is read.
    parts: parts
      .filter(({ ofWork }) => !ofWork)
      .map(({ name: called, typedName, count, unitCost }) => ({
        name: typedName ?? called,
        count,
        unitCost: unitCost === null ? '' : plainMoney(toMinor(unitCost), currency),
      })),
    currency,
  };
}

const wireToFile = (spec: WireSpec): WireOnFile => ({
  metal: spec.metal,
  profile: spec.profile,
  widthMm: mm(spec.width),
  heightMm: mm(spec.height),
  twist: spec.twist ?? 0,
  temper: spec.temper,
  finish: spec.finish,
  finishName: spec.finishName,
  gauge: spec.label,
});

type Plain = Readonly<Record<string, unknown>>;
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A pattern that was read from a file, with its wires as the core knows them. */
export interface PatternRead {
  readonly name: string;
  readonly kind: string;
  readonly notes: string;
  readonly wires: Readonly<Record<string, WireSpec>>;
  readonly composition: Composition | null;
  readonly cuts: readonly {
    readonly name: string;
    readonly wire: string;
    readonly count: string;
    readonly net: string;
    readonly allowances: readonly { readonly name: string; readonly length: string }[];
  }[];
  readonly steps: readonly {
    readonly name: string;
    readonly minutes: string;
    readonly perSitting: boolean;
  }[];
  readonly parts: readonly { readonly name: string; readonly count: string; readonly unitCost: string }[];
  readonly currency: string;
}

/** Most wires, cuts, steps or parts that are read. */
const MOST = 200;

const said = (value: unknown): string => (typeof value === 'string' ? value : '');
const rows = (value: unknown): readonly Plain[] =>
  Array.isArray(value) ? value.slice(0, MOST).filter(isPlain) : [];
const lengthText = (value: unknown): string =>
  typeof value === 'number' && value >= 0 && value < 1e7
    ? formatLength(um(Math.round(value * 1000)), 'mm')
    : '';

function readWire(name: string, value: unknown): Result<WireSpec> {
  const wrong = (what: string, given: unknown, allowed: readonly string[]) =>
    refuse(
      `Wire ${name}: its ${what} is ${JSON.stringify(given) ?? 'missing'}; ${allowed.join(', ')} are allowed.`,
    );
  if (!isPlain(value)) return refuse(`Wire ${name} is not described.`);
  const { metal, profile, temper, finish, widthMm, heightMm, twist, gauge } = value;
  const one = <T extends string>(list: readonly T[], given: unknown): T | undefined =>
    list.find((each) => each === given);
  const [m, p, t, f] = [
    one(METAL_IDS, metal),
    one(PROFILES, profile),
    one(TEMPERS, temper),
    one(FINISHES, finish),
  ];
  if (!m) return wrong('metal', metal, METAL_IDS);
  if (!p) return wrong('profile', profile, PROFILES);
  if (!t) return wrong('temper', temper, TEMPERS);
  if (!f) return wrong('finish', finish, FINISHES);
  const system = isPlain(gauge) ? one(GAUGE_SYSTEMS, gauge['system']) : undefined;
  if (!system || !isPlain(gauge)) return wrong('gauge', gauge, GAUGE_SYSTEMS);
  const inRange = (size: unknown): size is number => typeof size === 'number' && size >= 0.05 && size <= 12;
  if (!inRange(widthMm) || !inRange(heightMm)) return wrong('size', [widthMm, heightMm], ['0.05 to 12 mm']);
  const turns = typeof twist === 'number' && Number.isInteger(twist) && twist > 0 ? twist : 0;
  return ok({
    metal: m,
    profile: p,
    width: um(Math.round(widthMm * 1000)),
    height: um(Math.round(heightMm * 1000)),
    ...(turns > 0 ? { twist: turns } : {}),
    temper: t,
    finish: f,
    finishName: said(value['finishName']).slice(0, 60),
    label: { system, number: said(gauge['number']).slice(0, 12) },
  });
}

/** Reads a pattern’s file. @returns a sentence that says what is wrong with it */
export function patternFromFile(text: string): Result<PatternRead> {
  let plain: unknown;
  try {
    plain = JSON.parse(text);
  } catch {
    return refuse('This file is not JSON.');
  }
  if (!isPlain(plain) || plain['format'] !== PATTERN_FORMAT)
    return refuse(`This is no pattern’s file; its format would be “${PATTERN_FORMAT}”.`);
  if (plain['version'] !== PATTERN_VERSION)
    return refuse(`This file is of version ${String(plain['version'])}; version ${PATTERN_VERSION} is read.`);
  const wires: Record<string, WireSpec> = {};
  for (const [name, value] of Object.entries(isPlain(plain['wires']) ? plain['wires'] : {}).slice(0, MOST)) {
    const read = readWire(name, value);
    if (!read.ok) return read;
    wires[name] = read.value;
  }
  const composition =
    plain['composition'] === null ? ok(null) : readComposition(plain['composition'], TECHNIQUES);
  if (!composition.ok) return composition;
  return ok({
    name: said(plain['name']),
    kind: said(plain['kind']),
    notes: said(plain['notes']),
    wires,
    composition: composition.value,
    cuts: rows(plain['cuts']).map((cut) => ({
      name: said(cut['name']),
      wire: said(cut['wire']),
      count: String(cut['count']),
      net: lengthText(cut['netMm']),
      allowances: rows(cut['allowances']).map((each) => ({
        name: said(each['name']),
        length: lengthText(each['lengthMm']),
      })),
    })),
    steps: rows(plain['steps']).map((step) => ({
      name: said(step['name']),
      minutes: String(step['minutes']),
      perSitting: step['perSitting'] === true,
    })),
    parts: rows(plain['parts']).map((part) => ({
      name: said(part['name']),
      count: String(part['count']),
      unitCost: said(part['unitCost']),
    })),
    currency: said(plain['currency']),
  });
}
