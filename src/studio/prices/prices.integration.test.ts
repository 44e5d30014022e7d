import type { Day } from '@/core/calendar/day';
import { simulatedPrices } from '@/devices/metalFeed/simulated';
import { closeBooks, done, newKey, openStudio, problemOf, receive } from '../../../tests/support/studio';
import { type StudioSession } from '../kernel/useCase';
import { showJars } from '../scrap/jars';
import { takeOut } from '../stock/takeOut';
import { showStockPiece } from '../wire/rack';
import { fetchMetalPrices, readMetalPrices } from './metalPrices';
import { setPricing, showPricing } from './replacement';

afterAll(closeBooks);

const take = (length: string, kind = 'used') => ({ kind, quantity: length, reason: 'marred by pliers' });

describe('prices', () => {
  it('follow the metal, what was typed, or what was paid last', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    const articleId = (await showStockPiece(session, spool))?.spec.id ?? '';
    const perMetre = async () => (await showPricing(session, articleId))?.now;
    expect(await perMetre()).toEqual({ price: 5_000_000, quantity: 10_000_000 });
    const rule = {
      version: '1',
      priceBy: 'typed',
      price: '6.00 USD',
      quantity: '1 m',
      premium: '',
      fabricationPerMetre: '',
    };
    done(await setPricing(session, newKey(), articleId, rule));
    expect(await perMetre()).toEqual({ price: 600_000, quantity: 1_000_000 });
    expect(problemOf(await setPricing(session, newKey(), articleId, rule)).kind).toBe('stale');

    const failing = { prices: () => Promise.reject(new Error('503')) };
    expect(problemOf(await fetchMetalPrices(session, failing)).message).toMatch(/cannot be reached \(503\)/);
    const working = {
      prices: (currency: string, from: Day, to: Day) => Promise.resolve(simulatedPrices(currency, from, to)),
    };
    expect(done(await fetchMetalPrices(session, working)).days).toBeGreaterThan(400);
    const { last } = await readMetalPrices(session);
    expect(last.map(({ metal, stale }) => [metal, stale])).toEqual([
      ['gold', false],
      ['silver', false],
      ['copper', false],
    ]);
    done(
      await setPricing(session, newKey(), articleId, {
        ...rule,
        version: '2',
        priceBy: 'spot',
        premium: '20',
        fabricationPerMetre: '0.30 USD',
      }),
    );
    const silver = last.find(({ metal }) => metal === 'silver')?.perKilogram ?? 0;
    // 5.365 g × 0.925 × price × 1.2 + 0.30.
    expect(((await perMetre())?.price ?? 0) / 1000).toBeCloseTo(
      (5.365 / 1000) * 0.925 * silver * 1.2 + 30,
      0,
    );
    expect((await showPricing(session, articleId))?.history.map(({ source }) => source)).toEqual([
      'paid',
      'typed',
    ]);

    const later: StudioSession = { ...session, now: new Date(session.now.valueOf() + 10 * 86_400_000) };
    expect((await readMetalPrices(later)).last.every(({ stale }) => stale)).toBe(true);
    done(await takeOut(session, newKey(), 'wire', spool, take('1 m', 'spoiled')));
    // The jar holds a few micrograms less than 5.365 g, which is a cent on days when the price falls so.
    const melt = (await showJars(session))[0]?.melt ?? 0;
    expect(Math.abs(melt - (5.365 / 1000) * 0.925 * silver)).toBeLessThanOrEqual(1);
  });
});
