import { pieceOf, type Told } from '../support/acts';
import { aloneOf, BAND_THAT_PARTS, BUNDLE_PENDANT, DROP_CHANNEL, LACED_FRAME } from '../support/wholePieces';
import { cutOf, type PlannedCut } from '../../src/core/technique/technique';
import { composeByHand, cutsShown } from './support/composing';
import { byKeys, byMouse } from './support/hands';
import { DEMO_URL, expect, test } from './support/studio';

/** Whole pieces of common practice, and how many actions they may take from nothing. */
const PIECES: readonly (readonly [what: string, told: readonly Told[], actions: number])[] = [
  ['a bundle pendant with a twisted lead wire', BUNDLE_PENDANT, 120],
  ['a channel of graded beads round a drop', DROP_CHANNEL, 20],
  ['a folded wire that crosses itself, beads, a laced weave', LACED_FRAME, 20],
  ['a band that parts round a teardrop', BAND_THAT_PARTS, 20],
];

/** The cuts of a piece as the core works them out by itself: what each is called, how many, and how long. */
function cutsOf(told: readonly Told[]): readonly PlannedCut[] {
  return told.length > 1 ? pieceOf(told).cuts : aloneOf(told).cuts;
}

/** Displayed lengths are exact to a tenth of a millimetre. */
const SHOWN = 0.05;

for (const [hands, by] of [
  ['by mouse', byMouse],
  ['by keyboard alone', byKeys],
] as const)
  for (const [what, told, most] of PIECES)
    test(`composed from nothing, ${hands}: ${what}`, async ({ owner: page }) => {
      test.setTimeout(400_000);
      await page.goto(`${DEMO_URL}/patterns/compose`);
      const hand = by(page);
      await composeByHand({ page, hand }, told);
      expect(hand.actions()).toBeLessThan(most);
      const wanted = cutsOf(told);
      await expect
        .poll(async () => (await cutsShown(page)).map(({ name, count }) => [name, count]))
        .toEqual(wanted.map(({ name, count }) => [name, count]));
      // What was changed last may still be worked out.
      await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
      const shown = await cutsShown(page);
      for (const [index, cut] of wanted.entries()) {
        const off = Math.abs((shown[index]?.mm ?? NaN) - cutOf(cut));
        expect([cut.name, off <= Math.max(SHOWN, 0.01 * cutOf(cut)), shown[index]?.mm]).toEqual([
          cut.name,
          true,
          shown[index]?.mm,
        ]);
      }
    });
