import { expect, type Locator, type Page } from '@playwright/test';

/** Somebody who works with the page; each thing that they do counts as one action. */
export interface Hand {
  readonly actions: () => number;
  /** A button, a box that is ticked, a fold. */
  readonly press: (control: Locator) => Promise<void>;
  /** One of several of which one is chosen. */
  readonly choose: (radio: Locator) => Promise<void>;
  /** One of a list. @param option as the list has it, or its value */
  readonly select: (list: Locator, option: string) => Promise<void>;
  readonly type: (field: Locator, text: string) => Promise<void>;
  /** On the way back to the piece: with keys over a button that leads there, when it is there; no action of its own. */
  readonly goBack: (way: Locator) => Promise<void>;
}

function counted(work: Omit<Hand, 'actions'>): Hand {
  let actions = 0;
  const one =
    <A extends unknown[]>(does: (...args: A) => Promise<void>) =>
    async (...args: A) => {
      actions += 1;
      await does(...args);
    };
  return {
    actions: () => actions,
    press: one(work.press),
    choose: one(work.choose),
    select: one(work.select),
    type: one(work.type),
    goBack: work.goBack,
  };
}

/** Works by mouse: points at everything, and types what is typed. */
export const byMouse = (page: Page): Hand =>
  counted({
    press: (control) => control.click(),
    choose: (radio) => radio.click(),
    select: async (list, option) => {
      await list.selectOption(option);
    },
    type: async (field, text) => {
      // One press: what is typed before is worked out a moment later, and moves what stands below it.
      await field.click();
      await page.keyboard.press('ControlOrMeta+A');
      await page.keyboard.type(text);
    },
    goBack: () => Promise.resolve(),
  });

/** Places that the key Tab comes to, in its order; of radio buttons of one group it comes to one. */
const TABBED = 'a[href], button, input, select, textarea, summary, [tabindex]';

/** How many steps of Tab it is from what has the focus to a control; negative is back. */
const stepsTo = (control: Locator): Promise<number> =>
  control.evaluate((wanted, tabbed) => {
    const groups = new Map<string, HTMLInputElement>();
    for (const each of document.querySelectorAll<HTMLInputElement>('input[type=radio]'))
      if (each.checked || !groups.has(each.name)) groups.set(each.name, each);
    const places = [...document.querySelectorAll<HTMLElement>(tabbed)].filter((each) => {
      if (
        each.tabIndex < 0 ||
        each.matches(':disabled') ||
        !each.checkVisibility({ visibilityProperty: true })
      )
        return false;
      if (!(each instanceof HTMLInputElement) || each.type !== 'radio') return true;
      return groups.get(each.name) === each;
    });
    const to = places.findIndex((place) => place === wanted);
    const at = places.findIndex((place) => place === document.activeElement);
    if (at >= 0) return to - at;
    // Something that Tab does not come to: it goes on from there.
    const isBefore = (place: Element) =>
      ((document.activeElement ?? document.body).compareDocumentPosition(place) &
        Node.DOCUMENT_POSITION_PRECEDING) >
      0;
    const before = places.filter(isBefore).length;
    return to < before ? to - before : to - before + 1;
  }, TABBED);

/** Most times that one looks where the focus has come to. */
const LOOKS = 12;

/** Works by keyboard alone: comes to everything with Tab, and never points. */
export function byKeys(page: Page): Hand {
  const to = async (control: Locator, isRadio = false) => {
    await control.waitFor();
    for (let look = 0; look < LOOKS; look += 1) {
      // Coming back to a group of which nothing is chosen, one comes to its last.
      const isThere = await control.evaluate(
        (each, radio) =>
          each === document.activeElement ||
          (radio && (document.activeElement as HTMLInputElement).name === (each as HTMLInputElement).name),
        isRadio,
      );
      if (isThere) return;
      const steps = await stepsTo(control);
      const key = steps < 0 ? 'Shift+Tab' : 'Tab';
      for (let step = 0; step < Math.max(1, Math.abs(steps)); step += 1) await page.keyboard.press(key);
    }
    await expect(control).toBeFocused();
  };
  /** Moves up or down a list, a place at a time. */
  const move = async (by: number) => {
    for (let step = 0; step < Math.abs(by); step += 1)
      await page.keyboard.press(by < 0 ? 'ArrowUp' : 'ArrowDown');
  };
  return counted({
    press: async (control) => {
      await to(control);
      await page.keyboard.press('Space');
    },
    choose: async (radio) => {
      const group = radio.page().locator(`input[type=radio][name="${await radio.getAttribute('name')}"]`);
      const chosen = group.and(page.locator(':checked'));
      const first = (await chosen.count()) > 0 ? chosen : group.first();
      await to(first, true);
      await page.keyboard.press('Space');
      const place = (of: Locator) =>
        of.evaluate((each: HTMLInputElement) =>
          [...document.getElementsByName(each.name)].findIndex((other) => other === each),
        );
      await move((await place(radio)) - (await place(chosen)));
      await expect(radio).toBeChecked();
    },
    select: async (list, option) => {
      await to(list);
      const { by, isPicker } = await list.evaluate(
        (each: HTMLSelectElement, wanted) => ({
          by:
            [...each.options].findIndex(({ value, text }) => value === wanted || text === wanted) -
            each.selectedIndex,
          isPicker: getComputedStyle(each).appearance === 'base-select',
        }),
        option,
      );
      // One kind of list opens and is chosen from; the other changes as one moves in it.
      if (isPicker) await page.keyboard.press('Space');
      await move(by);
      if (isPicker) await page.keyboard.press('Enter');
    },
    type: async (field, text) => {
      await to(field);
      await page.keyboard.press('ControlOrMeta+A');
      await page.keyboard.type(text);
    },
    goBack: async (way) => {
      if (!(await way.isVisible())) return;
      await to(way);
      await page.keyboard.press('Space');
    },
  });
}
