import AxeBuilder from '@axe-core/playwright';
import { DEMO_URL, expect, test } from './support/studio';

test('a pattern begins from a stone of the drawer: what could hold it, with what it costs', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/fitting`);
  const stones = page.getByLabel('A stone of the studio');
  const oval = await stones
    .locator('option')
    .evaluateAll((options) => options.map(({ textContent }) => textContent ?? ''))
    .then((all) => all.find((each) => /oval/.test(each)) ?? '');
  await stones.selectOption(oval);
  await page.getByRole('button', { name: 'Try this stone' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('patterns suit it');
  const begin = page.getByRole('link', { name: /^Compose it for this/ }).first();
  const tried = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: /^Compose it for this/ }) })
    .first();
  await expect(tried.getByText(/costs \$\d+/)).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  await begin.click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^\d+ wires?, .* together, \d+ minutes$/);
  // It is for that stone, by its measures and its name; nothing is saved yet.
  await expect(page.getByRole('combobox', { name: 'Stone: Outline' })).toHaveValue('oval');
  await expect(page.getByLabel('Name of the pattern')).toHaveValue(/, .*oval/);
  await expect(page.getByRole('button', { name: 'Save pattern' })).toBeEnabled();
});

test('a pattern begins from a length of the rack: what could be cut from it', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/rack?words=20+ga+copper`);
  await page
    .getByRole('link', { name: /^W-\d+/ })
    .first()
    .click();
  const become = page.getByRole('link', { name: 'What could it become?' });
  await expect(become).toBeVisible();
  const tag = /W-\d+/.exec(page.url())?.[0] ?? '';
  await become.click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    new RegExp(`^\\d+ of \\d+ patterns can be cut from ${tag}, and the rack has the wire for \\d+$`),
  );
  await page
    .getByRole('link', { name: /^Compose it for this/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^\d+ wires?, .* together, \d+ minutes$/);

  // What is no length of the rack is said beside the field, which keeps what was typed.
  await page.goto(`${DEMO_URL}/fitting?wire=W-999999`);
  const field = page.getByRole('textbox', { name: /^A wire of the rack, by its tag/ });
  await expect(field).toHaveValue('W-999999');
  await expect(field).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByText('“W-999999” is no length of the rack', { exact: false })).toBeVisible();
});

test('a pattern begins from a finished piece, a pattern or a starter pattern', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058`);
  const wires = /^\d+ wires?, .* together, \d+ minutes$/;
  await page.getByRole('link', { name: 'Begin another from it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(wires);
  await expect(page.getByLabel('Name of the pattern')).toHaveValue('Sluicegate pendant');

  await page.goto(`${DEMO_URL}/shelf`);
  await page.getByRole('link', { name: /F-\d+/ }).first().click();
  await page.getByRole('link', { name: 'Compose one like it' }).click();
  await expect(
    page.getByRole('heading', { level: 1, name: /wires?, .* together|Which techniques/ }),
  ).toBeVisible();
  const isByHand = await page.getByRole('status').filter({ hasText: 'written by hand' }).isVisible();
  if (!isByHand) await expect(page.getByLabel('Name of the pattern')).toHaveValue(/, like F-\d+$/);

  await page.goto(`${DEMO_URL}/patterns/starters`);
  const starter = page.getByRole('link', { name: /^Begin a pattern from it/ }).first();
  const name = ((await starter.getAttribute('aria-label')) ?? '').replace('Begin a pattern from it: ', '');
  await starter.click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(wires);
  await expect(page.getByLabel('Name of the pattern')).toHaveValue(name);

  // What is not there is said, and nothing is lost: one begins with a technique.
  await page.goto(`${DEMO_URL}/patterns/compose?from=P-9999`);
  await expect(
    page.getByRole('status').filter({ hasText: 'no pattern and no finished piece P-9999' }),
  ).toBeVisible();
  await expect(page.getByLabel('Begin with a technique')).toBeVisible();
});

test('a draft outlives a crash of its tab', async ({ owner: page, context }) => {
  await page.goto(`${DEMO_URL}/patterns/compose`);
  await page.getByLabel('Begin with a technique').selectOption('bundle-frame');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^4 wires/);
  await page.getByLabel('Name of the pattern').fill('Crash and carry on');
  await expect
    .poll(() => page.evaluate(() => window.localStorage.getItem('pewterer-pattern-new') ?? ''))
    .toContain('Crash and carry on');
  const crashed = page.waitForEvent('crash');
  await page.goto('chrome://crash').catch(() => undefined);
  await crashed;
  const again = await context.newPage();
  await again.goto(`${DEMO_URL}/patterns/compose`);
  await expect(again.getByText('This is what you were working on here.')).toBeVisible();
  await expect(again.getByLabel('Name of the pattern')).toHaveValue('Crash and carry on');
  await expect(again.getByRole('heading', { level: 1 })).toHaveText(/^4 wires/);
});

test('who changes a pattern is told when somebody else saves it', async ({ owner: page, context }) => {
  const mine = `${DEMO_URL}/patterns/P-0057/compose`;
  await page.goto(mine);
  await expect(page.getByRole('button', { name: 'Save the new revision' })).toBeVisible();
  const other = await context.newPage();
  await other.goto(mine);
  await other.getByLabel('Notes').fill('Saved by somebody else.');
  await other.getByRole('button', { name: 'Save the new revision' }).click();
  await expect(other).toHaveURL(/\/patterns\/P-0057$/);
  await page.bringToFront();
  // One comes back to the page.
  await page.evaluate(() => window.dispatchEvent(new Event('focus')));
  await expect(page.getByText(/saved revision \d+/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'look at theirs' })).toBeVisible();
});
