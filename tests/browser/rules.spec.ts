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
