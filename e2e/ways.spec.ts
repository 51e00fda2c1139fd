import { begin } from './begin.js';
import { keyboard, inLong, named, pointer, saved } from './hands.js';
import { expect, test } from './server.js';

for (const by of [pointer, keyboard]) {
  test(
    `what each way of holding shelves costs, and of standing or hanging, asked for by ${named(by)}`,
    { tag: '@long' },
    async ({ page, own }) => {
      test.setTimeout(120_000);
      const hands = by(page);
      await page.goto(`${own.url}/p/print-shed/pieces/ink-case/divide`);
      await hands.press('button', 'Shelves fixed: what each costs');
      const shelves = page.getByRole('list', { name: 'Shelves fixed: what each costs' });
      const ways = shelves.getByRole('listitem');
      await expect(ways).toHaveCount(3);
      await expect(shelves).toBeFocused();
      await expect(ways.nth(0)).toContainText('Housed as it is now');
      // Five of its shelves go by this: each 14 shorter, 304 deep and 17.6 thick, at 680 kg/m³, less ten housings of 6 that stay in the sides; four pins for two housings.
      await expect(ways.nth(1)).toContainText('0.0364 kg lighter');
      await expect(ways.nth(1)).toContainText('10 housings fewer, 20 holes more, 20 shelf pins Ø5 more');
      await expect(ways.nth(1)).toContainText('Can be moved later');
      // Two of them meet the divider at one height from both sides.
      await expect(ways.nth(2)).toContainText('Then fails: Shelf L and shelf H meet divider G from both sides at one height');
      // Made so, it is compared with what it is then.
      await page.getByRole('radio', { name: 'Loose on pins' }).press('Space');
      await expect(shelves).toHaveCount(0);
      await saved(page);
      await hands.press('button', 'Shelves fixed: what each costs');
      await expect(ways.nth(0)).toContainText('0.0364 kg heavier');
      await expect(ways.nth(0)).toContainText('10 housings more, 20 holes fewer, 20 shelf pins Ø5 fewer');
      await hands.press('button', 'Close');
      await expect(shelves).toHaveCount(0);
      await expect(page.getByRole('button', { name: 'Shelves fixed: what each costs' })).toBeFocused();

      await hands.press('button', 'Stands or hangs: what each costs');
      const hung = page.getByRole('list', { name: 'Stands or hangs: what each costs' }).getByRole('listitem');
      await expect(hung).toHaveCount(4);
      await expect(hung.nth(0)).toContainText('as it is now');
      await expect(hung.filter({ hasText: 'bevelled cleat' })).toContainText(/parts? (more|fewer)/);
    },
  );

  test(`from empty by ${inLong(by)}: what a lid costs a case that was just begun, and what a top that stays has`, async ({
    page,
    empty,
  }) => {
    test.setTimeout(120_000);
    const hands = by(page);
    await begin(page, hands, empty);
    await hands.press('button', /^Case\b/);
    await hands.press('button', /^Start the/);
    await hands.station('Divide');
    await hands.press('button', 'The top opens: what each costs');
    const ways = page.getByRole('list', { name: 'The top opens: what each costs' }).getByRole('listitem');
    await expect(ways.nth(0)).toContainText('as it is now');
    await expect(ways.nth(1)).toContainText(/heavier.*parts more/);
    await hands.choose('The top opens', 'A lid, lifted off');
    await hands.press('button', 'The top opens: what each costs');
    await expect(ways.nth(0)).toContainText(/lighter.*parts fewer/);
    await expect(ways.nth(2)).toContainText('as it is now');
  });
}
