import type { Locator, Page } from '@playwright/test';
import { expect } from './server.js';

type Name = string | RegExp;

/** One way of working a page: with the pointer, or with the keyboard alone. */
export interface Hands {
  press(role: 'button' | 'link', name: Name): Promise<void>;
  /** Replaces what a field holds, and keeps it. */
  type(label: Name, text: string): Promise<void>;
  /** The same, where the next field is gone to with Tab. */
  fill(label: Name, text: string): Promise<void>;
  choose(label: string, choice: Name): Promise<void>;
  tick(label: string): Promise<void>;
  /** Selects what stands on a tape. */
  pick(tape: Locator, option: RegExp): Promise<void>;
  /** Gives what stands on a tape a size. */
  size(tape: Locator, option: RegExp, text: string): Promise<void>;
  /** Picks a row of a table. */
  row(table: Locator, name: RegExp): Promise<void>;
  station(name: Station): Promise<void>;
}

const STATIONS = ['Measure', 'Divide', 'Carry', 'Parts', 'Stock'] as const;
type Station = (typeof STATIONS)[number];

/** Until nothing is on its way to the server any more, looked at with every frame. */
export async function saved(page: Page): Promise<void> {
  await page.waitForFunction(
    () => ![...document.querySelectorAll('[role=status]')].some((one) => one.textContent?.includes('Saving')),
    null,
    {
      timeout: 40_000,
    },
  );
}
export const upright = (page: Page) => page.getByRole('listbox', { name: 'Upright tape, from the floor' });
export const along = (page: Page) => page.getByRole('listbox', { name: 'Tape along the bottom, from the left' });
export const deep = (page: Page) => page.getByRole('listbox', { name: 'Tape from the rear to the front' });
export const sum = (page: Page) => page.getByRole('region', { name: 'The sum of what is selected' });

const chooser = (page: Page, label: string) => page.getByRole('button', { name: new RegExp(`${label}$`) });
/** What is chosen by its picture. */
const pictured = (page: Page, label: string) => page.getByRole('radiogroup', { name: label, exact: true });

/** Whether it is, once the form is there at all. */
async function isPictured(page: Page, label: string): Promise<boolean> {
  await expect(pictured(page, label).or(chooser(page, label)).first()).toBeVisible();
  return (await pictured(page, label).count()) > 0;
}

const field = (page: Page, label: Name) => page.getByRole('textbox', { name: label });
const exactly = (name: Name) => ({ name, exact: typeof name === 'string' });

export function pointer(page: Page): Hands {
  return {
    press: async (role, name) => {
      await page.getByRole(role, exactly(name)).click();
      await saved(page);
    },
    type: async (label, text) => {
      await field(page, label).fill(text);
      await field(page, label).press('Enter');
      await saved(page);
    },
    fill: async (label, text) => {
      await field(page, label).fill(text);
      await field(page, label).press('Tab');
    },
    choose: async (label, choice) => {
      if (await isPictured(page, label)) await pictured(page, label).getByRole('radio', exactly(choice)).click();
      else {
        await chooser(page, label).click();
        await page.getByRole('option', exactly(choice)).click();
      }
      await saved(page);
    },
    tick: async (label) => {
      // Its own label: what is offered elsewhere may be called alike.
      await page.getByRole('checkbox', { name: label, exact: true }).locator('xpath=ancestor::label').click();
      await saved(page);
    },
    pick: (tape, option) => tape.getByRole('option', { name: option }).click(),
    row: (table, name) => table.getByRole('row', { name }).first().click(),
    size: async (tape, option, text) => {
      const found = tape.getByRole('option', { name: option });
      await found.click();
      await found.click();
      await page.getByRole('textbox', { name: /^Size of/ }).fill(text);
      await page.keyboard.press('Enter');
      await saved(page);
    },
    station: (name) =>
      page
        .getByRole('navigation', { name: 'Stations' })
        .getByRole('link', { name: new RegExp(name) })
        .click(),
  };
}

/** By which hands something is done, in the name of a test: what goes by pointer all the same is tried by keyboard in the long tests. */
export const named = (by: (page: Page) => Hands) => (by === keyboard ? 'keyboard @long' : 'pointer');

/** The same of what goes no other way than another job by either hands: both in the long tests. */
export const inLong = (by: (page: Page) => Hands) => `${by === keyboard ? 'keyboard' : 'pointer'} @long`;

/** So many keys are pressed before it is looked anew for what is walked to: finding it by its name takes longer than a key. */
const KEYS_A_LOOK = 8;

/** Presses a key until what is looked for has the focus. @throws when it is not reached */
export async function walk(page: Page, key: string, to: Locator, most: number): Promise<void> {
  await expect(to.first()).toBeAttached();
  for (let i = 0; i < most;) {
    const found = await to.elementHandles();
    for (let n = 0; n < KEYS_A_LOOK && i < most; n += 1) {
      const [has, isThere] = await page.evaluate(
        (all) => [all.some((one) => one === document.activeElement), all.every((one) => one.isConnected)],
        found,
      );
      if (has) return;
      // Drawn anew since: this is looked for again before the next key.
      if (!isThere) break;
      await page.keyboard.press(key);
      i += 1;
    }
  }
  throw new Error(`${key} does not reach ${String(to)}`);
}

/** Walks with Tab, or back with Shift where what is looked for comes before what has the focus. */
export async function tabTo(page: Page, to: Locator, most = 250): Promise<void> {
  await expect(to.first()).toBeAttached();
  const isBefore = await to.first().evaluate((one) => {
    const { activeElement } = document;
    const isNone = !activeElement || activeElement === document.body;
    return !isNone && (one.compareDocumentPosition(activeElement) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0;
  });
  await walk(page, isBefore ? 'Shift+Tab' : 'Tab', to, most);
}

export function keyboard(page: Page): Hands {
  const goTo = (to: Locator) => tabTo(page, to);
  const replace = async (label: Name, text: string, key: string) => {
    await goTo(field(page, label));
    await page.keyboard.press('Control+a');
    await page.keyboard.type(text);
    await page.keyboard.press(key);
  };
  const pick = async (tape: Locator, option: RegExp) => {
    await goTo(tape.getByRole('option'));
    await page.keyboard.press('Home');
    const name = (await tape.getAttribute('aria-label')) ?? '';
    // Seen from above the tape hangs down the page from the rear.
    await walk(
      page,
      name.startsWith('Upright') ? 'ArrowUp' : name === 'Tape along the bottom, from the left' ? 'ArrowRight' : 'ArrowDown',
      tape.getByRole('option', { name: option }),
      40,
    );
  };
  return {
    press: async (role, name) => {
      await goTo(page.getByRole(role, exactly(name)));
      await page.keyboard.press('Enter');
      await saved(page);
    },
    type: async (label, text) => {
      await replace(label, text, 'Enter');
      await saved(page);
    },
    fill: (label, text) => replace(label, text, 'Tab'),
    choose: async (label, choice) => {
      if (await isPictured(page, label)) {
        const ways = pictured(page, label).getByRole('radio');
        await goTo(ways);
        await walk(page, 'ArrowRight', ways.and(page.getByRole('radio', exactly(choice))), 8);
        await page.keyboard.press('Space');
        return saved(page);
      }
      await goTo(chooser(page, label));
      await page.keyboard.press('Enter');
      await expect(page.getByRole('option').first()).toBeVisible();
      await page.keyboard.press('Home');
      await walk(page, 'ArrowDown', page.getByRole('option', exactly(choice)), 40);
      await page.keyboard.press('Enter');
      await saved(page);
    },
    tick: async (label) => {
      await goTo(page.getByRole('checkbox', { name: label, exact: true }));
      await page.keyboard.press('Space');
      await saved(page);
    },
    pick,
    row: async (table, name) => {
      const rows = table.getByRole('row');
      await goTo(rows);
      await page.keyboard.press('Home');
      await walk(page, 'ArrowDown', rows.and(page.getByRole('row', { name })).first(), 60);
    },
    size: async (tape, option, text) => {
      await pick(tape, option);
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
      await saved(page);
    },
    station: async (name) => {
      const link = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: new RegExp(name) });
      await expect(link).toBeVisible();
      await page.keyboard.press(`Alt+${STATIONS.indexOf(name) + 1}`);
      await expect(link).toHaveAttribute('aria-current', 'page');
    },
  };
}
