import { mulDiv } from '../units/exact';
import { minor, type MinorUnits } from '../units/money';
import { BASIS, type BasisPoints } from '../units/percent';
import { shareOut } from '../units/shareOut';

/** Whether a price has no tax, contains it, or has it added. */
export const TAX_KINDS = ['none', 'included', 'added'] as const;
export type TaxKind = (typeof TAX_KINDS)[number];

export interface TaxRule {
  readonly kind: TaxKind;
  /** Of the untaxed price. */
  readonly percent: BasisPoints;
}

/** Whether tax is rounded on every line, or once on the sum of them. Where that is not prescribed, a studio chooses one and keeps to it. */
export const TAX_ROUNDINGS = ['line', 'document'] as const;
export type TaxRounding = (typeof TAX_ROUNDINGS)[number];

/** An amount with its tax: net and tax together are gross, to the minor unit. */
export interface Taxed {
  /** Without tax. */
  readonly net: MinorUnits;
  readonly tax: MinorUnits;
  /** What the buyer pays. */
  readonly gross: MinorUnits;
}

/**
 * An amount that is asked, with its tax; halves of a minor unit are rounded away from nothing, so that a refund is what was paid.
 * @param asked the price on the tag; less than nothing for a refund
 * @example taxed(minor(12_000), { kind: 'included', percent: 2000 }).tax // 2000
 * @example taxed(minor(10_000), { kind: 'added', percent: 725 }).gross // 10725
 */
export function taxed(asked: MinorUnits, { kind, percent }: TaxRule): Taxed {
  switch (kind) {
    case 'none':
      return { net: asked, tax: minor(0), gross: asked };
    case 'included':
      return parted(asked, minor(mulDiv(asked, percent, BASIS + percent)), kind);
    case 'added':
      return parted(asked, minor(mulDiv(asked, percent, BASIS)), kind);
  }
}

const parted = (asked: MinorUnits, tax: MinorUnits, kind: 'included' | 'added'): Taxed =>
  kind === 'included'
    ? { net: minor(asked - tax), tax, gross: asked }
    : { net: asked, tax, gross: minor(asked + tax) };

/** Amounts of one document with their tax, and all of them together. */
export interface TaxedLines {
  readonly lines: readonly Taxed[];
  readonly total: Taxed;
}

const sumOf = (all: readonly number[]): MinorUnits => minor(all.reduce((sum, each) => sum + each, 0));

/**
 * Amounts of one document with their tax, rounded on each line or once on the sum. Rounded on the sum, its tax is shared out over the lines
 * exactly, so that lines always sum to their total.
 * @param asked of each line, all of them asked or all of them refunded
 */
export function taxedLines(asked: readonly MinorUnits[], rule: TaxRule, rounding: TaxRounding): TaxedLines {
  const lines = rounding === 'line' ? asked.map((each) => taxed(each, rule)) : roundedOnce(asked, rule);
  return {
    lines,
    total: {
      net: sumOf(lines.map(({ net }) => net)),
      tax: sumOf(lines.map(({ tax }) => tax)),
      gross: sumOf(lines.map(({ gross }) => gross)),
    },
  };
}

function roundedOnce(asked: readonly MinorUnits[], rule: TaxRule): readonly Taxed[] {
  const { kind } = rule;
  const all = sumOf(asked);
  if (kind === 'none' || all === 0) return asked.map((each) => taxed(each, { ...rule, kind: 'none' }));
  const sign = all < 0 ? -1 : 1;
  const { tax } = taxed(all, rule);
  const shares = shareOut(
    minor(tax * sign),
    asked.map((each) => each * sign),
  );
  return asked.map((each, index) => parted(each, minor((shares[index] ?? 0) * sign), kind));
}
