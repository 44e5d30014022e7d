'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { PieceTurn } from '@/core/selling/life';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { Fold } from '@/ui/Fold';
import { CHOSEN } from './chosen';
import { TurnPieces } from './TurnPieces';

const boxes = (): readonly HTMLInputElement[] => [
  ...document.querySelectorAll<HTMLInputElement>(`input[name="${CHOSEN}"]`),
];
const chosen = (): readonly number[] =>
  boxes().flatMap(({ checked, value }) => (checked ? [Number(value)] : []));

function choose(all: boolean): void {
  for (const box of boxes()) box.checked = all;
  document.dispatchEvent(new Event('change'));
}

/** Something happens to several pieces at once: a tray is taken to the fair. */
export function ChosenPieces({
  turns,
  pricesThem,
}: {
  turns: readonly PieceTurn[];
  /** Whether whoever looks may price pieces. */
  pricesThem: boolean;
}) {
  const router = useRouter();
  const [count, setCount] = useState(0);
  useEffect(() => {
    const look = () => setCount(chosen().length);
    document.addEventListener('change', look);
    const soon = setTimeout(look, 0);
    return () => {
      clearTimeout(soon);
      document.removeEventListener('change', look);
    };
  }, []);
  return (
    <div className="no-print mt-3">
      <Fold
        title={
          count === 0 ? 'Choose pieces, and say what happens to them' : `${counted(count, 'piece')} chosen`
        }
      >
        <div className="mb-2 flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={() => choose(true)}>
            Choose all shown
          </button>
          <button
            type="button"
            className="btn btn-ghost"
            disabled={count === 0}
            onClick={() => choose(false)}
          >
            Choose none
          </button>
          <button
            type="button"
            className="btn"
            disabled={count === 0}
            onClick={() => router.push(`/selling?pieces=${chosen().join('.')}`)}
          >
            Sell them
          </button>
          <button
            type="button"
            className="btn"
            disabled={count === 0}
            onClick={() =>
              router.push(
                `/labels?items=${chosen()
                  .map((number) => tag('piece', number))
                  .join(',')}&as=price+tag`,
              )
            }
          >
            Print their tags
          </button>
          {pricesThem && (
            <button
              type="button"
              className="btn"
              disabled={count === 0}
              onClick={() => router.push(`/prices?pieces=${chosen().join('.')}`)}
            >
              Price them together
            </button>
          )}
        </div>
        <TurnPieces numbers={chosen} turns={turns} onTurned={() => choose(false)} />
      </Fold>
    </div>
  );
}
