import { COST_UNITS_PER_MINOR, type CostUnits, type MinorUnits } from '@/core/units/money';

interface PriceBarProps {
  readonly cost: CostUnits;
  readonly price: MinorUnits | null;
  /** What the full width stands for, in minor units: the dearest piece of the page. */
  readonly dearest: number;
}

const HEIGHT = 10;

/** A price as a stack: what the piece cost, and what is left above it; a price under cost leaves the rest in outline. */
export function PriceBar({ cost, price, dearest }: PriceBarProps) {
  const part = (amount: number) => `${Math.max(0, Math.min(100, (amount / dearest) * 100))}%`;
  const spent = cost / COST_UNITS_PER_MINOR;
  const covered = price === null ? 0 : Math.min(spent, price);
  return (
    <svg width="100%" height={HEIGHT} aria-hidden="true" className="block">
      <rect
        width={part(spent)}
        height={HEIGHT}
        fill="none"
        stroke="var(--part-labour)"
        strokeDasharray="2 2"
      />
      <rect width={part(covered)} height={HEIGHT} fill="var(--part-labour)" />
      {price !== null && price > spent && (
        <rect x={part(spent)} width={part(price - spent)} height={HEIGHT} fill="var(--color-primary)" />
      )}
    </svg>
  );
}
