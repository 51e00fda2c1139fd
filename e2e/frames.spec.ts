import type { Page } from '@playwright/test';
import { addStock, begin, listThing } from './begin.js';
import { keyboard, inLong, named, pointer, sum, upright, type Hands } from './hands.js';
import { expect, test } from './server.js';

/** A frame of timber that is added where it is asked for. */
async function frame(
  hands: Hands,
  posts: string,
  postThick: string,
  rails: string,
  railThick: string,
  deck: readonly [string, string] | null,
) {
  await hands.press('link', 'Shed');
  await hands.press('button', /^Frame\b/);
  await addStock(hands, 'Posts of', posts, postThick);
  if (rails === posts) await hands.choose('Rails of', posts);
  else await addStock(hands, 'Rails of', rails, railThick);
  if (deck) await addStock(hands, 'Decks of', ...deck);
  await hands.press('button', 'Start the frame');
}

const part = (page: Page, name: RegExp, size: string) => page.getByRole('row', { name }).filter({ hasText: size }).first();

for (const by of [pointer, keyboard]) {
  test(`job 8 from empty by ${named(by)}: a press of 640 by 460 on rails of 652 and 382, inner posts of 605`, async ({ page, empty }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('link', 'Things');
    await listThing(page, hands, 'Nipping press', { Wide: '640', High: '500', Deep: '460', 'Mass of one, kg': '190' }, [
      'Its front faces out',
    ]);
    await frame(hands, 'Spruce 45', '45', 'Spruce 45', '45', null);
    await hands.choose('Rails and posts', 'Rails on inner posts');
    await hands.type('Posts wide', '95');
    await hands.choose('Stands on top', 'Nipping press');
    await hands.type('Larger than it, in all', '12');
    await hands.type('Top rails wide', '95');
    await hands.choose('Top deck', 'None');
    await hands.station('Measure');
    await hands.choose('Width comes from', 'What it holds');
    await hands.choose('Depth comes from', 'What it holds');
    await hands.type('Height, given', '700');
    await expect(page.getByRole('heading', { name: 'Overall width: 652' })).toBeVisible();
    await hands.station('Parts');
    for (const size of ['652', '382']) await expect(part(page, /rail/, size)).toBeVisible();
    for (const size of ['605', '700']) await expect(part(page, /post/, size)).toBeVisible();
  });

  test(`job 13 from empty by ${inLong(by)}: a trolley of 585 rolls under between posts 645 apart, levels of 82, 422 clear`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('link', 'Things');
    await listThing(page, hands, 'Trolley', { Wide: '585', High: '715', Deep: '930', 'Free above, for a hand': '45' }, [
      'Its front faces out',
    ]);
    await frame(hands, 'Spruce 45', '45', 'Spruce 21', '21', ['Ply 12', '12']);
    await hands.choose('Top deck', 'Round the posts');
    // Two levels under the top, and the trolley in the lowest space.
    await hands.press('button', 'Level');
    await hands.press('button', 'Level');
    await hands.pick(upright(page), /space 1/);
    await hands.choose('A thing to put here', 'Trolley');
    await hands.press('button', 'Put here');
    await hands.choose('What decides it', 'Fits what stands in it');
    await hands.choose('Rolls in under them', 'What stands in space 1');
    await hands.type('May stand out in front', '150');
    await hands.station('Measure');
    await hands.choose('Width comes from', 'What it holds');
    await hands.choose('Depth comes from', 'What it holds');
    await hands.type('Height, given', '1850');
    await expect(page.getByRole('heading', { name: 'Overall depth: 780' })).toBeVisible();
    // 645 and two posts of 45.
    await expect(page.getByRole('heading', { name: 'Overall width: 735' })).toBeVisible();
    await hands.station('Divide');
    await expect(upright(page).getByRole('option', { name: /space 1, 760/ })).toHaveCount(1);
    await expect(upright(page).getByRole('option', { name: /space \d, 422/ })).toHaveCount(2);
    await hands.press('button', 'All spaces at once');
    // √(1850² + 780²) is 2007.7; the workshop reads to half a millimetre.
    await expect(sum(page)).toContainText('≈2007.5');
  });

  test(`job 4 from empty by ${inLong(by)}: legs of 558 under a top of 487 by 433, a shelf round them at 99, a drawer box of 367 x 135`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await frame(hands, 'Ash 42', '42', 'Ash 22', '22', ['Ash panel 27', '27']);
    await hands.type('Posts wide', '42');
    await hands.type('Top rails wide', '45');
    await hands.type('Level rails wide', '45');
    await hands.choose('Level deck', 'None');
    for (const [side, by_] of [
      ['front', '22'],
      ['rear', '16'],
      ['left', '16'],
      ['right', '16'],
    ] as const)
      await hands.type(`Top over, ${side}`, by_);
    await hands.station('Measure');
    for (const [reach, size] of [
      ['Width', '487'],
      ['Height', '585'],
      ['Depth', '433'],
    ] as const)
      await hands.type(`${reach}, given`, size);
    await hands.station('Divide');
    await hands.press('button', 'Level');
    await hands.press('button', 'Level');
    // The lowest level has a shelf round the legs; its underside is 36 up.
    await hands.pick(upright(page), /^level 1/);
    await hands.tick('Make level 1 otherwise');
    await hands.choose('Level 1 deck', 'Round the posts');
    await addStock(hands, 'Level 1 deck of', 'Ash panel 18', '18');
    await hands.size(upright(page), /space 1/, '36');
    await hands.size(upright(page), /space 3/, '142');
    await expect(upright(page).getByRole('option', { name: /space 2, 227/ })).toHaveCount(1);
    await hands.pick(upright(page), /space 3/);
    await hands.choose('Or fill it with', 'Drawers');
    await addStock(hands, 'Boxes of', 'Ply 12', '12');
    await hands.press('button', 'Fill it');
    await hands.choose('Fronts', 'Lipped over its opening');
    await hands.type('Lip', '9');
    await hands.type('Box height clearance', '7');
    await hands.type('Lift above opening', '0');
    await hands.type('Free behind', '28');
    await expect(sum(page)).toContainText('135');
    await hands.station('Parts');
    await expect(part(page, /post/, '558')).toBeVisible();
    for (const size of ['371', '311']) await expect(part(page, /rail/, size)).toBeVisible();
    for (const size of ['487', '455']) await expect(part(page, /deck/, size)).toBeVisible();
    await expect(part(page, /drawer side/, '367')).toContainText('135');
  });

  test(`the legs of job 15 from empty by ${inLong(by)}: skirts of 530 and 956, stiff by blocks in their corners, or by gussets`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('link', 'Things');
    await listThing(page, hands, 'Bank of drawers', { Wide: '614', High: '223', Deep: '1040', 'Mass of one, kg': '95' }, [
      'Its front faces out',
    ]);
    await frame(hands, 'Ash 42', '42', 'Ash 27', '27', null);
    await hands.type('Posts wide', '42');
    await hands.choose('Stands on top', 'Bank of drawers');
    await hands.type('Larger than it, in all', '0');
    await hands.type('Top rails wide', '95');
    await hands.choose('Top deck', 'None');
    await hands.station('Measure');
    await hands.choose('Width comes from', 'What it holds');
    await hands.choose('Depth comes from', 'What it holds');
    await hands.type('Height, given', '640');
    await expect(page.getByRole('heading', { name: 'Overall depth: 1040' })).toBeVisible();
    await hands.station('Divide');
    // Bare rails lean; blocks hold the corners; gussets go before them.
    await expect(page.getByText(/Rails screwed to posts are not counted on/).first()).toBeVisible();
    // Each way out is tried; those that are enough come first.
    await expect(page.getByText(/^Fixes it/).first()).toBeVisible();
    await expect(page.getByText(/^Not enough: .*nothing keeps it from leaning/).first()).toBeVisible();
    await hands.tick('Blocks in the corners of the top rails');
    await expect(page.getByText(/its corner blocks take/).first()).toBeVisible();
    await hands.tick('A brace at each end');
    await hands.choose('End braces: are', 'Gussets in its upper corners');
    await expect(page.getByText(/its gussets take .* to the front/).first()).toBeVisible();
    await hands.station('Parts');
    for (const size of ['530', '956']) await expect(part(page, /rail/, size)).toBeVisible();
    await expect(part(page, /corner block/, '4')).toBeVisible();
    await hands.station('Divide');
    // Where rails are lapped on the posts no blocks have room: told; the rails are let in there.
    await hands.choose('Rails and posts', 'Rails outside posts');
    await expect(page.getByText(/Corner blocks go between rails that meet at a post/).first()).toBeVisible();
    await hands.tick('Blocks in the corners of the top rails');
    await hands.type('Let into the posts, glued, by', '8');
    await expect(page.getByText(/Corner blocks go between rails/)).toHaveCount(0);
  });

  test(`job 14 from empty by ${inLong(by)}: a bed of 17 slats, eight of them drawn out by 420 with a front on legs`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(300_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await frame(hands, 'Spruce 45', '45', 'Spruce 45', '45', ['Ash 27', '27']);
    await hands.type('Top rails wide', '95');
    await hands.choose('Top deck', 'Slats over the posts');
    await hands.type('Top slats wide', '104');
    await hands.type(/^Top slats$/, '17');
    await hands.choose('Rails held by', 'Bolts: comes apart');
    await hands.tick('A pull-out with every other slat of the top');
    await hands.tick('Its slats are hinged at the board, to be lifted');
    await addStock(hands, 'Its front board of', 'Spruce 20', '20');
    await hands.type('Its front board wide', '104');
    await addStock(hands, 'Its legs and rail of', 'Spruce 21', '21');
    await hands.station('Measure');
    for (const [reach, size] of [
      ['Width', '1884'],
      ['Height', '400'],
      ['Depth', '640'],
    ] as const)
      await hands.type(`${reach}, given`, size);
    await hands.station('Divide');
    await hands.press('button', 'All spaces at once');
    for (const told of ['8 of 9.5 mm, 4 of 9 mm, 4 of 1 mm', '420', '1060']) await expect(sum(page)).toContainText(told);
    await hands.choose('What is open', 'the pull-out open');
    await expect(page.getByRole('group', { name: /to scale/ })).toBeVisible();
    // From the side the stroke is a tape of its own, and what is drawn on it draws the bed out.
    await hands.press('button', 'Side');
    const stroke = page.getByRole('slider', { name: /^How far the pull-out is drawn out/ });
    await stroke.focus();
    await page.keyboard.press('Home');
    await expect(page.getByText('out 0 of 420')).toBeVisible();
    await page.keyboard.press('End');
    await expect(page.getByText('out 420 of 420')).toBeVisible();
    // Its slats are lifted by 75° from a height of 400, √(600² + 27²) − 600 out behind them.
    for (const told of ['979.5555', 'they swing out behind by']) await expect(sum(page)).toContainText(told);
    await hands.choose('What is open', 'the hinged slats open');
    await hands.station('Carry');
    await hands.choose('What is drawn out', 'the pull-out drawn out');
    await expect(page.getByRole('button', { name: /^slat .*the hinged slats/ }).first()).toBeVisible();
    await hands.station('Parts');
    for (const size of ['620', '600']) await expect(part(page, /slat/, size)).toBeVisible();
  });
}
