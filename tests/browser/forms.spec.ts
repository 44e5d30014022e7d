import { DEMO_URL, expect, test } from './support/studio';

test('what is typed into a form is there again after a reload, Back and a click away, until it is sent', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/beads/receive`);
  const [material, shades] = [page.getByLabel('Material'), page.getByLabel('Shades or sizes')];
  const isBack = page.getByText('What you typed here before is back');
  await material.fill('sea glass');
  await page.getByLabel('Size across').fill('6');
  await page.reload();
  await expect(material).toHaveValue('sea glass');
  await expect(page.getByLabel('Size across')).toHaveValue('6 mm');
  await expect(isBack).toBeVisible();

  await shades.fill('pale 3');
  await page.getByRole('link', { name: 'Ledger' }).click();
  await expect(page).toHaveURL(/ledger/);
  await page.goBack();
  await expect(shades).toHaveValue('pale 3');
  // Another form is not filled in with it.
  await page.goto(`${DEMO_URL}/stones/receive`);
  await expect(page.getByLabel('Stone', { exact: true })).toHaveValue('');
  await expect(isBack).toBeHidden();
  await page.goto(`${DEMO_URL}/beads/receive`);
  await expect(material).toHaveValue('sea glass');

  await page.getByRole('button', { name: 'Start anew' }).click();
  await expect(material).toHaveValue('');
  await page.reload();
  await expect(page.getByLabel('They came')).toBeEnabled();
  await expect(material).toHaveValue('');
  await expect(isBack).toBeHidden();
});

test('rows of a form come back too, and what was sent does not', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/batches/new`);
  const name = page.getByLabel('What is it for?');
  await name.fill('Harbour stall');
  const rows = page.getByLabel('How many');
  const another = page.getByRole('button', { name: 'Another pattern' });
  await another.click();
  await expect(rows).toHaveCount(2);
  await rows.nth(1).fill('7');
  await page.reload();
  await expect(name).toHaveValue('Harbour stall');
  await expect(rows).toHaveCount(2);
  await expect(rows.nth(1)).toHaveValue('7');
  for (const row of [0, 1])
    await page.getByLabel('Pattern', { exact: true }).nth(row).selectOption({ index: 1 });
  await page.getByRole('button', { name: 'Plan this batch' }).click();
  await expect(page).toHaveURL(/\/batches\/R-\d{4}$/);
  await page.goto(`${DEMO_URL}/batches/new`);
  await expect(another).toBeEnabled();
  await expect(name).toHaveValue('');
  await expect(rows).toHaveCount(1);
});

test('a password is kept nowhere', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/rules`);
  const unfold = page.getByText('Give a helper a sign-in');
  await unfold.click();
  await page.getByLabel('Helper’s name').fill('Ina');
  await page.getByLabel('First password').fill('nobody keeps this');
  await page.reload();
  await unfold.click();
  await expect(page.getByLabel('Helper’s name')).toHaveValue('Ina');
  await expect(page.getByLabel('First password')).toHaveValue('');
  const kept = await page.evaluate(() => JSON.stringify({ ...sessionStorage, ...localStorage }));
  expect(kept).toContain('Ina');
  expect(kept).not.toContain('nobody keeps this');
});
