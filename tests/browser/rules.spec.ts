import { sayDay } from '../../src/core/calendar/day';
import { readPdf, textsIn } from '../support/readPdf';
import { DEMO_URL, expect, test } from './support/studio';

/** Everything that changes the house rules stands in this file, since its tests run one after another. */

test('a form that somebody else overtook', async ({ owner: page, context }) => {
  await page.goto(page.url().replace('/rack', '/rules'));
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByLabel('Fee of a sale').fill('4');
  await other.getByRole('button', { name: 'Keep these rules' }).click();
  await expect(other.getByText('The house rules are changed.')).toBeVisible();
  await page.getByLabel('Margin to keep').fill('31');
  await page.getByRole('button', { name: 'Keep these rules' }).click();
  await expect(page.getByText(/Somebody changed the rules while you had this page open/)).toBeVisible();
  await expect(page.getByLabel('Margin to keep')).toHaveValue('31');
});

test('the house rules change what the schools say', async ({ owner: page }) => {
  const priceOf = async (school: RegExp) => {
    await page.goto(`${DEMO_URL}/shelf/F-0011`);
    return page.getByRole('row', { name: school }).getByRole('cell').first().innerText();
  };
  await page.goto(`${DEMO_URL}/rules`);
  await page.getByLabel('Your prices end in').fill('9.50');
  await page.getByRole('button', { name: 'Keep these rules' }).click();
  await expect(page.getByText('The house rules are changed.')).toBeVisible();
  expect(await priceOf(/Hour’s earnings/)).toMatch(/9\.50$/);
  await page.goto(`${DEMO_URL}/rules`);
  await page.getByLabel('Your prices end in').fill('nine');
  await page.getByRole('button', { name: 'Keep these rules' }).click();
  await expect(page.getByText('“nine USD” is not an amount', { exact: false })).toBeVisible();
  await page.getByLabel('Your prices end in').fill('');
  await page.getByRole('button', { name: 'Keep these rules' }).click();
  await expect(page.getByText('The house rules are changed.')).toBeVisible();
  await expect(page.getByLabel('Your prices end in')).toHaveValue('');
});

test('numbers, dates and papers are as the studio has them', async ({ owner: page }) => {
  const keep = async (numbers: string, days: string, sheet: string, lengths: string) => {
    await page.goto(`${DEMO_URL}/rules`);
    await page.getByLabel('Numbers are written').selectOption(numbers);
    await page.getByLabel('Dates are written').selectOption(days);
    await page.getByLabel('Papers are printed on').selectOption(sheet);
    await page.getByLabel('Lengths are shown in').selectOption(lengths);
    await page.getByRole('button', { name: 'Keep these rules' }).click();
    await expect(page.getByText('The house rules are changed.')).toBeVisible();
  };
  const dateOf = () => page.locator('main time').first();
  await page.goto(`${DEMO_URL}/shelf/F-0011`);
  const madeOn = await dateOf().getAttribute('datetime');
  if (madeOn === null) throw new Error('a piece was made on a day');
  await expect(dateOf()).toHaveText(sayDay(madeOn, 'month'));
  await keep('comma', 'day', 'A4', 'mm');

  await page.goto(`${DEMO_URL}/shelf/F-0011`);
  await expect(dateOf()).toHaveText(sayDay(madeOn, 'day'));
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/cost \$\d+,\d\d /);

  // Typed as one writes there, sent and kept as the same amount; what would be a thousand elsewhere is a decimal here.
  await page.goto(`${DEMO_URL}/rack/receive`);
  const price = page.getByLabel('Paid for it');
  await price.fill('1.250,50');
  await expect(page.getByText('$1.250,50', { exact: true })).toBeVisible();
  await price.fill('1.250');
  await expect(page.getByText('$1.250,00', { exact: true })).toBeVisible();
  await page.getByLabel('Length', { exact: true }).fill('1,250 m');
  await expect(page.getByText('1,25 m ≈', { exact: false })).toBeVisible();

  const pdf = await page.request.get(`${DEMO_URL}/patterns/P-0001/card.pdf`);
  const [first] = readPdf(await pdf.body());
  expect(Math.round(first?.width ?? 0)).toBe(595);
  expect(textsIn(first ? [first] : []).some((each) => /: \d+,\d mm, \d/.test(each))).toBe(true);
  await keep('point', 'month', 'Letter', 'in');
  const again = await page.request.get(`${DEMO_URL}/patterns/P-0001/card.pdf`);
  const [letter] = readPdf(await again.body());
  expect(Math.round(letter?.width ?? 0)).toBe(612);
  expect(textsIn(letter ? [letter] : []).some((each) => /: \d[\d /]* in, \d+(\.\d)? mm/.test(each))).toBe(
    true,
  );
});

test('a useful minimum of its own for one wire', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/rules`);
  const rows = page.getByLabel('But for');
  const before = await rows.count();
  await page.getByRole('button', { name: 'Another for one wire' }).click();
  await page.getByRole('button', { name: 'Keep these rules' }).click();
  await expect(page.getByText('Enter a length', { exact: false })).toBeVisible();
  await rows.last().selectOption({ index: 3 });
  await page.getByLabel('from', { exact: true }).last().fill('1/2');
  await page.getByRole('button', { name: 'Keep these rules' }).click();
  await expect(page.getByText('The house rules are changed.')).toBeVisible();
  await page.reload();
  await expect(rows).toHaveCount(before + 1);
  await page.getByRole('button', { name: `Remove minimum ${before + 1}` }).click();
  await page.getByRole('button', { name: 'Keep these rules' }).click();
  await expect(page.getByText('The house rules are changed.')).toBeVisible();
});
