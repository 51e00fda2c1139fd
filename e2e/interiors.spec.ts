import { addStock, begin, listThing, start } from './begin.js';
import { along, deep, keyboard, inLong, pointer, saved, sum, upright } from './hands.js';
import { expect, test } from './server.js';

const fact = (page: Parameters<typeof sum>[0], name: string) => sum(page).locator('summary').filter({ hasText: name });

for (const by of [pointer, keyboard]) {
  test(`job 15 from empty by ${inLong(by)}: drawers out of both ends of 1040, boxes of 489, three fronts of 59, one box slid open from behind`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('button', /^Case\b/);
    await hands.press('button', /^Start the/);
    await hands.station('Measure');
    for (const [label, size] of [
      ['Width', '566'],
      ['Height', '187'],
    ] as const) {
      await hands.choose(`The ${label.toLowerCase()} is`, 'of the clear inside');
      await hands.type(`${label}, given`, size);
    }
    await hands.type('Depth, given', '1040');
    await hands.station('Divide');
    await hands.choose('Base', 'None');
    await hands.choose('Back', 'None');
    await hands.choose('Or fill it with', 'Drawers from both ends');
    await hands.choose('How many', '3 drawers');
    await hands.press('button', 'Fill it');
    await addStock(hands, 'Fronts of', 'Beech 19', '19');
    for (const label of ['Between two', 'Below the lowest', 'Above the highest']) await hands.type(label, '2.5');
    await expect(upright(page).getByRole('option', { name: /^drawer \d, 59.0 mm/ })).toHaveCount(3);
    await hands.pick(upright(page), /^drawer 2/);
    await expect(fact(page, 'box, deep')).toContainText('489');
    await hands.choose('Make one box otherwise', 'drawer 2');
    await hands.tick('Slid in from behind, under a low back, drawer 2');
    await hands.station('Parts');
    // The box of this one is of 18: its bottom goes from the groove of its front under its back, 489 - 18 + 6 - 1.
    await expect(
      page
        .getByRole('row', { name: /drawer bottom/ })
        .filter({ hasText: '476' })
        .first(),
    ).toBeVisible();
    await expect(
      page
        .getByRole('row', { name: /drawer front/ })
        .filter({ hasText: 'Beech 19' })
        .first(),
    ).toContainText('59');
  });

  test(`job 17 from empty by ${inLong(by)}: uprights in grooved shelves, and a cleat let into the sides`, async ({ page, empty }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await start(page, hands, empty, /^Grooved cabinet\b/);
    await hands.station('Divide');
    await hands.choose('Base', 'None');
    await hands.tick('Loose uprights between shelves, in grooves across them');
    await hands.type('Uprights over groove 1, in', '2, 4');
    await expect(page.getByText(/across each of the two shelves/).first()).toBeVisible();
    await hands.choose('Stands or hangs', 'Hangs by a bevelled cleat');
    await hands.tick('Through notches in the sides, flush with the wall');
    await hands.station('Parts');
    await expect(page.getByRole('row', { name: /divider/ }).first()).toBeVisible();
    await expect(page.getByRole('row', { name: /side/ }).first()).toContainText('notch');
  });

  test(`fins on a wall board by ${inLong(by)}: three bays of 358 between fins on and off the studs that were found`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('button', /^Wall board\b/);
    await hands.press('button', /^Start the/);
    await hands.station('Measure');
    for (const [label, size] of [
      ['Width of the board, given', '1266'],
      ['Height of the board, given', '600'],
      ['Depth, given', '218'],
    ] as const)
      await hands.type(label, size);
    await hands.press('button', 'Measure another opening');
    await hands.type(/^Width, top/, '1300');
    for (const stud of ['69', '445', '800']) await hands.type('Another stud', stud);
    await hands.station('Divide');
    // 1266 less 60 at each end and four fins of 18.
    await expect(along(page).getByRole('option', { name: /^bay 1, 358/ })).toBeVisible();
    await hands.press('button', 'Out to the whole piece');
    await hands.type('Lower edge over the floor', '1100');
    await expect(sum(page)).toContainText('1700 mark on the wall: upper edge');
    await hands.type('From the left of the wall', '0');
    await hands.press('button', /more are fine/);
    await expect(page.getByText(/divider 1 pulls .* on the stud 445/)).toBeVisible();
    await expect(page.getByText(/divider 2 pulls .* on no stud: it is .* past the stud at 800/)).toBeVisible();
    await hands.choose('Fronts of the fins', 'Stepped under each shelf');
    await hands.station('Parts');
    await expect(page.getByRole('row', { name: /wall board/ }).first()).toContainText('1266');
    await expect(page.getByRole('row', { name: /fin$|fin/ }).first()).toContainText('480');
    await expect(page.getByRole('row', { name: /shelf/ }).filter({ hasText: '366' }).first()).toContainText('200');
    // Too near the right end of a wall of 1300.
    await hands.station('Divide');
    await hands.type('From the left of the wall', '50');
    await expect(page.getByText(/past the end of it/).first()).toBeVisible();
  });

  test(`shelves of a bed by ${inLong(by)}: a frame under its sliding slats, cut long`, async ({ page, empty }) => {
    test.setTimeout(240_000);
    const hands = by(page);
    await start(page, hands, empty, /^Deck\b/);
    await hands.station('Divide');
    await hands.tick('Some slats slide out');
    await hands.type('They come out', '100');
    await hands.tick('A frame of rails under the sliding ones');
    await hands.type('Slats cut long by', '20');
    await saved(page);
    await hands.press('button', 'All gaps at once');
    await expect(page.getByText(/Slats are cut 20 mm over-length/).first()).toBeVisible();
    await hands.station('Parts');
    await expect(page.getByRole('row', { name: /rail/ }).first()).toBeVisible();
  });
}

for (const by of [pointer, keyboard]) {
  test(`job 11 from empty by ${inLong(by)}: tubes of 76 on a pitch of 104 by 100, 12 columns and 15 rows in 1325 by 1510, in two sections of 645`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('link', 'Things');
    await listThing(page, hands, 'Tube', { Diameter: '76', High: '420' }, [], 'Lying');
    await hands.press('link', 'Shed');
    await hands.press('button', /^Rack\b/);
    await hands.press('button', /^Start the/);
    await hands.station('Measure');
    for (const [label, size] of [
      ['Width, given', '1325'],
      ['Height, given', '1510'],
    ] as const)
      await hands.type(label, size);
    await hands.station('Divide');
    await hands.type('Free round it', '7');
    await addStock(hands, 'Uprights of', 'Deal 21', '21');
    await addStock(hands, 'Supports of', 'Deal 17', '17');
    await expect(fact(page, '12 columns, 15 rows')).toContainText('180');
    await expect(fact(page, 'pitch across')).toContainText('104');
    await expect(fact(page, 'pitch up')).toContainText('100');
    await expect(fact(page, 'wide in all')).toContainText('1269');
    await expect(fact(page, 'high in all')).toContainText('1500');
    await hands.type('Built in sections', '2');
    await expect(fact(page, 'section 2, 6 columns, wide')).toContainText('645');
  });
}

test('a rack in two sections, with uprights front and rear', { tag: '@long' }, async ({ page, own }) => {
  await page.goto(`${own.url}/p/print-shed/pieces/tube-rack/divide?at=gable`);
  const hands = pointer(page);
  await hands.type('Built in sections', '2');
  await expect(fact(page, 'section 2, 6 columns, wide')).toContainText('645');
  await hands.tick('Uprights at the front and at the rear');
  await hands.tick('Supports as long as what lies on them');
  await expect(page.getByText(/14 ladders, each of two uprights/).first()).toBeVisible();
  await expect(along(page)).toBeVisible();
});

test('a tray follows the drawer of another piece that it is made to fit', { tag: '@long' }, async ({ page, own }) => {
  const hands = pointer(page);
  await page.goto(`${own.url}/p/print-shed/pieces/type-tray/divide?at=tray`);
  await hands.press('button', 'Make it to fit a drawer of another piece');
  await hands.choose('Made to fit', 'third drawer of Paper chest');
  await expect(page.getByText('Made to fit third drawer of Paper chest.')).toBeVisible();
  await expect(sum(page)).toContainText('65');
  await page.goto(`${own.url}/p/print-shed/pieces/paper-chest/divide?at=chest`);
  await hands.type('Box height clearance', '30');
  await page.goto(`${own.url}/p/print-shed/pieces/type-tray/divide?at=tray`);
  await expect(page.getByText(/824.6 mm by 59 mm by 470 mm now/).first()).toBeVisible();
  await hands.press('button', /^Make it to fit again/);
  await hands.press('button', 'Do it');
  await expect(page.getByText(/now, and this is not/)).toHaveCount(0);
  await expect(deep(page)).toBeVisible();
});

test('things go into bays beside each other, as few as are low enough', { tag: '@long' }, async ({ page, own }) => {
  const hands = pointer(page);
  await page.goto(`${own.url}/p/print-shed`);
  await page.getByRole('button', { name: /^Case\b/ }).click();
  await page.getByRole('button', { name: /^Start the/ }).click();
  await hands.station('Measure');
  await hands.type('Height, given', '1000');
  await hands.type('Width, given', '1200');
  await hands.station('Divide');
  await page.getByText('Propose shelves from the things').click();
  await hands.type('How many Tarlatan roll', '16');
  await hands.press('button', 'Propose shelves');
  await hands.type('Bays side by side', '2');
  await expect(page.getByText(/spaces in 2 bays/)).toBeVisible();
  await hands.press('button', 'Use these shelves');
  await expect(along(page).getByRole('option', { name: /^bay/ })).toHaveCount(2);
});
