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
  await hang.uncheck();
  await expect.poll(() => picture.getAttribute('viewBox')).toBe(laid);
});
