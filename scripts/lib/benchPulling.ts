import type { Page } from '@playwright/test';
import { tell } from './figures';
import { Refusal } from './say';
import { spentOn, type Scripting } from './scripting';

/** Scripting that a move of the hand may cost: one frame. */
const FRAME_MS = 16;
/** Moves of the hand, there and back. */
const MOVES = 40;
/** How far each goes, in points of the screen. */
const EACH = 3;

const nextFrame = (page: Page) =>
  page.evaluate(() => new Promise((resolve) => requestAnimationFrame(resolve)));

/**
 * Scripting of a move while one pulls at a handle of a piece; what it is pulled to is looked at after every move.
 * @param technique whose handle is pulled, as it is called in the piece
 */
export async function measurePulling(
  page: Page,
  scripting: Scripting,
  technique: string,
  handle: string,
): Promise<void> {
  const shape = page.getByLabel('Shape by hand');
  const options = await shape.getByRole('option').allInnerTexts();
  const called = options.find((each) => each.startsWith(technique));
  if (called === undefined) throw new Refusal(`nothing is called ${technique}, but ${options.join('; ')}`);
  await shape.selectOption({ label: called });
  const slider = page.getByRole('slider', { name: handle, exact: true });
  await slider.waitFor();
  await slider.scrollIntoViewIfNeeded();
  const box = await slider.boundingBox();
  if (!box) throw new Refusal(`${handle} is not seen`);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const pulled = new Set<string>();
  let spent = 0;
  for (let move = 1; move <= MOVES; move += 1) {
    const far = EACH * (move <= MOVES / 2 ? move : MOVES - move);
    spent += await spentOn(scripting, async () => {
      await page.mouse.move(x + far, y - far);
      await nextFrame(page);
    });
    pulled.add((await slider.getAttribute('aria-valuenow')) ?? '');
  }
  await page.keyboard.press('Escape');
  await page.mouse.up();
  if (pulled.size < 5)
    throw new Refusal(`${handle} of ${technique} was pulled to ${[...pulled].join(', ')} and no more`);
  tell({
    name: `scripting of a move while “${handle}” of ${technique.toLowerCase()} is pulled, of fifteen techniques`,
    value: spent / MOVES,
    limit: FRAME_MS,
    unit: ' ms',
  });
}
