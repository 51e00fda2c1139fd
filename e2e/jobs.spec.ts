import type { Page } from '@playwright/test';
import { addStock, begin, start, until, caseInOpening } from './begin.js';
import { along, deep, keyboard, inLong, named, pointer, saved, sum, upright, type Hands } from './hands.js';
import { expect, test, type Running } from './server.js';

const overall = ['Width', 'Height', 'Depth'] as const;

/** The ink case from an empty shed: an alcove, birch that measures 17.6, two bays, four shelves over tubs. */
async function inkCase(page: Page, hands: Hands, empty: Running) {
  const name = await begin(page, hands, empty);
  await caseInOpening(hands);
  for (const [label, reading] of [
    [/^Width, top/, '1212'],
    [/^Width, middle/, '1209'],
    [/^Width, bottom/, '1210'],
    [/^Height, left/, '2104'],
    [/^Height, right/, '2101'],
    [/^Depth, middle/, '330'],
  ] as const)
    await hands.fill(label, reading);
  await saved(page);
  await expect(page.getByRole('heading', { name: 'Overall width: 1203' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Overall height: 2091' })).toBeVisible();

  // The sheets as they measure, the thin one added where it is chosen.
  await hands.station('Divide');
  await hands.choose('Back', 'Applied behind');
  await addStock(hands, 'Back of', 'Birch ply 6', '6');
  await hands.press('link', name);
  await hands.press('link', 'Stockroom');
  await hands.press('button', 'Change Birch ply 18');
  await hands.type('Measured thickness', '17.6');
  await hands.press('link', 'Shed');
  await hands.press('link', 'New case');

  // The sides 320 deep, the back of 6 behind them.
  await hands.station('Measure');
  await hands.choose('Depth comes from', 'A size I give');
  await hands.choose('The depth is', 'of the sides');
  await hands.type('Depth, given', '320');
  await expect(page.getByText('Overall depth: 326')).toBeVisible();

  // Two bays, and four shelves in the left one.
  await hands.station('Divide');
  await hands.press('button', 'Divider in it');
  await expect(along(page).getByRole('option', { name: 'bay 1, 575.1 mm, share' })).toBeVisible();
  await hands.press('button', 'Shelf in it');
  for (let shelf = 2; shelf <= 4; shelf += 1) await hands.press('button', 'Shelf');
  await expect(upright(page).getByRole('option', { name: /^shelf/ })).toHaveCount(4);
  await hands.size(upright(page), /space 1/, '380');
  for (const [n, size] of [
    [2, '381'],
    [3, '381'],
    [4, '381.5'],
    [5, '381.5'],
  ] as const)
    await expect(upright(page).getByRole('option', { name: new RegExp(`space ${n},`) })).toContainText(size);
}

/** Its list, as it goes to the saw. */
async function cutList(page: Page, hands: Hands) {
  await hands.station('Parts');
  const row = (name: RegExp) => page.getByRole('row', { name });
  await expect(page.getByRole('heading', { name: /1203 × 2091 × 326 mm/ })).toBeVisible();
  await expect(row(/divider/)).toContainText('1975.8');
  await expect(row(/^C 1 top/)).toContainText('1167.8');
  // Loose, 1 short at each end: 573.1 long.
  await expect(row(/shelf/)).toContainText('573.1');
}

test('job 1 from empty at phone width', { tag: '@long' }, async ({ page, empty }) => {
  test.setTimeout(240_000);
  await page.setViewportSize({ width: 390, height: 844 });
  const hands = pointer(page);
  await inkCase(page, hands, empty);
  // The drawing and its tape come before what is typed beside them.
  await hands.station('Divide');
  const [tape, sheet] = await Promise.all([
    upright(page).boundingBox(),
    page.getByRole('complementary', { name: 'Worksheet' }).boundingBox(),
  ]);
  expect((tape?.y ?? 0) < (sheet?.y ?? 0)).toBe(true);
  await cutList(page, hands);
});

for (const by of [pointer, keyboard]) {
  test(`job 1 from empty by ${named(by)}: 1203 x 2091 x 326, bays of 575.1, shelves at 380 and 381.35`, async ({ page, empty }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await inkCase(page, hands, empty);
    await cutList(page, hands);
  });

  test(`job 3 from empty by ${named(by)}: seven gaps of 17 and six of 16.5 in 652`, { tag: '@long' }, async ({ page, empty }) => {
    test.setTimeout(240_000);
    const hands = by(page);
    await start(page, hands, empty, /^Deck\b/);
    await hands.type('Depth, given', '652');
    await hands.station('Divide');
    await hands.type('Slats wide', '31');
    await until(page, hands, 'Slat', /^\d+ gaps\./, 13);
    await hands.press('button', 'Even');
    await hands.press('button', 'All gaps at once');
    await expect(sum(page)).toContainText('14 slats; spacer blocks: 7 of 17 mm, 6 of 16.5 mm.');
  });

  test(`job 5 from empty by ${named(by)}: lanes of 270 and 87 between three boards of 543`, { tag: '@long' }, async ({ page, empty }) => {
    test.setTimeout(240_000);
    const hands = by(page);
    await start(page, hands, empty, /^Tray\b/);
    for (const [i, size] of ['543.5', '96', '402'].entries()) await hands.type(`${overall[i]}, given`, size);
    await hands.station('Divide');
    await addStock(hands, 'Boards of', 'Poplar 15', '15');
    await hands.type('Boards high', '74');
    await hands.type('Short in all, to press in', '0.5');
    await hands.size(deep(page), /lane 1/, '270');
    await expect(deep(page).getByRole('option', { name: /lane 2, 87.0 mm/ })).toHaveCount(1);

    // Six compartments in the lane, their boards in channels of the two along it.
    await hands.pick(deep(page), /lane 1/);
    await hands.choose('Or fill it with', 'Boards from front to back: compartments');
    await hands.press('button', 'Fill it');
    for (let board = 2; board <= 5; board += 1) await hands.press('button', 'Board');
    await expect(along(page).getByRole('option', { name: /^compartment \d, 78\.0 mm/ })).toHaveCount(6);
    await hands.pick(deep(page), /lane 1/);
    await hands.type('Channels deep', '4');
    for (const [board, from] of ['78', '171', '264', '357', '450'].entries())
      await expect(sum(page).locator('summary', { hasText: `channel for board ${board + 1}` })).toContainText(from);
    await hands.station('Parts');
    const boards = page.getByRole('row', { name: /board/ });
    await expect(boards.first()).toContainText('543');
    await expect(boards.filter({ hasText: '278' }).first()).toContainText('74');
  });

  test(
    `job 6 from empty by ${named(by)}: a wall case on a cleat of 120 ripped at 45°, a shelf of 165`,
    { tag: '@long' },
    async ({ page, empty }) => {
      test.setTimeout(240_000);
      const hands = by(page);
      await begin(page, hands, empty);
      await hands.press('button', /^Case\b/);
      await hands.press('button', /^Start the/);
      await hands.station('Measure');
      for (const [i, size] of ['800', '640', '253'].entries()) await hands.type(`${overall[i]}, given`, size);
      await hands.station('Divide');
      await hands.choose('Stands or hangs', 'Hangs by a bevelled cleat');
      await hands.type('Cleat board wide', '120');
      // (120 + 18 − 3 √2) / 2 = 66.88, and (120 − 18 − 3 √2) / 2 = 48.88, to the 0.5 that is shown.
      await expect(sum(page)).toContainText('≈67 cleat, wide faces');
      await expect(sum(page)).toContainText('≈49 cleat, narrow faces');
      await expect(page.getByText(/from cleat to bumper/).first()).toBeVisible();
      await hands.press('button', 'Shelf in it');
      await hands.pick(upright(page), /^shelf 1/);
      await hands.type('Its own depth', '165');
      await hands.station('Parts');
      const row = (name: RegExp, size: string) => page.getByRole('row', { name }).filter({ hasText: size }).first();
      await expect(row(/shelf$/, '165')).toBeVisible();
      await expect(row(/bumper$/, '800')).toBeVisible();
      await expect(page.getByRole('row', { name: /cleat/ }).first()).toContainText('800');
      await hands.station('Divide');
      // By keyholes it is not checked until they are rated; a rail goes between the sides and is marked on the wall.
      await hands.choose('Stands or hangs', 'Hangs by keyholes in the sides');
      await expect(page.getByText(/what one is rated for is not known/).first()).toBeVisible();
      await hands.type('One keyhole is rated for, kg', '60');
      await expect(page.getByText(/60 kg is what one is rated for/).first()).toBeVisible();
      await hands.choose('Stands or hangs', 'Hangs by a rail behind the back');
      await hands.type('Its lower edge over the floor', '1200');
      await hands.press('button', 'All spaces at once');
      // 1200 and 640, less the top of 18.
      await expect(sum(page)).toContainText('1822 mark on the wall');
      await hands.choose('Sides cut at the front', 'Aslant from shelf to shelf');
      await hands.type('Top only so deep', '120');
      await hands.tick('Corner blocks inside, no screws through the sides');
      await hands.type('Corner blocks high', '32');
      await hands.station('Parts');
      await expect(row(/rail$/, '764')).toBeVisible();
      await expect(row(/top$/, '120')).toBeVisible();
      await expect(row(/bearer$/, '32')).toBeVisible();
    },
  );

  test(`job 17 from empty by ${inLong(by)}: 25 grooves in 875, top and bottom of 401, shelves and back of 394`, async ({ page, empty }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await start(page, hands, empty, /^Grooved cabinet\b/);
    for (const [i, size] of ['415', '905', '360'].entries()) await hands.type(`${overall[i]}, given`, size);
    await hands.station('Divide');
    await hands.choose('Base', 'None');
    await hands.choose('Back', 'In grooves');
    await hands.type('Groove depth', '5');
    await addStock(hands, 'Sides, top and bottom of', 'Birch ply 15', '15');
    await addStock(hands, 'Back of', 'Birch ply 5', '5');
    for (const panel of ['Top', 'Bottom']) {
      await hands.choose(panel, 'In rebates');
      await hands.choose(`${panel} of`, 'Birch ply 15');
    }
    await hands.type('Into the sides by', '8');
    await hands.choose('Loose shelves of', 'Birch ply 5');
    for (const [label, size] of [
      ['Grooves wide', '5'],
      ['Grooves deep', '5'],
      ['First groove, from below', '48'],
      ['One every', '32'],
      ['Left over the last, at least', '48'],
      ['Shelves cut short by', '1'],
    ] as const)
      await hands.type(label, size);
    // Begun in a taller case, it had shelves where there are no grooves now.
    await hands.press('button', /^Take them out/);
    await hands.press('button', 'Do it');
    await expect(sum(page)).toContainText('25 grooves in each side');
    await expect(sum(page)).toContainText('816 lower edge of the last');
    // A shelf is moved to the highest one; there is none over it.
    await hands.type('Highest shelf in groove', '25');
    await expect(page.getByRole('button', { name: 'Take the shelf out of groove 25' })).toBeVisible();
    await hands.station('Parts');
    const row = (name: RegExp, size: string) => page.getByRole('row', { name }).filter({ hasText: size }).first();
    for (const [name, size] of [
      [/ top$/, '401'],
      [/ bottom$/, '401'],
      [/ back$/, '394'],
      [/ shelf$/, '394'],
    ] as const)
      await expect(row(name, size)).toBeVisible();
    // Housed at the very end of the sides is told; mitred they reach the outsides of these.
    await hands.station('Divide');
    await hands.choose('Top', 'Mitred');
    await hands.choose('Bottom', 'In housings');
    await expect(page.getByText(/A housing at the very end of the sides has nothing beyond it/).first()).toBeVisible();
    await hands.choose('Bottom', 'Mitred');
    await expect(page.getByText(/A housing at the very end of the sides/)).toHaveCount(0);
    await hands.station('Parts');
    await expect(row(/ top$/, '415')).toContainText('bevelled by 45.0°');
    // Over the sides it stands out past them, and these are as much nearer to each other.
    await hands.station('Divide');
    await hands.choose('Bottom', 'In rebates');
    await hands.choose('Top', 'Over the sides');
    await hands.type('Top past the sides', '20');
    await hands.station('Parts');
    await expect(row(/ top$/, '415')).toBeVisible();
    await expect(row(/ bottom$/, '361')).toBeVisible();
  });

  test(`job 9 from empty by ${inLong(by)}: seven drawers of 854.6 on slides of 500, fronts of 108.5 and 108`, async ({ page, empty }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('link', 'Stockroom');
    await hands.press('button', /slide$/i);
    await hands.press('link', 'Shed');
    await hands.press('button', /^Chest\b/);
    await hands.press('button', 'Start the chest');
    await hands.station('Measure');
    for (const [i, size] of ['880', '790', '560'].entries()) {
      await hands.choose(`The ${overall[i]?.toLowerCase()} is`, 'of the clear inside');
      await hands.type(`${overall[i]}, given`, size);
    }
    await hands.station('Divide');
    await addStock(hands, 'Boxes of', 'Birch ply 15', '15');
    await addStock(hands, 'Drawer bottoms of', 'Birch ply 9', '9');
    for (const [label, size] of [
      ['Between two', '4'],
      ['Below the lowest', '4'],
      ['Above the highest', '4'],
      ['Groove deep', '7'],
      ['Groove up', '10'],
      ['Cut small by', '1'],
    ] as const)
      await hands.type(label, size);
    await until(page, hands, 'Drawer', /^\d+ drawers\./, 7);
    await hands.choose('Slide length', '500');
    const tape = upright(page);
    await expect(tape.getByRole('option', { name: /drawer \d, 108.5 mm/ })).toHaveCount(4);
    await expect(tape.getByRole('option', { name: /drawer \d, 108.0 mm/ })).toHaveCount(3);
    await hands.station('Parts');
    // Front and back between the sides: 854.6 − 2 × 15; bottom 824.6 + 14 − 1 by 470 + 14 − 1.
    const row = (name: RegExp) => page.getByRole('row', { name }).first();
    await expect(row(/drawer end/)).toContainText('824.6');
    await expect(row(/drawer side/)).toContainText('500');
    await expect(row(/drawer bottom/)).toContainText('837.6');
    await expect(row(/drawer bottom/)).toContainText('483');
    await expect(page.getByRole('region', { name: 'To buy' })).toContainText('7 Ball slide, 500 mm, pairs');
  });

  test(`job 18 from empty by ${inLong(by)}: a rail of 42 in 756 by 583, openings of 270.5, boxes of 729.6 x 240.5, housings 312.5 apart`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('link', 'Stockroom');
    await hands.press('button', /slide$/i);
    await hands.type('Takes at each side', '13.2');
    await hands.press('link', 'Shed');
    await hands.press('button', /^Drawers\b/);
    await hands.press('button', 'Start the drawers');
    await hands.station('Measure');
    for (const [i, size] of ['756', '583', '527'].entries()) await hands.type(`${overall[i]}, given`, size);

    // One rail across the frame, and a drawer in each opening.
    await hands.station('Divide');
    await hands.press('button', 'Remove all drawers');
    await hands.press('button', 'Shelf in it');
    await hands.pick(upright(page), /^shelf/);
    await hands.choose('It is', 'A rail along the front');
    await hands.type('Rail high', '42');
    await expect(upright(page).getByRole('option', { name: /space \d, 270.5 mm/ })).toHaveCount(2);
    for (const n of [2, 1]) {
      await hands.pick(upright(page), new RegExp(`space ${n}, 270.5 mm`));
      await hands.choose('Or fill it with', 'Drawers');
      if (n === 2) await addStock(hands, 'Boxes of', 'Birch ply 12', '12');
      else await hands.choose('Boxes of', 'Birch ply 12');
      await hands.press('button', 'Fill it');
      await hands.choose('Fronts', 'Lipped over its opening');
      await hands.type('Lip', '12');
      await hands.type('Box height clearance', '30');
      await hands.choose('Slide length', '500');
      await expect(sum(page)).toContainText('729.6');
    }

    // The post in the middle comes out first, and the worktop lies on it.
    await hands.press('button', 'Something is taken out of it first');
    await hands.type('Taken out', 'The middle post');
    await hands.tick('Something lies on it');
    await expect(page.getByText(/The middle post carries what lies on it. Prop that before it comes out/).first()).toBeVisible();

    // Packed out to the inner side of the frame with what is over: two layers of 16.5 are let in 9.
    await hands.tick('Slides packed out behind a face frame');
    await hands.type('Frame stands in', '24');
    await hands.type('Packing wide', '62');
    await addStock(hands, 'Packing made of', 'Ply 16.5', '16.5');

    await hands.station('Parts');
    const row = (name: RegExp) => page.getByRole('row', { name }).first();
    for (const size of ['500', '240.5']) await expect(row(/drawer side/)).toContainText(size);
    await expect(row(/runner board/)).toContainText('527');
    await hands.row(page.getByRole('grid', { name: 'Parts' }), /packing upright/);
    await expect(page.getByText(/^housing 62 wide, 9 deep, on the right face, 12 from the lower end/)).toBeVisible();
    // 312.5 above the first.
    await expect(page.getByText(/^housing 62 wide, 9 deep, on the right face, 324.5 from the lower end/)).toBeVisible();
  });
}
