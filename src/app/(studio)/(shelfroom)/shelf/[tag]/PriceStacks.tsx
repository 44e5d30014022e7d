'use client';

import type { SchoolPrice } from '@/core/costing/priceSchools';
import { PartStacks } from '@/ui/pricing/PartStacks';

/** The five prices, each laid out in what it pays for. */
export function PriceStacks({ schools, chosen }: { schools: readonly SchoolPrice[]; chosen: string }) {
  return (
    <PartStacks
      label="What each school’s price is made of; the table below has the numbers"
      stacks={schools.flatMap(({ id, name, outcome }) =>
        outcome.ok ? [{ id, name: id === chosen ? `● ${name}` : name, parts: outcome.value }] : [],
      )}
    />
  );
}
