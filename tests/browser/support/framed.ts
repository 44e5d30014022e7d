import type { Page } from '@playwright/test';
import { DEMO_URL } from './studio';

/** Begins a pattern with a bundle frame, and goes on from its first wire's right end. @param does what that does, as it is offered */
export async function framed(page: Page, does: RegExp): Promise<void> {
  await page.goto(`${DEMO_URL}/patterns/compose`);
  await page.getByLabel('Begin with a technique').selectOption('bundle-frame');
  await page.getByRole('button', { name: 'Add it' }).click();
  const goOn = page.getByRole('region', { name: 'Go on from' });
  await goOn.getByRole('button', { name: /^frame wire 1, right end/ }).click();
  await goOn.getByRole('radio', { name: does }).first().check();
  await page.getByRole('button', { name: 'Take it' }).click();
}
