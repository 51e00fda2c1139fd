import type { Page } from '@playwright/test';
import { addStock, begin } from './begin.js';
import { keyboard, inLong, pointer, sum, upright, type Hands } from './hands.js';
import { expect, test } from './server.js';

/** Puts a thing into the list, with its sizes and what it weighs. */
async function list(page: Page, hands: Hands, name: string, [wide, high, deep]: readonly [string, string, string], kg: string) {
  await hands.press('button', 'A thing');
  await hands.fill('What it is', name);
  await hands.fill('Wide', wide);
  await hands.fill('High', high);
  await hands.fill('Deep', deep);
  await hands.fill('Mass of one, kg', kg);
  await hands.press('button', 'Save');
  await expect(page.getByRole('row', { name: new RegExp(name) }).first()).toBeVisible();
}

for (const by of [pointer, keyboard]) {
  test(`job 10 from empty by ${inLong(by)}: sides of 1950 at 13°, four shelves of 656, 426.3 along the side between them`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('button', /^Leaning rack\b/);
    await hands.press('button', /^Start the/);
    await hands.station('Measure');
    await hands.choose('The width is', 'of the clear inside');
    await hands.type('Width, given', '640');
    await hands.type('Depth of the shelves, given', '330');
    await hands.station('Divide');
    await addStock(hands, 'Sides of', 'Ash 20', '20');
    await hands.type('Sides wide', '120');
    await hands.type('Off plumb, degrees', '13');
    await hands.type('Sides long, along', '1950');
    await hands.type('Housing depth', '8');
    await hands.choose('What is rounded', 'Nothing: exact');
    await hands.tick('Screws through the sides, under plugs');
    await hands.type('Holes for plugs deep', '5');
    // The lowest upper face at 420, the highest at 1720, those between share.
    await hands.size(upright(page), /^space 1/, '402');
    await hands.pick(upright(page), /^shelf 4/);
    await hands.type('Underside from the floor', '1702');
    for (const [n, deep] of [
      [2, '285'],
      [3, '240'],
      [4, '195'],
    ] as const) {
      await hands.pick(upright(page), new RegExp(`^shelf ${n}`));
      await hands.type('Its own depth', deep);
    }
    for (const n of [2, 3, 4])
      await expect(upright(page).getByRole('option', { name: `space ${n}, 415.3 mm, 426.3 mm along the side, share` })).toHaveCount(1);
    await hands.station('Parts');
    await expect(page.getByRole('heading', { name: /680 × ≈1900 × ≈588/ })).toBeVisible();
    const row = (name: RegExp, size: string) => page.getByRole('row', { name }).filter({ hasText: size });
    await expect(row(/side/, '1950 along each edge')).toHaveCount(2);
    for (const deep of ['330', '285', '240', '195']) await expect(row(/shelf/, deep).filter({ hasText: '656' })).toHaveCount(1);
    await expect(page.getByRole('button', { name: /checks? stops?/ })).toHaveCount(0);
    // Free of the wall it stands on two legs outside its sides, over feet as long as it is deep there.
    await hands.station('Divide');
    await hands.tick('Free of the wall, on rear legs and feet');
    await hands.station('Parts');
    await expect(page.getByRole('heading', { name: /720 × ≈1900 × ≈588/ })).toBeVisible();
    await expect(row(/leg/, '1840').filter({ hasText: '60' })).toHaveCount(1);
    await expect(row(/foot/, '561.5').filter({ hasText: '60' })).toHaveCount(1);
  });

  test(`job 2 from empty by ${inLong(by)}: the least top is 530 x 470, legs of 765 that cross at 382.5`, async ({ page, empty }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('link', 'Things');
    await list(page, hands, 'Tray', ['430', '45', '310'], '3');
    await list(page, hands, 'Jar', ['95', '190', '95'], '0.8');
    await list(page, hands, 'Book', ['240', '30', '165'], '0.9');
    await hands.press('link', 'Shed');
    await hands.press('button', /^Folding table\b/);
    await hands.press('button', /^Start the/);
    for (const [n, name] of ['Tray', 'Jar', 'Book'].entries()) {
      await hands.press('button', 'Something that stands on it');
      await hands.choose(`Stands on it, ${n + 1}`, name);
    }
    await addStock(hands, 'Legs of', 'Ash 20', '20');
    for (const label of ['Bars of', 'Stretchers of']) await hands.choose(label, 'Ash 20');
    for (const [label, size] of [
      ['Legs wide', '45'],
      ['Ends past their holes', '20'],
      ['Over both outer legs', '520'],
      ['Spacer between legs', '2'],
      ['Pivot below the top', '22'],
      ['Feet apart, hole to hole', '435'],
    ] as const)
      await hands.type(label, size);
    await hands.station('Measure');
    await hands.type('Height, given', '640');
    await hands.choose('Width comes from', 'What it holds');
    await hands.choose('Depth comes from', 'What it holds');
    await expect(page.getByRole('heading', { name: 'Overall width: 530' })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Overall depth: 470' })).toBeVisible();
    await hands.station('Divide');
    for (const fact of [
      '580 from hole to hole, up',
      '765 leg, over all',
      '382.5 crossing hole, from either end',
      '476 inner legs, over all',
    ])
      await expect(sum(page)).toContainText(fact);
    await expect(sum(page)).toContainText('53.13° from the floor');
    // A tape along a leg tells its holes from both ends.
    await hands.press('button', 'Side');
    const along = page.getByRole('group', { name: 'Tape along inner leg, left, from its ends' });
    // From left to right: the pivot near its upper end, then where it crosses; how long all of it is.
    await expect(along).toHaveText(/^20745382\.5382\.5765$/);
    await hands.choose('What is open', 'folded');
    await expect(page.getByRole('button', { name: /^folded/ })).toBeVisible();
    await hands.station('Parts');
    const legs = page.getByRole('row', { name: / leg$/ }).filter({ hasText: '765' });
    await expect(legs).toHaveCount(2);
  });

  test(`job 12 from empty by ${inLong(by)}: a lamp box over two power packs is 552 inside, 588 over all, its lid 549, 2336.99 round each side`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('link', 'Things');
    await list(page, hands, 'Lamp box', ['540', '190', '365'], '14');
    await list(page, hands, 'Power pack', ['210', '95', '140'], '3.5');
    await hands.press('link', 'Shed');
    await hands.press('button', /^Case\b/);
    await hands.press('button', /^Start the/);
    await hands.press('button', 'Shelf in it');
    for (const [space, thing] of [
      [/^space 2/, 'Lamp box'],
      [/^space 1/, 'Power pack'],
    ] as const) {
      await hands.pick(upright(page), space);
      await hands.choose('Or fill it with', 'Equipment with room round it');
      await hands.choose('What it is', thing);
    }
    await hands.type('Side by side', '2');
    await hands.type('Free at the left', '30');
    await hands.type('Free at the right', '30');
    await hands.type('Free between two', '30');
    await expect(sum(page)).toContainText('510 needed across');
    await hands.choose('Back', 'Applied behind');
    await hands.type('Left open under the back, for air', '80');
    await hands.station('Measure');
    await hands.choose('Width comes from', 'What it holds');
    await expect(page.getByRole('heading', { name: 'Overall width: 588' })).toBeVisible();
    await hands.type('Height, given', '700');
    await hands.type('Depth, given', '520');
    await hands.choose('The depth is', 'of the sides');
    await hands.station('Divide');
    await hands.press('button', 'All spaces at once');
    // A lid between the sides, 1.5 free at each; packed off the back it opens, but not far enough to stay by itself.
    await hands.choose('Base', 'None');
    await hands.choose('The top opens', 'A lid, hinged behind');
    await expect(sum(page)).toContainText('549 lid, long');
    // Behind it a back of 18, the rail of 18 and 1.5, and it is 500.5 deep.
    await expect(sum(page)).toContainText('Against a wall the lid opens by 94.3°');
    await hands.type('Lid opens by, degrees', '92');
    await expect(page.getByText(/the lid does not lean back far enough to stay, and falls shut/).first()).toBeVisible();
    await hands.tick('A stay holds it open');
    await expect(page.getByText(/the lid does not lean back far enough/)).toHaveCount(0);
    // Rounded all round; the top in from the upper ends hides in them, and before it does that is told.
    await hands.choose('Front edges', 'Covered');
    for (const corners of ['Upper front corners', 'Upper rear corners', 'Lower front corners', 'Lower rear corners']) {
      await hands.choose(corners, 'Rounded');
      await hands.type(`${corners}: radius`, '60');
    }
    await expect(page.getByText(/out past the upper front corners of the sides/).first()).toBeVisible();
    await hands.type('Between the sides, in from the front', '1.5');
    await hands.type('Top in from the upper ends', '60');
    await hands.type('Bottom in from the lower ends', '60');
    await expect(page.getByText(/out past the .* corners of the sides/)).toHaveCount(0);
    await expect(sum(page)).toContainText('2337 along the edges of a side');
    await expect(sum(page)).toContainText('5141.5');
    // The lamp's cables go through a hole, since the back is closed behind it; a bar before the packs lifts out.
    await hands.type('Holes in the back for cables, across', '60');
    await hands.choose('A bar that lifts out, before', 'space 1');
    await hands.type('Bar high', '600');
    await expect(page.getByText(/closes all of space 1, .* and cannot be lifted out/).first()).toBeVisible();
    await hands.type('Bar high', '120');
    await expect(page.getByText(/and cannot be lifted out/)).toHaveCount(0);
    await hands.choose('What is open', 'the access bar open');
    await hands.choose('What is open', 'the lid open');
    await hands.station('Parts');
    await expect(page.getByRole('row', { name: /rail/ }).filter({ hasText: '550' }).first()).toBeVisible();
    await expect(page.getByRole('row', { name: /side/ }).filter({ hasText: '700' }).first()).toBeVisible();
    await expect(page.getByRole('row', { name: /top/ }).filter({ hasText: '549' }).first()).toBeVisible();
  });
}
