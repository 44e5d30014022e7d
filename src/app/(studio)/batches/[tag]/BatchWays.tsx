'use client';

import { useState } from 'react';
import { priceBasis } from '@/core/costing/price';
import type { NamedVariant } from '@/core/costing/priceTogether';
import type { BatchTakings } from '@/studio/batches/batchTakings';
import { Fold } from '@/ui/Fold';
import { OneForTheTray, WaysTogether, type RulesTogether } from '@/ui/pricing/WaysTogether';

/** Five ways to price a batch, and one price for its tray: what its lines take is what they should take. */
export function BatchWays({
  takings: { lines },
  priceFrom,
  rules,
}: {
  takings: BatchTakings;
  priceFrom: 'actual' | 'replacement';
  rules: RulesTogether;
}) {
  const [isOpen, setIsOpen] = useState(false);
  const variants = lines
    .filter(({ isForDrawer }) => !isForDrawer)
    .map(({ line, name, count, sale }): NamedVariant => ({
      name: lines.filter((each) => each.name === name).length > 1 ? `${name} (line ${line})` : name,
      count,
      basis: priceBasis(sale.sheet, priceFrom),
      going: sale.isReckoned ? null : sale.price,
    }));
  if (variants.length === 0) return null;
  return (
    <div className="leaf no-print mt-4 px-4">
      <Fold title="Five ways to price it, and one price for the tray" onOpen={setIsOpen}>
        {isOpen && (
          <>
            <WaysTogether variants={variants} rules={rules} goingIs="what such pieces sell for with you" />
            <h3 className="mt-4">One price for the tray</h3>
            <OneForTheTray variants={variants} rules={rules} />
          </>
        )}
      </Fold>
    </div>
  );
}
