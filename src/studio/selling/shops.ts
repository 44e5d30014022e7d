import { dayIn, type Day } from '@/core/calendar/day';
import { groupBy } from '@/core/groupBy';
import { reckonSale } from '@/core/selling/channel';
import { priceIn } from '@/core/selling/channelPrice';
import { currencyOf, minor, type MinorUnits } from '@/core/units/money';
import { atShopsSql } from '@/data/sql/shops';
import { look, ownerOnly, zoneOf, type StudioSession } from '../kernel/useCase';
import { paperStudio, settingsIn, type PaperStudio } from '../settings/settings';
import { channelsIn, type KnownChannel } from './channels';

/** A piece that lies at a shop; it stays the studio’s until it is sold. */
export interface PieceAtShop {
  readonly number: number;
  readonly name: string;
  readonly size: string;
  /** Since it was taken there. */
  readonly since: Day;
  /** What the shop asks for it; null where it has no price. */
  readonly asked: MinorUnits | null;
  /** What of that comes to the studio; null where that is not known. */
  readonly yours: MinorUnits | null;
}

/** A shop with what lies there. */
export interface Shop {
  readonly name: string;
  /** The channel of its name, where one is written down. */
  readonly channel: Pick<KnownChannel, 'id' | 'name'> | null;
  readonly pieces: readonly PieceAtShop[];
  /** Of those that have a price. */
  readonly asked: MinorUnits;
  readonly yours: MinorUnits;
}

export interface ShopsView {
  readonly shops: readonly Shop[];
  /** Whose papers are written, and how. */
  readonly studio: PaperStudio;
}

/** The most pieces at shops that are told of. */
const MOST_AT_SHOPS = 2000;

const together = (amounts: readonly (MinorUnits | null)[]): MinorUnits =>
  minor(amounts.reduce<number>((sum, amount) => sum + (amount ?? 0), 0));

/** What lies at which shop, and what it would bring. For the owner. */
export function listShops(session: StudioSession): Promise<ShopsView> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const settings = await settingsIn(tx);
    const { places } = currencyOf(settings.currency);
    const channels = (await channelsIn(tx)).filter(({ isOpen }) => isOpen);
    const rows = await tx.rows(atShopsSql, { most: MOST_AT_SHOPS });
    const shops = [...groupBy(rows, ({ shop }) => shop.toLowerCase()).values()].map((some): Shop => {
      const [{ shop } = { shop: '' }] = some;
      const channel = channels.find(({ name }) => name.toLowerCase() === shop.toLowerCase());
      const pieces = some.map(({ number, name, size, price, since }): PieceAtShop => {
        const asked = price === null || !channel ? price : priceIn(price, channel.pricing, places);
        return {
          ...{ number, name, size, asked },
          since: dayIn(zoneOf(session), since),
          yours:
            asked === null || !channel ? null : reckonSale([asked], channel.terms, channel.rounding).left,
        };
      });
      return {
        name: channel?.name ?? shop,
        channel: channel ? { id: channel.id, name: channel.name } : null,
        pieces,
        asked: together(pieces.map(({ asked }) => asked)),
        yours: together(pieces.map(({ yours }) => yours)),
      };
    });
    return { shops, studio: paperStudio(settings) };
  });
}
