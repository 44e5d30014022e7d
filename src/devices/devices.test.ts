import { day } from '@/core/calendar/day';
import { grams } from '@/core/units/mass';
import { mm } from '@/core/units/length';
import { SimulatedCalliper } from './calliper/simulated';
import { httpMetalFeed } from './metalFeed/http';
import { simulatedPrices } from './metalFeed/simulated';
import { startMetalFeed } from './metalFeed/standIn';
import type { ScaleReading } from './scale/port';
import type { RESTING } from './scale/simulated';
import { SimulatedScale, ticked, withLoad, withZero } from './scale/simulated';

describe('the simulated scale', () => {
  it('swings when it is loaded, then rests on the nearest division', () => {
    const scale = new SimulatedScale();
    const readings: ScaleReading[] = [];
    const stop = scale.watch((reading) => readings.push(reading));
    scale.change((state) => withLoad(state, grams(48.3278)));
    expect(readings.at(-1)?.stable).toBe(false);
    for (let n = 0; n < 6; n += 1) scale.change(ticked);
    expect(readings.at(-1)).toEqual({ mass: grams(48.33), unit: 'g', resolution: grams(0.01), stable: true });
    stop();
    scale.change((state) => withLoad(state, grams(1)));
    expect(readings.at(-1)?.mass).toBe(grams(48.33));
  });

  it('is set to nought with the empty spool on it, and says when it drifts', () => {
    const settle = (state: typeof RESTING) =>
      Array.from({ length: 6 }).reduce<typeof RESTING>((now) => ticked(now), state);
    const scale = new SimulatedScale();
    scale.change((state) => withLoad(withZero(settle(withLoad(state, grams(12)))), grams(60)));
    scale.change(settle);
    let shown: ScaleReading | undefined;
    scale.watch((reading) => (shown = reading));
    expect(shown).toMatchObject({ mass: grams(48), stable: true });
    scale.change((state) => ({ ...state, drift: 5000 }));
    expect(shown?.stable).toBe(false);
    scale.change((state) => ({ ...state, unit: 'oz t' }));
    // Half a thousandth of a troy ounce of 31.1034768 g.
    expect(shown?.resolution).toBe(15_552);
  });
});

it('the simulated calliper reads to a hundredth of a millimetre', async () => {
  expect(await new SimulatedCalliper(mm(0.8118)).close()).toBe(810);
});

describe('the metal price feed', () => {
  it('tells the same invented price of every trading day, every time', () => {
    const week = simulatedPrices('USD', day('2026-05-04'), day('2026-05-10'));
    expect(new Set(week.map(({ day }) => day)).size).toBe(5);
    expect(simulatedPrices('USD', day('2026-05-04'), day('2026-05-10'))).toEqual(week);
    expect(simulatedPrices('XXX', day('2026-05-04'), day('2026-05-10'))).toEqual([]);
    expect(simulatedPrices('USD', day('1990-01-01'), day('2026-05-10')).length).toBeLessThan(1100 * 3);
  });

  it('is asked over HTTP, and can be made to fail', async () => {
    const standIn = await startMetalFeed();
    const feed = httpMetalFeed(standIn.url);
    expect(await feed.prices('EUR', day('2026-05-04'), day('2026-05-04'))).toEqual(
      simulatedPrices('EUR', day('2026-05-04'), day('2026-05-04')),
    );
    const mode = await fetch(`${standIn.url}/mode?failing=1`, { method: 'POST' });
    expect(await mode.json()).toEqual({ failing: true });
    await expect(feed.prices('EUR', day('2026-05-04'), day('2026-05-04'))).rejects.toThrow(/503/);
    await fetch(`${standIn.url}/mode?failing=0`, { method: 'POST' });
    expect(await feed.prices('EUR', day('2026-05-04'), day('2026-05-04'))).toHaveLength(3);
    expect((await fetch(`${standIn.url}/prices?currency=USD`)).status).toBe(400);
    expect((await fetch(`${standIn.url}/else`)).status).toBe(404);
    await standIn.stop();
    await expect(feed.prices('EUR', day('2026-05-04'), day('2026-05-04'))).rejects.toThrow();
  });
});
