import fs from 'node:fs';
import path from 'node:path';
import { DEMO_CUSTOMER, DEMO_SITTING, DEMO_UNSETTLED } from '../../../src/demo/ids';

/** What is opened for a route, and whether it is the owner's alone. */
interface Opened {
  readonly address: string;
  readonly ownerOnly?: boolean;
  /** Whether everybody sees there what buyers pay: nothing of what the studio pays and keeps. */
  readonly showsPrices?: boolean;
}

const APP = path.join(__dirname, '../../../src/app');

/** Every route of the application, from its folders: "/rack/[tag]". */
function routesIn(folder: string, prefix = ''): string[] {
  return fs.readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isFile()) return /^(page|route)\.tsx?$/.test(entry.name) ? [prefix === '' ? '/' : prefix] : [];
    const part = /^\(.*\)$/.test(entry.name) ? '' : `/${entry.name}`;
    return routesIn(path.join(folder, entry.name), prefix + part);
  });
}

const OPENED: Readonly<Record<string, Opened>> = {
  '/': { address: '/' },
  '/account': { address: '/account' },
  '/batches': { address: '/batches' },
  '/batches/hours': { address: '/batches/hours' },
  '/batches/makeable': { address: '/batches/makeable' },
  '/batches/new': { address: '/batches/new' },
  '/batches/[tag]': { address: '/batches/R-0001' },
  '/batches/[tag]/cut': { address: '/batches/R-0001/cut' },
  '/batches/[tag]/edit': { address: '/batches/R-0002/edit' },
  '/batches/[tag]/make/[line]': { address: '/batches/R-0001/make/1' },
  '/bench': { address: '/bench' },
  '/bench/[tag]': { address: '/bench/P-0001' },
  '/bench/sitting/[id]': { address: `/bench/sitting/${DEMO_SITTING}` },
  '/patterns': { address: '/patterns' },
  '/patterns/new': { address: '/patterns/new', ownerOnly: true },
  '/patterns/starters': { address: '/patterns/starters', ownerOnly: true },
  '/patterns/compose': { address: '/patterns/compose', ownerOnly: true },
  '/patterns/[tag]/compose': { address: '/patterns/P-0001/compose', ownerOnly: true },
  '/patterns/[tag]': { address: '/patterns/P-0001' },
  '/patterns/[tag]/steps': { address: '/patterns/P-0058/steps?step=9' },
  '/patterns/[tag]/proposal': { address: '/patterns/P-0058/proposal', ownerOnly: true },
  '/patterns/[tag]/edit': { address: '/patterns/P-0001/edit', ownerOnly: true },
  '/fitting': { address: '/fitting?ring=US+7' },
  '/how-much': { address: '/how-much' },
  '/logbook': { address: '/logbook?with=measured' },
  '/rules': { address: '/rules', ownerOnly: true },
  '/rules/programs': { address: '/rules/programs', ownerOnly: true },
  '/shelf': { address: '/shelf' },
  '/shelf/[tag]': { address: '/shelf/F-0001' },
  '/selling': { address: '/selling?pieces=12.13', showsPrices: true },
  '/sales': { address: '/sales', showsPrices: true },
  '/stall': { address: '/stall', showsPrices: true },
  '/sales/unsettled/[id]': { address: `/sales/unsettled/${DEMO_UNSETTLED}`, showsPrices: true },
  '/sales/bring-in': { address: '/sales/bring-in', ownerOnly: true },
  '/sales/[tag]': { address: '/sales/N-0001', showsPrices: true },
  '/shops': { address: '/shops', ownerOnly: true },
  '/prices': { address: '/prices', ownerOnly: true },
  '/earned': { address: '/earned?by=pattern', ownerOnly: true },
  '/customers': { address: '/customers', ownerOnly: true },
  '/customers/[id]': { address: `/customers/${DEMO_CUSTOMER}`, ownerOnly: true },
  '/orders': { address: '/orders', ownerOnly: true },
  '/orders/new': { address: '/orders/new?pattern=P-0012', ownerOnly: true },
  '/orders/sheet': { address: '/orders/sheet', ownerOnly: true },
  '/orders/[tag]': { address: '/orders/Q-0002', ownerOnly: true },
  '/orders/[tag]/edit': { address: '/orders/Q-0003/edit', ownerOnly: true },
  '/orders/[tag]/hand-over': { address: '/orders/Q-0002/hand-over', ownerOnly: true },
  '/channels': { address: '/channels', ownerOnly: true },
  '/rack': { address: '/rack' },
  '/rack/receive': { address: '/rack/receive', ownerOnly: true },
  '/rack/[tag]': { address: '/rack/W-0001' },
  '/rack/[tag]/weigh': { address: '/rack/W-0001/weigh' },
  '/[drawer]': { address: '/beads' },
  '/[drawer]/receive': { address: '/stones/receive', ownerOnly: true },
  '/[drawer]/[tag]': { address: '/beads/B-0003' },
  '/findings/make': { address: '/findings/make' },
  '/jars': { address: '/jars' },
  '/jars/[tag]': { address: '/jars/J-0001' },
  '/fit': { address: '/fit?hole=0.9' },
  '/deliveries': { address: '/deliveries', ownerOnly: true },
  '/deliveries/new': { address: '/deliveries/new', ownerOnly: true },
  '/deliveries/[tag]': { address: '/deliveries/D-0001', ownerOnly: true },
  '/counts': { address: '/counts' },
  '/counts/[tag]': { address: '/counts/T-0002' },
  '/to-buy': { address: '/to-buy' },
  '/labels': { address: '/labels?items=W-0001' },
  '/ledger': { address: '/ledger' },
  '/metal': { address: '/metal', ownerOnly: true },
  '/lists': { address: '/lists', ownerOnly: true },
  '/lists/[id]': { address: '/lists/00000000-0000-4000-a000-000000000000', ownerOnly: true },
  '/stock': { address: '/stock' },
};

/** Routes that answer without a page: files, and what programs ask. */
const ANSWERS: Readonly<Record<string, Opened>> = {
  '/api/health': { address: '/api/health' },
  '/api/find': { address: '/api/find?q=copper' },
  '/api/patterns/[tag]/revision': { address: '/api/patterns/P-0001/revision' },
  '/kept-pages.js': { address: '/kept-pages.js' },
  '/labels.pdf': { address: '/labels.pdf?items=W-0001' },
  '/batches/hours/bench.ics': { address: '/batches/hours/bench.ics' },
  '/batches/[tag]/[paper]': { address: '/batches/R-0001/cut-sheet.svg' },
  '/patterns/[tag]/[paper]': { address: '/patterns/P-0001/card.svg' },
  '/pictures/[of]': { address: '/pictures/P-0001.svg' },
  '/photos/[id]': { address: '/photos/00000000-0000-4000-a000-000000000000' },
  '/sales/[tag]/receipt.pdf': { address: '/sales/N-0001/receipt.pdf' },
  '/shops/note.pdf': { address: '/shops/note.pdf?shop=The+shop+at+the+ferry', ownerOnly: true },
  '/customers/[id]/data.json': { address: `/customers/${DEMO_CUSTOMER}/data.json`, ownerOnly: true },
  '/orders/[tag]/order.pdf': { address: '/orders/Q-0002/order.pdf', ownerOnly: true },
  '/payments/[tag]': { address: '/payments/M-0001', ownerOnly: true },
  '/line-sheet.pdf': {
    address: '/line-sheet.pdf?channel=00000000-0000-4000-a000-000000000000&pattern=12',
    ownerOnly: true,
  },
  '/export/[list]': { address: '/export/wire.csv', ownerOnly: true },
};

/** Routes that are there before anybody is signed in. */
const OUTSIDE = ['/sign-in', '/set-up'];

/** What programs ask with a token of their own; nobody’s sign-in opens it, and api.spec.ts asks all of it. */
const PROGRAMS = '/api/v1/';

/** The other drawers, which share their routes with the beads. */
const MORE_PAGES = [
  '/stones',
  '/stones/S-0001',
  '/findings',
  '/findings/H-0001',
  '/supplies',
  '/supplies/C-0001',
];

const routes = routesIn(APP).filter((route) => !OUTSIDE.includes(route) && !route.startsWith(PROGRAMS));

/** Routes that nobody has said how to open: a new route has to be named here. */
export const UNKNOWN_ROUTES = routes.filter((route) => !OPENED[route] && !ANSWERS[route]);

export const PAGES: readonly Opened[] = [
  ...routes.flatMap((route) => OPENED[route] ?? []),
  ...MORE_PAGES.map((address) => ({ address })),
];

export const ANSWERED: readonly Opened[] = routes.flatMap((route) => ANSWERS[route] ?? []);
