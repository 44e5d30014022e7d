import { DEMO_URL, expect, test } from './support/studio';

/** Ten stones of five outlines, mm: length, width, edge, depth. */
const STONES = [
  ['oval', 18, 13, 1.8, 5],
  ['oval', 40, 30, 3, 8],
  ['round', 12, 12, 1.6, 4.5],
  ['round', 25, 25, 2.5, 7],
  ['teardrop', 16, 11, 1.7, 4.5],
  ['teardrop', 38, 24, 3, 8],
  ['marquise', 20, 9, 1.6, 4.5],
  ['marquise', 36, 15, 2.4, 6],
  ['square', 14, 14, 1.8, 5],
  ['square', 26, 26, 2.6, 7],
] as const;

test('a pattern that is composed follows each of ten stones, or says which act does not fit it', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058/compose`);
  const measures = page.getByRole('region', { name: 'What it is made for' });
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText(/^7 wires/);
  const told = async () =>
    [await heading.innerText(), ...(await page.getByRole('alert').allInnerTexts())].join('\n');
  const seen = new Set([await told()]);
  let made = 0;
  for (const [outline, length, width, edge, depth] of STONES) {
    await measures.getByLabel('Outline').selectOption(outline);
    for (const [label, value] of [
      ['Length', length],
      ['Width', width],
      ['Edge height', edge],
      ['Depth', depth],
    ] as const) {
      // A round stone and a square one have one measure across.
      const field = measures.getByLabel(label, { exact: true });
      if (await field.isVisible()) await field.fill(`${value} mm`);
    }
    // Everything follows: lengths, or why there are none.
    await expect.poll(async () => seen.has(await told())).toBe(false);
    seen.add(await told());
    const refusals = page.getByRole('region').filter({ has: page.getByRole('alert') });
    if ((await refusals.count()) === 0) {
      made += 1;
      await expect(heading).toHaveText(/^7 wires/);
      continue;
    }
    for (const card of await refusals.all()) {
      // It stands with the act, by its name, and gives its reason in numbers or says what waits for it.
      expect((await card.getByRole('heading').first().innerText()).length).toBeGreaterThan(3);
      await expect(card.getByRole('alert').first()).toHaveText(/\d|waits|not made|wants|holds/);
    }
  }
  // Some of them it holds as it is.
  expect(made).toBeGreaterThan(0);
  expect(made).toBeLessThan(STONES.length);
});
