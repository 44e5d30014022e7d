import { isDay } from '@/core/calendar/day';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { simulatedPrices } from './simulated';

/** A running stand-in. */
export interface StandIn {
  readonly url: string;
  readonly stop: () => Promise<void>;
}

/**
 * The metal price service that ships: a small HTTP server on loopback with invented prices. `POST /mode?failing=1` makes it
 * fail until `failing=0`, so that it can be seen what happens without prices.
 */
export function startMetalFeed(): Promise<StandIn> {
  let failing = false;
  const server = http.createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://feed');
    const answer = (status: number, body: unknown) => {
      response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
    };
    if (url.pathname === '/mode') {
      if (request.method === 'POST') failing = url.searchParams.get('failing') === '1';
      return answer(200, { failing });
    }
    if (url.pathname !== '/prices') return answer(404, { error: 'only /prices and /mode are here' });
    if (failing) return answer(503, { error: 'the market is shut' });
    const given = (name: string) => url.searchParams.get(name) ?? '';
    const [currency, from, to] = [given('currency'), given('from'), given('to')];
    if (currency === '' || !isDay(from) || !isDay(to))
      return answer(400, {
        error: 'give currency, from and to, like currency=USD&from=2026-05-01&to=2026-05-04',
      });
    answer(200, simulatedPrices(currency, from, to));
  });
  return new Promise((resolve) => {
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      resolve({
        url: `http://127.0.0.1:${port}`,
        stop: () =>
          new Promise((stopped) => {
            server.closeAllConnections();
            server.close(() => stopped());
          }),
      });
    });
  });
}
