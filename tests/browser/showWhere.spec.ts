import AxeBuilder from '@axe-core/playwright';
import { DEMO_URL, expect, test } from './support/studio';

test('what is said of a piece is shown on its picture, and the piece is let to hang', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058/compose`);
  const said = page.getByRole('region', { name: 'What is to be said of the piece' });
  const where = page.getByRole('img', { name: 'Where that is' });
  const sides = said.getByRole('button', { name: /^It reaches/ });
  await expect(where).toBeHidden();
  await sides.click();
  await expect(sides).toHaveAttribute('aria-pressed', 'true');
  // One ring on the left of the piece, one on its right.
  const rings = where.locator('circle');
  await expect(rings).toHaveCount(2);
  const [left, right] = await rings.evaluateAll((all) => all.map((each) => Number(each.getAttribute('cx'))));
  expect((right ?? 0) - (left ?? 0)).toBeGreaterThan(25);
  // Another remark is shown instead, and none when it is chosen again.
  const hangs = said.getByRole('button', { name: /foot swings back/ });
  await hangs.click();
  await expect(sides).toHaveAttribute('aria-pressed', 'false');
  await expect(rings).toHaveCount(2);
  await hangs.click();
  await expect(where).toBeHidden();

  // A judgement of a technique shows what that lays.
  const judgement = page
    .getByRole('button', { name: /^Show where: half hard wire does not suit binding/ })
    .first();
  await page
    .getByText(/^Its measures and wires · \d+ to consider/)
    .first()
    .click();
  await judgement.click();
  await expect(judgement).toHaveAttribute('aria-pressed', 'true');
  expect(await where.locator('polyline').count()).toBeGreaterThan(0);
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  await judgement.click();

  // Seen from the side it swings back, until its weight is under its bail; its ends are picked where it lies.
  await page.getByRole('radio', { name: 'side' }).first().check();
  const picture = page.getByRole('img', { name: /drawn to scale, from the side$/ }).first();
  const laid = await picture.getAttribute('viewBox');
  const hang = page.getByRole('checkbox', { name: 'as it hangs' });
  await hang.check();
  await expect.poll(() => picture.getAttribute('viewBox')).not.toBe(laid);
  // What is shown of it hangs with it: its weight straight below its bail, though not as it lies.
  await hangs.click();
  const apart = async () => {
    const across = await rings.evaluateAll((all) => all.map((each) => Number(each.getAttribute('cx'))));
    return Math.abs((across[0] ?? NaN) - (across[1] ?? NaN));
  };
  await expect.poll(apart).toBeLessThan(0.01);
  await hang.uncheck();
  await expect.poll(apart).toBeGreaterThan(1);
  await hangs.click();
  await expect.poll(() => picture.getAttribute('viewBox')).toBe(laid);
});

test('what keys come to is not hidden by the picture that stays above it', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058/compose`);
  const piece = page.getByRole('region', { name: /^The piece: / }).first();
  await expect(piece).toBeVisible();
  // From below the picture back to it, as the page scrolls up beneath it.
  await page.getByLabel('Add a technique').focus();
  let seen = 0;
  for (let step = 0; step < 25; step += 1) {
    await page.keyboard.press('Shift+Tab');
    const focused = page.locator(':focus');
    const [at, edge] = [await focused.boundingBox(), await piece.boundingBox()];
    if (!at || !edge || at.x < edge.x) continue;
    const isOnIt = await piece.evaluate((region) => region.contains(document.activeElement));
    if (isOnIt) break;
    expect(at.y).toBeGreaterThanOrEqual(edge.y + edge.height - 1);
    seen += 1;
  }
  expect(seen).toBeGreaterThan(8);
});
