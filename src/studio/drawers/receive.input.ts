import { BEAD_RANGE, BEAD_SHAPES, type BeadShape } from '@/core/bead/bead';
import { ok, refuse, type Result } from '@/core/result';
import { parseCount, SUPPLY_UNITS, parseAmountOf, type SupplyUnit } from '@/core/stock/amount';
import { FINDINGS, type FindingKind } from '@/core/stock/finding';
import { HOLE_AXES, OUTLINES, STONE_RANGE, type HoleAxis, type OutlineKind } from '@/core/stone/stone';
import { parseLength, type Micrometres } from '@/core/units/length';
import { trimmedDecimal } from '@/core/units/quantity';
import { onlyIf, ReadsBy, ReadsCount, ReadsName, ReadsOneOf, ReadsText } from '../kernel/rules';
import { Purchased } from '../stock/purchase.input';
import type { Typed } from '../kernel/typed';

const say = (size: number) => `${trimmedDecimal(size / 1000, 2)} mm`;

/** A size by the calliper, within bounds. */
function sizeWithin(
  text: string,
  { from, to }: { from: number; to: number },
  what: string,
): Result<Micrometres> {
  const read = parseLength(text);
  if (!read.ok) return read;
  return read.value >= from && read.value <= to
    ? read
    : refuse(`“${text}” is not ${what}; give ${say(from)} to ${say(to)}.`);
}

const ReadsSize = (range: { from: number; to: number }, what: string) =>
  ReadsBy('readsSize', (text) => sizeWithin(text, range, what));

const HOLE_RANGE = { from: 100, to: 12_000 };

/** A group of beads of one shade, as it was typed. */
interface ShadeTyped {
  readonly name: string;
  readonly count: number;
}

/** Shade groups of a strand as they are typed, light to dark: "pale 12, middle 14, deep 10". */
export function parseShades(text: string): Result<ShadeTyped[]> {
  if (text.trim() === '') return ok([]);
  const groups: ShadeTyped[] = [];
  for (const part of text.split(',')) {
    const words = part.trim().split(/\s+/);
    const count = words.pop() ?? '';
    if (words.length === 0 || !/^\d{1,6}$/.test(count))
      return refuse(
        `“${part.trim().slice(0, 40)}” is no shade or size with a count; write it like pale 12, middle 14, or 3 mm 8, 4 mm 12.`,
      );
    groups.push({ name: words.join(' ').slice(0, 40), count: Number(count) });
  }
  if (groups.length > 12) return refuse(`There are ${groups.length} groups; 12 are allowed.`);
  return ok(groups);
}

/** The largest bead of a strand: no smaller than its smallest. */
function readLargest(text: string, size: string): Result<Micrometres> {
  const [smallest, largest] = [parseLength(size), sizeWithin(text, BEAD_RANGE, 'a bead’s size')];
  return smallest.ok && largest.ok && largest.value < smallest.value
    ? refuse(`The largest (${text}) is smaller than the smallest (${size}).`)
    : largest;
}

/** What beads came in. */
export class BeadFields {
  @ReadsName('the material', 80) material!: string;
  @ReadsOneOf(BEAD_SHAPES, 'a shape') shape!: Typed<BeadShape>;
  @ReadsSize(BEAD_RANGE, 'a bead’s size') size!: Typed<Micrometres>;
  /** The largest bead of a graded strand; empty when all are of one size. */
  @ReadsBy('readsLargest', (text, { size }: BeadFields) => onlyIf(text !== '', () => readLargest(text, size)))
  largest!: Typed<Micrometres | null>;
  @ReadsBy('readsBeadHole', (text, { size, largest }: BeadFields) => {
    const hole = sizeWithin(text, HOLE_RANGE, 'a hole');
    const across = parseLength(largest === '' ? size : largest);
    return hole.ok && across.ok && hole.value >= across.value
      ? refuse(`A hole of ${text} is as wide as the bead.`)
      : hole;
  })
  hole!: Typed<Micrometres>;
  @ReadsOneOf(['strand', 'loose'], 'how they came') form!: Typed<'strand' | 'loose'>;
  @ReadsCount() count!: Typed<number>;
  @ReadsBy('readsShades', (text, { count }: BeadFields) => {
    const [shades, all] = [parseShades(text), parseCount(count)];
    if (!shades.ok || !all.ok) return shades;
    const sum = shades.value.reduce((total, each) => total + each.count, 0);
    return sum > all.value ? refuse(`The groups hold ${sum} beads, but there are ${all.value}.`) : shades;
  })
  shades!: Typed<ShadeTyped[]>;
}
/** Beads that have come in. */
export class ReceiveBeadsInput extends Purchased(BeadFields) {}

/** What stone came in. */
export class StoneFields {
  @ReadsName('the material', 80) material!: string;
  @ReadsOneOf(OUTLINES, 'an outline') outline!: Typed<OutlineKind>;
  @ReadsSize(STONE_RANGE, 'a stone’s length') length!: Typed<Micrometres>;
  @ReadsSize(STONE_RANGE, 'a stone’s width') width!: Typed<Micrometres>;
  @ReadsSize(STONE_RANGE, 'a stone’s depth') depth!: Typed<Micrometres>;
  /** Height of the edge that the holds go round. */
  @ReadsBy('readsEdge', (text, { depth }: StoneFields) => {
    const [edge, whole] = [parseLength(text), parseLength(depth)];
    return edge.ok && whole.ok && edge.value > whole.value
      ? refuse(`An edge of ${text} is more than the stone’s depth of ${depth}.`)
      : edge;
  })
  edge!: Typed<Micrometres>;
  @ReadsOneOf(HOLE_AXES, 'where it is drilled') holeAxis!: Typed<HoleAxis>;
  @ReadsBy('readsStoneHole', (text, { holeAxis }: StoneFields) =>
    onlyIf(holeAxis !== 'none', () => sizeWithin(text, HOLE_RANGE, 'a hole')),
  )
  hole!: Typed<Micrometres | null>;
}
/** A stone that has come in. */
export class ReceiveStoneInput extends Purchased(StoneFields) {}

/** What findings came in. */
export class FindingFields {
  @ReadsOneOf(FINDINGS, 'a finding') finding!: Typed<FindingKind>;
  @ReadsName('the material', 80) material!: string;
  /** Size as it is sold: "4 mm inside, 20 ga". */
  @ReadsText(80) size!: string;
  @ReadsCount() count!: Typed<number>;
}
/** Findings that have come in. */
export class ReceiveFindingsInput extends Purchased(FindingFields) {}

const readSupply = (text: string, unit: string, zero: boolean): Result<number> => {
  const read = parseAmountOf({ ware: 'supply', unit: unit as SupplyUnit }, text);
  return read.ok && read.value === 0 && !zero
    ? refuse(`“${text}” is nothing; it must be more than 0.`)
    : read;
};

/** What supply came in. */
export class SupplyFields {
  @ReadsName('the supply a name', 120) name!: string;
  @ReadsOneOf(SUPPLY_UNITS, 'what it is measured in') unit!: Typed<SupplyUnit>;
  @ReadsBy('readsSupply', (text, { unit }: SupplyFields) => readSupply(text, unit, false))
  quantity!: Typed<number>;
  /** What every finished piece uses up of it; nought when it is not counted to pieces. */
  @ReadsBy('readsPerPiece', (text, { unit }: SupplyFields) => readSupply(text, unit, true))
  perPiece!: Typed<number>;
}
/** A supply that has come in. */
export class ReceiveSupplyInput extends Purchased(SupplyFields) {}
