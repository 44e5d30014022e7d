import { FEW_TRIED, type PriceTried } from '@/core/selling/priceSpeed';
import { tag } from '@/core/tag';
import type { EarnedView } from '@/studio/selling/earned';
import { Said } from '@/ui/house';
import { Link } from '@/ui/Link';
import { TriedPoints } from './TriedPoints';

/** How much longer or shorter the dearer half stood. */
function timesSaid({ halves }: PriceTried): string {
  if (!halves || halves.cheaper <= 0) return '';
  const times = halves.dearer / halves.cheaper;
  return times >= 1 ? `${times.toFixed(1)} times as long` : `${(1 / times).toFixed(1)} times as short`;
}

function whatItTells(tried: PriceTried): string {
  if (tried.points.length < FEW_TRIED)
    return `Little is known: only ${tried.points.length} pieces were sold of patterns that had several prices.`;
  if (!tried.isKnown)
    return `Nothing more than chance, from ${tried.points.length} pieces: dearer ones did not stand longer.`;
  return tried.tells > 0
    ? `Yes: the dearer half stood ${timesSaid(tried)}, from ${tried.points.length} pieces.`
    : `No, on the contrary: the dearer half was sold sooner, from ${tried.points.length} pieces.`;
}

/** What prices that were tried tell of how soon pieces are sold. */
export function Tried({ view: { tried, triedOf } }: { view: EarnedView }) {
  return (
    <section className="leaf mt-3 p-4" aria-label="Prices that were tried">
      <p>
        <strong>Do dearer pieces stand longer?</strong> <Said>{whatItTells(tried)}</Said>
        {triedOf.map(({ pattern, name, tried: of }) => (
          <span key={pattern}>
            {' '}
            <Link className="link" href={`/patterns/${tag('pattern', pattern)}`}>
              {name}
            </Link>
            : <Said>{whatItTells(of)}</Said>
          </span>
        ))}
      </p>
      {tried.points.length >= FEW_TRIED && <TriedPoints points={tried.points} />}
    </section>
  );
}
