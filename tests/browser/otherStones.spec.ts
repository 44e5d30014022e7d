import { DEMO_URL, expect, test } from './support/studio';

/** So many stones are tried, of so many outlines at least. */
const [STONES, OUTLINES] = [10, 5];

/** The outline and the length of a stone, as a list says it: “S-0018 sea glass freeform, 42 × 22 × 8 mm”. */
function read(said: string): { readonly outline: string; readonly long: number } | undefined {
  const [, outline, long] = / (\w+), ([\d.]+) × /.exec(said) ?? [];
  return outline === undefined ? undefined : { outline, long: Number(long) };
}

test('a pattern that is composed follows each of ten stones, or says which act does not fit it', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058/compose`);
  const measures = page.getByRole('region', { name: 'What it is made for' });
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText(/^7 wires/);
  const choice = measures.getByLabel('A stone of the studio');
  await expect(choice).toBeVisible();
  const offered = (await choice.locator('option').allInnerTexts()).flatMap((said) => {
    const stone = read(said);
    return stone ? [{ said, ...stone }] : [];
  });
  // The smallest and the largest of each outline that lies in the drawers, then others.
  const outlines = [...new Set(offered.map(({ outline }) => outline))];
  const ends = outlines.flatMap((outline) => {
    const alike = offered.filter((each) => each.outline === outline).sort((a, b) => a.long - b.long);
    return [alike[0], alike.at(-1)].flatMap((stone) => stone ?? []);
  });
  const stones = [...new Set([...ends, ...offered])].slice(0, STONES);
  expect(stones).toHaveLength(STONES);
  expect(new Set(stones.map(({ outline }) => outline)).size).toBeGreaterThanOrEqual(OUTLINES);

  const refusals = page.getByRole('region').filter({ has: page.getByRole('alert') });
  /** All that follows the stone: how it hangs, the lengths, and why there are none. */
  const told = async () =>
    [
      ...(await measures.locator('svg').evaluateAll((all) => all.map((each) => each.innerHTML))),
      await heading.innerText(),
      ...(await refusals.allInnerTexts()),
    ].join('\n');
  const came = { made: 0, refused: 0 };
  for (const { said } of stones) {
    const before = await told();
    await choice.selectOption({ label: said });
    await expect.poll(told).not.toBe(before);
    if ((await refusals.count()) === 0) {
      came.made += 1;
      await expect(heading).toHaveText(/^7 wires/);
      continue;
    }
    came.refused += 1;
    for (const card of await refusals.all()) {
      // It stands with the act, by its name, and gives its reason in numbers or names the act that it waits for.
      expect((await card.getByRole('heading').first().innerText()).length).toBeGreaterThan(3);
      await expect(card.getByRole('alert').first()).toHaveText(/\d|“[^“”]+”/);
    }
  }
  expect(came.made).toBeGreaterThan(0);
  expect(came.refused).toBeGreaterThan(0);
});
