import sharp from 'sharp';
import { DEMO_URL, expect, test } from './support/studio';

test('a freeform stone keeps the outline that was traced over its photograph, and brings it into a pattern', async ({
  owner: page,
}) => {
  // A pebble of 42 × 22 mm, blunt above and pointed below, at ten dots to the millimetre; a rule of 30 mm beside it.
  const edge =
    'M160 40 C 270 40 280 180 262 300 C 250 380 200 460 160 460 C 110 460 60 380 60 250 C 60 120 90 40 160 40 Z';
  const drawn = `<svg xmlns="http://www.w3.org/2000/svg" width="640" height="500"><rect width="640" height="500" fill="#efece4"/><path d="${edge}" fill="#3f6b58"/><path d="M400 100h8v300h-8z" fill="#222"/></svg>`;
  const picture = await sharp(Buffer.from(drawn)).blur(1).png().toBuffer();

  await page.goto(`${DEMO_URL}/stones?words=sea+glass`);
  await page
    .getByRole('link', { name: /42 × 22/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.getByText('Trace its outline', { exact: true }).click();
  const trace = async (length: string) => {
    await page.getByRole('button', { name: 'Trace it over a photograph' }).click();
    await page
      .getByLabel('Photograph of the stone')
      .setInputFiles({ name: 'pebble.png', mimeType: 'image/png', buffer: picture });
    await page.getByLabel('Known length').fill(length);
    const photo = page.getByRole('application', { name: 'Photograph to trace on' });
    const dot = ((await photo.boundingBox())?.width ?? 0) / 640;
    for (const [x, y] of [
      [404, 100],
      [404, 400],
      [160, 42],
      [232, 80],
      [268, 180],
      [260, 300],
      [226, 400],
      [160, 458],
      [92, 390],
      [62, 250],
      [76, 130],
      [110, 65],
    ] as const)
      await photo.click({ position: { x: x * dot, y: y * dot } });
    await page.getByRole('button', { name: 'Take the outline over' }).click();
  };
  // By another scale it is another stone.
  await trace('10 mm');
  await expect(
    page
      .getByRole('alert')
      .filter({ hasText: /By the photograph it is .* by the calliper 42\.0 × 22\.0 mm/ }),
  ).toBeVisible();
  await trace('30 mm');
  await expect(page.getByText('Its outline is kept with it.')).toBeVisible();
  await expect(page.getByText('Its outline was traced; trace it anew')).toBeVisible();

  // A pattern that is made for it has its true edge.
  const tag = /S-\d+/.exec(page.url())?.[0] ?? '';
  await page.goto(`${DEMO_URL}/patterns/P-0058/compose`);
  const measures = page.getByRole('region', { name: 'What it is made for' });
  const choice = measures.getByLabel('A stone of the studio');
  const option = await choice.locator('option', { hasText: tag }).first().getAttribute('value');
  await choice.selectOption(option ?? '');
  await expect(measures.getByLabel('Outline')).toHaveValue('freeform');
  await expect(measures.getByText('Traced by 10 points.')).toBeVisible();
});
