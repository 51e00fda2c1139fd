import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { keyboard, pointer, saved, walk } from './hands.js';
import { expect, test, type Running } from './server.js';

const sheets = (page: Page) => page.getByRole('listbox', { name: /^Sheet/ });
const part = (page: Page, mark: string) => page.getByRole('option', { name: new RegExp(`^${mark},`) });
const comesTo = (page: Page, stock: string) => page.getByRole('region', { name: `What ${stock} comes to` });
const looked = (page: Page) => expect(page.getByRole('progressbar')).toHaveCount(0, { timeout: 60_000 });

async function open(page: Page, shed: Running, piece: string, more = '') {
  await page.goto(`${shed.url}/p/print-shed/pieces/${piece}/stock${more}`);
  await expect(page.getByRole('listbox').first()).toBeVisible({ timeout: 30_000 });
  await looked(page);
}

const boxOf = async (locator: Locator) => {
  const box = await locator.boundingBox();
  if (!box) throw new Error('it is not drawn');
  return box;
};

test('from the parts to a plan by pointer: two sheets, a part dragged and held, taken back, cut and ticked off, the rests kept', async ({
  page,
  own: shed,
}) => {
  test.setTimeout(180_000);
  const hands = pointer(page);
  await page.goto(`${shed.url}/p/print-shed/pieces/ink-case/parts`);
  await hands.press('link', /Next: lay the parts out on stock/);
  await expect(sheets(page)).toHaveCount(2, { timeout: 30_000 });
  await looked(page);
  // Thirteen parts of 18 and the back: 2 sheets are the fewest for the parts' 4.1 m² of 6.25, since both sides, 2091 long, lie under each other.
  await expect(sheets(page).getByRole('option')).toHaveCount(13);
  await expect(comesTo(page, 'Birch ply 18')).toContainText('2 sheets on hand');
  await expect(comesTo(page, 'Birch ply 18')).toContainText('No layout opens fewer than 2 sheets');

  // The toe board is dragged into the far corner of the sheet it lies on, and stays there.
  const toe = part(page, 'F');
  await toe.click();
  await expect(page.getByRole('heading', { name: 'F: toe board' })).toBeVisible();
  const sheet = sheets(page).filter({ has: toe });
  const [from, on] = [await boxOf(toe), await boxOf(sheet)];
  await page.mouse.move(from.x + 8, from.y + 6);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y + 30, { steps: 4 });
  // Past the corner: a part is never let go over the edge.
  await page.mouse.move(on.x + on.width - from.width + 30, on.y + on.height - 4, { steps: 6 });
  await page.mouse.up();
  await saved(page);
  await looked(page);
  await expect(toe).toHaveAccessibleName(/held here/);
  // 2500 less 1167.5, and 1250 less 80.
  await expect(page.getByRole('textbox', { name: 'From the end' })).toHaveValue('1332.5');
  await expect(page.getByRole('textbox', { name: 'From the edge' })).toHaveValue('1170');
  await expect(sheets(page).getByRole('option')).toHaveCount(13);

  // Where another part is held it does not stay; that is told, and the rest is still laid out.
  await hands.press('button', 'Hold everything on this sheet');
  await hands.type('From the edge', '0');
  await looked(page);
  await expect(page.getByRole('alert').filter({ hasText: /does not stay where it was put: another part is held/ })).toBeVisible();
  await expect(sheets(page).getByRole('option')).toHaveCount(13);
  for (let n = 0; n < 3; n += 1) {
    await page.getByRole('button', { name: /^Undo/ }).click();
    await saved(page);
  }
  await looked(page);
  await expect(page.getByRole('option', { name: /held here/ })).toHaveCount(0);

  // Every cut of the back's sheet is ticked off; what is left goes into the stockroom.
  await page.getByRole('button', { name: /^Birch ply 6/ }).click();
  await looked(page);
  await page.getByRole('button', { name: 'Order of cuts' }).click();
  const cuts = page.getByRole('checkbox', { name: /^Cut \d+ is made/ });
  await expect(cuts).toHaveCount(2);
  for (let n = 0; n < 2; n += 1) {
    await cuts.nth(n).locator('xpath=ancestor::label').click();
    await saved(page);
  }
  await expect(page.getByRole('checkbox', { name: /is made/, checked: true })).toHaveCount(2);
  await hands.press('button', /off what is on hand, keep 1 offcut/);
  await page.getByRole('button', { name: 'Laid out' }).click();
  await expect(page.getByText('Sheet 1, used up')).toBeVisible();
  await page.goto(`${shed.url}/p/print-shed/stock?open=birch-6`);
  await expect(
    page.getByRole('group', { name: 'What is known of Birch ply 6' }).getByRole('textbox', { name: 'On hand' }).first(),
  ).toHaveValue('1');
  await expect(page.getByRole('group', { name: 'Offcut 1' })).toBeVisible();
});

test('what to buy: whole sheets with their prices against a budget, and everything besides wood; as CSV', async ({ page, shed }) => {
  await open(page, shed, 'paper-chest', '?show=laid');
  await page.getByRole('button', { name: 'What to buy' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Still laying out' })).toHaveCount(0, { timeout: 60_000 });
  const table = page.getByRole('table', { name: 'Wood to buy' });
  await expect(table).toBeVisible();
  // Seven pairs of slides by the price of their record, then at 24, two of them there already: five are bought.
  const slides = page.getByRole('table', { name: 'Besides wood' }).getByRole('row', { name: /Ball slide 45, 500 mm, pairs/ });
  await expect(slides.getByRole('cell').last()).toHaveText('133');
  const hands = pointer(page);
  await hands.type(/^Price of a pack of Ball slide 45/, '24');
  await expect(slides.getByRole('cell').last()).toHaveText('168');
  await hands.type(/^On hand of Ball slide 45/, '2');
  await expect(slides.getByRole('cell').last()).toHaveText('120');
  await expect(page.getByRole('table', { name: 'Besides wood' }).getByRole('row', { name: /wood glue/ })).toBeVisible();
  const wanted = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As CSV' }).click();
  const path = await (await wanted).path();
  expect(readFileSync(path, 'utf8')).toMatch(/quantity,what,size,price of one,price in all/);
  // The fronts come from one strip: all parts still have their place.
  await page.getByRole('button', { name: 'Laid out' }).click();
  // Seven fronts of ash, which come from boards.
  await page.getByRole('button', { name: /^Ash 18/ }).click();
  const boards = page.getByRole('listbox', { name: /^Board/ }).getByRole('option');
  await expect(boards).toHaveCount(7);
  await hands.tick('Fronts from one strip, the grain running on');
  await looked(page);
  await expect(boards).toHaveCount(7);
  await expect(page.getByRole('checkbox', { name: 'Fronts from one strip, the grain running on' })).toBeChecked();
});

test(
  'by keyboard alone: parts are walked, one is moved and held, taken to the next sheet, let go; cuts are ticked',
  { tag: '@long' },
  async ({ page, shed }) => {
    test.setTimeout(120_000);
    await open(page, shed, 'ink-case', '?stock=birch-18');
    const hands = keyboard(page);
    await walk(page, 'Tab', sheets(page).first().getByRole('option'), 60);
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    const heading = page.getByRole('heading', { level: 1 }).nth(1);
    const mark = ((await heading.textContent()) ?? '').split(':')[0] as string;
    await expect(part(page, mark)).toBeFocused();
    await page.keyboard.press('p');
    await saved(page);
    await expect(part(page, mark)).toHaveAccessibleName(/held here/);
    await looked(page);
    await page.keyboard.press('p');
    await saved(page);
    await expect(part(page, mark)).not.toHaveAccessibleName(/held here/);
    await looked(page);
    await walk(page, 'Tab', part(page, mark), 60);
    await page.keyboard.press('m');
    await saved(page);
    await looked(page);
    await expect(
      sheets(page)
        .nth(1)
        .getByRole('option', { name: new RegExp(`^${mark},.*held here`) }),
    ).toBeVisible();
    await hands.press('button', /^Let all 1 held lie anywhere/);
    await looked(page);
    await expect(page.getByRole('option', { name: /held here/ })).toHaveCount(0);
    await hands.press('button', 'Order of cuts');
    await hands.tick('Cut 1 is made');
    const first = page.getByRole('checkbox', { name: 'Cut 1 is made' });
    await expect(first).toBeChecked();
    await saved(page);
    await looked(page);
    // It is still there to be unticked, whatever was worked out anew.
    await expect(first).toBeFocused();
    await page.keyboard.press('Space');
    await saved(page);
    await expect(first).not.toBeChecked();
  },
);

test('a long search is stopped, keeps the best so far, and goes on when asked', { tag: '@long' }, async ({ page, shed }) => {
  test.setTimeout(120_000);
  await page.goto(`${shed.url}/p/print-shed/pieces/ink-case/measure`);
  await pointer(page).type('To make', '20');
  await page.goto(`${shed.url}/p/print-shed/pieces/ink-case/stock?stock=birch-18`);
  await page.getByRole('button', { name: 'Stop' }).press('Enter', { timeout: 60_000 });
  await expect(page.getByText('Stopped: the best so far is kept.')).toBeVisible();
  await expect(sheets(page).getByRole('option')).toHaveCount(260);
  await page.getByRole('button', { name: 'Look on' }).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.goto(`${shed.url}/p/print-shed/pieces/ink-case/measure`);
  await pointer(page).type('To make', '1');
});

test('sizes that waste less are tried one after the other, with a table beside the plot', async ({ page, shed }) => {
  test.setTimeout(120_000);
  await open(page, shed, 'ink-case', '?stock=birch-18');
  await page.getByRole('button', { name: 'Sizes that waste less' }).click();
  await expect(page.getByRole('figure', { name: 'Money and sheets against the depth' })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'Trying sizes' })).toHaveCount(0, { timeout: 90_000 });
  await page.getByText('The same as a table').click();
  const rows = page.getByRole('table', { name: 'What each depth comes to' }).getByRole('row');
  await expect.poll(() => rows.count()).toBeGreaterThan(25);
  await expect(rows.filter({ hasText: '326' }).first()).toBeVisible();
});

test(
  'a board with a knot is entered and laid out clear of it; what the plan takes is reserved, and is not there for another',
  { tag: '@long' },
  async ({ page, own: shed }) => {
    test.setTimeout(120_000);
    const hands = pointer(page);
    await page.goto(`${shed.url}/p/print-shed/stock`);
    await hands.press('button', 'Change Ash 20');
    const form = page.getByRole('group', { name: 'What is known of Ash 20' });
    await form.getByRole('button', { name: 'Offcut', exact: true }).click();
    const board = form.getByRole('group', { name: 'Offcut 1', exact: true });
    const set = async (field: Locator, value: string) => {
      await field.fill(value);
      await field.press('Enter');
      await saved(page);
    };
    await set(board.getByRole('textbox', { name: 'Long' }), '4200');
    await set(board.getByRole('textbox', { name: 'Wide' }), '170');
    await form.getByRole('button', { name: 'Knot or split in Offcut 1' }).click();
    const knot = form.getByRole('group', { name: 'Knot or split 1 of Offcut 1' });
    await set(knot.getByRole('textbox', { name: 'to, from the same end' }), '2030');
    await set(knot.getByRole('textbox', { name: 'Knot or split, from' }), '1990');

    // Two uprights of some 1980, one to either side of the knot: 1990 and 4200 less 2030 are long enough.
    await open(page, shed, 'proof-display', '?stock=ash-20');
    await expect(page.getByText('clear of 1990 to 2030')).toBeVisible();
    await expect(comesTo(page, 'Ash 20')).toContainText('1 offcut');
    const order = () => page.getByRole('table', { name: 'Order of cuts of Ash 20' });
    await hands.press('button', 'Order of cuts');
    await expect(order()).toContainText('knot or split, not used');
    await expect(order()).toContainText('stop at 1990 mm');
    await hands.press('button', 'Reserve what is on hand');
    await expect(page.getByRole('region', { name: 'Reserved' })).toContainText('Offcut 1');
    await saved(page);

    await page.goto(`${shed.url}/p/print-shed/stock`);
    await expect(page.getByRole('row', { name: /Ash 20/ })).toContainText('1 reserved');
    // Taken back where it was done, it is there again.
    await open(page, shed, 'proof-display', '?stock=ash-20');
    await hands.press('button', 'Let it go');
    await saved(page);
    await page.goto(`${shed.url}/p/print-shed/stock`);
    await expect(page.getByRole('row', { name: /Ash 20/ })).not.toContainText('reserved');
  },
);

test('the number of shelves is a size that is tried, and a list of hardware is read in', { tag: '@long' }, async ({ page, own: shed }) => {
  test.setTimeout(120_000);
  const hands = pointer(page);
  await open(page, shed, 'proof-display');
  await hands.press('button', 'Sizes that waste less');
  await page.getByRole('button', { name: /What may change/ }).click();
  await page.getByRole('option', { name: 'Number of shelves' }).click();
  await page.getByText('The same as a table').click();
  // Four as it is, up to four less and four more, of which one would be no shelf at all.
  await expect(page.getByRole('table', { name: 'What each number of shelves comes to' }).getByRole('row')).toHaveCount(1 + 8);

  await page.goto(`${shed.url}/p/print-shed/stock`);
  await page.getByLabel('Read a list of lines of hardware (CSV)').setInputFiles({
    name: 'hardware.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('what,counted by,in one pack,price,on hand\nhard wax oil,litre,0.75,24,0.5\nglue,barrel,1,1,1\n'),
  });
  await expect(page.getByText(/Line 3 is left out: “barrel” under “counted by” cannot be read/)).toBeVisible();
  await expect(page.getByRole('table', { name: 'Hardware' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Take 1 line' }).click();
  await expect(page.getByText('1 line was read.')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Hardware' }).getByRole('row', { name: /hard wax oil/ })).toContainText('0.75 l');
});
