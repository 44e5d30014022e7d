import { execFile } from 'node:child_process';
import path from 'node:path';
import { promisify } from 'node:util';
import Papa from 'papaparse';
import type { Browser, Page } from '@playwright/test';
import { AT_FAIR, priceOf, STALL_HELPER, STALL_OWNER } from '../support/fairDay';
import { expect, FAIR_OWNER_URL, FAIR_URL, signIn, test } from './support/studio';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };
/** Sales of each phone, and how many of them before the network is gone. */
const EACH = 30;
const ONLINE = 15;

const tagOf = (piece: number): string => `F-${String(piece).padStart(4, '0')}`;

interface Sale {
  readonly pieces: readonly number[];
  /** In dollars. */
  readonly taken: number;
  readonly paid: 'cash' | 'card';
}

/** What a phone sells: mostly one piece, now and then two for one price. */
function salesOf(pieces: readonly number[]): readonly Sale[] {
  const left = [...pieces];
  return Array.from({ length: EACH }, (_, index): Sale => {
    const sold = left.splice(0, index % 10 === 9 ? 2 : 1);
    const asked = sold.reduce((sum, piece) => sum + priceOf(piece), 0);
    return {
      pieces: sold,
      taken: sold.length > 1 ? asked - 3 : asked,
      paid: index % 3 === 0 ? 'card' : 'cash',
    };
  });
}

async function phone(browser: Browser, who: { login: string; password: string }): Promise<Page> {
  const context = await browser.newContext(PHONE);
  const page = await context.newPage();
  await signIn(page, who, FAIR_URL);
  await page.goto(`${FAIR_URL}/stall`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harbour fair');
  // The page, its scripts and the picture of every piece lie on the phone before it goes out.
  const kept = () =>
    page.evaluate(async () => {
      const paths = (
        await Promise.all((await caches.keys()).map(async (name) => (await caches.open(name)).keys()))
      )
        .flat()
        .map(({ url }) => new URL(url).pathname);
      return [paths.includes('/stall'), paths.filter((each) => each.startsWith('/pictures/')).length];
    });
  await expect.poll(kept).toEqual([true, AT_FAIR]);
  return page;
}

async function lay(page: Page, piece: number): Promise<void> {
  const field = page.getByRole('searchbox', { name: 'Number on the tag' });
  await field.fill(tagOf(piece));
  await field.press('Enter');
  await expect(page.getByText(' is in the basket.')).toBeVisible();
}

/** Sells as at the stall: tags, what is let go, what is handed over. */
async function sell(page: Page, { pieces, taken, paid }: Sale): Promise<void> {
  for (const piece of pieces) await lay(page, piece);
  await page.getByRole('button', { name: 'To pay' }).click();
  if (pieces.length > 1) {
    await page.getByLabel('Let go').selectOption('one price for all');
    await page.getByLabel('All for').fill(String(taken));
  }
  await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText(`$${taken}.00 to pay`);
  if (paid === 'card') await page.getByText('by card').click();
  else {
    const likely = page.getByRole('group', { name: 'Likely handed over' }).getByRole('button');
    await likely.last().click();
  }
  await page.getByRole('button', { name: 'Sold', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Sold' })).toContainText(`sold for $${taken}.00`);
  await page.getByRole('button', { name: 'Next buyer' }).click();
}

async function sellAll(page: Page, sales: readonly Sale[]): Promise<void> {
  for (const sale of sales) await sell(page, sale);
}

const taken = (sales: readonly Sale[], paid?: Sale['paid']): number =>
  sales.reduce((sum, sale) => sum + (paid === undefined || sale.paid === paid ? sale.taken : 0), 0);

const dollars = (amount: number): string =>
  `$${amount.toLocaleString('en-US', { minimumFractionDigits: 2, maximumFractionDigits: 2 })}`;

test('a day at the fair: sixty sales on two phones, the network gone for half of them, one piece sold twice', async ({
  browser,
}) => {
  const [hers, his] = [await phone(browser, STALL_OWNER), await phone(browser, STALL_HELPER)];
  // Each reaches into the same box; what both sell by mistake is the last.
  const twice = AT_FAIR - 1;
  const instead = AT_FAIR;
  const pieces = Array.from({ length: AT_FAIR - 4 }, (_, index) => index + 1);
  const herSales = salesOf(pieces.filter((piece) => piece % 2 === 1));
  const his30 = salesOf(pieces.filter((piece) => piece % 2 === 0));
  const hisSales = [...his30.slice(0, -1), { pieces: [twice], taken: priceOf(twice), paid: 'cash' } as const];
  const herLast = { pieces: [twice], taken: priceOf(twice), paid: 'card' } as const;
  const hersAll = [...herSales.slice(0, -1), herLast];

  await Promise.all([sellAll(hers, hersAll.slice(0, ONLINE)), sellAll(his, hisSales.slice(0, ONLINE))]);
  // What one phone sold is not offered on the other.
  await expect(async () => {
    await his.evaluate(() => window.dispatchEvent(new Event('focus')));
    await expect(his.getByRole('button', { name: tagOf(1) })).toHaveCount(0, { timeout: 3000 });
  }).toPass();

  // The network is gone for the rest of the day; hers is even put away and opened again.
  for (const page of [hers, his]) {
    await expect(page.getByText('Every sale is told to the studio')).toBeVisible();
    await page.context().setOffline(true);
  }
  await Promise.all([
    sellAll(hers, hersAll.slice(ONLINE, ONLINE + 5)),
    sellAll(his, hisSales.slice(ONLINE, ONLINE + 5)),
  ]);
  await hers.goto(`${FAIR_URL}/stall`);
  await expect(hers.getByText('5 sales to be told to the studio')).toBeVisible();
  await expect(hers.getByRole('button', { name: tagOf(twice) }).getByRole('img')).toHaveJSProperty(
    'complete',
    true,
  );
  // Told wrongly, it is taken back while nobody else knows of it.
  await sell(hers, { pieces: [AT_FAIR - 2], taken: priceOf(AT_FAIR - 2), paid: 'card' });
  await hers.getByRole('button', { name: /^Sold here/ }).click();
  await hers.getByRole('button', { name: 'Take it back' }).first().click();
  await hers.getByRole('button', { name: 'To the pieces' }).click();
  await hers.getByRole('button', { name: tagOf(AT_FAIR - 2) }).click();
  await expect(hers.getByRole('button', { name: 'To pay' })).toHaveCount(0);
  await Promise.all([sellAll(hers, hersAll.slice(ONLINE + 5)), sellAll(his, hisSales.slice(ONLINE + 5))]);

  // Each till is what was taken at it.
  for (const [page, sales] of [
    [hers, hersAll],
    [his, hisSales],
  ] as const) {
    await page.getByRole('button', { name: `Sold here: ${EACH}` }).click();
    const till = page.getByRole('region', { name: 'Taken today' });
    await expect(till).toContainText(`${dollars(taken(sales))} taken today`);
    await expect(till).toContainText(`${dollars(taken(sales, 'cash'))} in cash`);
    await expect(till).toContainText(`${dollars(taken(sales, 'card'))} by card`);
  }

  // Back in the studio: hers first, so that his of the same piece cannot be entered.
  await hers.context().setOffline(false);
  await expect(hers.getByText('Every sale is told to the studio')).toBeVisible();
  await his.context().setOffline(false);
  await expect(his.getByText('1 sale could not be entered as it was told')).toBeVisible();
  await expect(his.getByRole('list', { name: 'Sales' })).toContainText(
    `To be settled: ${tagOf(twice)} is sold; it cannot be sold.`,
  );

  // It was another piece: he puts that in its place, for what was taken.
  await his.goto(`${FAIR_URL}/sales`);
  const settling = his.getByRole('region', { name: 'To be settled' });
  await expect(settling).toContainText('1 sale of the stall waits to be settled');
  await settling.getByRole('link', { name: tagOf(twice) }).click();
  await his.getByRole('button', { name: `Remove ${tagOf(twice)}` }).click();
  await his.getByLabel('Number on the tag').fill(tagOf(instead));
  await his.getByLabel('Number on the tag').press('Enter');
  await his
    .getByRole('group', { name: tagOf(instead) })
    .getByLabel('Asked for it')
    .fill(String(priceOf(twice)));
  await his.getByRole('button', { name: 'Sell', exact: true }).click();
  await expect(his.getByRole('heading', { level: 1 })).toHaveText(/^Receipt N-/);
  await his.goto(`${FAIR_URL}/stall`);
  await expect(his.getByText('could not be entered')).toHaveCount(0);

  // The books hold each sale once, to the cent; receipts run without a gap.
  const all = taken(hersAll) + taken(hisSales);
  await hers.goto(`${FAIR_URL}/sales`);
  await expect(hers.getByRole('heading', { level: 1 })).toContainText(
    `${2 * EACH} sales for ${dollars(all)}`,
  );
  const csv = await (await hers.request.get(`${FAIR_URL}/export/sales.csv`)).text();
  const lines = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: true,
  }).data;
  const receipts = [...new Set(lines.map(({ Receipt }) => Receipt))].toSorted();
  expect(receipts).toEqual(
    Array.from({ length: 2 * EACH }, (_, index) => `N-${String(index + 1).padStart(4, '0')}`),
  );
  const cents = (column: string, of = lines): number =>
    of.reduce((sum, line) => sum + Math.round(Number(line[column]) * 100), 0);
  expect(cents('Gross')).toBe(all * 100);
  // A sixth of every receipt is tax, rounded once on each; 3 % and ten cents of it are the fair's.
  const told = [...hersAll, ...hisSales];
  const sumOf = (of: (gross: number) => number) => told.reduce((sum, sale) => sum + of(sale.taken * 100), 0);
  expect(cents('Tax')).toBe(sumOf((gross) => Math.round(gross / 6)));
  expect(cents('Fees')).toBe(sumOf((gross) => Math.round(gross * 0.03) + 10));
  const sold = lines.map(({ Piece }) => Piece).toSorted();
  const expected = [...hersAll, ...hisSales.slice(0, -1)].flatMap((sale) => sale.pieces.map(tagOf));
  expect(sold).toEqual([...expected, tagOf(instead)].toSorted());
  const { stdout } = await promisify(execFile)('./run', ['check-books'], {
    cwd: path.join(__dirname, '../..'),
    env: { ...process.env, DATABASE_URL: FAIR_OWNER_URL },
  });
  expect(stdout).toContain(`${AT_FAIR} finished pieces`);
});
