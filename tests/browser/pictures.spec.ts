import { DEMO_URL, expect, test } from './support/studio';

/** Whether a picture has come and is more than nothing: as wide and as high as its file says. */
const isDrawn = (img: Element): boolean => {
  const { complete, naturalWidth, naturalHeight } = img as HTMLImageElement;
  return complete && naturalWidth > 0 && naturalHeight > 0;
};

test('pieces on the shelf are pictures, and so is each by itself and on the bench', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/shelf?words=Weir+Pool`);
  const cards = page
    .getByRole('main')
    .getByRole('listitem')
    .filter({ has: page.getByRole('checkbox') });
  const first = cards.first();
  const small = first.getByRole('img', { name: 'Weir Pool pendant, drawn to scale' });
  await expect.poll(() => small.evaluate(isDrawn)).toBe(true);
  await first.getByRole('link').click();
  await expect(page).toHaveURL(/shelf.F-\d+$/);
  const large = page.getByRole('img', { name: 'Weir Pool pendant, drawn to scale' });
  await expect.poll(() => large.evaluate(isDrawn)).toBe(true);
  await page.goto(`${DEMO_URL}/bench/P-0015`);
  await expect
    .poll(() => page.getByRole('img', { name: 'Weir Pool pendant, drawn to scale' }).evaluate(isDrawn))
    .toBe(true);
});

test('lines of a batch are pictures; a browser asks whether they are the same, and a stranger sees none', async ({
  owner: page,
  playwright,
}) => {
  await page.goto(`${DEMO_URL}/batches/R-0001`);
  const lines = page
    .getByRole('heading', { name: 'Pieces', exact: true })
    .locator('xpath=..')
    .getByRole('img');
  await expect(lines.first()).toBeVisible();
  for (const line of await lines.all()) {
    await line.scrollIntoViewIfNeeded();
    await expect.poll(() => line.evaluate(isDrawn)).toBe(true);
  }
  const address = `${DEMO_URL}/pictures/R-0001.1.svg`;
  const sent = await page.request.get(address);
  expect(sent.headers()['content-type']).toMatch(/^image\/svg/);
  const again = await page.request.get(address, {
    headers: { 'if-none-match': sent.headers()['etag'] ?? '' },
  });
  expect([again.status(), (await again.body()).length]).toEqual([304, 0]);
  for (const none of ['R-0001.99', 'P-9999', 'W-0001', 'rubbish'])
    expect([none, (await page.request.get(`${DEMO_URL}/pictures/${none}.svg`)).status()]).toEqual([
      none,
      404,
    ]);
  const stranger = await playwright.request.newContext();
  expect((await stranger.get(address)).status()).toBe(401);
  await stranger.dispose();
});

test('a bundle’s foremost wire of its own: its field comes when it is asked for, and it is twisted first', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/how-much?of=bundle-frame`);
  await expect(page.getByLabel('The foremost wire is')).toBeVisible();
  const own = page.getByRole('textbox', { name: /^Foremost wire/ });
  await expect(own).toHaveCount(0);
  await page.getByLabel('The foremost wire is').selectOption('of its own, twisted on its axis');
  await expect(own.first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Cuts' }).getByText('lead wire')).toBeVisible();
});
