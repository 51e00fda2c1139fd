import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { along, pointer, saved, sum, upright, walk } from './hands.js';
import { expect, test } from './server.js';

const INK = '/p/print-shed/pieces/ink-case';
test.describe('the figures of the ink case on the page', () => {
  test('in millimetres', async ({ page, shed }) => {
    await page.goto(`${shed.url}${INK}/divide?at=bottles`);
    await expect(along(page).getByRole('option', { name: /left bay/ })).toHaveText(/575\.1/);
    await expect(upright(page).getByRole('option', { name: /ink tubs/ })).toHaveText(/380/);
    await expect(sum(page)).toContainText('381');
    await expect(sum(page)).toContainText('381.35');
    await expect(sum(page)).toContainText('1525.4');
    await page.goto(`${shed.url}${INK}/divide?at=rollers`);
    await expect(sum(page)).toContainText('Holds 0.4 that is smaller than a step');
    const checks = page.getByRole('region', { name: 'Checks on this piece' });
    await expect(checks).toContainText(/cannot be tipped upright: .2116\.3 mm/);
    await expect(checks).toContainText('keeps 5.6 mm of its 17.6 mm');
    await page.goto(`${shed.url}${INK}/parts?at=left-2/shelf/1`);
    const row = (part: string, exact: string) => page.getByRole('row', { name: new RegExp(part) }).filter({ hasText: exact });
    await expect(row('shelf', '587.1')).toContainText('587');
    await expect(row('shelf', '573.1')).toContainText('573');
    await expect(row('divider', '1975.8')).toContainText('1975.5');
    await expect(page.getByText('Ink case: 1203 × 2091 × 326 mm')).toBeVisible();
    await page.goto(`${shed.url}${INK}/carry?at=right-2/shelf/1`);
    const answer = page.getByRole('region', { name: 'shelf M' });
    await expect(answer).toContainText('1.33 mm');
    await expect(answer).toContainText('2.67 mm');
    await answer.getByText('All limits, and what this rests on').click();
    await expect(answer).toContainText('bending alone 1.335 mm');
    await expect(answer).toContainText('span/384: 1.498 mm');
    await expect(answer).toContainText('span/360: 1.598 mm');
    await expect(page.getByRole('row', { name: /MDF 18/ })).toContainText('4.24 mm');
    await expect(page.getByRole('row', { name: /Red oak 18/ })).toContainText('1.02 mm');
  });

  test('in inches', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed/pieces/roller-case/divide?at=third`);
    const glance = page.getByRole('button', { name: 'Hold to see inches' });
    await glance.hover();
    await page.mouse.down();
    await expect(sum(page)).toContainText('12 3/8');
    await expect(sum(page)).toContainText('49 1/2');
    await page.mouse.up();
    await expect(sum(page)).not.toContainText('49 1/2');
    await page.goto(`${shed.url}/p/print-shed/pieces/brayer-rack/divide?at=gap-2`);
    await glance.focus();
    await page.keyboard.down('Space');
    await expect(upright(page).getByRole('option', { name: /space 1/ })).toHaveText(/12 5\/8/);
    for (const n of [2, 3, 4, 5])
      await expect(upright(page).getByRole('option', { name: new RegExp(`space ${n}`) })).toHaveText(/12 21\/32/);
    await page.keyboard.up('Space');
  });
});

test.describe('the tape', () => {
  test('with the pointer: click, type, drag, rule, add, drop', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed/pieces/roller-case/divide?at=second`);
    const tape = upright(page);
    await tape.getByRole('option', { name: /ink tubs/ }).click();
    await expect(page).toHaveURL(/at=tubs/);
    await tape.getByRole('option', { name: /ink tubs/ }).click();
    await page.getByRole('textbox', { name: 'Size of ink tubs' }).fill('400');
    await expect(tape.getByRole('option', { name: /ink tubs/ })).toHaveText(/400/);
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(page.getByRole('status', { name: 'What changed' })).toContainText('400');

    const shelf = tape.getByRole('option', { name: /^shelf 2/ });
    const before = await shelf.boundingBox();
    if (!before) throw new Error('the shelf is not on the tape');
    await page.mouse.move(before.x + 20, before.y + before.height / 2);
    await page.mouse.down();
    await page.mouse.move(before.x + 20, before.y - 25, { steps: 5 });
    await page.mouse.up();
    await saved(page);
    const after = await shelf.boundingBox();
    expect((after?.y ?? 0) - before.y).toBeLessThan(-15);
    await expect(page.getByRole('button', { name: /Undo: Moved shelf 2/ })).toBeVisible();

    await page.getByRole('button', { name: 'Let it go' }).click();
    await tape.getByRole('option', { name: /space 4/ }).click();
    await page.getByRole('button', { name: 'Shelf', exact: true }).click();
    await expect(tape.getByRole('option', { name: /^shelf/ })).toHaveCount(5);
    await tape.getByRole('option', { name: /^shelf 5/ }).click();
    await page.getByRole('button', { name: 'Remove it' }).click();
    await expect(tape.getByRole('option', { name: /^shelf/ })).toHaveCount(4);
    await page.getByRole('button', { name: 'Even' }).click();
    await saved(page);
    await expect(tape.getByRole('option', { name: /ink tubs/ })).toHaveText(/share/);
  });

  test('with the keyboard: walk, type, move, rule, add, drop, and undo', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed/pieces/brayer-rack/divide?at=gap-1`);
    const tape = upright(page);
    await tape.getByRole('option', { name: /space 1/ }).focus();
    await page.keyboard.press('ArrowUp');
    await expect(tape.getByRole('option', { name: /^shelf 1/ })).toBeFocused();
    await expect(page).toHaveURL(/at=shelf-1%2Fshelf%2F1/);
    await page.keyboard.press('ArrowUp');
    await page.keyboard.type('300');
    await page.keyboard.press('Enter');
    await expect(tape.getByRole('option', { name: /space 2/ })).toBeFocused();
    await expect(tape.getByRole('option', { name: /space 2/ })).toHaveText(/300.*fixed/s);
    await saved(page);

    await page.keyboard.press('Enter');
    await page.keyboard.type('nonsense');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('was not understood');
    await page.keyboard.press('Escape');
    await expect(tape.getByRole('option', { name: /space 2/ })).toHaveText(/300/);

    await page.keyboard.press('r');
    await expect(page.getByRole('menuitemradio', { name: 'Fix it at this size' })).toBeFocused();
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Enter');
    await expect(tape.getByRole('option', { name: /space 2/ })).toHaveText(/share/);
    await saved(page);

    await tape.getByRole('option', { name: /space 2/ }).focus();
    await page.keyboard.press('+');
    await expect(tape.getByRole('option', { name: /^shelf/ })).toHaveCount(5);
    await saved(page);
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Delete');
    await expect(tape.getByRole('option', { name: /^shelf/ })).toHaveCount(4);
    await saved(page);

    await page.keyboard.press('ArrowDown');
    const place = tape.getByRole('option', { name: /^shelf 1/ });
    await expect(place).toBeFocused();
    await page.keyboard.press('Shift+ArrowUp');
    await page.keyboard.press('Control+Shift+ArrowUp');
    await page.keyboard.press('Enter');
    await expect(place).toHaveAttribute('aria-label', /held/);
    await saved(page);

    for (let i = 0; i < 5; i += 1) {
      await page.keyboard.press('Control+z');
      await saved(page);
      await page.waitForTimeout(150);
    }
    await page.reload();
    await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
    await expect(tape.getByRole('option', { name: /^shelf 1/ })).not.toHaveAttribute('aria-label', /held/);
    await expect(page.getByRole('button', { name: /^Redo: Sized/ })).toBeVisible();
  });

  test('Alt and a digit walk the stations, and the selection goes along', async ({ page, shed }) => {
    await page.goto(`${shed.url}${INK}/divide?at=tubs`);
    await expect(upright(page)).toBeVisible();
    await page.keyboard.press('Alt+4');
    await expect(page).toHaveURL(/parts\?at=tubs/);
    await page.keyboard.press('Alt+1');
    await expect(page.getByRole('heading', { name: 'What decides the outside' })).toBeVisible();
  });
});

test('a project is changed to inches, every size kept, and changed back by undo', async ({ page, own }) => {
  const hands = pointer(page);
  const stored = async () => (await page.request.get(`${own.url}/api/projects/print-shed/pieces/ink-case`)).text();
  const before = await stored();
  const tubs = () => page.goto(`${own.url}${INK}/divide?at=tubs`);
  await page.goto(`${own.url}/p/print-shed/settings`);
  await hands.choose('Works in', 'inches');
  await hands.press('button', 'Change to inches');
  await expect(page.getByRole('textbox', { name: 'Round to' })).toHaveValue('1/32');
  await tubs();
  await expect(upright(page).getByRole('option', { name: /ink tubs/ })).toHaveText(/14 31\/32/);
  expect(await stored()).toBe(before);
  await page.goto(`${own.url}/p/print-shed/settings`);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('textbox', { name: 'Round to' })).toHaveValue('0.5');
  await tubs();
  await expect(upright(page).getByRole('option', { name: /ink tubs/ })).toHaveText(/380/);
});

test('a fix is looked at on the drawing, used, and undone', async ({ page, shed }) => {
  await page.goto(`${shed.url}${INK}/divide?at=tubs`);
  const tape = upright(page);
  await page.getByRole('button', { name: /Stand it on a loose plinth/ }).click();
  await expect(tape.getByRole('option', { name: /plinth/ })).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(tape.getByRole('option', { name: /toe/ })).toBeVisible();
  await page.getByRole('button', { name: /Stand it on a loose plinth/ }).click();
  await page.getByRole('button', { name: 'Do it' }).click();
  await saved(page);
  await expect(page.getByText('cannot be tipped upright')).toHaveCount(0);
  await expect(tape.getByRole('option', { name: /plinth/ })).toBeVisible();
  await page.getByRole('button', { name: /^Undo: Stand it on a loose plinth/ }).click();
  await expect(page.getByText('cannot be tipped upright').first()).toBeVisible();
});

test('a remedy is found, looked at and used', async ({ page, shed }) => {
  await page.goto(`${shed.url}${INK}/carry?at=case/bottom/1`);
  await page.getByRole('button', { name: 'Put a bearer under each divider, down to the floor' }).click();
  await page.getByRole('button', { name: 'Do it' }).click();
  await saved(page);
  await expect(page.getByRole('region', { name: 'bottom D' })).toContainText('fine');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await saved(page);
  await expect(page.getByRole('region', { name: 'bottom D' })).toContainText('past the limit');
});

test('a measured thickness re-solves the piece', async ({ page, shed }) => {
  await page.goto(`${shed.url}/p/print-shed/stock`);
  await page.getByRole('button', { name: 'Change Birch ply 24' }).click();
  await page.getByLabel('Measured thickness').fill('24.2');
  await page.keyboard.press('Enter');
  await saved(page);
  const row = page.getByRole('row', { name: /Birch ply 24/ });
  await expect(row).toContainText('24.2');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(row).toContainText('23.7');
});

test('two tabs on one piece: the later edit is shown both and chooses', async ({ browser, shed }) => {
  const [one, two] = await Promise.all([browser.newPage(), browser.newPage()]);
  const url = `${shed.url}/p/print-shed/pieces/solvent-cupboard/divide?at=high`;
  await Promise.all([one.goto(url), two.goto(url)]);
  const name = (page: Page) => page.getByLabel('Name of this space');
  await expect(name(two)).toBeVisible();
  await name(one).fill('inks');
  await name(one).press('Enter');
  await saved(one);
  await name(two).fill('lids');
  await name(two).press('Enter');
  const dialog = two.getByRole('alertdialog', { name: 'Changed in two places' });
  await expect(dialog).toContainText('Your edit: Named a space');
  await dialog.getByRole('button', { name: 'Take what is stored' }).click();
  await expect(name(two)).toHaveValue('inks');
  await name(one).fill('jars');
  await name(one).press('Enter');
  await saved(one);
  await name(two).fill('lids');
  await name(two).press('Enter');
  await two.getByRole('button', { name: 'Keep mine' }).click();
  await saved(two);
  await one.reload();
  await expect(name(one)).toHaveValue('lids');
  await Promise.all([one.close(), two.close()]);
});

test('parts go out as CSV and as a clean print', async ({ page, shed }) => {
  await page.goto(`${shed.url}${INK}/parts`);
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Parts as CSV' }).click()]);
  expect(file.suggestedFilename()).toBe('ink-case-parts.csv');
  const csv = readFileSync(await file.path(), 'utf8');
  expect(csv).toMatch(/G,divider,1,0,,1975\.8,320,17\.6,1975\.5/);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('grid', { name: 'Parts' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeHidden();
});

test('a thing is dragged from the tray into a space', async ({ page, shed }) => {
  await page.goto(`${shed.url}${INK}/divide?at=left-4th`);
  const stands = page.getByRole('button', { name: /^One more / });
  await expect(page.getByRole('textbox', { name: 'Load, kg per metre' })).toBeVisible();
  await expect(stands).toHaveCount(0);
  const tray = page.getByRole('grid', { name: 'Not placed yet' }).getByRole('row').first();
  await tray.dragTo(page.locator('[data-of="space:left-4th"]'));
  await saved(page);
  await expect(stands).toHaveCount(1);
  await page.getByRole('button', { name: /^Undo: Put/ }).click();
  await expect(stands).toHaveCount(0);
});

test('a thing is put into a space with the keyboard as it is dragged', async ({ page, shed }) => {
  await page.goto(`${shed.url}${INK}/divide?at=left-4th`);
  const stands = page.getByRole('button', { name: /^One more / });
  await expect(page.getByRole('textbox', { name: 'Load, kg per metre' })).toBeVisible();
  await expect(stands).toHaveCount(0);
  const grip = page.getByRole('button', { name: /^Drag / }).first();
  await grip.focus();
  await page.keyboard.press('Enter');
  const zone = page.getByRole('button', { name: /^Into / });
  await walk(page, 'Tab', zone.and(page.getByRole('button', { name: /left bay.*space 4|empty/ })), 20);
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(stands).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(stands).toHaveCount(0);
});

test('a line of a sum leads to the field or the reading that it came from', async ({ page, shed }) => {
  const sums = page.getByRole('region', { name: 'The sum of what is selected' });
  const open = async (piece: string, at: string, figure: string) => {
    await page.goto(`${shed.url}/p/print-shed/pieces/${piece}/divide?at=${at}`);
    await sums.locator('summary').filter({ hasText: figure }).click();
  };
  // A clearance of the drawers, in their own form.
  await open('composing-table', 'front-1', 'box, wide');
  await sums.getByRole('button', { name: 'Change free at both sides' }).click();
  await expect(page.getByRole('textbox', { name: 'Free beside the box' })).toBeFocused();
  // What the tape said once it was built.
  await open('composing-table', 'rear-end', 'wide, clear');
  await sums.getByRole('button', { name: 'Change width as measured' }).click();
  await expect(page.getByRole('textbox', { name: 'Width as built' })).toBeFocused();
  // The slide as it was measured, in the stockroom.
  await open('paper-chest', 'drawer-top', 'box, wide');
  await sums.getByRole('button', { name: 'Change a slide at each side' }).click();
  await expect(page).toHaveURL(/\/stock\?open=slide-45/);
  await expect(page.getByRole('group', { name: /Ball slide 45/ }).locator(':focus')).toHaveValue('12.7');
  // The reading that decides the outside.
  await page.goto(`${shed.url}/p/print-shed/pieces/ink-case/measure`);
  await page.getByRole('button', { name: 'Follow least width of the opening' }).click();
  await page.getByRole('button', { name: 'Change width, middle' }).click();
  await expect(page.getByRole('textbox', { name: 'Width, middle' })).toBeFocused();
});
