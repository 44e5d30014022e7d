import AxeBuilder from '@axe-core/playwright';
import { PAGES } from './support/routes';
import { DEMO_URL, expect, test } from './support/studio';

/** Every page that a signed-in owner may open, but the way in and lists that are not there. */
const VIEWS = PAGES.map(({ address }) => address).filter(
  (address) => address !== '/' && !address.startsWith('/lists/'),
);
const SHARES = 4;
/** Of so many pages one is looked at in the dark too: its colours are those of all, and two themes are told apart by nothing else. */
const DARK = 4;

test.describe.configure({ mode: 'parallel' });

for (let share = 0; share < SHARES; share += 1) {
  test(`axe finds nothing in the light, or here and there in the dark; no page scrolls sideways (${share + 1} of ${SHARES})`, async ({
    owner: page,
  }) => {
    test.setTimeout(1_200_000);
    for (const [index, view] of VIEWS.entries()) {
      if (index % SHARES !== share) continue;
      await page.setViewportSize({ width: 1280, height: 800 });
      const themes = (['light', 'dark'] as const).slice(0, Math.floor(index / SHARES) % DARK === 0 ? 2 : 1);
      for (const colorScheme of themes) {
        // Loaded anew, and only when its forms listen, so that no colour is measured half-way between two states.
        await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
        await page.goto(DEMO_URL + view);
        await expect(page.locator('fieldset:disabled')).toHaveCount(0);
        // Words and numbers, and nothing of how they were made.
        await expect(page.locator('main')).not.toContainText(/\$[{<]|<\/|\bNaN\b|\bundefined\b|\[object /);
        // What is not rendered, such as the clip of a chart, may have an animation that never ends; it changes no colour.
        await page.evaluate(() =>
          Promise.race([
            Promise.allSettled(document.getAnimations().map(({ finished }) => finished)),
            new Promise((resolve) => setTimeout(resolve, 3000)),
          ]),
        );
        // Legacy mode looks at one document only and opens no page beside it: there are no frames here.
        const axe = new AxeBuilder({ page }).setLegacyMode(true);
        // The dark theme is the same page in other colours.
        if (colorScheme === 'dark') axe.withRules(['color-contrast']);
        else axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']);
        const { violations } = await axe.analyze();
        const found = violations.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html}`));
        expect([view, colorScheme, found]).toEqual([view, colorScheme, []]);
      }
      for (const width of [360, 390, 768, 1920]) {
        await page.setViewportSize({ width, height: 800 });
        // Charts follow their box a frame later.
        await expect
          .poll(
            () =>
              page.evaluate(
                () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
              ),
            { message: `${view} at ${width} px scrolls sideways by` },
          )
          .toBe(0);
      }
    }
  });
}
