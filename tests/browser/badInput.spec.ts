import { expect, signIn, test } from './support/studio';

test.describe('bad input keeps what was typed and posts nothing', () => {
  const rows = [
    ['', /Enter a length/],
    ['-3', /negative/],
    ['1e9 km', /“1e9 km”/],
    ['10 1/0 in', /0 below the line/],
    ['ten', /“ten” is not a length/],
  ] as const;
  for (const [typed, message] of rows) {
    test(`a length of “${typed}”`, async ({ owner: page }) => {
      await page.goto(page.url().replace('/rack', '/rack/receive'));
      await page.getByLabel('Size on the label').fill('20');
      await page.getByLabel('Length', { exact: true }).fill(typed);
      await page.getByLabel('Paid for it').fill('12');
      await page.getByRole('button', { name: 'Put it on the rack' }).click();
      await expect(page.getByText(message)).toBeVisible();
      await expect(page.getByLabel('Length', { exact: true })).toHaveAttribute('aria-invalid', 'true');
      await expect(page.getByLabel('Length', { exact: true })).toHaveValue(typed);
      await expect(page.getByLabel('Paid for it')).toHaveValue('12');
      await expect(page).toHaveURL(/receive$/);
    });
  }

  test('a gauge that does not exist, and a price of nothing', async ({ owner: page }) => {
    await page.goto(page.url().replace('/rack', '/rack/receive'));
    await page.getByLabel('Size on the label').fill('77');
    await page.getByLabel('Length', { exact: true }).fill('10 ft');
    await page.getByLabel('Paid for it').fill('0');
    await page.getByRole('button', { name: 'Put it on the rack' }).click();
    await expect(
      page.getByText('There is no AWG number “77”; it runs from 0000 to 44, like 20.'),
    ).toBeVisible();
    await expect(page.getByText(/say that it was free, or what it was worth/)).toBeVisible();
  });

  test('HTML in a name is only a name; 5,000 characters are too many', async ({ owner: page }) => {
    await page.goto(page.url().replace('/rack', '/patterns/new'));
    const name = page.getByLabel('Name of the pattern');
    await name.fill('x'.repeat(5000));
    await page.getByLabel('Called').fill('wire');
    await page.getByLabel('Cut from').selectOption({ index: 1 });
    await page.getByLabel('Net length of each').fill('4 in');
    await page.getByLabel('Step 1').fill('bend');
    await page.getByLabel('Minutes').fill('5');
    await page.getByRole('button', { name: 'Save pattern' }).click();
    await expect(page.getByText('This is 5,000 characters long; 120 are allowed.')).toBeVisible();
    await expect(name).toHaveValue('x'.repeat(5000));
    const markup = `<img src=x onerror=alert(1)> ${Date.now()}`;
    await name.fill(markup);
    await page.getByRole('button', { name: 'Save pattern' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText(markup);
    await expect(page.locator('img')).toHaveCount(0);
  });

  test('a session that has ended', async ({ owner: page, context }) => {
    await page.goto(page.url().replace('/rack', '/rack/receive'));
    await page.getByLabel('Size on the label').fill('20');
    await page.getByLabel('Length', { exact: true }).fill('10 ft');
    await page.getByLabel('Paid for it').fill('9');
    await context.clearCookies();
    await page.getByRole('button', { name: 'Put it on the rack' }).click();
    await expect(page.getByText(/Your session has ended; nothing was posted/)).toBeVisible();
    await expect(page.getByLabel('Length', { exact: true })).toHaveValue('10 ft');
  });

  test('a connection that is lost, then a second press that posts once', async ({ page, context }) => {
    await signIn(page);
    await page.goto(page.url().replace('/rack', '/rack/receive'));
    await page.getByLabel('Size on the label').fill('21');
    await page.getByLabel('Length', { exact: true }).fill('10 ft');
    await page.getByLabel('Paid for it').fill('9');
    await context.setOffline(true);
    await page.getByRole('button', { name: 'Put it on the rack' }).click();
    await expect(page.getByText(/The studio cannot be reached. What you typed is still here/)).toBeVisible();
    await context.setOffline(false);
    await page.getByRole('button', { name: 'Put it on the rack' }).dblclick();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('10 ft left on spool');
  });
});
