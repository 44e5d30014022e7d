import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './studio';

const findsNothing = async (axe: AxeBuilder): Promise<void> => {
  const { violations } = await axe.analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
};

/** The page as it stands has nothing that axe complains of. */
export const axeIsClean = (page: Page): Promise<void> => findsNothing(new AxeBuilder({ page }));

/** What the page is for is read in sunlight and touched by a thumb (WCAG 2.2, 1.4.6 contrast enhanced and 2.5.8 target size). */
export const isReadOutdoors = (page: Page): Promise<void> =>
  findsNothing(
    new AxeBuilder({ page }).include('main').withRules(['color-contrast-enhanced', 'target-size']),
  );
