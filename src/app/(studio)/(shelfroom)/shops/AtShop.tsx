'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import type { Shop } from '@/studio/selling/shops';
import { Link } from '@/ui/Link';
import { Money } from '@/ui/money';
import { newKey } from '@/ui/newKey';
import { SmallPicture } from '@/ui/SmallPicture';
import { useAct } from '@/ui/useAct';
import { useDone } from '@/ui/useDone';
import { Day } from '@/ui/When';
import { turnPiecesAction } from '../shelf/actions';

/** What lies at a shop: what it has sold is sold here, and what it has not comes back. */
export function AtShop({ shop: { channel, pieces } }: { shop: Shop }) {
  const router = useRouter();
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const { busy, problem, run } = useAct();
  const done = useDone(() => `${counted(chosen.size, 'piece')} brought back.`);
  const toggle = (number: number) =>
    setChosen((before) => {
      const after = new Set(before);
      if (!after.delete(number)) after.add(number);
      return after;
    });
  const numbers = pieces.map(({ number }) => number).filter((number) => chosen.has(number));
  return (
    <>
      <ul className="mt-2 divide-y divide-base-300">
        {pieces.map(({ number, name, size, since, asked, yours }) => (
          <li key={number} className="flex items-center gap-3">
            <label className="flex min-h-14 grow cursor-pointer items-center gap-3 py-1">
              <input
                type="checkbox"
                className="checkbox no-print"
                checked={chosen.has(number)}
                onChange={() => toggle(number)}
              />
              <SmallPicture of="piece" number={number} name={name} className="h-12 w-12" />
              <span className="min-w-0 [overflow-wrap:anywhere]">
                <span className="font-semibold">{name}</span>{' '}
                <span className="muted whitespace-nowrap">
                  {[tag('piece', number), size].filter((each) => each !== '').join(' · ')}
                </span>
                <span className="muted block text-sm">
                  there since <Day at={since} />
                </span>
              </span>
              <span className="ml-auto text-right">
                {asked === null ? 'no price' : <Money of={asked} />}
                {yours !== null && (
                  <span className="muted block text-sm">
                    <Money of={yours} /> yours
                  </span>
                )}
              </span>
            </label>
            <Link className="link no-print" href={`/shelf/${tag('piece', number)}`}>
              Look<span className="sr-only"> at {tag('piece', number)}</span>
            </Link>
          </li>
        ))}
      </ul>
      <div className="no-print mt-3 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-primary min-h-11"
          disabled={numbers.length === 0}
          onClick={() =>
            router.push(`/selling?pieces=${numbers.join('.')}${channel ? `&channel=${channel.id}` : ''}`)
          }
        >
          The shop sold {numbers.length === 0 ? 'these' : counted(numbers.length, 'piece')}
        </button>
        <button
          type="button"
          className="btn min-h-11"
          disabled={busy || numbers.length === 0}
          onClick={() =>
            void run(
              () => turnPiecesAction(newKey(), numbers, { turn: 'brought back', to: '', note: '' }),
              done,
            )
          }
        >
          Bring {numbers.length === 0 ? 'these' : counted(numbers.length, 'piece')} back
        </button>
      </div>
      {problem !== '' && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {problem}
        </p>
      )}
    </>
  );
}
