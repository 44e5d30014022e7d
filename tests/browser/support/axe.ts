import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './studio';

/** The page as it stands has nothing that axe complains of. @param rules those that are looked at alone; all that axe knows when none are named */
export async function axeIsClean(page: Page, rules?: readonly string[]): Promise<void> {
  const axe = new AxeBuilder({ page });
  const { violations } = await (rules ? axe.withRules([...rules]) : axe).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
}
