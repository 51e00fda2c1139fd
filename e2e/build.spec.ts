import { readFileSync } from 'node:fs';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import type { Page } from '@playwright/test';
import { keyboard, named, pointer, saved, walk } from './hands.js';
import { expect, startServer, test } from './server.js';

const step = (page: Page, name: string | RegExp) => page.getByRole('list', { name: 'Steps' }).getByRole('button', { name });
const shown = (page: Page) => page.getByRole('article');
const view = (page: Page, name: string) =>
  page.getByRole('group', { name: 'What is shown' }).getByRole('button', { name, exact: true }).click();
const row = (page: Page, letter: string) =>
  page.getByRole('table', { name: 'Parts that are cut' }).getByRole('row', { name: new RegExp(`^${letter}(,| |–)`) });

test('from a solved piece to a finished log: steps, their settings, what is cut, what came out short, and what it taught', async ({
  page,
  own: shed,
}) => {
  test.setTimeout(240_000);
  const hands = pointer(page);
  await page.goto(`${shed.url}/p/print-shed/pieces/ink-case/stock`);
  await hands.press('link', /Next: the steps of building it/);
  await expect(step(page, /Buy, and let it settle/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('alert').filter({ hasText: '2 checks stop the build' })).toBeVisible();

  // Drilling: what each setting is, and each part with its holes from both ends.
  await step(page, /^4 ?Drill/).click();
  const holes = page.getByRole('table', { name: 'Holes of C' });
  await expect(holes).toContainText('pilot Ø3, 42.4 deep');
  await expect(holes).toContainText('left end, 8.8 from the underside');
  await expect(holes).toContainText('37, 283 from the front edge');
  await expect(holes).toContainText('283, 37 from the rear edge');

  // Put after what needs it, it is told, and put back.
  await hands.press('button', 'Do this step later');
  await expect(step(page, /Sand what cannot be reached later/)).toContainText('before drill, which it needs');
  await step(page, /Sand what cannot be reached later/).click();
  await hands.press('button', 'Put all steps back in order');
  await expect(page.getByText('which it needs')).toHaveCount(0);

  // Built upside down the drawing is turned over and says so.
  await page.getByText('How it is built').click();
  await hands.choose('While it is put together it stands', 'upside down');
  await step(page, /Put the main of it together/).click();
  await expect(shown(page).getByRole('img', { name: /upside down/ })).toBeVisible();
  await expect(shown(page)).toContainText('both diagonals of its outside 2412.4 mm');
  await expect(shown(page)).toContainText('white wood glue');

  // The first steps are done, and one took its time.
  await step(page, /Buy, and let it settle/).click();
  await hands.tick('This step is done');
  await step(page, /Saw the parts to size/).click();
  await hands.tick('This step is done');
  await hands.type('It took, minutes', '164');
  await expect(page.getByText(/^2 of 12 steps done/)).toBeVisible();

  // Hours on two evenings: the plan keeps to them.
  await page.getByText('The hours there are').click();
  for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Saturday']) {
    await page.getByRole('textbox', { name: `${day} from` }).fill('');
    await page.getByRole('textbox', { name: `${day} from` }).press('Enter');
    await saved(page);
  }
  await view(page, 'When');
  await expect(page.getByRole('alert').filter({ hasText: 'there are no hours to work in' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Friday from' }).fill('18:00');
  await page.getByRole('textbox', { name: 'Friday from' }).press('Enter');
  await page.getByRole('textbox', { name: 'Friday to' }).fill('21:30');
  await page.getByRole('textbox', { name: 'Friday to' }).press('Enter');
  await saved(page);
  const plan = page.getByRole('table', { name: 'The plan' });
  await expect(plan).toBeVisible();
  for (const day of await plan.locator('tbody tr td:first-child').allTextContents()) expect(day === '' || day.startsWith('Fri')).toBe(true);
  const wanted = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As a calendar' }).click();
  expect(readFileSync(await (await wanted).path(), 'utf8')).toContain('BEGIN:VEVENT');

  // All five housed shelves are cut, one of them 3 too short: told, with what it may become, and spoiled.
  await view(page, 'What is cut');
  await row(page, 'H').getByRole('button', { name: 'All 5 cut' }).click();
  await expect(page.getByText('5 of 14 are cut')).toBeVisible();
  await row(page, 'H').getByRole('button', { name: 'Measure' }).click();
  await page.getByRole('textbox', { name: 'Length as cut' }).fill('5840');
  await page.getByRole('textbox', { name: 'Length as cut' }).press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: /is far from the 587 mm that was planned/ })).toBeVisible();
  await page.getByRole('textbox', { name: 'Length as cut' }).fill('584');
  await page.getByRole('textbox', { name: 'Length as cut' }).press('Enter');
  await page.getByRole('button', { name: 'Note it again' }).click();
  await expect(page.getByText(/Shelf H is cut, and is 3 mm too short/)).toBeVisible();
  await expect(page.getByText(/It can still become M \(shelf/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Made from what is cut' })).toContainText('in place of');
  // Undo leaves what the tape said.
  await page.getByRole('button', { name: /^Undo/ }).click();
  await saved(page);
  await expect(row(page, 'H')).toContainText('584 × 304');
  await page.getByRole('button', { name: 'It is spoiled: cut another' }).click();
  await expect(page.getByText('4 of 14 are cut')).toBeVisible();
  await expect(page.getByText(/Shelf H is cut/)).toHaveCount(0);

  // A plan that was found: its top is as long as the case is wide.
  await view(page, 'Another plan');
  await page.getByRole('textbox', { name: /Cut list/ }).fill('Top, 1, 1203, 320, 18\nSide, 2, 2091, 320, 18\nLid, x, 1, 1, 1');
  await expect(page.getByText(/Line 1, Top: .* too long/)).toContainText('two thicknesses of Birch ply 18');
  await expect(page.getByRole('alert').filter({ hasText: /Line 3 is left out: .* under “count”/ })).toBeVisible();

  // And its place: as planned it cannot be stood up in the room.
  await expect(page.getByRole('region', { name: 'Once it stands there' })).toContainText('cannot be tipped upright');

  // The log has it all; a photo is kept small, and something that is none is refused.
  await page.getByRole('link', { name: /Next: keep what it taught/ }).click();
  await expect(page.getByText('H was spoiled, and is cut anew')).toBeVisible();
  await expect(page.getByText('Saw the parts to size, 164 min')).toBeVisible();
  await expect(page.getByText(/the steps that were timed took 2 h 44 min/)).toBeVisible();
  await expect(page.getByText(/Sawing takes you/)).toBeVisible();
  await hands.choose('What', 'A photo');
  await page.getByLabel('Photo', { exact: true }).setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.from('nothing') });
  await page.getByRole('button', { name: 'Add to the log' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'This photo cannot be kept' })).toBeVisible();
  const photo = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#a52' } })
    .jpeg()
    .toBuffer();
  await page.getByLabel('Photo', { exact: true }).setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: photo });
  await page.getByRole('textbox', { name: 'For what' }).fill('The first shelf in its housing');
  await page.getByRole('button', { name: 'Add to the log' }).click();
  const kept = page.getByRole('img', { name: 'The first shelf in its housing' });
  await expect(kept).toBeVisible();
  expect(await kept.evaluate((img: HTMLImageElement) => [img.naturalWidth, img.naturalHeight])).toEqual([900, 600]);
  await hands.choose('What', 'What to do next time');
  await page.getByRole('textbox', { name: 'In words' }).fill('Cut the shelves with a stop');
  await page.getByRole('button', { name: 'Add to the log' }).click();
  await expect(page.getByRole('region', { name: 'Next time' })).toContainText('Cut the shelves with a stop');
  // What was written is taken out and brought back.
  await page.getByRole('button', { name: 'Remove “Cut the shelves with a stop” from the log' }).click();
  await expect(page.getByRole('region', { name: 'Next time' }).filter({ hasText: 'Cut the shelves' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('region', { name: 'Next time' })).toContainText('Cut the shelves with a stop');
  await view(page, 'For its owner');
  await expect(page.getByRole('region', { name: 'How it comes apart' })).toContainText('glued: does not come apart');

  // Started anew it keeps where it came from.
  await page.getByRole('button', { name: 'Start a new piece from this one' }).click();
  await expect(page).toHaveURL(/ink-case-again\/measure/);
  await page.goto(`${shed.url}/p/print-shed/pieces/ink-case-again/log`);
  await expect(page.getByText('It was started from Ink case.')).toBeVisible();
});

test('by keyboard alone: to a step, done, and an entry in the log', { tag: '@long' }, async ({ page, own: shed }) => {
  await page.goto(`${shed.url}/p/print-shed/pieces/type-tray/build`);
  await expect(step(page, /Buy/)).toBeVisible({ timeout: 30_000 });
  const hands = keyboard(page);
  await walk(page, 'Tab', step(page, /Saw the parts to size/), 60);
  await page.keyboard.press('Enter');
  await expect(shown(page)).toHaveAccessibleName(/Saw the parts to size/);
  await hands.tick('This step is done');
  await expect(page.getByText(/^1 of \d+ steps done/)).toBeVisible();
  await page.keyboard.press('Alt+7');
  await expect(page.getByRole('heading', { name: 'Log' })).toBeVisible();
  await walk(page, 'Tab', page.getByRole('textbox', { name: 'In words' }), 60);
  await page.keyboard.type('Kept the sheet in the room');
  await walk(page, 'Tab', page.getByRole('button', { name: 'Add to the log' }), 10);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Kept the sheet in the room')).toBeVisible();
});

test('desk and phone: paired by the code, ticks made without a connection come later, let go it is refused', async ({ browser }) => {
  test.setTimeout(180_000);
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-shop-'));
  const running = await startServer(folder, ['--shop']);
  try {
    const there = running.url;
    const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    const inShop = await browser.newContext({ viewport: { width: 390, height: 800 }, hasTouch: true });
    const phone = await inShop.newPage();
    await phone.goto(`${there}/p/print-shed`);
    await expect(phone).toHaveURL(/\/pair$/);
    await desk.goto(running.desk);
    await desk.goto(`${running.url}/p/print-shed/settings`);
    // One was made at the start, for whoever takes it from there; it is good no more once there is another.
    const first = (await desk.getByLabel('The code', { exact: true }).textContent()) ?? '';
    await desk.getByRole('button', { name: 'Make another code' }).click();
    await expect(desk.getByLabel('The code', { exact: true })).not.toHaveText(first);
    const code = (await desk.getByLabel('The code', { exact: true }).textContent()) ?? '';
    expect(code).toMatch(/^\d{6}$/);
    await expect(desk.getByRole('img', { name: /A code that opens http/ }).or(desk.getByText(/No network was found/))).toBeVisible();
    const given = phone.getByRole('textbox', { name: /six figures/ });
    await given.fill(code === '123456' ? '123457' : '123456');
    await phone.getByRole('button', { name: 'Pair it' }).tap();
    await expect(phone.getByRole('alert')).toContainText('That is not the code');
    await given.fill(code);
    await phone.getByRole('button', { name: 'Pair it' }).tap();
    await expect(phone).not.toHaveURL(/\/pair$/);

    await phone.goto(`${there}/p/print-shed/pieces/mat-stand/bench`);
    await expect(phone.getByRole('heading', { name: /1\. Buy/ })).toBeVisible({ timeout: 30_000 });
    const done = phone.getByRole('button', { name: 'Done, next' });
    await done.tap();
    await expect(phone.getByRole('heading', { name: /2\. Saw/ })).toBeVisible();
    await expect(phone.getByRole('status')).toContainText('all sent');
    await inShop.setOffline(true);
    await done.tap();
    await done.tap();
    await expect(phone.getByRole('status')).toContainText('2 waiting to be sent');
    await expect(phone.getByText('Step 4 of 16, 13 to go')).toBeVisible();
    await inShop.setOffline(false);
    await expect(phone.getByRole('status')).toContainText('all sent');

    await desk.goto(`${running.url}/p/print-shed/pieces/mat-stand/build`);
    await expect(desk.getByText(/^3 of 16 steps done/)).toBeVisible({ timeout: 30_000 });
    await desk.goto(`${running.url}/p/print-shed/settings`);
    await desk.getByRole('button', { name: 'Remove Phone in the shop' }).click();
    await expect(desk.getByRole('list', { name: 'Phones that are paired' })).toHaveCount(0);
    await phone.goto(`${there}/p/print-shed`);
    await expect(phone).toHaveURL(/\/pair$/);
  } finally {
    await running.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});

test('sheets and full-size prints are PDF that a browser is given', { tag: '@long' }, async ({ page, shed }) => {
  for (const path of ['sheets.pdf', 'full-size.pdf?jig=0']) {
    const answer = await page.request.get(`${shed.url}/api/projects/print-shed/pieces/mat-stand/${path}`);
    expect([answer.status(), answer.headers()['content-type'], (await answer.body()).subarray(0, 5).toString()]).toEqual([
      200,
      'application/pdf',
      '%PDF-',
    ]);
  }
  await page.goto(`${shed.url}/p/print-shed/pieces/tube-rack/build`);
  const drawn = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Shop sheets' }).click();
  const file = await drawn;
  expect(file.suggestedFilename()).toMatch(/-shop-sheets\.pdf$/);
  expect(
    readFileSync(await file.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await page.goto(`${shed.url}/p/print-shed/pieces/mat-drawer/stock`);
  await expect(page.getByRole('listbox').first()).toBeVisible({ timeout: 30_000 });
  const wanted = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As PDF' }).click();
  expect(
    readFileSync(await (await wanted).path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
});

for (const by of [pointer, keyboard]) {
  test(`a side that came out as its reflection is taken for the other by ${named(by)}`, { tag: '@long' }, async ({ page, own: shed }) => {
    const hands = by(page);
    await page.goto(`${shed.url}/p/print-shed/pieces/proof-display/build`);
    await expect(step(page, /Buy, and let it settle/)).toBeVisible({ timeout: 30_000 });
    await hands.press('button', 'What is cut');
    await hands.press('button', 'Measure A');
    await hands.choose('It came out', 'As its reflection');
    await hands.press('button', 'It is cut');
    await expect(row(page, 'A')).toContainText('as its reflection');
    await expect(page.getByText(/Side A came out as its reflection, which is what side B is to be/).first()).toBeVisible();
    await hands.press('button', 'Take it for B');
    await expect(row(page, 'B')).toContainText('as planned');
    await expect(row(page, 'A')).toContainText('not cut yet');
    await expect(page.getByText(/came out as its reflection/)).toHaveCount(0);
    // An end that slopes the wrong way: twice what 13° runs back over 120.
    await hands.press('button', 'Measure A');
    await hands.choose('It came out', 'A sloping end the wrong way');
    await hands.press('button', 'It is cut');
    await expect(page.getByText(/Cut again to slope as it should, it comes out ≈55.4 mm shorter/).first()).toBeVisible();
  });
}
