import { pageOwner } from '@/app/lib/member';
import { counted } from '@/core/units/counted';
import { listShops } from '@/studio/selling/shops';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { Money } from '@/ui/money';
import { AtShop } from './AtShop';

export const metadata = { title: 'At shops' };

/** What lies at shops on commission: it stays the studio’s until it is sold. */
export default async function ShopsPage() {
  const { session } = await pageOwner();
  const { shops } = await listShops(session);
  if (shops.length === 0)
    return (
      <EmptyPlace title="Nothing lies at a shop" next={{ href: '/shelf', text: 'To the shelf' }}>
        Choose pieces on the shelf and say that they are taken to a shop: they are listed here with the note
        that goes with them, until the shop has sold them or they come back.
      </EmptyPlace>
    );
  const pieces = shops.reduce((sum, shop) => sum + shop.pieces.length, 0);
  return (
    <>
      <h1>
        {counted(pieces, 'piece')} {pieces === 1 ? 'lies' : 'lie'} at{' '}
        {shops.length === 1 ? shops[0]?.name : counted(shops.length, 'shop')}
      </h1>
      {shops.map((shop) => (
        <section key={shop.name} className="leaf mt-3 p-4" aria-label={shop.name}>
          <div className="flex flex-wrap items-start justify-between gap-3">
            <div>
              <h2>{shop.name}</h2>
              <p>
                {counted(shop.pieces.length, 'piece')}, asked at <Money of={shop.asked} /> together
                {shop.channel ? (
                  <>
                    ; <Money of={shop.yours} /> of it is yours
                  </>
                ) : (
                  ': write the shop down under “Where you sell” by this name, and what of it is yours is known'
                )}
                .
              </p>
            </div>
            <a
              className="btn no-print min-h-11"
              href={`/shops/note.pdf?shop=${encodeURIComponent(shop.name)}`}
            >
              Delivery note
            </a>
          </div>
          <AtShop key={shop.pieces.map(({ number }) => number).join('.')} shop={shop} />
        </section>
      ))}
    </>
  );
}
