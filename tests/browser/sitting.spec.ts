import type { Page } from '@playwright/test';
import { axeIsClean } from './support/axe';
import { DEMO_HELPER, DEMO_URL, expect, signIn, test } from './support/studio';
import { planBatchOf, receiveSpool, unfold, writeBar } from './support/stockroom';

const MINUTE = 60_000;

/** Begins a sitting of so many pieces from the page of a pattern or a tray that is open. */
async function begin(page: Page, count: number): Promise<void> {
  await page.getByLabel('Pieces together').fill(String(count));
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page).toHaveURL(/\/bench\/sitting\//);
  await expect(page.getByRole('heading', { level: 1, name: 'Lay out and cut' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Next' })).toBeEnabled();
}

const heading = (page: Page) => page.getByRole('heading', { level: 1 });
const stop = (page: Page) => page.getByRole('dialog', { name: /^Stop before/ });

/** Goes on until the heading is so, past whatever stops there are. @returns how many stops there were */
async function goOnTo(page: Page, name: string | RegExp): Promise<number> {
  let stops = 0;
  await expect(async () => {
    if (await stop(page).isVisible()) {
      stops += 1;
      await stop(page).getByRole('button', { name: 'It is so: go on' }).click();
      await expect(stop(page)).toBeHidden();
    }
    if (!(await page.getByRole('heading', { level: 1, name }).isVisible())) {
      await page.keyboard.press('PageDown');
      expect(await page.getByRole('heading', { level: 1, name }).isVisible()).toBe(true);
    }
  }).toPass({ intervals: [50], timeout: 120_000 });
  return stops;
}

test('a pendant is worked step by step, past its stops, looked over, and comes onto the shelf with what was found', async ({
  owner: page,
}) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.clock.install();
  await page.goto(`${DEMO_URL}/bench/P-0058`);
  await begin(page, 1);
  await expect(page.getByRole('heading', { name: 'Cut these' })).toBeVisible();
  await expect(page.getByText(/from W-\d{4}/).first()).toBeVisible();
  await page.getByLabel('It should be inside').fill('6.3');
  await expect(
    page.getByRole('list', { name: 'Nearest rounds' }).getByRole('listitem').first(),
  ).toContainText('oak dowel comes out at 6.2');
  // What is typed into a field is no key of the bench.
  await heading(page).click();

  // The watch runs, and goes on with the work.
  const timer = page.getByRole('timer', { name: 'Time on this step' });
  await page.keyboard.press('t');
  await expect(page.getByRole('button', { name: 'Pause', exact: true })).toBeVisible();
  await page.clock.runFor(2 * MINUTE);
  await expect(timer).toHaveText(/^2:0\d$/);
  await page.keyboard.press('n');
  await expect(page.getByText(/^Step 1 of 25/)).toBeVisible();
  await expect(page).toHaveURL(/\/bench\/sitting\//);
  await expect(timer).toHaveText(/^0:0\d$/);
  await page.clock.runFor(3 * MINUTE);

  // Over a reload nothing is lost, and it runs on.
  await page.reload();
  await expect(page.getByText(/^Step 1 of 25/)).toBeVisible();
  await expect(timer).toHaveText(/^3:\d\d$/);
  await expect(page.getByRole('button', { name: 'Pause', exact: true })).toBeVisible();
  // A tablet that slept has not worked; whoever was at the bench says so.
  await page.clock.fastForward(20 * MINUTE);
  await expect(page.getByText(/Nothing was open for \d+ minutes while it ran/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave them out' }).click();
  await expect(timer).toHaveText(/^3:\d\d$/);
  await page.keyboard.press('t');
  await page.getByText('Set the watch right').click();
  await page.getByLabel('It really took, min').fill('many');
  await expect(page.getByText('“many” was given; 0 to 10000 minutes are allowed.')).toBeVisible();
  await page.getByLabel('It really took, min').fill('7');
  await page.getByRole('button', { name: 'Correct' }).click();
  await expect(timer).toHaveText('7:00');

  // Nobody goes past a stop with the pedal.
  await expect(async () => {
    await page.keyboard.press('ArrowRight');
    await expect(stop(page)).toBeVisible({ timeout: 1000 });
  }).toPass();
  const before = await stop(page).getByRole('heading').innerText();
  for (const key of ['PageDown', 'ArrowRight', 'n', 'Enter', ' ']) await page.keyboard.press(key);
  await expect(stop(page).getByRole('heading')).toHaveText(before);
  await axeIsClean(page);
  await page.keyboard.press('p');
  await expect(stop(page)).toBeHidden();
  await page.keyboard.press('PageDown');
  await expect(stop(page)).toBeVisible();
  await page.keyboard.press('y');
  await expect(stop(page)).toBeHidden();
  await expect(page.getByRole('img', { name: /drawn to scale, from the front$/ })).toBeVisible();
  await axeIsClean(page);

  // Something went wrong, in two touches; a note.
  await page.getByRole('button', { name: 'Something went wrong' }).click();
  await page.getByRole('button', { name: 'marred by pliers' }).click();
  await expect(page.getByText(/lost, marred by pliers\. Cut another of/)).toBeVisible();
  await page.getByRole('button', { name: 'Something went wrong' }).click();
  await page.getByLabel('What is lost').selectOption({ label: 'one peridot bead, 3.5 mm' });
  await page.getByRole('button', { name: 'snapped', exact: true }).click();
  await expect(page.getByText('1 × peridot bead, 3.5 mm lost, snapped: take another.')).toBeVisible();
  await page.keyboard.press('o');
  await page.keyboard.type('the neck wants a longer wire');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Noted: the neck wants a longer wire')).toBeVisible();

  // Passed stops are not asked again; all others are.
  const stops = await goOnTo(page, 'Look it over');
  expect(stops).toBeGreaterThan(2);

  // Looked over: what is not good is worked on again, in time of its own.
  const check = (name: string) => page.getByRole('group', { name });
  await page.keyboard.press('t');
  await page.clock.runFor(MINUTE);
  await check('Hangs straight').getByRole('button', { name: 'Not good' }).click();
  await expect(page.getByText('“Hangs straight” is not good. Work on it, and look again; or:')).toBeVisible();
  await page.clock.runFor(4 * MINUTE);
  await expect(timer).toHaveText(/^4:\d\d$/);
  await check('Hangs straight').getByRole('button', { name: 'Good', exact: true }).click();
  await check('Nothing sharp under a fingertip').getByRole('button', { name: 'Good', exact: true }).click();
  await page.getByLabel('On the scale').fill('heavy');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText(/“heavy”/).first()).toBeVisible();
  await page.getByLabel('On the scale').fill('0.5');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(
    page.getByText(/% lighter than its wire: was less left in it than was logged\?/),
  ).toBeVisible();
  await expect(page.getByText('It is written down.')).toBeVisible();
  await axeIsClean(page);

  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { level: 1, name: 'To the shelf' })).toBeVisible();
  await expect(page.getByRole('row', { name: /2 of 8 good/ })).toContainText(/4(\.\d)? of it rework|rework/);
  await page.getByRole('button', { name: 'It is made: to the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /: 1 piece is on the shelf$/ })).toBeVisible();
  // A photograph of its front is taken while it lies on the bench.
  const front = { name: 'front.png', mimeType: 'image/png', buffer: await page.screenshot() };
  await page.getByLabel('Photograph of its front').setInputFiles(front);
  await expect(page.getByRole('img', { name: /photographed from the front$/ })).toHaveJSProperty(
    'complete',
    true,
  );
  await axeIsClean(page);
  await page.getByRole('link', { name: /^F-\d{4}$/ }).click();
  await expect(page).toHaveURL(/\/shelf\/F-\d{4}$/);
  await expect(page.getByRole('img', { name: /photographed from the front$/ })).toBeVisible();
  const found = page.getByRole('region', { name: 'At the bench' });
  await expect(found).toContainText('the neck wants a longer wire');
  await expect(found).toContainText('Looked over: 2 of 2 good; after rework: Hangs straight');
  await expect(found).toContainText('0.5 g');
  await expect(page.getByText(/spoiled · marred by pliers/)).toBeVisible();
  // A photograph of its back, beside the picture that is worked out.
  const photo = { name: 'back.png', mimeType: 'image/png', buffer: await page.screenshot() };
  await page.getByLabel('Photograph of its back').setInputFiles(photo);
  await expect(page.getByRole('img', { name: /photographed from the back$/ })).toHaveJSProperty(
    'complete',
    true,
  );
  await expect(page.getByLabel('Another photograph of its back')).toBeVisible();
  // Its sitting is over.
  await page.goto(`${DEMO_URL}/bench`);
  await expect(
    page.getByRole('list', { name: 'Begun at the bench' }).getByText('Sluicegate pendant'),
  ).toHaveCount(0);
});

test('six rings out of a tray are worked together, without a connection, and another device goes on where they are', async ({
  page,
  browser,
}) => {
  // Without a connection the browser complains, as it should.
  await signIn(page);
  await receiveSpool(page, { size: '19', length: '3 m', metal: 'bronze' });
  await writeBar(page, 'Lantern band', /19 ga.*bronze/, 'ring');
  const batch = await planBatchOf(page, 'Lantern band', 6, 'Lantern tray');
  await page.getByRole('button', { name: 'Plan the cuts and set the stock aside' }).click();
  await expect(page.getByRole('heading', { name: 'How it is cut' })).toBeVisible();
  await page.goto(`${batch}/cut`);
  await unfold(page, 'It was all cut by the sheet');
  await page.getByRole('button', { name: 'Enter 6 wires as cut' }).click();
  await expect(page.getByText('6 wires lie in the tray.')).toBeVisible();
  await page.goto(`${batch}/make/1`);
  await expect(page.getByLabel('Pieces together')).toHaveValue('6');
  await begin(page, 6);
  await expect(page.getByRole('heading', { name: 'Wires out of the tray' })).toBeVisible();

  // Every ring’s step before the next step.
  await page.keyboard.press('PageDown');
  await expect(heading(page)).toHaveText('hammer it');
  const pieces = page.getByRole('navigation', { name: 'Pieces' });
  await expect(pieces.getByRole('button')).toHaveCount(6);
  await expect(pieces.getByRole('button', { name: 'Piece 1', exact: true })).toHaveAttribute(
    'aria-current',
    'step',
  );

  // The connection is gone: all goes on, and is kept here.
  const context = page.context();
  await context.setOffline(true);
  await page.keyboard.press('PageDown');
  await expect(page.getByText(/piece 2 of 6/)).toBeVisible();
  await page.getByLabel('Reads on the mandrel now').fill('7');
  await page.getByRole('button', { name: 'It was hammered' }).click();
  await expect(page.getByRole('list', { name: 'Sizes so far' })).toContainText('hammered: US 7');
  await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: 'Something went wrong' }).click();
  await page.getByLabel('What is lost').selectOption({ label: 'the whole piece' });
  await page.getByRole('button', { name: 'bent out of shape' }).click();
  await expect(page.getByText('This piece is lost: bent out of shape.')).toBeVisible();
  await expect(
    page.getByText(/No connection: all of it is kept on this device.*\d things wait/),
  ).toBeVisible();

  // It is back: what was said is heard, and somebody else goes on with it elsewhere.
  await context.setOffline(false);
  await expect(page.getByText(/No connection/)).toBeHidden();
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const other = await phone.newPage();
  await signIn(other, DEMO_HELPER);
  await other.goto(`${DEMO_URL}/bench`);
  await other.getByRole('list', { name: 'Begun at the bench' }).getByText('Lantern band').click();
  await expect(other.getByText(/piece 3 of 6/)).toBeVisible();
  await expect(other.getByText('This piece is lost: bent out of shape.')).toBeVisible();
  await axeIsClean(other);
  expect(await other.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await other.getByRole('button', { name: 'Next' }).click();
  await expect(other.getByText(/piece 4 of 6/)).toBeVisible();
  // The first device follows.
  await page.evaluate(() => window.dispatchEvent(new Event('focus')));
  await expect(page.getByText(/piece 4 of 6/)).toBeVisible();
  await phone.close();

  // The ring that is lost is passed over.
  await goOnTo(page, 'Look it over');
  await page.getByLabel('Reads on the mandrel').fill('7 1/4');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('It is written down.')).toBeVisible();
  await goOnTo(page, 'To the shelf');
  await expect(page.getByRole('row', { name: /lost: bent out of shape/ })).toBeVisible();
  const sitting = page.url();
  await page.getByRole('button', { name: 'All 5 are made: to the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /: 5 pieces are on the shelf$/ })).toBeVisible();
  await page.getByRole('link', { name: 'To the batch' }).click();
  await expect(page).toHaveURL(batch);
  await page.goto(`${DEMO_URL}/shelf?words=Lantern+band`);
  await expect(page.getByRole('link', { name: /Lantern band/ })).toHaveCount(5);
  await expect(page.getByText(/US 7¼/)).toHaveCount(1);
  // Asked again, nothing is made again.
  await page.goto(sitting);
  await expect(page.getByRole('heading', { level: 1, name: /: 5 pieces are on the shelf$/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /to the shelf$/ })).toHaveCount(0);
});

/** Waits until the device keeps the page that is open, with every script that it runs. */
async function isKept(page: Page): Promise<void> {
  const missing = () =>
    page.evaluate(async () => {
      const cache = await caches.open('kept pages');
      // What is for browsers without modules is not loaded here.
      const scripts = [...document.scripts].filter(({ src, noModule }) => src !== '' && !noModule);
      const wanted = [location.href, ...scripts.map(({ src }) => src)];
      const found = await Promise.all(wanted.map((url) => cache.match(url)));
      return found.filter((each) => each === undefined).length;
    });
  await expect.poll(missing, { timeout: 60_000 }).toBe(0);
}

/** Waits until the pictures of all steps that something of the piece can be seen after lie on the device. */
async function picturesAreKept(page: Page, tag: string): Promise<void> {
  const kept = () =>
    page.evaluate(async (after) => {
      const cache = await caches.open('kept pages');
      return (await cache.keys()).filter(({ url }) => url.includes(after)).length;
    }, `/pictures/${tag}.after-`);
  // The ring is worked in seven steps, and seen after each.
  await expect.poll(kept, { timeout: 60_000 }).toBeGreaterThanOrEqual(7);
}

test('a sitting opens again without a connection; what is said then is heard when that is back', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${DEMO_URL}/bench/P-0046`);
  await begin(page, 1);
  await page.keyboard.press('PageDown');
  await expect(page.getByText(/^Step 1 of/)).toBeVisible();
  await isKept(page);
  await picturesAreKept(page, 'P-0046');

  // The tablet fell asleep where there is no connection, and its page is loaded anew.
  const context = page.context();
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByText(/^Step 1 of/)).toBeVisible();
  await expect(page.getByText(/No connection: all of it is kept on this device/)).toBeVisible();
  await page.getByLabel('Note', { exact: true }).fill('the shank is a little thin');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Noted: the shank is a little thin')).toBeVisible();

  // A turn is measured as it is let go.
  await unfold(page, 'Bent round something? Say what it came to');
  const bent = page.getByRole('form', { name: 'What it came to' });
  await bent.getByLabel('On', { exact: true }).selectOption({ label: 'jam spoon handle, 18.5 mm' });
  await bent.getByLabel('Inside, let go').fill('90');
  await expect(bent.getByText(/“90” was given; bent on 18.5 mm it comes out between/)).toBeVisible();
  await bent.getByLabel('Inside, let go').fill('19.4');
  await bent.getByRole('button', { name: 'Write it down' }).click();
  await expect(bent.getByText(/19.4 mm on 18.5 mm/)).toBeVisible();

  await context.setOffline(false);
  await expect(page.getByText(/No connection/)).toBeHidden({ timeout: 60_000 });
  await page.reload();
  await expect(page.getByText('Noted: the shank is a little thin')).toBeVisible();

  // What another page of this device never opened is said to be missing, in words.
  await context.setOffline(true);
  await page.goto(`${DEMO_URL}/bench/sitting/00000000-0000-4000-a000-000000000000`);
  await expect(page.getByText(/was not opened on this device before/)).toBeVisible();
  await context.setOffline(false);

  // It goes to the shelf, and the next sitting knows how far this wire springs open.
  await page.goBack();
  await goOnTo(page, 'To the shelf');
  await page.getByRole('button', { name: 'It is made: to the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /: 1 piece is on the shelf$/ })).toBeVisible();
  await page.goto(`${DEMO_URL}/bench/P-0046`);
  await begin(page, 1);
  await expect(page.getByText(/as it springs open by 1 bend you measured/).first()).toBeVisible();

  // Whoever signs out leaves no page behind.
  await isKept(page);
  await page.getByText('Marit', { exact: true }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/\/sign-in$/);
  await expect.poll(() => page.evaluate(() => caches.has('kept pages'))).toBe(false);
});

test('a wire that was cut too short is kept with less of something, and the log does not go by it', async ({
  owner: page,
}) => {
  await page.goto(`${DEMO_URL}/bench/P-0058`);
  await begin(page, 1);
  await page.keyboard.press('PageDown');
  await expect(page.getByText(/^Step 1 of/)).toBeVisible();
  const wire = 'Bundle frame round a stone: binding wire';
  const mistakes = page.getByRole('region', { name: 'Mistakes' });
  await mistakes.getByRole('button', { name: 'Something went wrong' }).click();
  await mistakes.getByLabel('What is lost').selectOption({ label: wire });
  await mistakes.getByRole('button', { name: 'cut too short', exact: true }).click();

  const short = mistakes.getByRole('form', { name: `${wire}, too short` });
  await short.getByLabel('How long it is').fill('a hand');
  await short.getByRole('button', { name: 'What it could do' }).click();
  await expect(short.getByText(/“a hand” is not a length/)).toBeVisible();
  await short.getByLabel('How long it is').fill('100 mm');
  await short.getByRole('button', { name: 'What it could do' }).click();
  const choices = short.getByRole('list', { name: 'What it could do' });
  const bound = /“Bound along the frame .*” of bundle frame round a stone .* instead of/;
  await expect(choices.getByText(bound)).toBeVisible({ timeout: 30_000 });
  await axeIsClean(page);
  await choices
    .getByRole('listitem')
    .filter({ hasText: bound })
    .getByRole('button', { name: /^Keep it/ })
    .click();
  await expect(mistakes.getByText(/binding wire: kept at .*“Bound along the frame/)).toBeVisible();
  await expect(mistakes.getByText(/lost, cut too short/)).toBeHidden();

  await goOnTo(page, 'To the shelf');
  await page.getByRole('button', { name: 'It is made: to the shelf' }).click();
  await page
    .getByRole('link', { name: /^F-\d+/ })
    .first()
    .click();
  await expect(page.getByText(/binding wire too short: “Bound along the frame/)).toBeVisible();
});

test('what pieces are looked at for is the studio’s own', async ({ owner: page }) => {
  await page.goto(`${DEMO_URL}/rules`);
  const form = page.getByRole('region', { name: 'Looked over at the bench' });
  await form.getByLabel('What finished pieces are looked at for, of kind').selectOption('brooch');
  const checks = form.getByLabel('One a line');
  const before = await checks.inputValue();
  expect(before).toContain('Pin closes');
  await checks.fill(`${'x'.repeat(121)}`);
  await form.getByRole('button', { name: 'Save the checks' }).click();
  await expect(form.getByText(/121 characters; 120 are allowed/)).toBeVisible();
  await checks.fill(`${before}\nPin lies flat when it is shut`);
  await form.getByRole('button', { name: 'Save the checks' }).click();
  await expect(page.getByText('Saved: the next sitting goes by it.')).toBeVisible();
  await page.reload();
  await form.getByLabel('What finished pieces are looked at for, of kind').selectOption('brooch');
  await expect(checks).toHaveValue(/Pin lies flat when it is shut$/);
});
