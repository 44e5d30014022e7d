import sharp from 'sharp';
import type { Locator } from '@playwright/test';
import { CHROMIUM_IN_THE_ROUND } from '../support/chromium';
import { DEMO_URL, expect, test } from './support/studio';

test.use({ launchOptions: CHROMIUM_IN_THE_ROUND });

/** What part of a picture is not its ground, and how many colours it has, shades told apart by an eighth. */
async function seenOf(picture: Locator): Promise<{ readonly covered: number; readonly colours: number }> {
  const { data, info } = await sharp(await picture.screenshot())
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const shade = (at: number) => [0, 1, 2].map((part) => (data[at + part] ?? 0) >> 5).join();
  const ground = shade(3 * (4 * info.width + 4));
  const shades = Array.from({ length: info.width * info.height }, (_, index) => shade(3 * index));
  return {
    covered: shades.filter((each) => each !== ground).length / shades.length,
    colours: new Set(shades).size,
  };
}

test('a piece is turned in the round by keys, by a finger and to its sides', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/how-much?of=coil-bezel-ring`);
  await page.getByRole('radio', { name: 'in the round' }).check();
  const piece = page.getByRole('img', { name: /in the round/ });
  await expect(piece).toHaveAccessibleName(
    'Coil-bezel ring, drawn to scale, in the round, turned 30° to the left, tipped 12° towards you',
  );
  // Wire and stone, shaded: more than a flat drawing has.
  await expect.poll(async () => (await seenOf(piece)).colours).toBeGreaterThan(12);
  expect((await seenOf(piece)).covered).toBeGreaterThan(0.03);
  const before = await piece.screenshot();

  await piece.focus();
  await page.keyboard.press('ArrowRight');
  await expect(piece).toHaveAccessibleName(/turned 15° to the left/);
  await expect.poll(async () => (await piece.screenshot()).equals(before)).toBe(false);

  const box = await piece.boundingBox();
  if (!box) throw new Error('it is on the page');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(piece).toHaveAccessibleName(/turned 15° to the right/);

  await page.getByRole('button', { name: 'back' }).click();
  await expect(piece).toHaveAccessibleName(/in the round, from the back$/);
  await expect.poll(async () => (await piece.screenshot()).equals(before)).toBe(false);
  const whole = await seenOf(piece);
  await page.getByRole('button', { name: 'nearer' }).click();
  await expect.poll(async () => (await seenOf(piece)).covered).toBeGreaterThan(1.2 * whole.covered);
});

test('a pattern is turned in the round when one asks for it', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns`);
  await page
    .getByRole('link', { name: /Weir Pool/ })
    .first()
    .click();
  await expect(page.getByRole('list', { name: /step by step/ }).getByRole('img')).not.toHaveCount(0);
  await expect(page.getByRole('img', { name: /in the round/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Turn it in the round' }).first().click();
  const piece = page.getByRole('img', { name: /in the round/ });
  await expect.poll(async () => (await seenOf(piece)).colours).toBeGreaterThan(12);
  await page.getByRole('button', { name: 'Put it away' }).click();
  await expect(piece).toHaveCount(0);
});

test('a browser that cannot draw in the round says so, and shows the piece still', async ({
  owner: page,
}) => {
  await page.addInitScript(() => {
    HTMLCanvasElement.prototype.getContext = () => null;
  });
  await page.goto(`${DEMO_URL}/how-much?of=coil-bezel-ring`);
  await page.getByRole('radio', { name: 'in the round' }).check();
  await expect(page.getByText(/This browser cannot turn it in the round/)).toBeVisible();
  await expect(
    page.getByRole('img', { name: 'Coil-bezel ring, drawn to scale, from the front' }),
  ).toBeVisible();
});
