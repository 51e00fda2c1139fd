import type { Page } from '@playwright/test';
import { begin } from './begin.js';
import { keyboard, tabTo } from './hands.js';
import { expect, test } from './server.js';

const PIECES = '/p/print-shed/pieces';
const upright = (page: Page) => page.getByRole('listbox', { name: 'Upright tape, from the floor' });
const along = (page: Page) => page.getByRole('listbox', { name: 'Tape along the bottom, from the left' });
const deep = (page: Page) => page.getByRole('listbox', { name: 'Tape from the rear to the front' });
const sum = (page: Page) => page.getByRole('region', { name: 'The sum of what is selected' });
const checks = (page: Page) => page.getByRole('region', { name: 'Checks on this piece' });
const fact = (page: Page, name: string) => sum(page).locator('summary').filter({ hasText: name });

async function saved(page: Page) {
  await expect(page.getByRole('status').filter({ hasText: 'Saving' })).toHaveCount(0);
}

/** Chooses in one of the lists of the worksheet. */
async function choose(page: Page, label: string, option: string | RegExp) {
  await page
    .getByRole('button', { name: new RegExp(`${label}$`) })
    .first()
    .click();
  await page.getByRole('option', { name: option, exact: typeof option === 'string' }).click();
  await saved(page);
}

test.describe('drawers', () => {
  test('the paper chest has its figures, and a longer slide is refused with the one that goes', async ({ page, shed }) => {
    await page.goto(`${shed.url}${PIECES}/paper-chest/divide?at=drawer-top`);
    await expect(sum(page)).toContainText('108.3');
    await expect(fact(page, 'box, wide')).toContainText('854.6');
    await expect(fact(page, 'box, deep')).toContainText('500');
    await expect(fact(page, 'depth there is for a slide')).toContainText('532');
    await fact(page, 'box, wide').click();
    await expect(sum(page)).toContainText('a slide at each side');
    await choose(page, 'Slide length', '550');
    await expect(checks(page)).toContainText('The drawers are 550 mm deep, and 532 mm is free behind their fronts.');
    await checks(page)
      .getByRole('button', { name: /^Use slides of 500 mm/ })
      .click();
    await checks(page).getByRole('button', { name: 'Do it' }).click();
    await saved(page);
    await expect(checks(page)).not.toContainText('The drawers are 550 mm deep');
    await page.goto(`${shed.url}${PIECES}/paper-chest/parts`);
    await expect(page.getByRole('row', { name: /drawer bottom/ })).toContainText('837.6');
    await expect(page.getByRole('region', { name: 'To buy' })).toContainText('7 Ball slide 45, 500 mm, pairs');
  });

  test('lipped on wooden runners, packed out behind a face frame, and out of both ends as built', async ({ page, shed }) => {
    await page.goto(`${shed.url}${PIECES}/mat-drawer/divide?at=mats`);
    for (const [name, size] of [
      ['front, wide', '389'],
      ['front, high', '160'],
      ['box, wide', '367'],
      ['box, high', '135'],
      ['box, deep', '367'],
    ] as const)
      await expect(fact(page, name)).toContainText(size);
    await page.goto(`${shed.url}${PIECES}/sink-drawers/divide?at=cabinet`);
    await expect(fact(page, 'housings in the packing')).toContainText('9');
    await expect(fact(page, 'from one runner board to the next')).toContainText('312.5');
    await page.goto(`${shed.url}${PIECES}/sink-drawers/divide?at=rags-drawer`);
    await expect(fact(page, 'box, wide')).toContainText('729.6');
    await expect(fact(page, 'box, high')).toContainText('240.5');
    await page.goto(`${shed.url}${PIECES}/composing-table/divide?at=front-1&view=side`);
    await expect(fact(page, 'box, deep')).toContainText('489');
    await expect(fact(page, 'box, wide')).toContainText('557.5');
    await page.getByRole('button', { name: /What is open/ }).click();
    await page.getByRole('option', { name: 'all open' }).click();
    await expect(page.getByRole('button', { name: /What is open/ })).toContainText('all open');
  });

  test('what the tape found once it stood there is followed and kept, and undo leaves it', async ({ page, shed }) => {
    await page.goto(`${shed.url}${PIECES}/composing-table/divide?at=front-end`);
    const width = page.getByRole('textbox', { name: 'Width as built' });
    await expect(width).toHaveValue('561.5');
    await width.fill('560.5');
    await width.press('Enter');
    const taken = page.getByRole('list', { name: 'Readings of what was built' }).getByRole('listitem');
    await expect(taken).toHaveText([/^width 560\.5/, /^width 561\.5, 17 Oct 2026/]);
    await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeDisabled();
    await page.goto(`${shed.url}${PIECES}/composing-table/divide?at=front-1`);
    // 560.5 less 2 at each side.
    await expect(fact(page, 'box, wide')).toContainText('556.5');
    await page.goto(`${shed.url}${PIECES}/composing-table/divide?at=front-end`);
    await width.fill('');
    await width.press('Enter');
    await expect(taken).toHaveText([/^width by the plan again/, /^width 560\.5/, /^width 561\.5/]);
    await expect(sum(page)).toContainText('566');
  });

  test('started from its picture, one fixed and undone with the keyboard alone', { tag: '@long' }, async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed`);
    const chest = page.getByRole('button', { name: /^Chest\b/ });
    await chest.focus();
    await page.keyboard.press('Enter');
    // What it is made of stands there to be seen, and is taken as it is.
    const begin = page.getByRole('button', { name: 'Start the chest' });
    await expect(begin).toBeFocused();
    await expect(begin).toBeInViewport();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/divide/);
    const first = upright(page).getByRole('option', { name: /^drawer 1,/ });
    await first.focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Control+a');
    await page.keyboard.type('240');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(first).toHaveText(/240.*fixed/s);
    await expect(page.getByRole('button', { name: /^Undo/ })).toBeEnabled();
    await page.keyboard.press('Control+z');
    await expect(first).toHaveText(/share/);
  });
});

test.describe('boards in a tray', () => {
  test('six compartments of 78 in a lane of 270, in plan, with the passes of the blade', async ({ page, shed }) => {
    await page.goto(`${shed.url}${PIECES}/type-tray/divide?at=stick-2`);
    await expect(page.getByRole('button', { name: 'Top', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await expect(deep(page).getByRole('option', { name: /stick lane/ })).toHaveText(/270/);
    await expect(along(page).getByRole('option', { name: /^compartment/ })).toHaveCount(6);
    await expect(sum(page)).toContainText('468');
    await page.goto(`${shed.url}${PIECES}/type-tray/divide?at=sticks-lane`);
    await expect(fact(page, 'channel for board 5')).toContainText('450');
    await fact(page, 'channel for board 1').click();
    await expect(sum(page)).toContainText('6 passes of the blade, fence at 78 mm, 80.48 mm, 82.96 mm, 85.44 mm, 87.92 mm, 90.4 mm.');
    await along(page)
      .getByRole('option', { name: /^compartment 1,/ })
      .click();
    await page.getByRole('button', { name: 'Board', exact: true }).click();
    await saved(page);
    await expect(along(page).getByRole('option', { name: /^compartment/ })).toHaveCount(7);
    await expect(along(page).getByRole('option', { name: /^compartment 3/ })).toHaveText(/64\.7|64\.5|64/);
  });
});

test.describe('slats', () => {
  test('seven gaps of 17 and six of 16.5, and a deck of its own from a wanted gap', async ({ page, shed }) => {
    await page.goto(`${shed.url}${PIECES}/drying-deck/divide?at=ledge`);
    await expect(sum(page)).toContainText('14 slats; spacer blocks: 7 of 17 mm, 6 of 16.5 mm.');
    await expect(fact(page, 'a gap exactly')).toContainText('16.8');
    await page.getByText('Start from a gap, or from a spacer').click();
    await page.getByRole('textbox', { name: 'Wanted gap' }).fill('22');
    await page.keyboard.press('Enter');
    await expect(page.getByText('14 slats with it are 720 in all')).toBeVisible();
    await page.getByRole('button', { name: 'Use 12' }).click();
    await saved(page);
    await expect(sum(page)).toContainText('12 slats');
  });
});

test.describe('cells', () => {
  test('162 tubes round the pipe box, told as a sum; without the box 168', async ({ page, shed }) => {
    await page.goto(`${shed.url}${PIECES}/tube-rack/divide?at=gable`);
    await expect(fact(page, '12 columns, 15 rows; room for')).toContainText('162');
    await expect(fact(page, 'pitch across')).toContainText('104');
    await expect(fact(page, 'pitch up')).toContainText('100');
    await expect(fact(page, 'row 9, tilted, needs')).toContainText('168.5');
    await expect(sum(page)).toContainText('300 plain and 24 sloping');
    await page.getByRole('button', { name: 'Take Pipe box away' }).click();
    await saved(page);
    await expect(fact(page, 'room for')).toContainText('168');
    await page.goto(`${shed.url}${PIECES}/tube-rack/parts`);
    await expect(page.getByRole('row', { name: /ladder upright/ })).toContainText('13');
  });
});

test.describe('contents first', () => {
  test('a list pasted from a spreadsheet, with a bad line told, and a set to start from', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed/things`);
    await page.getByRole('button', { name: 'A list', exact: true }).click();
    const field = page.getByRole('textbox', { name: /One thing a line/ });
    await field.fill(
      'For the shelf\nItem\tWidth (in)\thigh\tdeep\tQty\tColour\tkg\nPlate box\t10\t60\t190\tx6\tgrey\t2,4\nBad one\twide\t60\t190\t1\tred\t1',
    );
    const understood = page.getByRole('region', { name: 'How the list is understood' });
    for (const text of ['“Width (in)”: width, in inches', '“Colour”: left out', 'Line 1, “For the shelf”: left out', 'a comma'])
      await expect(understood).toContainText(text);
    await expect(page.getByRole('alert')).toContainText('Line 4 is left out: “wide” under “width” cannot be read');
    await page.getByRole('button', { name: 'Add 1 thing' }).click();
    await saved(page);
    // Ten inches.
    await expect(page.getByRole('row', { name: /Plate box/ })).toContainText('254');
    await page.getByRole('button', { name: 'A list', exact: true }).click();
    await page.getByRole('button', { name: 'Jars and bottles' }).click();
    await expect(page.getByRole('row', { name: /Jar, one litre/ })).toBeVisible();
  });

  test('from empty by keyboard @long: lists in inches of things and of stock, as spreadsheets and yards write them', async ({
    page,
    empty,
  }) => {
    const hands = keyboard(page);
    await begin(page, hands, empty);
    await hands.press('link', 'Settings');
    await hands.choose('Works in', 'inches');
    await hands.press('button', 'Change to inches');
    await hands.press('link', 'Things');
    await hands.press('button', 'A list');
    // No head tells the unit: the page does. Fractions, and a count behind a cross.
    await hands.fill(/One thing a line/, 'Item\tW\tH\tD\tQty\nType case\t14 1/2\t2 1/4\t10\tx2\nBrayer box\t9.25\t4\t6 3/8\t3 pcs');
    await hands.press('button', 'Add 2 things');
    await expect(page.getByRole('row', { name: /Type case/ })).toContainText('14 1/2');
    await expect(page.getByRole('row', { name: /Brayer box/ })).toContainText('6 3/8');
    await hands.press('link', 'Stockroom');
    const list = page.getByLabel('Read a list of stocks (CSV)');
    await tabTo(page, list);
    const chosen = page.waitForEvent('filechooser');
    await page.keyboard.press('Enter');
    // Sizes in one cell, and money with its sign.
    const csv =
      'Name,Size,Form,Material,Price\nPoplar,3/4 x 5 1/2 x 96,board,yellow-poplar,$12.50\nYard ply,23/32 x 48 x 96,sheet,birch plywood,$84.50\n';
    await (await chosen).setFiles({ name: 'yard.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
    await hands.press('button', 'Take 2 stocks');
    await expect(page.getByRole('row', { name: /Poplar/ })).toContainText('5 1/2');
    await expect(page.getByRole('row', { name: /Yard ply/ })).toContainText('23/32');
  });

  test('what must be held becomes shelves, proven lowest, and is used', { tag: '@long' }, async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed`);
    await page.getByRole('button', { name: /^Case\b/ }).click();
    await page.getByRole('button', { name: /^Start the/ }).click();
    await page.getByText('Propose shelves from the things').click();
    const set = async (name: string, count: string) => {
      const field = page.getByRole('textbox', { name: `How many ${name}` });
      await field.fill(count);
      await page.keyboard.press('Tab');
    };
    for (const name of ['Proof tube', 'Envelope pack', 'Ink tub', 'Tarlatan roll']) await set(name, '0');
    await set('Roller stand', '4');
    await set('Solvent can', '6');
    await set('Rag box', '2');
    await page.getByRole('button', { name: 'Propose shelves' }).click();
    await expect(page.getByText('Proven: no shelves for these are lower in all.')).toBeVisible({ timeout: 60_000 });
    const shelves = page.getByRole('list', { name: 'Proposed shelves, from the top down' }).getByRole('listitem');
    const count = await shelves.count();
    expect(count).toBeGreaterThan(1);
    await page.getByRole('button', { name: 'Use these shelves' }).click();
    await saved(page);
    await expect(upright(page).getByRole('option', { name: /^space \d/ })).toHaveCount(count + 1);
    await expect(upright(page).getByRole('option', { name: /fits/ })).toHaveCount(count);
  });
});

test.describe('in space', () => {
  test('a part picked in the list is the one selected in space, or it is said that this browser cannot', async ({ page, shed }) => {
    await page.goto(`${shed.url}${PIECES}/paper-chest/divide?at=drawer-top&view=solid`);
    await expect(page.locator('canvas').or(page.getByText('This browser cannot draw in space.'))).toBeVisible();
    await page.getByRole('button', { name: /What is open/ }).click();
    await page.getByRole('option', { name: 'all open' }).click();
    await expect(sum(page)).toContainText('108.3');
    await page.getByRole('button', { name: 'Table', exact: true }).click();
    await expect(page.getByRole('row', { name: /top drawer/ })).toBeVisible();
  });
});
