import type { Page } from '@playwright/test';
import { expect, test } from './server.js';

const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Saving' })).toHaveCount(0);
const upright = (page: Page) => page.getByRole('listbox', { name: 'Upright tape, from the floor' });
const along = (page: Page) => page.getByRole('listbox', { name: 'Tape along the bottom, from the left' });
const station = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: new RegExp(name) })
    .click();

/** Chooses in a list by its label. */
async function choose(page: Page, label: string, choice: string | RegExp) {
  await page.getByRole('button', { name: new RegExp(`${label}$`) }).click();
  await page.getByRole('option', { name: choice }).click();
  await saved(page);
}

/** Types into a field and keeps it. */
async function type(page: Page, label: string | RegExp, text: string) {
  const field = page.getByRole('textbox', { name: label });
  await field.fill(text);
  await field.press('Enter');
  await saved(page);
}

/** A workshop of its own, whatever the others of this file left. */
async function begin(page: Page, url: string, name: string) {
  await page.goto(`${url}/?all`);
  await page.getByRole('textbox', { name: 'Name of the workshop' }).fill(name);
}

/** The ink case from an empty shed: an alcove, birch that measures 17.6, two bays, four shelves over tubs. */
async function inkCase(page: Page, url: string, name: string) {
  await begin(page, url, name);
  await page.getByRole('button', { name: 'Measure an opening' }).click();
  await page.getByRole('textbox', { name: 'Width, top' }).focus();
  for (const reading of ['1212', '1209', '1210', '2104', '2101', '330']) {
    await page.keyboard.type(reading);
    await page.keyboard.press('Tab');
  }
  await saved(page);
  await expect(page.getByRole('heading', { name: 'Overall width: 1203' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Overall height: 2091' })).toBeVisible();

  // The sheets as they measure, the thin one added where it is chosen.
  await station(page, 'Divide');
  await choose(page, 'Back', 'Applied behind');
  await choose(page, 'Back of', 'Another stock…');
  await page.getByRole('textbox', { name: 'Sold as' }).fill('Birch ply 6');
  await type(page, 'Measured thickness', '6');
  await page.getByRole('button', { name: 'Save' }).click();
  await saved(page);
  await page.getByRole('link', { name, exact: true }).click();
  await page.getByRole('link', { name: 'Stockroom' }).click();
  await page.getByRole('button', { name: 'Change Birch ply 18' }).click();
  await type(page, 'Measured thickness', '17.6');
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('link', { name: 'New case', exact: true }).click();

  // The sides 320 deep, the back of 6 behind them.
  await station(page, 'Measure');
  await choose(page, 'Depth comes from', 'A size I give');
  await choose(page, 'The depth is', 'of the sides');
  await type(page, 'Depth, given', '320');
  await expect(page.getByText('Overall depth: 326')).toBeVisible();

  // Two bays, and four shelves in the left one.
  await station(page, 'Divide');
  await page.getByRole('button', { name: 'Divider in it' }).click();
  await saved(page);
  await expect(along(page).getByRole('option', { name: 'bay 1, 575.1 mm, share' })).toBeVisible();
  await page.getByRole('button', { name: 'Shelf in it' }).click();
  for (let shelf = 2; shelf <= 4; shelf += 1) {
    await saved(page);
    await page.getByRole('button', { name: 'Shelf', exact: true }).click();
  }
  await saved(page);
  await expect(upright(page).getByRole('option', { name: /^shelf/ })).toHaveCount(4);
  await upright(page)
    .getByRole('option', { name: /space 1/ })
    .click();
  await upright(page)
    .getByRole('option', { name: /space 1/ })
    .click();
  await page.getByRole('textbox', { name: 'Size of space 1' }).fill('380');
  await page.keyboard.press('Enter');
  await saved(page);
  for (const [n, size] of [
    [2, '381'],
    [3, '381'],
    [4, '381.5'],
    [5, '381.5'],
  ] as const)
    await expect(upright(page).getByRole('option', { name: new RegExp(`space ${n},`) })).toContainText(size);
}

/** Its list, as it goes to the saw. */
async function cutList(page: Page) {
  await station(page, 'Parts');
  const row = (name: RegExp) => page.getByRole('row', { name });
  await expect(page.getByRole('heading', { name: /1203 × 2091 × 326 mm/ })).toBeVisible();
  await expect(row(/divider/)).toContainText('1975.8');
  await expect(row(/^C 1 top/)).toContainText('1167.8');
  // Loose, 1 short at each end: 573.1 long.
  await expect(row(/shelf/)).toContainText('573.1');
}

test('job 1 from empty with the pointer: 1203 x 2091 x 326, bays of 575.1, shelves at 380 and 381.35', async ({ page, empty }) => {
  test.setTimeout(240_000);
  await inkCase(page, empty.url, 'Ink one');
  await cutList(page);
});

test('job 1 from empty at phone width', async ({ page, empty }) => {
  test.setTimeout(240_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await inkCase(page, empty.url, 'Ink two');
  // The drawing and its tape come before what is typed beside them.
  await station(page, 'Divide');
  const [tape, sheet] = await Promise.all([
    upright(page).boundingBox(),
    page.getByRole('complementary', { name: 'Worksheet' }).boundingBox(),
  ]);
  expect((tape?.y ?? 0) < (sheet?.y ?? 0)).toBe(true);
  await cutList(page);
});

const sum = (page: Page) => page.getByRole('region', { name: 'The sum of what is selected' });

/** A new workshop with a piece of a kind begun in it. */
async function start(page: Page, url: string, name: string, kind: RegExp) {
  await begin(page, url, name);
  await page.getByRole('button', { name: 'List the things' }).click();
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('button', { name: kind }).click();
  await station(page, 'Measure');
}

test('job 3 from empty with the pointer: seven gaps of 17 and six of 16.5 in 652', async ({ page, empty }) => {
  test.setTimeout(180_000);
  await start(page, empty.url, 'Deck one', /Start a deck/);
  await type(page, 'Depth, given', '652');
  await station(page, 'Divide');
  await type(page, 'Slats wide', '31');
  for (let gaps = 0; gaps < 13;) {
    gaps = Number((await page.getByText(/^\d+ gaps\./).textContent())?.split(' ')[0]);
    if (gaps < 13) await page.getByRole('button', { name: 'Slat', exact: true }).click();
    await saved(page);
  }
  await page.getByRole('button', { name: 'Even' }).click();
  await saved(page);
  await page.getByRole('button', { name: 'All gaps at once' }).click();
  await expect(sum(page)).toContainText('14 slats; spacer blocks: 7 of 17 mm, 6 of 16.5 mm.');
});

test('job 9 from empty with the pointer: seven drawers of 854.6 on slides of 500, fronts of 108.5 and 108', async ({ page, empty }) => {
  test.setTimeout(240_000);
  await begin(page, empty.url, 'Chest one');
  await page.getByRole('button', { name: 'List the things' }).click();
  await page.getByRole('link', { name: 'Stockroom' }).click();
  await page.getByRole('button', { name: /slide$/i }).click();
  await saved(page);
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('button', { name: /Start a chest/ }).click();
  await station(page, 'Measure');
  for (const [reach, size] of [
    ['Width', '880'],
    ['Height', '790'],
    ['Depth', '560'],
  ] as const) {
    await choose(page, `The ${reach.toLowerCase()} is`, 'of the clear inside');
    await type(page, `${reach}, given`, size);
  }
  await station(page, 'Divide');
  for (const [label, name, thick] of [
    ['Boxes of', 'Birch ply 15', '15'],
    ['Drawer bottoms of', 'Birch ply 9', '9'],
  ] as const) {
    await choose(page, label, 'Another stock…');
    await page.getByRole('textbox', { name: 'Sold as' }).fill(name);
    await type(page, 'Measured thickness', thick);
    await page.getByRole('button', { name: 'Save' }).click();
    await saved(page);
  }
  for (const [label, size] of [
    ['Between two', '4'],
    ['Below the lowest', '4'],
    ['Above the highest', '4'],
    ['Groove deep', '7'],
    ['Groove up', '10'],
    ['Cut small by', '1'],
  ] as const)
    await type(page, label, size);
  for (let drawers = 0; drawers !== 7;) {
    drawers = Number((await page.getByText(/^\d+ drawers\./).textContent())?.split(' ')[0]);
    if (drawers < 7) await page.getByRole('button', { name: 'Drawer', exact: true }).click();
    await saved(page);
  }
  await choose(page, 'Slide length', '500');
  const tape = upright(page);
  await expect(tape.getByRole('option', { name: /drawer \d, 108.5 mm/ })).toHaveCount(4);
  await expect(tape.getByRole('option', { name: /drawer \d, 108.0 mm/ })).toHaveCount(3);
  await station(page, 'Parts');
  // Front and back between the sides: 854.6 − 2 × 15; bottom 824.6 + 14 − 1 by 470 + 14 − 1.
  const row = (name: RegExp) => page.getByRole('row', { name });
  await expect(row(/drawer end/).first()).toContainText('824.6');
  await expect(row(/drawer side/).first()).toContainText('500');
  await expect(row(/drawer bottom/).first()).toContainText('837.6');
  await expect(row(/drawer bottom/).first()).toContainText('483');
  await expect(page.getByRole('region', { name: 'To buy' })).toContainText('7 Ball slide, 500 mm, pairs');
});

test('job 18 from empty with the pointer: a rail of 42 in 756 by 583, two openings of 270.5, boxes of 729.6', async ({ page, empty }) => {
  test.setTimeout(240_000);
  await begin(page, empty.url, 'Sink one');
  await page.getByRole('button', { name: 'List the things' }).click();
  await page.getByRole('link', { name: 'Stockroom' }).click();
  await page.getByRole('button', { name: /slide$/i }).click();
  await type(page, 'Takes at each side', '13.2');
  await page.getByRole('link', { name: 'Shed' }).click();
  await page.getByRole('button', { name: /Start a drawers/ }).click();
  await station(page, 'Measure');
  for (const [reach, size] of [
    ['Width', '756'],
    ['Height', '583'],
    ['Depth', '527'],
  ] as const)
    await type(page, `${reach}, given`, size);

  // One rail across the frame, and a drawer in each opening.
  await station(page, 'Divide');
  await page.getByRole('button', { name: 'Remove all drawers' }).click();
  await saved(page);
  await page.getByRole('button', { name: 'Shelf in it' }).click();
  await saved(page);
  await upright(page)
    .getByRole('option', { name: /^shelf/ })
    .click();
  await choose(page, 'It is', 'A rail along the front');
  await type(page, 'Rail high', '42');
  await expect(upright(page).getByRole('option', { name: /space \d, 270.5 mm/ })).toHaveCount(2);
  await upright(page)
    .getByRole('option', { name: /space 1, 270.5 mm/ })
    .click();
  await choose(page, 'Or fill it with', 'Drawers');
  await type(page, 'Box height clearance', '30');
  await expect(sum(page)).toContainText('729.6');
});

for (const piece of ['ink-case', 'paper-chest', 'sink-drawers', 'drying-deck', 'tube-rack', 'type-tray', 'composing-table']) {
  test(`no two choosers of ${piece} share a label`, async ({ page, shed }) => {
    for (const where of ['measure', 'divide']) {
      await page.goto(`${shed.url}/p/print-shed/pieces/${piece}/${where}`);
      await expect(page.getByRole('complementary', { name: 'Worksheet' }).getByRole('button', { name: / / }).first()).toBeVisible();
      const labels = await page.locator('button[aria-haspopup="listbox"]').evaluateAll((all) =>
        all.map((one) =>
          (one.getAttribute('aria-labelledby') ?? '')
            .split(' ')
            .map((id) => document.getElementById(id)?.textContent)
            .at(-1),
        ),
      );
      expect([where, labels.filter((label, i) => labels.indexOf(label) !== i)]).toEqual([where, []]);
    }
  });
}
