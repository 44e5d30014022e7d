import AxeBuilder from '@axe-core/playwright';
import { framed } from './support/framed';
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
  const next = page.getByRole('group', { name: 'What frame wire 1, right end does next' });
  await expect(next.getByRole('radio', { name: /be lashed/ })).toHaveCount(0);
  // It is seen and said before it is taken.
  const curl = next.getByRole('radio', { name: 'curl up in a flat spiral Flat spiral' });
  await curl.focus();
  await page.keyboard.press('Space');
  await expect(goOn).toContainText(/frame wire 1 .* more/);
  await expect(heading).toHaveText(/^4 wires/);
  const before = await heading.innerText();
  await page.keyboard.press('Enter');
  // It is that wire which curls: none is cut besides.
  await expect(heading).not.toHaveText(before);
  await expect(heading).toHaveText(/^4 wires/);
  await expect(
    page.getByRole('group', { name: 'Ends that are rolled up' }).getByRole('checkbox', { checked: true }),
  ).toHaveAccessibleName(/^frame wire 1, right end/);
  // What it took up is left no more.
  await expect(goOn.getByRole('button', { name: /^frame wire 1, right end/ })).toHaveCount(0);

  // On the picture: what is touched is picked, and let go again.
  const piece = page.getByRole('region', { name: /^The piece:/ });
  const mark = piece.locator('svg[aria-hidden] circle.cursor-pointer').first();
  const pressed = goOn.getByRole('button', { pressed: true });
  await mark.click();
  await expect(pressed).toHaveCount(1);
  await mark.click();
  await expect(pressed).toHaveCount(0);

  // Several together; what takes them up together is offered, and nothing else.
  for (const name of [/^frame wire 2, left end/, /^frame wire 2, right end/, /^frame wire 3, left end/])
    await goOn.getByRole('button', { name }).click();
  const together = page.getByRole('group', { name: 'What these 3 do next' });
  await expect(together.getByRole('radio', { name: /thread a bead/ })).toHaveCount(0);
  await together.getByRole('radio', { name: /fold over into a bail/ }).check();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(
    page.getByRole('group', { name: 'Ends that become the bail' }).getByRole('checkbox', { checked: true }),
  ).toHaveCount(3);
});

test('what a technique does is shaped by hand on the picture, by mouse or by keys', async ({
  owner: page,
}) => {
  await framed(page, /curl up/);

  // What was just taken is what the hand is on.
  const handles = page.getByRole('group', { name: 'Handles of Flat spiral' });
  const across = handles.getByRole('slider', { name: 'Across, outside' });
  await expect(across).toHaveAttribute('aria-valuenow', '12');
  const card = page.getByRole('region', { name: 'Flat spiral', exact: true });
  const field = card.getByRole('textbox', { name: 'Across, outside' });

  // By keys: a stroke of half a millimetre either way.
  await across.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(across).toHaveAttribute('aria-valuenow', '13');
  await expect(field).toHaveValue(/^13 mm$|^0\.51/);
  await expect(page.getByRole('status').filter({ hasText: 'Across, outside' })).toContainText(
    /frame wire 1 .* more/,
  );
  await page.keyboard.press('ArrowDown');
  await expect(across).toHaveAttribute('aria-valuenow', '12.5');
  // A stroke and its opposite, pressed one right after the other, come to nothing.
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowDown');
  await expect(across).toHaveAttribute('aria-valuenow', '12.5');
  await expect(field).toHaveValue(/^12\.5 mm$|^0\.49/);

  // What it came to is said as long as the hand is on it.
  const said = page.getByRole('status').filter({ hasText: 'Across, outside' });
  await expect(said).toHaveCount(1);
  await page.keyboard.press('Tab');
  await expect(said).toHaveCount(0);

  // By mouse: pulled away from the middle of the spiral it grows, and stays so when it is let go.
  const box = await across.boundingBox();
  if (!box) throw new Error('the handle is not seen');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 20, y, { steps: 4 });
  await page.mouse.move(x + 40, y, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await across.getAttribute('aria-valuenow'))).toBeGreaterThan(13);
  const pulled = await across.getAttribute('aria-valuenow');
  await expect(field).not.toHaveValue(/^12\.5 mm/);
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);

  // One pull is taken back at once, and is called what it was.
  await page.getByRole('button', { name: 'Undo Across, outside of Flat spiral' }).click();
  await expect(across).toHaveAttribute('aria-valuenow', '12.5');
  await page.getByRole('button', { name: 'Redo Across, outside of Flat spiral' }).click();
  await expect(across).toHaveAttribute('aria-valuenow', pulled ?? '');

  // To which side it is rolled is chosen on the picture too.
  const way = handles.getByRole('button', { name: /^Rolled up: to the right; press for to the left$/ });
  await way.focus();
  await page.keyboard.press('Enter');
  await expect(card.getByLabel('Rolled up', { exact: true })).toHaveValue('to the left');
  await expect(handles.getByRole('button', { name: /^Rolled up: to the left; press for / })).toBeVisible();
  await page.getByRole('button', { name: 'Undo Rolled up of Flat spiral' }).click();
  await expect(way).toBeVisible();
});

test('a point of a line is drawn to what is near, and is not while Alt is held', async ({ owner: page }) => {
  await framed(page, /line of your own/);
  const handles = page.getByRole('group', { name: 'Handles of Line of your own' });
  const point = handles.getByRole('slider', { name: 'point 4 of 4' });
  await expect(point).toBeVisible();
  const box = await point.boundingBox();
  const piece = await page.getByRole('region', { name: /^The piece: / }).boundingBox();
  if (!box || !piece) throw new Error('the handle is not seen');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const said = page.getByRole('status').filter({ hasText: 'point 4 of 4' });
  await page.mouse.move(x, y);
  await page.mouse.down();
  // Down towards the stone, until something is near.
  const near = /, (at the edge of|beside|opposite) /;
  const way = Math.sign(piece.x + piece.width / 2 - x) || 1;
  let [at, down] = [x, y];
  for (let step = 0; step < 80; step += 1) {
    at += 2 * way;
    down += 3.2;
    await page.mouse.move(at, down);
    if (near.test(await said.innerText())) break;
  }
  await expect(said).toHaveText(near);
  await page.keyboard.down('Alt');
  await page.mouse.move(at + 1, down);
  await expect(said).not.toHaveText(near);
  await page.keyboard.up('Alt');
  await page.mouse.move(at, down);
  await expect(said).toHaveText(near);
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Undo .*Line of your own/ })).toBeEnabled();
});

test('whatever lies on the picture is pointed at: it names itself, is taken in hand, and leads to its measures', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/patterns/compose`);
  await page.getByLabel('Begin with a technique').selectOption('bundle-frame');
  await page.getByRole('button', { name: 'Add it' }).click();
  await page.getByLabel('Add a technique').selectOption('coil');
  await page.getByRole('button', { name: 'Add it' }).click();
  const piece = page.getByRole('region', { name: /^The piece: Bundle/ });
  const shaping = page.getByRole('region', { name: 'Shaping' }).first();
  const stone = shaping.getByRole('button', { name: /^stone, .*: Bundle frame round a stone$/ });
  await shaping.getByText(/^Stones, beads and wires by name/).click();
  await expect(stone).toHaveAttribute('aria-pressed', 'false');
  const picture = piece.getByRole('img', { name: /drawn to scale/ });
  const box = await picture.boundingBox();
  if (!box) throw new Error('it is drawn');

  // Its middle is the stone, seen in front of the wires that go round behind it.
  await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.72);
  await expect(piece.getByText(/^stone, /)).toBeVisible();
  await page.mouse.down();
  await page.mouse.up();
  await expect(stone).toHaveAttribute('aria-pressed', 'true');
  await expect(shaping.getByText(/^In hand: stone, /)).toBeVisible();
  await expect(piece.getByRole('slider').first()).toBeVisible();

  // To its measures: those of the stone are what the whole pattern is made for.
  const card = page.getByRole('region', { name: 'Bundle frame round a stone', exact: true });
  const toMeasures = shaping.getByRole('button', { name: 'To its measures' });
  await toMeasures.click();
  await expect(page.getByRole('region', { name: 'What it is made for' })).toBeFocused();
  await expect(card.getByLabel('Called here')).toBeHidden();

  // By name, with keys: a wire, and what the technique does with it. Pressed again it is let go.
  const wire = shaping.getByRole('button', { name: 'frame wire 2: Bundle frame round a stone' });
  await wire.focus();
  await page.keyboard.press('Space');
  await expect(shaping.getByText('In hand: frame wire 2: Bundle frame round a stone')).toBeVisible();
  // Those of a wire are its technique's: the fold that was shut is open, and the keyboard is there.
  await toMeasures.click();
  await expect(card.getByLabel('Called here')).toBeVisible();
  await expect(card).toBeFocused();
  await wire.focus();
  await page.keyboard.press('Space');
  await expect(shaping.getByText(/^In hand/)).toHaveCount(0);

  // What is left of a wire to go on from is picked with it.
  const goOn = page.getByRole('region', { name: 'Go on from' }).first();
  const pressed = goOn.getByRole('button', { pressed: true, includeHidden: true });
  await expect(pressed).toHaveCount(0);
  await page.evaluate(() => window.scrollTo(0, 0));
  const now = await picture.boundingBox();
  if (!now) throw new Error('it is drawn');
  const round = piece.getByText(/^frame wire \d, round the stone/);
  // From its left towards the stone: the frame is what one comes to first.
  const middle = now.x + now.width / 2;
  for (let x = middle - now.height / 2; x < middle && !(await round.isVisible()); x += 3) {
    await page.mouse.move(x, now.y + now.height * 0.72);
    await page.evaluate(() => new Promise(requestAnimationFrame));
  }
  await expect(round).toBeVisible();
  await page.mouse.down();
  await page.mouse.up();
  await expect(pressed).toHaveCount(1);
  await expect(pressed).toHaveText(/^frame wire \d, round the stone/);
  await expect(
    page.getByRole('group', { name: /^What frame wire \d, round the stone.* does next$/ }),
  ).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
});
