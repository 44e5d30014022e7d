import { expect, type Locator, type Page } from '@playwright/test';
import { fieldsOf, textsOf } from '../../../src/core/parameter/readTexts';
import {
  initialValues,
  isAsked,
  type Parameter,
  type WireParameter,
} from '../../../src/core/parameter/parameter';
import type { WireSize } from '../../../src/core/wire/wireSize';
import { measureOf, MEASURES } from '../../../src/core/pattern/composition';
import { planActs } from '../../../src/core/technique/planActs';
import { isActed } from '../../../src/core/technique/act';
import type { Offer } from '../../../src/core/technique/joinActs';
import type { ChosenPorts } from '../../../src/core/technique/refs';
import { takesFor, goingOnOf } from '../../../src/core/plan/takesFor';
import type { AnyTechnique } from '../../../src/core/technique/technique';
import { usesOf, type Told } from '../../support/acts';
import { named } from '../../support/techniques';
import type { Hand } from './hands';

const literally = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** What of a piece is picked by its name: “frame wire 1, right end”, with what stands behind it. */
const called = (label: string): RegExp => new RegExp(`^${literally(label)}( ·|$)`);

/** A composer in the browser, and somebody who works in it. */
interface Bench {
  readonly page: Page;
  readonly hand: Hand;
}

/** Composes a piece from nothing, as it is told: every technique goes on from what it takes up, then what differs from what it proposes is typed. */
export async function composeByHand(bench: Bench, told: readonly Told[]): Promise<void> {
  for (const [index, [, technique, values = {}, takes = {}]] of told.entries()) {
    const { parameters } = named(technique);
    const picked = await addOne(bench, told.slice(0, index), named(technique), takes);
    const proposed = textsOf(parameters, initialValues(parameters), 'mm');
    const wanted = textsOf(parameters, { ...initialValues(parameters), ...values } as never, 'mm');
    const card = bench.page
      .getByRole('region', { name: new RegExp(`^${literally(named(technique).title)}(:|$)`) })
      .last();
    for (const [port, offers] of Object.entries(picked))
      await takeUp(bench, card, named(technique), port, offers);
    for (const [key, parameter] of Object.entries(parameters)) {
      if (!isAsked(parameter, wanted)) continue;
      const place = measureOf(parameter)
        ? bench.page.getByRole('region', { name: 'What it is made for' })
        : card;
      if (parameter.kind === 'wire') {
        if (key in values) await cutFrom(bench, card, parameter, values[key] as WireSize);
        continue;
      }
      const measure = measureOf(parameter);
      const [name, asked]: [string, Parameter] = measure ? [measure, MEASURES[measure]] : [key, parameter];
      for (const field of fieldsOf(name, asked, wanted)) {
        const text = wanted[key + field.field.slice(name.length)] ?? '';
        const label = asked.label === field.label ? asked.label : `${grouped(asked)}${field.label}`;
        if (proposed[key + field.field.slice(name.length)] === text) continue;
        const box = place.getByRole(field.choices ? 'combobox' : 'textbox', { name: label, exact: true });
        // What several share is typed once.
        if (measure && (await box.inputValue()) === text) continue;
        if (field.choices) await bench.hand.select(box, text);
        else await bench.hand.type(box, text);
      }
    }
  }
}

const grouped = ({ kind, label }: Parameter): string => (kind === 'stone' ? `${label}: ` : '');

/**
 * Adds a technique: from a list when it begins a piece, else on from what is picked.
 * @returns what it takes up besides, by port: what is picked together goes by one port
 */
async function addOne(
  { page, hand }: Bench,
  before: readonly Told[],
  technique: AnyTechnique,
  takes: ChosenPorts,
): Promise<Readonly<Record<string, readonly Offer[]>>> {
  const { left } = planActs(usesOf(before));
  const offers = Object.entries(takes).map(
    ([port, refs]) =>
      [
        port,
        refs.map((ref) => {
          const offer = left.find((each) => each.ref === ref);
          if (!offer) throw new Error(`${ref} is not left`);
          return offer;
        }),
      ] as const,
  );
  const [first, ...others] = offers;
  if (!first) {
    await hand.select(page.getByLabel(/^(Begin with|Add) a technique$/), technique.title);
    await hand.press(page.getByRole('button', { name: 'Add it' }));
    return {};
  }
  const goOn = page.getByRole('region', { name: 'Go on from' });
  await hand.goBack(page.getByRole('button', { name: 'Go on from another end' }));
  await pick({ page, hand }, goOn, first[1]);
  if (!takesFor(goingOnOf(technique), first[1])) throw new Error(`${technique.title} does not take these`);
  await hand.choose(goOn.getByRole('radio', { name: new RegExp(`${literally(technique.title)}$`) }));
  await hand.press(page.getByRole('button', { name: 'Take it' }));
  await expect(goOn.getByRole('radio', { checked: true })).toHaveCount(0);
  return Object.fromEntries(others);
}

/** Picks offers by their names, and lets go of what is in hand from before and is none of them. */
async function pick({ page, hand }: Bench, goOn: Locator, offers: readonly Offer[]): Promise<void> {
  // What was typed last is worked out a moment later: until then an end may be gone, or be another’s.
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
  for (const { label, takes } of offers)
    if (takes === 'end') await expect(goOn.getByRole('button', { name: called(label) })).toBeVisible();
  const pressed = goOn.getByRole('button', { pressed: true });
  const isWanted = (name: string) => offers.some(({ label }) => called(label).test(name));
  const inHand = (await pressed.allInnerTexts()).map((name) => name.replace(/\s+/g, ' '));
  for (const name of inHand)
    if (!isWanted(name)) await hand.press(goOn.getByRole('button', { name, exact: true }));
  for (const { label, takes } of offers) {
    if (inHand.some((name) => called(label).test(name))) continue;
    const chip = goOn.getByRole('button', { name: called(label) });
    if (takes !== 'end' && !(await chip.isVisible()))
      await hand.press(goOn.locator('summary').filter({ hasText: 'Whole wires and stretches' }));
    await hand.press(chip);
  }
}

/** Has a technique take up more, on its card. */
async function takeUp(
  { hand }: Bench,
  card: Locator,
  technique: AnyTechnique,
  port: string,
  offers: readonly Offer[],
): Promise<void> {
  const label = isActed(technique) ? technique.ports[port]?.label : undefined;
  if (label === undefined) throw new Error(`${technique.title} has no port ${port}`);
  const group = card.getByRole('group', { name: label });
  for (const offer of offers) await hand.press(group.getByRole('checkbox', { name: called(offer.label) }));
}

/** Has a wire cut from one of the studio or of the trade, or, where none is so thick, of a size that is typed. */
async function cutFrom({ hand }: Bench, card: Locator, parameter: WireParameter, size: WireSize) {
  const { label } = parameter;
  const list = card.getByRole('combobox', { name: label, exact: true });
  const options = async () => list.locator('option').allTextContents();
  const { it: text = '' } = textsOf({ it: parameter }, { it: size }, 'mm');
  const isIt = (option: string) => option.startsWith(`${text} ${size.profile} `);
  const now = await list.evaluate((each: HTMLSelectElement) => each.selectedOptions[0]?.text ?? '');
  if (isIt(now)) return;
  const known = (await options()).find(isIt);
  if (known) return hand.select(list, known);
  if (text.endsWith('ga')) {
    await hand.select(list, 'all');
    const sold = (await options()).find(isIt);
    if (sold) return hand.select(list, sold);
  }
  await hand.select(list, '');
  await hand.type(card.getByRole('textbox', { name: label, exact: true }), text);
}

/** A cut as the page shows it: what it is called, how many, and exactly how long. */
export interface ShownCut {
  readonly name: string;
  readonly count: number;
  readonly mm: number;
}

/** The cuts that the composer shows; how long exactly stands on each for who hovers over it. */
export const cutsShown = (page: Page): Promise<readonly ShownCut[]> =>
  page
    .getByRole('region', { name: 'Cuts' })
    .locator('li:has([title])')
    .evaluateAll((rows) =>
      rows.flatMap((row) => {
        const [long, name] = row.querySelectorAll('p:first-child > span');
        const [, told = ''] =
          /^([\d.,]+) mm/.exec(long?.querySelector('[title]')?.getAttribute('title') ?? '') ?? [];
        const [, count = '1'] = /^(\d+) ×/.exec(long?.textContent?.trim() ?? '') ?? [];
        return told === ''
          ? []
          : [{ name: name?.textContent ?? '', count: Number(count), mm: Number(told.replace(',', '')) }];
      }),
    );
