import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { PHOTO_SIDES } from '@/studio/photos/keepPhoto';
import { PhotoForm } from '@/app/lib/PhotoForm';
import { Link } from '@/ui/Link';
import { SmallPicture } from '@/ui/SmallPicture';
import { keepPiecePhotoAction } from '../../../(shelfroom)/shelf/[tag]/actions';
import type { ShownSitting } from './shown';

/** What a sitting came to when it is over: its pieces, each to be photographed while it lies on the bench. */
export function MadeHere({ view: { pieces, batch, name, state } }: Pick<ShownSitting, 'view'>) {
  // Several pieces of a sitting may have become one.
  const made = [
    ...new Map(
      pieces.flatMap(({ became, photos }) => (became === null ? [] : [[became, { number: became, photos }]])),
    ).values(),
  ];
  return (
    <>
      <h1 className="[overflow-wrap:anywhere]">{headline(made.length, name, state)}</h1>
      <ul className="mt-4 space-y-4" aria-label="Made in this sitting">
        {made.map(({ number, photos }) => (
          <li key={number}>
            <section className="leaf p-4" aria-label={tag('piece', number)}>
              <div className="flex items-center gap-4">
                <SmallPicture of="piece" number={number} name={name} className="h-20 w-24" />
                <h2>
                  <Link href={`/shelf/${tag('piece', number)}`} className="link">
                    {tag('piece', number)}
                  </Link>
                </h2>
              </div>
              <div className="mt-2 grid gap-4 sm:grid-cols-2">
                {PHOTO_SIDES.map((side) => (
                  <div key={side}>
                    {photos[side] !== null && (
                      <img
                        src={`/photos/${photos[side]}`}
                        alt={`${tag('piece', number)}, photographed from the ${side}`}
                        className="mb-2 max-h-48 max-w-full rounded object-contain"
                      />
                    )}
                    <PhotoForm
                      label={
                        photos[side] === null
                          ? `Photograph of its ${side}`
                          : `Another photograph of its ${side}`
                      }
                      keep={keepPiecePhotoAction.bind(null, number, side)}
                    />
                  </div>
                ))}
              </div>
            </section>
          </li>
        ))}
      </ul>
      <p className="mt-4 flex flex-wrap gap-3">
        {batch && (
          <Link href={`/batches/${tag('batch', batch.number)}`} className="btn btn-primary btn-lg">
            To the batch
          </Link>
        )}
        <Link href="/shelf" className="btn btn-lg">
          To the shelf
        </Link>
        <Link href="/bench" className="btn btn-lg">
          To the bench
        </Link>
      </p>
    </>
  );
}

/** How a sitting ended, in a sentence. */
function headline(made: number, name: string, state: ShownSitting['view']['state']): string {
  if (state === 'left') return `The sitting of “${name}” was left; nothing was made`;
  if (made === 0) return `Nothing of “${name}” was made; what was spoiled is in the books`;
  return `“${name}”: ${counted(made, 'piece is', 'pieces are')} on the shelf`;
}
