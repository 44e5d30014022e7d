import { ok, refuse, type Result } from '../result';
import { formatLength, parseLength, um, type LengthSystem } from '../units/length';
import { formatMass, parseMass, ug } from '../units/mass';
import { parseQuantity, trimmedDecimal, type QuantityGrammar } from '../units/quantity';
import type { Ware } from './ware';

/** What a supply is measured in. */
export const SUPPLY_UNITS = ['piece', 'ml', 'g'] as const;
export type SupplyUnit = (typeof SUPPLY_UNITS)[number];

/** A supply's quantity is kept in thousandths of its unit. */
export const SUPPLY_PARTS = 1000;

/** How quantities of an article are measured. */
export interface Measure {
  readonly ware: Ware;
  /** Of supplies only. */
  readonly unit?: SupplyUnit | null;
}

/** Counts are read in thousandths, so that half a bead is noticed rather than rounded. */
const whole = (count: number) => ({ over: BigInt(count * SUPPLY_PARTS), under: 1n });

/** A dozen is 12, a gross twelve dozen. */
export const COUNT_GRAMMAR: QuantityGrammar = {
  noun: 'count',
  examples: '24, 2 dozen or 1 gross',
  units: [
    { names: ['gross', 'gr'], size: whole(144), next: 'each' },
    { names: ['dozen', 'dozens', 'doz', 'dz'], size: whole(12), next: 'each' },
    {
      names: [
        'each',
        'ea',
        'pc',
        'pcs',
        'piece',
        'pieces',
        'bead',
        'beads',
        'stone',
        'stones',
        'finding',
        'findings',
      ],
      size: whole(1),
    },
  ],
  limit: { base: 10_000_000 * SUPPLY_PARTS, said: '10,000,000' },
};

/** The US fluid ounce is 29.5735295625 ml exactly (231 cubic inches to the gallon). */
const VOLUME_GRAMMAR: QuantityGrammar = {
  noun: 'volume',
  examples: '250 ml, 1 l or 8 fl',
  units: [
    { names: ['l', 'litre', 'litres', 'liter', 'liters'], size: { over: 1_000_000n, under: 1n } },
    { names: ['fl', 'floz'], size: { over: 295_735_295_625n, under: 10_000_000n } },
    {
      names: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters'],
      size: { over: 1000n, under: 1n },
    },
  ],
  limit: { base: 1_000_000 * SUPPLY_PARTS, said: '1,000 l' },
};

/** Reads a count: "24", "2 dozen", "1 gross 6". Parts of a thing are refused. */
export function parseCount(text: string): Result<number> {
  // What is about so many is so many until it is counted.
  const read = parseQuantity(text.replace(/^\s*[~≈]/, ''), COUNT_GRAMMAR, 'each');
  if (!read.ok) return read;
  return read.value % SUPPLY_PARTS === 0
    ? ok(read.value / SUPPLY_PARTS)
    : refuse(`“${text}” is not a whole number of things. Write it like ${COUNT_GRAMMAR.examples}.`);
}

/**
 * Reads a quantity as its ware is measured: a length of wire, a count of beads, stones and findings, a supply in its own
 * unit, a weight of scrap.
 * @returns the ware's whole base units: µm, single things, thousandths of a supply's unit, µg
 */
export function parseAmountOf({ ware, unit }: Measure, text: string): Result<number> {
  if (ware === 'wire') return parseLength(text);
  if (ware === 'scrap') return parseMass(text);
  if (ware !== 'supply') return parseCount(text);
  if (unit === 'ml') return parseQuantity(text, VOLUME_GRAMMAR, 'ml');
  if (unit !== 'g') return parseQuantity(text, COUNT_GRAMMAR, 'each');
  const mass = parseMass(/^[\d.,\s/]+$/.test(text) && text.trim() !== '' ? `${text} g` : text);
  return mass.ok ? ok(Math.round(mass.value / SUPPLY_PARTS)) : mass;
}

/** A quantity with its unit, as it is said on the screen. */
export function formatAmountOf({ ware, unit }: Measure, quantity: number, system: LengthSystem): string {
  if (ware === 'wire') return formatLength(um(quantity), system);
  if (ware === 'scrap') return formatMass(ug(quantity));
  if (ware !== 'supply') return quantity.toLocaleString('en-US').replace('-', '−');
  const said = trimmedDecimal(quantity / SUPPLY_PARTS, 3).replace('-', '−');
  return unit === 'piece' || !unit ? said : `${said} ${unit}`;
}

/** A quantity as it would be typed, exactly: reads back through {@link parseAmountOf}. */
export function plainAmountOf({ ware, unit }: Measure, quantity: number): string {
  if (ware === 'wire') return `${trimmedDecimal(quantity / 1000, 3)} mm`;
  if (ware === 'scrap') return `${trimmedDecimal(quantity / 1_000_000, 6)} g`;
  if (ware !== 'supply') return String(quantity);
  const said = trimmedDecimal(quantity / SUPPLY_PARTS, 3);
  return unit === 'piece' || !unit ? said : `${said} ${unit}`;
}
