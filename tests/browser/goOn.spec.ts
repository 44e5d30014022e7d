import AxeBuilder from '@axe-core/playwright';
import { DEMO_URL, expect, test } from './support/studio';

test('a piece goes on from the ends that one picks, by name or on its picture', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/compose`);
  await page.getByLabel('Begin with a technique').selectOption('bundle-frame');
  await page.getByRole('button', { name: 'Add it' }).click();
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText(/^4 wires/);

  // By name, with the keyboard: one end, and what it does next.
  const goOn = page.getByRole('region', { name: 'Go on from' });
  const end = goOn.getByRole('button', { name: /^frame wire 1, right end/ });
  await expect(end).toContainText('free');
  await end.focus();
  await page.keyboard.press('Space');
  await expect(end).toHaveAttribute('aria-pressed', 'true');
  const next = page.getByLabel('What frame wire 1, right end does next');
  await expect(next.getByRole('option', { name: 'Lashing of wires that pass one another' })).toHaveCount(0);
  await next.selectOption('flat-spiral');
  await page.getByRole('button', { name: 'Add it' }).click();
  // It is that wire which curls: none is cut besides.
  await expect(heading).toHaveText(/^4 wires/);
  await expect(
    page.getByRole('group', { name: 'Ends that are rolled up' }).getByRole('checkbox', { checked: true }),
  ).toHaveAccessibleName(/^frame wire 1, right end/);
  // What it took up is left no more.
  await expect(goOn.getByRole('button', { name: /^frame wire 1, right end/ })).toHaveCount(0);

  // On the picture: what is touched is picked, and let go again.
  const piece = page.getByRole('region', { name: /^The piece:/ });
  const mark = piece.locator('svg[aria-hidden] circle').first();
  const pressed = goOn.getByRole('button', { pressed: true });
  await mark.click();
  await expect(pressed).toHaveCount(1);
  await mark.click();
  await expect(pressed).toHaveCount(0);

  // Several together; what takes them up together is offered, and nothing else.
  for (const name of [/^frame wire 2, left end/, /^frame wire 2, right end/, /^frame wire 3, left end/])
    await goOn.getByRole('button', { name }).click();
  const together = page.getByLabel('What these 3 do next');
  await expect(together.getByRole('option', { name: 'Bead threaded on an end' })).toHaveCount(0);
  await together.selectOption('folded-bail');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(
    page.getByRole('group', { name: 'Ends that become the bail' }).getByRole('checkbox', { checked: true }),
  ).toHaveCount(3);
});
