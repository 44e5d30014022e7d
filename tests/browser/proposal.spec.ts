import AxeBuilder from '@axe-core/playwright';
import { readPdf, textsIn } from '../support/readPdf';
import { DEMO_URL, expect, test } from './support/studio';

test('a piece is proposed to a customer on a page of its own', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/patterns/P-0058`);
  await page.getByRole('link', { name: 'For a customer' }).click();
  await expect(page.getByRole('heading', { name: 'A page for a customer' })).toBeVisible();

  // What keeps the margin stands there, to be typed over.
  const price = page.getByLabel(/^Price in /).first();
  await expect(price).not.toHaveValue('');
  await price.fill('much');
  await page.getByLabel('For', { exact: true }).fill('the Alder sisters');
  await page.getByLabel('Some words').fill('The cord is yours to choose.');
  await page.getByRole('button', { name: 'Show it' }).click();
  await expect(page.getByText('“much” is not an amount', { exact: false })).toBeVisible();
  await expect(price).toHaveAttribute('aria-invalid', 'true');
  // Nothing that was typed is lost.
  await expect(price).toHaveValue('much');
  await expect(page.getByLabel('For', { exact: true })).toHaveValue('the Alder sisters');

  await price.fill('148');
  await page.getByRole('button', { name: 'Show it' }).click();
  const shown = page.getByRole('img', { name: /^The page for a customer: / });
  await expect(shown).toHaveJSProperty('complete', true);
  expect(await shown.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0);
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);

  const address = await page.getByRole('link', { name: 'The page as a PDF' }).getAttribute('href');
  const pages = readPdf(await (await page.request.get(DEMO_URL + (address ?? ''))).body());
  expect(pages).toHaveLength(1);
  const said = textsIn(pages);
  expect(said).toEqual(
    expect.arrayContaining(['A pendant for the Alder sisters', '$148.00', 'The cord is yours to choose.']),
  );
  // Its recipe stays in the house.
  expect(said.join('\n')).not.toMatch(/minute|weav|frame wire|P-0058/i);
});

test('what is wrong of a proposal is said to whoever asks for its file, and there is no picture in dots of what is not drawn', async ({
  owner: page,
}) => {
  for (const [file, status] of [
    ['P-0058/proposal.pdf?price.copper=', 400],
    ['P-0058/front.png', 200],
    ['P-0058/below.png', 404],
    ['P-0001/front.png', 404],
  ] as const)
    expect([file, (await page.request.get(`${DEMO_URL}/patterns/${file}`)).status()]).toEqual([file, status]);
});
