import { keyboard, named, pointer, saved } from './hands.js';
import { expect, test } from './server.js';

for (const by of [pointer, keyboard]) {
  test(`what holds the mat stand, told otherwise by ${named(by)}: decks by brackets, one rail by screws, and what is bought then`, async ({
    page,
    own: shed,
  }) => {
    test.setTimeout(120_000);
    const hands = by(page);
    await page.goto(`${shed.url}/p/print-shed/pieces/mat-stand/parts`);
    const holds = page.getByRole('region', { name: 'What holds it' });
    const buy = page.getByRole('region', { name: 'To buy' });
    const decks = holds.getByRole('listitem').filter({ hasText: 'deck on rail' });
    // Two decks of ash panel on four rails each, two plates at each, with two screws in each.
    await expect(decks).toContainText('16 figure-eight plates');
    await expect(buy).toContainText('16 figure-eight plates');
    await hands.choose('How deck on rail is held, I, T to E–H, P–S', 'by angle brackets');
    await saved(page);
    await expect(decks).toContainText('16 angle brackets, 40 mm');
    await expect(decks).toContainText('64 wood screws No. 8, 16 mm');
    // And two that keep it on its wall.
    await expect(buy).toContainText('18 angle brackets, 40 mm');
    await hands.choose('What it is fixed to', 'into masonry');
    await saved(page);
    await expect(buy).toContainText('4 wall plugs 8 mm with screws, 60 mm');
    // The deck below, at one rail, apart from its sort.
    await page.getByRole('row', { name: /^T / }).click();
    const part = page.getByRole('region', { name: 'Part T' });
    await expect(part).toContainText('to front rail of level 1 P');
    await hands.choose('How it is held at front rail of level 1 P', 'by screws');
    await saved(page);
    await expect(holds.getByRole('listitem').filter({ hasText: 'deck on rail' })).toHaveCount(2);
    await expect(buy).toContainText('16 angle brackets, 40 mm');
    // Undone as one.
    await hands.press('button', /^Undo/);
    await expect(buy).toContainText('18 angle brackets, 40 mm');
  });
}

test('a step goes through its parts one at a time: each says from where it goes in', async ({ page, shed }) => {
  await page.goto(`${shed.url}/p/print-shed/pieces/solvent-cupboard/build`);
  await page
    .getByRole('list', { name: 'Steps' })
    .getByRole('button', { name: /Put the main of it together/ })
    .click();
  const article = page.getByRole('article');
  await expect(article).toContainText('E goes in from the right, before what would shut it out.');
  await page.getByRole('button', { name: 'One part at a time' }).click();
  const told = article.getByText(/^\d+ of 10: /);
  await expect(told).toHaveText('1 of 10: A first');
  for (let k = 2; k <= 5; k += 1) await page.getByRole('button', { name: 'Next part' }).click();
  // The back, in grooves of four, before the right side.
  await expect(told).toHaveText('5 of 10: E from the right');
  await expect(page.getByRole('img', { name: /number 5$/ })).toBeVisible();
  await page.getByRole('button', { name: 'The part before' }).click();
  await expect(told).toHaveText(/^4 of 10: C/);
});
