import { Chance } from '@/core/chance';
import { dayIn } from '@/core/calendar/day';
import { priceIn } from '@/core/selling/channelPrice';
import { tag } from '@/core/tag';
import { plainMoney, type MinorUnits } from '@/core/units/money';
import { Piece } from '@/data/models/making';
import { look, type StudioSession } from '@/studio/kernel/useCase';
import { listChannels, writeChannel, type KnownChannel } from '@/studio/selling/channels';
import { writeCustomer } from '@/studio/selling/customers';
import { showSale } from '@/studio/selling/sales';
import { sellPieces, takeReturn } from '@/studio/selling/sell';
import { hearStall } from '@/studio/selling/stall';
import { turnPieces } from '@/studio/shelf/pieceLife';
import { DEMO_CUSTOMER, DEMO_UNSETTLED } from './ids';
import { keyOf } from './keyOf';
import { taken } from './taken';

const SEED = 20_261;
const DAY_MS = 86_400_000;
/** What was made in the last weeks is on the shelf still. */
const FRESH_DAYS = 12;

/** Where the demonstration sells: what each keeps is invented. */
const CHANNELS = {
  fair: { name: 'Fair on the green', feePercent: '1.9', feeFixed: '0.10 USD', packing: '0.35 USD' },
  online: {
    name: 'Our own page',
    feePercent: '3.4',
    feeFixed: '0.30 USD',
    packing: '0.90 USD',
    postageAsked: '4.50 USD',
    postage: '5.10 USD',
    pricePercent: '110',
    endings: ['0 USD'],
  },
  commission: { name: 'The shop at the ferry', feePercent: '38', feeFixed: '0 USD', packing: '0 USD' },
  direct: { name: 'From the bench', feePercent: '0', feeFixed: '0 USD', packing: '0.35 USD' },
} as const;
type DemoChannel = keyof typeof CHANNELS;

const SHOP = CHANNELS.commission.name;
const BUYERS = ['Ines', 'Ottilie', 'Rafe', 'Perpetua', 'Ansel', 'Wilmot', 'Tamsin', 'Bram'];
/** Who is written down of them. */
const CUSTOMERS = [
  {
    ...{ name: 'Ottilie', contact: 'writes on the page', ringSizes: 'US 6 1/2 right middle finger' },
    wishes: 'Something with prehnite for her sister’s birthday in spring',
  },
  { name: 'Ansel', contact: 'by the ferry, Saturdays', ringSizes: '', wishes: '' },
  {
    name: 'Tamsin',
    contact: '',
    ringSizes: 'US 5, US 7 3/4',
    wishes: 'Copper only: silver does not suit her',
  },
] as const;
const PLAIN = { kind: 'fair', feeOn: 'gross', postageAsked: '0 USD', postage: '0 USD' } as const;
const UNTAXED = {
  taxKind: 'none',
  taxPercent: '0',
  taxRounding: 'document',
  isOpen: true,
  pricePercent: '100',
  endings: [],
} as const;

/** Baskets of a fair day by its month, January first: nobody stands on the green in winter, but for the two before the feasts. */
const FAIR_BASKETS = [0, 0, 0, 3, 5, 6, 0, 6, 5, 0, 7, 8];
/** Orders of a month that come by the page. */
const PAGE_ORDERS = [1, 2, 1, 2, 2, 2, 1, 1, 2, 3, 4, 5];

const usd = (amount: MinorUnits): string => `${plainMoney(amount, 'USD')} USD`;

interface Made {
  readonly number: number;
  /** From the next day on it can be taken. */
  readonly madeOn: number;
  readonly price: MinorUnits;
}

type Deed =
  | {
      readonly at: number;
      readonly does: 'sell';
      readonly where: DemoChannel;
      readonly pieces: readonly Made[];
      readonly letGo: number;
      readonly buyer: string;
    }
  | {
      readonly at: number;
      readonly does: 'give' | 'keep' | 'shop' | 'back';
      readonly pieces: readonly Made[];
    };

/** Two years of selling over what was made and priced, drawn by chance: in the order of the days. */
function planned(made: readonly Made[], days: number, monthOf: (day: number) => number): readonly Deed[] {
  const chance = new Chance(SEED);
  const here = [...made];
  const atShop: Made[] = [];
  const deeds: Deed[] = [];
  const draw = (at: number, count: number, from = here): Made[] => {
    const ready = from.filter(({ madeOn }) => madeOn < at);
    return Array.from({ length: Math.min(count, ready.length) }, () => {
      const [piece] = ready.splice(chance.whole(0, ready.length - 1), 1);
      if (piece) from.splice(from.indexOf(piece), 1);
      return piece;
    }).flatMap((piece) => piece ?? []);
  };
  const sell = (at: number, where: DemoChannel, pieces: readonly Made[], letGo = 0) => {
    if (pieces.length > 0)
      deeds.push({
        at,
        does: 'sell',
        where,
        pieces,
        letGo,
        buyer: where === 'fair' ? '' : chance.pick(BUYERS),
      });
  };
  for (let begins = 60; begins + 30 <= days; begins += 30) {
    const month = monthOf(begins + 15);
    const fair = begins + 15;
    for (let basket = 0; basket < (FAIR_BASKETS[month] ?? 0); basket += 1) {
      const pieces = draw(fair, chance.pick([1, 1, 1, 2, 2, 3]));
      sell(fair, 'fair', pieces, pieces.length > 1 ? chance.pick([0, 5, 10]) : chance.pick([0, 0, 0, 10]));
    }
    for (let order = 0; order < (PAGE_ORDERS[month] ?? 0); order += 1) {
      const at = begins + chance.whole(0, 29);
      sell(at, 'online', draw(at, chance.pick([1, 1, 1, 2])));
    }
    if (chance.happens(0.7)) sell(begins + 8, 'direct', draw(begins + 8, 1));
    if (begins % 90 === 60) {
      const pieces = draw(begins, 7);
      atShop.push(...pieces);
      deeds.push({ at: begins, does: 'shop', pieces });
    }
    for (const at of [begins + 10, begins + 20])
      if (chance.happens(0.6)) sell(at, 'commission', draw(at, 1, atShop));
    // What a shop has not sold for half a year comes back.
    if (begins % 180 === 0 && atShop.length > 4) {
      const pieces = atShop.splice(0, 3);
      here.push(...pieces.map((piece) => ({ ...piece, madeOn: begins + 26 })));
      deeds.push({ at: begins + 25, does: 'back', pieces });
    }
    if (begins % 240 === 0) deeds.push({ at: begins + 5, does: 'give', pieces: draw(begins + 5, 1) });
    if (begins === 120) deeds.push({ at: begins + 5, does: 'keep', pieces: draw(begins + 5, 1) });
  }
  return deeds
    .filter(({ pieces, at }) => pieces.length > 0 && at <= days - FRESH_DAYS)
    .toSorted((one, other) => one.at - other.at);
}

/**
 * Two years of selling over four channels, with their seasons: what was made is sold, lies in a shop, is given away or kept, and some of it
 * comes back. Every posting has a key of its own, so that a run that was cut off goes on where it stopped.
 * @param day the owner on a day of the two years
 */
export async function sellTwoYears(day: (n: number) => StudioSession, days: number): Promise<void> {
  const last = day(days);
  for (const [kind, terms] of Object.entries(CHANNELS))
    taken(
      await writeChannel(day(40), keyOf(`channel ${kind}`), null, { ...PLAIN, ...UNTAXED, ...terms, kind }),
    );
  const channels = await listChannels(last);
  const channelOf = (where: DemoChannel): KnownChannel => {
    const found = channels.find(({ name }) => name === CHANNELS[where].name);
    if (!found) throw new Error(`${where} is written down`);
    return found;
  };
  const first = day(0).now.valueOf();
  const made = await look(last, (tx) =>
    tx.all(Piece, ['number', 'madeAt', 'price'], {
      where: { struckAt: null, drawerStockId: null },
      order: ['number'],
    }),
  );
  const priced = made.flatMap(({ number, madeAt, price }): Made[] =>
    price === null ? [] : [{ number, madeOn: Math.ceil((madeAt.valueOf() - first) / DAY_MS), price }],
  );
  const deeds = planned(priced, days, (n) => day(n).now.getUTCMonth());
  let returns = 0;
  for (const [index, deed] of deeds.entries()) {
    const session = day(deed.at);
    const key = keyOf(`selling ${index}`);
    if (deed.does !== 'sell') {
      await turn(session, key, deed);
      continue;
    }
    const { where, pieces, letGo, buyer } = deed;
    const channel = channelOf(where);
    const { number } = taken(
      await sellPieces(session, key, {
        channel: channel.id,
        soldOn: dayIn('UTC', session.now),
        pieces: pieces.map((piece) => ({
          piece: tag('piece', piece.number),
          asked: usd(priceIn(piece.price, channel.pricing, 2)),
        })),
        letGo: letGo === 0 ? 'nothing' : 'a part',
        off: letGo === 0 ? '' : String(letGo),
        paidBy:
          where === 'fair' && index % 3 === 0 ? 'cash' : where === 'commission' ? 'the channel' : 'card',
        given: '',
        buyer,
        note: '',
      }),
    );
    // Now and then something that was sent comes back.
    if (where === 'online' && index % 23 === 0 && returns < 4) {
      returns += 1;
      await comesBack(day(deed.at + 9), number);
    }
  }
  for (const [index, customer] of CUSTOMERS.entries())
    taken(
      await writeCustomer(
        day(300 + index * 40),
        index === 0 ? DEMO_CUSTOMER : keyOf(`customer ${index}`),
        null,
        customer,
      ),
    );
  const soldAtFair = deeds.findLast((deed) => deed.does === 'sell' && deed.where === 'fair');
  await soldTwice(last, channelOf('fair').id, soldAtFair?.pieces[0]);
}

/** A stall tells of a piece that it sold before: somebody read a tag wrongly, and it waits to be settled. */
async function soldTwice(session: StudioSession, channel: string, piece: Made | undefined): Promise<void> {
  if (!piece) return;
  const typed = {
    ...{ channel, soldOn: dayIn('UTC', session.now), letGo: 'nothing', off: '', paidBy: 'cash', given: '' },
    ...{ buyer: '', note: '' },
    pieces: [{ piece: tag('piece', piece.number), asked: usd(piece.price) }],
  };
  await hearStall(
    session,
    [{ id: DEMO_UNSETTLED, at: session.now.valueOf(), typed, gross: piece.price }],
    [],
  );
}

async function comesBack(session: StudioSession, number: number): Promise<void> {
  const piece = (await showSale(session, number))?.lines[0]?.piece;
  if (!piece) throw new Error(`${tag('sale', number)} has no piece`);
  taken(
    await takeReturn(session, keyOf(`return of ${number}`), number, {
      pieces: [{ piece: tag('piece', piece.number) }],
      soldOn: dayIn('UTC', session.now),
      paidBy: 'card',
      keepsFees: true,
      note: 'Not her size',
    }),
  );
}

const TURN_OF = { give: 'given', keep: 'kept', shop: 'taken to a shop', back: 'brought back' } as const;

async function turn(
  session: StudioSession,
  key: string,
  { does, pieces }: Exclude<Deed, { does: 'sell' }>,
): Promise<void> {
  taken(
    await turnPieces(
      session,
      key,
      pieces.map(({ number }) => number),
      { turn: TURN_OF[does], to: does === 'shop' ? SHOP : '', note: '' },
    ),
  );
}
