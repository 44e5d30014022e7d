import type { CDPSession, Locator } from '@playwright/test';
import { CHROMIUM_IN_THE_ROUND } from '../support/chromium';
import { DEMO_URL, expect, test } from './support/studio';

// A tablet that lies on the bench.
test.use({
  hasTouch: true,
  viewport: { width: 1024, height: 768 },
  launchOptions: CHROMIUM_IN_THE_ROUND,
});

/** Where a finger comes down on something: in its middle. */
async function middleOf(of: Locator): Promise<{ readonly x: number; readonly y: number }> {
  await of.scrollIntoViewIfNeeded();
  const box = await of.boundingBox();
  if (!box) throw new Error('it is not seen');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** A finger that is put down, moved, and lifted. */
async function pull(
  device: CDPSession,
  { x, y }: { readonly x: number; readonly y: number },
  by: { readonly x: number; readonly y: number },
) {
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', part: number) =>
    device.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x: x + by.x * part, y: y + by.y * part }],
    });
  await touch('touchStart', 0);
  for (const part of [0.25, 0.5, 0.75, 1]) await touch('touchMove', part);
  await touch('touchEnd', 1);
}

test('on a tablet a piece is picked at, shaped and turned by finger', async ({ owner: page, context }) => {
  const device = await context.newCDPSession(page);
  await page.goto(`${DEMO_URL}/patterns/compose`);
  await page.getByLabel('Begin with a technique').selectOption('bundle-frame');
  await page.getByRole('button', { name: 'Add it' }).tap();
  const piece = page.getByRole('region', { name: /^The piece: / });
  const goOn = page.getByRole('region', { name: 'Go on from' });
  const ends = goOn.getByRole('button', { name: /end/ });

  // The mark of an end on the picture is large enough for a finger, and picks it.
  const mark = piece.locator('circle.cursor-pointer').first();
  const { width = 0 } = (await mark.boundingBox()) ?? {};
  expect(width).toBeGreaterThanOrEqual(24);
  await mark.tap();
  await expect(goOn.getByRole('button', { pressed: true })).toHaveCount(1);
  expect(await ends.count()).toBeGreaterThan(3);
  await goOn.getByRole('radio', { name: /curl up/ }).tap();
  await page.getByRole('button', { name: 'Take it' }).tap();

  // A handle follows the finger that pulls at it, rather than the page.
  const across = page.getByRole('slider', { name: 'Across, outside' });
  await expect(across).toHaveAttribute('aria-valuenow', '12');
  await pull(device, await middleOf(across), { x: 40, y: 0 });
  await expect.poll(async () => Number(await across.getAttribute('aria-valuenow'))).not.toBe(12);
  await expect(page.getByRole('button', { name: 'Undo Across, outside of Flat spiral' })).toBeVisible();

  // It is turned in the round by finger, too.
  await piece.getByRole('radio', { name: 'in the round' }).tap();
  const turned = piece.getByRole('img', { name: /in the round/ });
  await expect(turned).toBeVisible();
  const before = await turned.getAttribute('aria-label');
  await pull(device, await middleOf(turned), { x: 80, y: 30 });
  await expect(turned).not.toHaveAttribute('aria-label', before ?? '');
});

test('on a tablet the order of work is gone through by finger', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058/steps`);
  await expect(page.getByText(/^Step 1 of 25/)).toBeVisible();
  await page.getByRole('button', { name: 'Next' }).tap();
  await expect(page.getByText(/^Step 2 of 25/)).toBeVisible();
  // The button stays under the finger.
  const at = await middleOf(page.getByRole('button', { name: 'Next' }));
  await page.touchscreen.tap(at.x, at.y);
  await expect(page.getByText(/^Step 3 of 25/)).toBeVisible();
});
