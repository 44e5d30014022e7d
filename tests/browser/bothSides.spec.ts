import AxeBuilder from '@axe-core/playwright';
import { framed } from './support/framed';
import { DEMO_URL, expect, test } from './support/studio';

test('what one side does the other does alike, until it is cut loose', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/compose`);
  await page.getByLabel('Begin with a technique').selectOption('bundle-frame');
  await page.getByRole('button', { name: 'Add it' }).click();
  const goOn = page.getByRole('region', { name: 'Go on from' });
  await goOn.getByRole('button', { name: /^frame wire 1, left end/ }).click();
  await goOn.getByRole('radio', { name: /curl up/ }).check();
  await page.getByRole('button', { name: 'Take it' }).click();
  const spirals = page.getByRole('region', { name: /^Flat spiral(:|$)/ });
  await expect(spirals).toHaveCount(1);
  // Its measures stand open: one goes on with them.
  const across = spirals.first().getByRole('textbox', { name: 'Across, outside' });
  await expect(across).toBeVisible();

  await page.getByRole('button', { name: 'Mirror it on the other side: Flat spiral' }).click();
  await expect(spirals).toHaveCount(2);
  await expect(spirals.nth(1)).toContainText('Alike to Flat spiral: frame wire 1, left end, mirrored');
  const cuts = page.getByRole('region', { name: 'Cuts' });
  const longOf = async () =>
    (await cuts.locator('li:has([title]) p:first-child [title]').first().getAttribute('title')) ?? '';
  const before = await longOf();
  await spirals.first().getByText('Its measures and wires').click();
  await across.fill('9 mm');
  await expect.poll(longOf).not.toBe(before);
  // Both ends grew shorter by the same: the wire is cut once, with two spirals on it.
  await expect(page.getByRole('button', { name: 'Undo Across, outside of Flat spiral' })).toBeVisible();
  const alike = await longOf();
  await spirals
    .nth(1)
    .getByRole('button', { name: /^Cut it loose/ })
    .click();
  await expect(spirals.nth(1).getByText('Its measures and wires')).toBeVisible();
  expect(await longOf()).toBe(alike);
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
});

test('a length that is cut already is held against what the piece takes', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/compose`);
  await page.getByLabel('Begin with a technique').selectOption('bundle-frame');
  await page.getByRole('button', { name: 'Add it' }).click();
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText(/^4 wires/);
  const before = await heading.innerText();
  const had = page.getByRole('textbox', { name: 'I have cut of binding wire' });
  await had.fill('900 mm');
  const binding = page.getByRole('region', { name: 'Cuts' }).getByRole('listitem').filter({ has: had });
  await expect(binding).toContainText(/of it are left over at its end/);
  await expect(binding).toContainText('left over');
  await expect(heading).not.toHaveText(before);
  await had.fill('30 mm');
  await expect(binding).toContainText(/too short: cut another/);
  await expect(heading).toHaveText(before);
  await had.fill('a cubit');
  await expect(binding).toContainText(/“a cubit”|is no length|not a length/);
  await had.fill('900 mm');
  await page.reload();
  await expect(had).toHaveValue(/^900 mm|^35/);
});

test('what an end does is done again, so many times or along a length, and is taken back at once', async ({
  owner: page,
}) => {
  await framed(page, /bend/);
  const cards = page.getByRole('region', { name: /^Bend of ends/ });
  await expect(cards).toHaveCount(1);
  const again = page.getByRole('region', { name: 'Do it again' });
  await again.getByText('Do it again along an end').click();
  const times = again.getByLabel('So many times, or along');
  await times.fill('often');
  await again.getByRole('button', { name: 'Do it again' }).click();
  await expect(again.getByText(/“often” is neither so many times, like 3, nor a length/)).toBeVisible();
  await times.fill('3');
  await again.getByRole('button', { name: 'Do it again' }).click();
  await expect(cards).toHaveCount(4);
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  await page.getByRole('button', { name: 'Undo Bend of ends added' }).click();
  await expect(cards).toHaveCount(1);
  await again.getByRole('button', { name: /^Until it goes once round the stone: .* more$/ }).click();
  await expect(times).toHaveValue(/^\d+(\.\d+)? mm$/);
  await times.fill('10 m');
  await again.getByRole('button', { name: 'Do it again' }).click();
  await expect(again.getByText(/1 to 24 are allowed at once/)).toBeVisible();
});

test('of a length that is too short it is said what it would do instead, and that is taken', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058/compose`);
  const had = page.getByRole('textbox', { name: 'I have cut of frame wire 1' });
  const cut = page.getByRole('region', { name: 'Cuts' }).getByRole('listitem').filter({ has: had });
  // As long as it takes, and 8 mm less.
  await had.fill('1 mm');
  const short = cut.getByText(/too short/);
  await expect(short).toBeVisible();
  const takes = 1 + 25.4 * inInches(await short.innerText());
  await had.fill(`${(takes - 8).toFixed(1)} mm`);
  await cut.getByRole('button', { name: 'What it would do instead' }).click();
  const instead = cut.getByRole('list', { name: 'What it would do instead' });
  const curl = instead.getByRole('listitem').filter({ hasText: /“Across, outside” of flat spiral/ });
  await expect(curl).toContainText(/instead of/, { timeout: 90_000 });
  const { violations } = await new AxeBuilder({ page }).include('[aria-label="Cuts"]').analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  await curl.getByRole('button', { name: /^Take it/ }).click();
  // It is just long enough then, and it can be taken back.
  await expect(short).toBeHidden();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(short).toBeVisible();
});

/** “7 1/8 in too short …”, in inches. */
const inInches = (said: string): number =>
  (said.split(' in')[0] ?? '').split(' ').reduce((sum, part) => {
    const [over, under = '1'] = part.split('/');
    return sum + Number(over) / Number(under);
  }, 0);

test('the order of the work is a strip of pictures, moved by mouse or keys', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058/compose`);
  await page.getByText(/^The order of work in pictures/).click();
  const strip = page.getByRole('list', { name: 'Order of work, in pictures' });
  const pictures = strip.getByRole('listitem');
  await expect(pictures).toHaveCount(25);
  await expect(pictures.first()).toBeVisible();
  const drawn = strip.getByRole('button', { name: /^Drag picture \d+/ }).locator('svg');
  expect(await drawn.count()).toBeGreaterThan(15);
  // The piece grows from picture to picture.
  const paths = await drawn.evaluateAll((all) => all.map((each) => each.innerHTML.length));
  expect(paths.at(-1)).toBeGreaterThan(2 * (paths[0] ?? Infinity));
  const nameOf = async (index: number) =>
    (await pictures.nth(index).locator('p').last().innerText()).slice(3);
  const [first, second] = [await pictures.nth(23).innerText(), await pictures.nth(24).innerText()];
  const last = pictures.nth(24).getByRole('button', { name: /a step earlier$/ });
  await last.focus();
  await page.keyboard.press('Enter');
  await expect
    .poll(async () => (await pictures.nth(23).innerText()).replace(/^\d+/, ''))
    .not.toBe(first.replace(/^\d+/, ''));
  expect(second).toContain(await nameOf(23));
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(async () => pictures.nth(24).innerText()).toBe(second);
  // A step of one's own is added where one sees what is done before it.
  const section = page.getByRole('region', { name: 'The order of work in pictures' });
  await section.getByLabel('A step of your own').fill('photograph it, front and back');
  await section.getByRole('button', { name: 'Add step' }).click();
  await expect(pictures).toHaveCount(26);
  await expect(pictures.nth(25)).toContainText('photograph it, front and back');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
});

test('a whole side is done on the other, act by act', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/compose`);
  await page.getByLabel('Begin with a technique').selectOption('bundle-frame');
  await page.getByRole('button', { name: 'Add it' }).click();
  const goOn = page.getByRole('region', { name: 'Go on from' });
  const side = page.getByRole('button', { name: 'Mirror the whole side' });
  await goOn.getByRole('button', { name: /^frame wire 1, left end/ }).click();
  await goOn.getByRole('radio', { name: /^bend/ }).first().check();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('region', { name: /^Bend of ends/ })).toHaveCount(1);
  // One act is mirrored by itself.
  await expect(side).toBeHidden();
  await goOn.getByRole('radio', { name: /curl up/ }).check();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('region', { name: /^Flat spiral/ })).toHaveCount(1);
  await side.click();
  await expect(page.getByRole('region', { name: /^Bend of ends/ })).toHaveCount(2);
  await expect(page.getByRole('region', { name: /^Flat spiral/ })).toHaveCount(2);
  await expect(side).toBeHidden();
  await expect(page.getByRole('region', { name: 'What is to be said of the piece' })).toContainText(
    /to the right: alike/,
  );
});
