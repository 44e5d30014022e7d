'use client';

import { Link } from '@/ui/Link';
import { useRef } from 'react';
import type { DrawerSlug } from '@/app/lib/drawers';
import { formatDiameter } from '@/core/units/length';
import { tag } from '@/core/tag';
import type { DrawerPiece } from '@/studio/drawers/drawers';
import { Amount } from '@/ui/Amount';
import { BeadDrawing } from '@/ui/BeadDrawing';
import { Cost } from '@/ui/money';
import { FindingDrawing } from '@/ui/FindingDrawing';
import { StoneDrawing } from '@/ui/StoneDrawing';
import { useRovingKeys } from '@/ui/useRovingKeys';
import { Said } from '@/ui/house';

/** What lies in a drawer, each thing drawn life size. */
export function DrawerList({ pieces, slug }: { pieces: readonly DrawerPiece[]; slug: DrawerSlug }) {
  const list = useRef<HTMLUListElement>(null);
  useRovingKeys(list, 'a[data-piece]');
  return (
    <ul ref={list} className="mt-4 grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
      {pieces.map((piece) => (
        <li key={piece.id}>
          <Link
            href={`/${slug}/${tag(piece.detail.ware, piece.number)}`}
            data-piece
            className="leaf flex h-full min-h-24 items-center gap-4 p-3 hover:bg-base-200"
          >
            <span className="flex w-24 shrink-0 items-center justify-center overflow-hidden">
              <Picture piece={piece} />
            </span>
            <span className="min-w-0">
              <span className="muted text-sm">{tag(piece.detail.ware, piece.number)}</span>
              <span className="block font-semibold text-balance">{piece.name}</span>
              <span className="block text-sm">
                <HowMuch piece={piece} />
                {piece.cost !== null && piece.quantity > 0 && (
                  <>
                    {' · '}
                    <Cost of={piece.cost} />
                  </>
                )}
              </span>
              <span className="muted block text-sm">{piece.place ?? 'no place yet'}</span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

function HowMuch({ piece: { detail, quantity, form } }: { piece: DrawerPiece }) {
  switch (detail.ware) {
    case 'bead':
      return (
        <>
          <Amount ware="bead" of={quantity} /> {form === 'strand' ? 'on the strand' : 'loose'}, hole{' '}
          <Said>{formatDiameter(detail.hole)}</Said>
        </>
      );
    case 'stone':
      return (
        <>{quantity === 0 ? 'used' : detail.setAsideFor ? `set aside: ${detail.setAsideFor}` : 'free'}</>
      );
    case 'supply':
      return (
        <>
          <Amount ware="supply" unit={detail.unit} of={quantity} /> left
        </>
      );
    case 'finding':
      return (
        <>
          <Amount ware="finding" of={quantity} /> left
        </>
      );
  }
}

/** The picture of a thing: its photograph, or itself drawn life size. */
export function Picture({ piece, large = false }: { piece: DrawerPiece; large?: boolean }) {
  const { detail, photoId } = piece;
  if (photoId !== null) {
    return (
      <img
        src={`/photos/${photoId}`}
        alt={piece.name}
        className={large ? 'max-h-72 rounded' : 'max-h-20 rounded'}
      />
    );
  }
  if (detail.ware === 'stone') return <StoneDrawing stone={detail} />;
  if (detail.ware === 'bead') return <BeadDrawing bead={detail} />;
  if (detail.ware === 'finding')
    return <FindingDrawing finding={detail.finding} material={detail.material} />;
  return <Level quantity={piece.quantity} initial={piece.initialQuantity} />;
}

/** How much of a pack is left, against what there was. */
function Level({ quantity, initial }: { quantity: number; initial: number }) {
  const part = Math.min(1, quantity / Math.max(initial, 1));
  const height = 44;
  return (
    <svg width="34" height={height + 4} aria-hidden="true" className="text-base-content">
      <rect x="3" y="2" width="28" height={height} rx="3" fill="none" stroke="currentColor" />
      <rect
        x="5"
        y={2 + (height - 2) * (1 - part)}
        width="24"
        height={Math.max(1, (height - 2) * part)}
        fill="currentColor"
        fillOpacity="0.4"
      />
    </svg>
  );
}
