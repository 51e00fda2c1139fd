import sharp from 'sharp';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { caseInOpening } from './begin.js';
import { along, keyboard, pointer, saved, upright, walk } from './hands.js';
import { expect, test } from './server.js';

const tabTo = (page: Page, role: 'textbox' | 'button' | 'checkbox' | 'option', name: RegExp) =>
  walk(page, 'Tab', page.getByRole(role, { name }), 120);

/** Replaces what stands in the focused field and keeps it. */
async function enter(page: Page, text: string) {
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
  await saved(page);
}

test('from an empty shed to what was built and noted with the keyboard alone', { tag: '@long' }, async ({ page, empty }) => {
  test.setTimeout(300_000);
  await page.goto(`${empty.url}/?all`);
  await expect(page.getByRole('button', { name: 'Start the project' })).toBeVisible();
  await tabTo(page, 'textbox', /Project name/);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Ink room');
  await tabTo(page, 'button', /Start the project/);
  await page.keyboard.press('Enter');
  await caseInOpening(keyboard(page));

  // The tape readings of the alcove.
  await expect(page.getByRole('heading', { name: 'What decides the outside' })).toBeVisible();
  for (const [label, value] of [
    [/^Width, top/, '1212'],
    [/^Width, middle/, '1209'],
    [/^Width, bottom/, '1210'],
    [/^Height, left/, '2104'],
    [/^Height, right/, '2101'],
    [/^Depth, middle/, '330'],
  ] as const) {
    await tabTo(page, 'textbox', label);
    await enter(page, value);
  }
  await expect(page.getByRole('heading', { name: /Overall width: 1203/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: /Overall height: 2091/ })).toBeVisible();

  // Divided: two bays, then four shelves in the left one, from the tapes.
  await page.keyboard.press('Alt+2');
  await expect(upright(page)).toBeVisible();
  await walk(page, 'Tab', along(page).getByRole('option'), 120);
  await walk(page, 'ArrowRight', along(page).getByRole('option', { name: /^inside/ }), 3);
  await page.keyboard.press('+');
  await expect(along(page).getByRole('option', { name: /bay 1/ })).toBeVisible();
  await saved(page);
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  await expect(along(page).getByRole('option', { name: /bay 1/ })).toBeFocused();
  await page.keyboard.press('Shift+Tab');
  await expect(upright(page).locator(':focus')).toHaveCount(1);
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  for (let shelf = 1; shelf <= 4; shelf += 1) {
    await page.keyboard.press('+');
    await expect(upright(page).getByRole('option', { name: /^shelf/ })).toHaveCount(shelf);
    await saved(page);
  }
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(upright(page).getByRole('option', { name: /space 1/ })).toBeFocused();
  await page.keyboard.type('380');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(upright(page).getByRole('option', { name: /space 1/ })).toHaveText(/380.*fixed/s);

  // Looked at: what carries what, and the checks.
  await page.keyboard.press('Alt+3');
  await expect(page.getByRole('heading', { name: 'What bends' })).toBeVisible();
  await expect(page.getByText(/, and [\d.]+ kg are assumed/)).toBeVisible();

  // The list.
  await page.keyboard.press('Alt+4');
  await tabTo(page, 'button', /Parts as CSV/);
  const [file] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('Enter')]);
  const csv = readFileSync(await file.path(), 'utf8');
  expect(csv).toMatch(/side,/);
  expect(csv.match(/shelf,4/)).not.toBeNull();

  // Laid out on stock: one part held by its key, the first cut ticked off.
  await page.keyboard.press('Alt+5');
  const sheets = page.getByRole('listbox', { name: /its parts$/ });
  await expect(sheets.first()).toBeVisible();
  await walk(page, 'Tab', sheets.first().getByRole('option'), 120);
  await page.keyboard.press('p');
  await saved(page);
  await expect(sheets.getByRole('option', { name: /held here/ })).toHaveCount(1);
  await tabTo(page, 'button', /^Order of cuts/);
  await page.keyboard.press('Enter');
  await tabTo(page, 'checkbox', /^Cut 1 is made/);
  await page.keyboard.press('Space');
  await saved(page);
  await expect(page.getByRole('checkbox', { name: 'Cut 1 is made' })).toBeChecked();

  // Built: the first step done, the second in two, and one of those in one go with what follows.
  const hands = keyboard(page);
  await page.keyboard.press('Alt+6');
  const steps = page.getByRole('list', { name: 'Steps' }).getByRole('button');
  await expect(steps.first()).toContainText('Buy, and let it settle');
  const count = await steps.count();
  await hands.tick('This step is done');
  await hands.press('button', 'Next');
  await walk(page, 'Tab', page.getByText('Split this step, or do it in one go with the next'), 120);
  await page.keyboard.press('Enter');
  await hands.tick('A side');
  await hands.press('button', 'Make two steps of it');
  await expect(steps).toHaveCount(count + 1);
  await expect(page.getByRole('article', { name: 'Step 3: Saw the parts to size: A' })).toBeVisible();
  await walk(page, 'Tab', page.getByText('Split this step, or do it in one go with the next'), 120);
  await page.keyboard.press('Enter');
  await hands.press('button', /^In one go with/);
  await expect(steps).toHaveCount(count);
  await hands.press('button', 'Take them apart again');
  await hands.press('button', 'Put it back with the rest');
  await expect(steps).toHaveCount(count);
  await expect(page.getByRole('article', { name: 'Step 2: Saw the parts to size' })).toBeVisible();

  // Kept: what was done is there by itself, and a note beside it.
  await page.keyboard.press('Alt+7');
  await expect(page.getByText('Buy, and let it settle')).toBeVisible();
  await hands.type('In words', 'The alcove leans: its top is 2 wider.');
  await hands.press('button', 'Add to the log');

  // All of it is there after a reload.
  await page.reload();
  await expect(page.getByText('The alcove leans: its top is 2 wider.')).toBeVisible();
  await page.keyboard.press('Alt+4');
  await expect(page.getByRole('grid', { name: 'Parts' }).getByText('shelf').first()).toBeVisible();
});

test('from an empty shed to the exported list with the pointer, starting from things', async ({ page, empty }) => {
  test.setTimeout(300_000);
  await page.goto(`${empty.url}/?all`);
  await page.getByRole('textbox', { name: 'Project name' }).fill('Tin room');
  await page.getByRole('button', { name: 'Start the project' }).click();
  const hands = pointer(page);
  await hands.press('button', /^Case\b/);
  for (const reach of ['Width', 'Height', 'Depth']) await hands.choose(`${reach} from`, 'the things it holds');
  await hands.press('button', 'Start the case');

  await page.getByRole('button', { name: 'A thing' }).click();
  const form = page.getByRole('form', { name: /Sizes of/ });
  await form.getByLabel('What it is').fill('Ink tub');
  await form.getByRole('button', { name: /Shape/ }).click();
  await page.getByRole('option', { name: 'A cylinder' }).click();
  await form.getByLabel('Qty').fill('8');
  await form.getByLabel('Mass of one, kg').fill('5.6');
  await form.getByLabel('Diameter').fill('140');
  await form.getByLabel('High').fill('340');
  await form.getByLabel('Free above, for a hand').fill('40');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('row', { name: /Ink tub/ })).toContainText('340');

  await page.getByRole('link', { name: 'Next: shelves for them' }).click();
  await page.getByRole('button', { name: /Put 8 Ink tub into/ }).click();
  await saved(page);
  // As wide as eight tubs, as high as one and a hand.
  await expect(page.getByRole('region', { name: 'The sum of what is selected' })).toContainText('380');
  await page.getByRole('button', { name: 'Shelf in it' }).click();
  await saved(page);
  await expect(upright(page).getByRole('option', { name: /^shelf/ })).toHaveCount(1);
  await page.getByRole('link', { name: /Carry/ }).click();
  await expect(page.getByRole('region', { name: /bottom|shelf/ }).first()).toBeVisible();
  await page.getByRole('link', { name: /Parts/ }).click();
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Parts as CSV' }).click()]);
  expect(readFileSync(await file.path(), 'utf8')).toMatch(/shelf,1/);

  await page.getByRole('link', { name: /Next: lay the parts out on stock/ }).click();
  const part = page.getByRole('option', { name: /^A,/ });
  await part.click();
  await page.getByRole('button', { name: 'Hold it here' }).click();
  await saved(page);
  await expect(part).toHaveAccessibleName(/held here/);
  await page.getByRole('button', { name: 'What to buy' }).click();
  await expect(page.getByRole('table', { name: 'Wood to buy' })).toBeVisible();

  await page.getByRole('link', { name: 'Tin room' }).click();
  await expect(page.getByRole('link', { name: 'New case', exact: true })).toBeVisible();
});

test('the demo is offered in an empty shed', async ({ page, empty }) => {
  await page.goto(`${empty.url}/?all`);
  await page.getByRole('button', { name: 'Open the print shed' }).click();
  await expect(page.getByRole('link', { name: 'Ink case', exact: true })).toBeVisible();
  await page.goto(`${empty.url}/?all`);
  await expect(page.getByRole('button', { name: 'Open the print shed' })).toHaveCount(0);
});

test('a project file is saved and read in again; a bad one is refused with its fault', async ({ page, shed }) => {
  await page.goto(`${shed.url}/p/print-shed`);
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Project file' }).click()]);
  const text = readFileSync(await file.path(), 'utf8');
  await page.goto(`${shed.url}/?all`);
  await page.locator('input[type=file]').setInputFiles({ name: 'copy.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(page).toHaveURL(/\/p\/copy/);
  await page.goto(`${shed.url}/?all`);
  const bad = text.replace('"count": 11', '"count": -11');
  await page.locator('input[type=file]').setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from(bad) });
  await expect(page.getByRole('alert')).toContainText('/things/ink-tub/count: this is too small');
});

test('a project with photos is saved with them, and read in again with them', { tag: '@long' }, async ({ page, own }) => {
  const photo = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#6a5' } })
    .jpeg()
    .toBuffer();
  const at = `${own.url}/api/projects/print-shed`;
  expect((await page.request.post(`${at}/photos?id=edge`, { headers: { 'content-type': 'image/jpeg' }, data: photo })).status()).toBe(201);
  const data = { piece: 'ink-case', day: '2026-05-04', is: 'photo', text: 'The edge', photo: 'edge' };
  expect((await page.request.post(`${at}/log`, { data: { id: 'one', data, label: 'Photo' } })).status()).toBe(201);
  await page.goto(`${own.url}/p/print-shed`);
  const wanted = page.waitForEvent('download');
  await page.getByRole('button', { name: 'With its photos' }).click();
  const zip = readFileSync(await (await wanted).path());
  await page.goto(`${own.url}/?all`);
  await page.locator('input[type=file]').setInputFiles({ name: 'copy.zip', mimeType: 'application/zip', buffer: zip });
  await expect(page).toHaveURL(/\/p\/copy/, { timeout: 60_000 });
  await page.goto(`${own.url}/p/copy/pieces/ink-case/log`);
  const shown = page.getByRole('img', { name: 'The edge' });
  await expect(shown).toBeVisible();
  expect(await shown.evaluate((img) => (img as HTMLImageElement).naturalWidth)).toBe(600);
});

test('a long file is read with how far it is, and Stop leaves nothing of it', { tag: '@long' }, async ({ page, own }) => {
  test.setTimeout(120_000);
  const file = (await (await page.request.get(`${own.url}/api/projects/print-shed/file`)).json()) as { pieces: Record<string, object> };
  const many = Array.from({ length: 12 }, (_, i) => Object.entries(file.pieces).map(([id, kept]) => [`${id}-${i}`, kept] as const)).flat();
  const { buildings, log, readings, made, cuttings, ...rest } = file as Record<string, unknown>;
  void [buildings, log, readings, made, cuttings];
  const long = Buffer.from(JSON.stringify({ ...rest, pieces: Object.fromEntries(many) }));
  const read = () => page.locator('input[type=file]').setInputFiles({ name: 'long.json', mimeType: 'application/json', buffer: long });
  await page.goto(`${own.url}/?all`);
  await read();
  const bar = page.getByRole('progressbar', { name: 'Reading the file' });
  await expect(bar).toBeVisible();
  await expect(page.getByText(/^Reading the file: \d+ %$/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('long.json was not read to its end. Nothing was changed.')).toBeVisible();
  await expect(bar).toHaveCount(0);
  const projects = async () => ((await (await page.request.get(`${own.url}/api/projects`)).json()) as { id: string }[]).map((p) => p.id);
  expect(await projects()).toEqual(['print-shed']);
  // Not stopped, it is read.
  await read();
  await expect(page).toHaveURL(/\/p\/long/, { timeout: 90_000 });
  expect((await projects()).sort()).toEqual(['long', 'print-shed']);
});

test('the built server works a piece out on a thread of its own, and says what it has not', async ({ request, shed }) => {
  const solution = (id: string) => request.get(`${shed.url}/api/projects/print-shed/pieces/${id}/solution`);
  const answers = await Promise.all([solution('ink-case'), solution('paper-chest'), request.get(`${shed.url}/api/health`)]);
  expect(answers.map((a) => a.status())).toEqual([200, 200, 200]);
  // Other tests work on this shed, so that a piece is as large as they left it.
  const [ink] = (await Promise.all(answers.map((a) => a.json()))) as {
    name: string;
    overall: { width: { mm: number } };
    parts: unknown[];
  }[];
  expect([ink?.name, ink?.parts.length]).toEqual(['Ink case', expect.any(Number)]);
  expect(ink?.overall.width.mm).toBeGreaterThan(1000);
  expect((await solution('no-such-piece')).status()).toBe(404);
});
