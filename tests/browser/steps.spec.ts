import AxeBuilder from '@axe-core/playwright';
import { DEMO_URL, expect, test } from './support/studio';

test('the order of work is gone through one step at a time, by keys and by finger', async ({
  owner: page,
}) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto(`${DEMO_URL}/patterns/P-0058`);
  await page.getByRole('link', { name: 'Step by step' }).click();
  await expect(page.getByText(/^Step 1 of 25/)).toBeVisible();
  const heading = page.getByRole('heading', { level: 1 });
  const first = await heading.innerText();

  // What comes next is what comes then.
  await page.keyboard.press('n');
  await expect(page.getByText(/^Step 2 of 25/)).toBeVisible();
  await expect(heading).not.toHaveText(first);
  await page.keyboard.press('p');
  await expect(heading).toHaveText(first);

  // A step that a bead must not come after says so, with what is in hand and the piece as it is then.
  await page.getByRole('slider', { name: 'Step' }).fill('23');
  await expect(page).toHaveURL(/step=23$/);
  await expect(page.getByText(/Not before “thread the bead”/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'In hand' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^After “.*”, drawn to scale, from the front$/ })).toBeVisible();
  await page.getByRole('radio', { name: 'back' }).check();
  const behind = page.getByRole('img', { name: /^After “.*”, drawn to scale, from the back$/ });
  await expect(behind).toHaveJSProperty('complete', true);
  expect(await behind.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0);
  const buttons = page.getByRole('button', { name: /^(Before|Next)$/ });
  for (const button of await buttons.all())
    expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(48);
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);

  // It is turned in the round as it is then, and stays turned while one goes on.
  await page.getByRole('radio', { name: 'in the round' }).check();
  const turned = page.getByRole('img', { name: /in the round, turned/ });
  await expect(turned).toHaveAccessibleName(/^After “roll the spiral/);
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(turned).toHaveAccessibleName(/^After “(?!roll the spiral)/);
  await page.getByRole('button', { name: 'Before' }).click();

  // Whoever comes back comes back to the step.
  await page.reload();
  await expect(page.getByText(/^Step 23 of 25/)).toBeVisible();
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText('It is made.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Make one' })).toHaveAttribute('href', '/bench/P-0058');
});

test('a pattern that was written by hand is gone through without pictures', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/P-0001/steps?step=2`);
  await expect(page.getByText(/^Step 2 of/)).toBeVisible();
  await expect(page.getByText('No picture: this pattern was written by hand.')).toBeVisible();
  // An address that asks for a step that is not there leads to one that is.
  await page.goto(`${DEMO_URL}/patterns/P-0001/steps?step=999`);
  await expect(page.getByText('It is made.')).toBeVisible();
  await page.goto(`${DEMO_URL}/patterns/P-0001/steps?step=x`);
  await expect(page.getByText(/^Step 1 of/)).toBeVisible();
});

test('what is not a step of a pattern has no picture', async ({ owner: page }) => {
  for (const [picture, status] of [
    ['P-0058.after-9.front', 200],
    ['P-0058.after-9.side', 200],
    ['P-0058.after-0.front', 404],
    ['P-0058.after-26.front', 404],
    ['P-0058.after-9.below', 404],
    ['P-0001.after-2.front', 404],
    ['W-0001.after-2.front', 404],
  ] as const)
    expect([picture, (await page.request.get(`${DEMO_URL}/pictures/${picture}.svg`)).status()]).toEqual([
      picture,
      status,
    ]);
});
