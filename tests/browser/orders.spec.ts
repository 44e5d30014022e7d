import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import bwipjs from 'bwip-js/node';
import { chromium, type Page } from '@playwright/test';
import { readPdf, textsIn } from '../support/readPdf';
import { CHROMIUM } from '../support/chromium';
import { axeIsClean } from './support/axe';
import { DEMO_HELPER, DEMO_URL, expect, signIn, test } from './support/studio';
import { unfold } from './support/stockroom';

/** What a paper of the studio says. */
async function paper(page: Page, address: string): Promise<string> {
  const answer = await page.request.get(DEMO_URL + address);
  expect([address, answer.headers()['content-type']]).toEqual([address, 'application/pdf']);
  return textsIn(readPdf(new Uint8Array(await answer.body()))).join(' ');
}

async function choosePattern(page: Page, name: string): Promise<void> {
  const patterns = page.getByRole('combobox', { name: 'Pattern', exact: true });
  const value = await patterns.locator('option', { hasText: name }).first().getAttribute('value');
  await patterns.selectOption(value);
}

const comesTo = (page: Page) => page.getByRole('region', { name: 'What it comes to' });
const paid = (page: Page) => page.getByRole('region', { name: 'What was paid' });

test('somebody asks for a ring in their size: quoted, ordered with a deposit, and in the schedule', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/orders`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/orders? to be made, \d+ quotes? out/);
  await axeIsClean(page);
  await page.getByRole('link', { name: 'Write a quote' }).click();
  await page.getByLabel('Who asks for it').fill('Perpetua Vane');
  await page.getByLabel('Their address').fill('7 Eel Pie Row\nNether Weir');
  await page.getByLabel('What they wish').fill('Thin, for under a glove.');
  await page.getByLabel('How it is sold').selectOption('Made to order');
  await choosePattern(page, 'Gatehouse ring');
  await page.getByLabel('Ring size').fill('US 6');
  await page.getByRole('combobox', { name: 'Metal', exact: true }).selectOption('sterling');

  // What it costs to make, and what to ask, is told before a price is typed.
  await comesTo(page)
    .getByRole('button', { name: /^Ask \$/ })
    .click();
  await expect(page.getByLabel('Price of one')).toHaveValue(/^\d+\.\d\d$/);
  await page.getByLabel('Price of one').fill('1');
  await expect(comesTo(page)).toContainText('It sells below its cost.');
  await page.getByLabel('Price of one').fill('70');
  // And 6.00 for sending, of which 5.10 and a box of 1.20 are spent.
  await expect(comesTo(page)).toContainText('$76.00 to pay');
  await expect(comesTo(page)).toContainText('$69.70 comes to you');
  await page.getByLabel('Asked before it is begun').fill('80');
  await axeIsClean(page);
  await page.getByRole('button', { name: 'Write the quote' }).click();
  await expect(page.getByText('$80.00 was given; all of it comes to $76.00.').first()).toBeVisible();
  await page.getByLabel('Asked before it is begun').fill('25');
  await page.getByRole('button', { name: 'Write the quote' }).click();

  await expect(page).toHaveURL(/\/orders\/Q-\d{4}$/);
  const order = new URL(page.url()).pathname;
  await expect(page.getByRole('heading', { level: 1 })).toContainText('for Perpetua Vane');
  const quote = await paper(page, `${order}/order.pdf`);
  expect(quote).toMatch(/Sparrowgate Wire Studio.*Quote Q-\d{4}/);
  for (const said of [
    'For Perpetua Vane',
    '7 Eel Pie Row',
    'size US 6, in sterling',
    '$76.00',
    'Tax number SW-40417',
  ])
    expect(quote).toContain(said);
  expect(quote).toContain('$25.00 of it is asked before it is begun.');
  expect(quote).not.toMatch(/cost|margin|an hour/i);

  await page.getByLabel('Promised for').fill('2027-03-01');
  await page.getByRole('button', { name: 'They order it' }).click();
  await expect(page.getByRole('heading', { level: 2, name: '0 of 1 made' })).toBeVisible();
  await expect(page.getByText(/^By your bench hours it is ready on /)).toBeVisible();
  await unfold(page, 'Money comes in, or goes back');
  await expect(page.getByLabel('How much')).toHaveValue('25.00');
  await page.getByLabel('How much').fill('77');
  await page.getByRole('button', { name: 'Write the payment down' }).click();
  await expect(page.getByText('$77.00 was given; $76.00 is still to pay.').first()).toBeVisible();
  await page.getByLabel('How much').fill('25');
  await page.getByRole('button', { name: 'Write the payment down' }).click();
  await expect(paid(page).getByRole('heading', { level: 2 })).toHaveText('$51.00 still to pay');
  await axeIsClean(page);
  const receipt = paid(page).getByRole('link', { name: /^M-\d{4}$/ });
  expect(await paper(page, (await receipt.getAttribute('href')) ?? '')).toMatch(
    /Paid before M-\d{4}.*\$25\.00/,
  );

  // The batch says what it is for, and is due when the ring is promised.
  await page.getByRole('link', { name: /^To the batch R-/ }).click();
  await expect(page.getByText('due on Mar 1, 2027', { exact: false })).toBeVisible();
  await expect(page.getByText('Thin, for under a glove.')).toBeVisible();
  const name = `${order.slice(-6)} for Perpetua Vane`;
  await page.goto(`${DEMO_URL}/batches/hours`);
  await expect(page.getByText(name).first()).toBeVisible();
  await page.goto(DEMO_URL + order);
  await expect(page.getByRole('link', { name: 'Change it' })).toHaveCount(0);
});

test('a shop orders from the shelf and pays its invoice later', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/orders/new`);
  await page.getByLabel('Who asks for it').fill('Lockside Rooms');
  await page.getByLabel('How it is sold').selectOption('Shops that buy');
  await choosePattern(page, 'Rookery tree');
  await page.getByLabel('How many').fill('2');
  await page.getByLabel('Price of one').fill('40');
  await page.getByLabel('Time to pay the rest').fill('14');
  await page.getByRole('button', { name: 'Write the quote' }).click();
  await expect(page).toHaveURL(/\/orders\/Q-\d{4}$/);
  const order = new URL(page.url()).pathname;
  await page.getByLabel(/^It is made: plan a batch/).uncheck();
  await page.getByRole('button', { name: 'They order it' }).click();
  await page.getByRole('link', { name: 'Hand it over' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Hand over what Lockside Rooms ordered');
  await expect(page.getByRole('group', { name: /^F-/ })).toHaveCount(2);
  await expect(comesTo(page)).toContainText('$80.00 to pay within 14 days');
  await axeIsClean(page);
  await page.getByRole('button', { name: 'Hand it over' }).click();

  await expect(page).toHaveURL(/\/sales\/N-\d{4}$/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Invoice N-\d{4}$/);
  await expect(page.getByRole('link', { name: order.slice(-6) })).toBeVisible();
  const invoice = await paper(page, `${new URL(page.url()).pathname}/receipt.pdf`);
  expect(invoice).toMatch(/Invoice N-\d{4}.*To be paid by transfer by .*\$80\.00/);
  expect(invoice).toContain('Weir Savings');
  await page.goto(`${DEMO_URL}/orders?state=open&words=Lockside`);
  await expect(page.getByRole('list', { name: 'Orders' }).getByRole('listitem')).toContainText(
    'to be paid by',
  );
  await page.goto(DEMO_URL + order);
  await unfold(page, 'Money comes in, or goes back');
  await expect(page.getByLabel('How much')).toHaveValue('80.00');
  await page.getByRole('button', { name: 'Write the payment down' }).click();
  await expect(paid(page).getByRole('heading', { level: 2 })).toHaveText('Nothing is to pay');
  await expect(page.getByText('done · quoted on', { exact: false })).toBeVisible();
});

test('a line sheet shows shops what they pay', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/orders/sheet`);
  await page.getByLabel('Prices of').selectOption('Shops that buy');
  await page.getByLabel('Look for').fill('tidepool');
  await page.getByRole('checkbox', { name: /Tidepool drop/ }).check();
  await page.getByLabel('Look for').fill('ring');
  await expect(page.getByRole('checkbox', { name: /Tidepool drop/ })).toBeHidden();
  await page.getByRole('checkbox', { name: /Gatekeeper ring/ }).check();
  await expect(page.getByRole('heading', { level: 2 })).toHaveText('2 patterns');
  await axeIsClean(page);
  const asked = await page.locator('form[action="/line-sheet.pdf"]').evaluate((form) => {
    const typed = [...new FormData(form as HTMLFormElement)].map(([name, value]) => [name, String(value)]);
    return new URLSearchParams(typed).toString();
  });
  const sheet = await paper(page, `/line-sheet.pdf?${asked}`);
  for (const said of ['Shops that buy', 'Tidepool drop', 'Gatekeeper ring', 'Paid within 30 days'])
    expect(sheet).toContain(said);
  // What is chosen stays chosen while something else is looked for.
  expect(sheet).toMatch(/\$\d+\.\d\d tag \$\d+\.\d\d/);
});

test('a tray is priced together: five schools, then one price with what an hour of each earns', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/shelf?state=on+the+shelf&words=sea+glass`);
  const boxes = page.getByRole('checkbox', { name: /^Choose F-/ });
  await expect(boxes.nth(1)).toBeVisible();
  await boxes.nth(0).check();
  await boxes.nth(1).check();
  await unfold(page, '2 pieces chosen');
  await page.getByRole('button', { name: 'Price them together' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Price 2 pieces together');
  const schools = page.getByRole('region', { name: 'Five ways to price them' });
  await expect(schools.getByRole('row', { name: /^Doubled twice/ })).toBeVisible();
  await expect(schools.getByRole('row', { name: /^2 × Sea glass cage/ })).toBeVisible();
  const one = page.getByRole('region', { name: 'One price for the tray' });
  await one.getByLabel('One price for all').fill('a lot');
  await expect(one.getByText(/“a lot” is not an amount/)).toBeVisible();
  await one.getByLabel('One price for all').fill('23');
  const row = one.getByRole('row', { name: /^2 × Sea glass cage/ });
  await expect(row).toContainText(/\$[\d.].*\d min.*\d min/);
  await axeIsClean(page);
  await one.getByRole('button', { name: 'Put it on 2 pieces' }).click();
  await expect(page.getByText('2 prices changed.').first()).toBeVisible();
  await expect(schools.getByRole('row', { name: /^Going price/ })).toContainText('$46.00');
});

/** A film of one still picture: a tag before the camera. YUV4MPEG2, grey. */
function filmOf(text: string, file: string): void {
  const [code] = bwipjs.raw({ bcid: 'qrcode', text });
  if (!code || !('pixs' in code)) throw new Error('it has a code');
  const { pixs, pixx: side } = code;
  const [width, height, scale] = [640, 480, 10];
  const light = Buffer.alloc(width * height, 225);
  const [left, top] = [(width - side * scale) / 2, (height - side * scale) / 2].map(Math.floor);
  for (let y = 0; y < side * scale; y += 1)
    for (let x = 0; x < side * scale; x += 1)
      if (pixs[Math.floor(y / scale) * side + Math.floor(x / scale)] === 1)
        light[((top ?? 0) + y) * width + (left ?? 0) + x] = 20;
  const colour = Buffer.alloc((width * height) / 2, 128);
  const frame = Buffer.concat([Buffer.from('FRAME\n'), light, colour]);
  fs.writeFileSync(
    file,
    Buffer.concat([
      Buffer.from(`YUV4MPEG2 W${width} H${height} F10:1 Ip A1:1 C420jpeg\n`),
      frame,
      frame,
      frame,
    ]),
  );
}

test('the camera reads a tag, and the piece is in the basket', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/shelf?state=on+the+shelf&words=osier`);
  const said =
    (await page
      .getByText(/^Choose F-\d{4}$/)
      .first()
      .textContent()) ?? '';
  const tag = said.replace('Choose ', '');
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'film-'));
  const film = path.join(folder, 'tag.y4m');
  filmOf(tag, film);
  const browser = await chromium.launch({
    ...CHROMIUM,
    args: [
      ...CHROMIUM.args,
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  try {
    const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await signIn(phone, DEMO_HELPER);
    await phone.goto(`${DEMO_URL}/stall`);
    await phone.getByRole('button', { name: 'Scan tags' }).click();
    await expect(phone.getByLabel('What the camera sees')).toBeVisible();
    await expect(phone.getByText(/ is in the basket\.$/)).toBeVisible();
    await expect(phone.getByRole('button', { name: new RegExp(tag) })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await phone.getByRole('button', { name: 'Shut the camera' }).click();
    await expect(phone.getByLabel('What the camera sees')).toBeHidden();
    await phone.goto(`${DEMO_URL}/selling`);
    await phone.getByRole('button', { name: 'Scan tags' }).click();
    await expect(phone.getByRole('group', { name: tag })).toBeVisible();
  } finally {
    await browser.close();
    fs.rmSync(folder, { recursive: true });
  }
});
