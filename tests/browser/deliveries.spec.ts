import AxeBuilder from '@axe-core/playwright';
import { DEMO_URL, expect, listen, pressUntil, test } from './support/studio';

test('a delivery of two lines comes in with its postage, is shown, and is ordered again', async ({
  owner: page,
}) => {
  const complaints = listen(page);
  await pressUntil(page, 'd', page.getByRole('heading', { name: /What came in one delivery/ }));
  await page.getByLabel('Supplier').fill('Tern & Daughter Metals');
  const wire = page.getByRole('group', { name: /^Line 1/ });
  await wire.getByLabel('Size on the label').fill('20ga');
  await wire.getByLabel('Length').fill('50 ft');
  await wire.getByLabel('Price of the line').fill('18.00');
  await page.getByRole('button', { name: 'Beads' }).click();
  const beads = page.getByRole('group', { name: /^Line 2/ });
  // A new line is not wrong before anybody typed into it.
  await expect(beads.getByLabel('Material')).toBeFocused();
  await expect(beads.locator('[aria-invalid="true"]')).toHaveCount(0);
  await beads.getByLabel('Material').fill('bluebell glass');
  await beads.getByLabel('Size across').fill('5');
  await beads.getByLabel('Hole').fill('1');
  await beads.getByLabel('How many').fill('4 dozen');
  await beads.getByLabel('Price of the line').fill('6.00');
  await page.getByLabel('Postage', { exact: true }).fill('4.00');
  // Three quarters of the postage are the wire's.
  await expect(wire.getByText('Comes to $21.00 with $3.00 of the postage')).toBeVisible();
  await expect(beads.getByText('Comes to $7.00 with $1.00 of the postage')).toBeVisible();
  await expect(page.getByText('2 lines, $28.00 with postage and tax')).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);

  await page.getByLabel('Postage is shared').selectOption('weight');
  await page.getByRole('button', { name: 'Put it all away' }).click();
  await expect(beads.getByText('Say what this weighs')).toBeVisible();
  await expect(beads.getByLabel('Weighs, packed')).toBeFocused();
  await page.getByLabel('Postage is shared').selectOption('value');
  await page.getByRole('button', { name: 'Put it all away' }).click();

  await expect(page.getByRole('heading', { level: 1 })).toContainText('2 lines, $28.00');
  const row = page.getByRole('row', { name: /bluebell glass/ });
  await expect(row).toContainText('$7.00');
  await page.getByRole('link', { name: 'The same again' }).click();
  await expect(
    page.getByRole('group', { name: /^Line 2: bluebell glass/ }).getByLabel('How many'),
  ).toHaveValue('48');
  await page.goBack();
  await row.getByRole('link').click();
  await expect(page.getByText('$1.00 of it postage and tax')).toBeVisible();
  await page.getByRole('link', { name: 'buy the same again' }).click();
  await expect(page.getByLabel('Material')).toHaveValue('bluebell glass');
  await expect(page.getByLabel('Paid for it')).toHaveValue('6.00');
  expect(complaints).toEqual([]);
});

test('a delivery in another currency asks what it came to', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/deliveries/new?again=D-0001`);
  await page.getByLabel('The invoice is in').selectOption('EUR');
  await expect(page.getByLabel('All of it came to, in USD')).toBeVisible();
  await expect(page.getByText('5 lines, €76.80 with postage and tax')).toBeVisible();
  await page.getByRole('button', { name: 'Put it all away' }).click();
  await expect(page.getByText('The invoice is in EUR; say what it came to in USD.').first()).toBeVisible();
  await page.getByLabel('All of it came to, in USD').fill('90');
  await page.getByRole('button', { name: 'Put it all away' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('5 lines, €76.80');
});
