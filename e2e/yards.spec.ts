import type { Page } from '@playwright/test';
import { begin } from './begin.js';
import { named, keyboard, pointer, saved, type Hands } from './hands.js';
import { expect, test } from './server.js';

/** The rows of the list of parts, each as it is read. */
const partsOf = async (page: Page) =>
  (await page.getByRole('grid', { name: 'Parts' }).getByRole('row').allInnerTexts())
    .slice(1)
    .map((row) => row.replaceAll(/\s+/g, ' ').trim());

test.describe('where wood is sold by the inch', () => {
  test.use({ locale: 'en-US' });

  for (const by of [pointer, keyboard]) {
    test(`a frame by ${named(by)}: it begins in the sizes of the yard, and of 2 x 4 where that is chosen`, async ({ page, empty }) => {
      const hands = by(page);
      await page.goto(`${empty.url}/?all`);
      await hands.fill('Project name', `Bindery ${by.name}`);
      await hands.press('button', 'Start the project');
      await hands.press('button', /^Frame\b/);
      await hands.press('button', 'Start the frame');
      await hands.station('Parts');
      // A deck of 36 by 24 stands out 1/2 on every side: 35 by 23 over posts of 1 1/2; 15/32 of it lie on posts of 30 in all.
      await expect
        .poll(() => partsOf(page))
        .toEqual([
          'A–D 4 post 29 17/32 1 1/2 1 1/2 Fir 2 x 2',
          'E, F 2 rail 32 2 1/2 3/4 Pine 1 x 3',
          'G, H 2 rail 20 2 1/2 3/4 Pine 1 x 3',
          'I 1 deck 36 24 15/32 Birch ply 1/2',
        ]);

      await hands.press('link', `Bindery ${by.name}`);
      await hands.press('button', /^Frame\b/);
      await hands.choose('Made of, to begin with', 'Fir 2 x 4');
      await hands.press('button', 'Start the frame');
      await hands.station('Parts');
      // Posts stand 3 1/2 across and 1 1/2 deep: 35 - 7, and 23 - 3.
      await expect
        .poll(() => partsOf(page))
        .toEqual([
          'A–D 4 post 29 17/32 3 1/2 1 1/2 Fir 2 x 4',
          'E, F 2 rail 28 3 1/2 1 1/2 Fir 2 x 4',
          'G, H 2 rail 20 3 1/2 1 1/2 Fir 2 x 4',
          'I 1 deck 36 24 15/32 Birch ply 1/2',
        ]);

      // Nothing of a case can be sawn out of slats.
      await hands.press('link', `Bindery ${by.name}`);
      await hands.press('button', /^Case\b/);
      await hands.choose('Made of, to begin with', 'Cedar 1 x 2');
      await hands.press('button', 'Start the case');
      await expect(page.getByText('No part of new case can be cut from Cedar 1 x 2.')).toBeVisible();
    });
  }
});

test('what a yard has is put into a stockroom beside what is there, once', async ({ page, empty }) => {
  const hands = pointer(page);
  await begin(page, hands, empty);
  await hands.press('link', 'Stockroom');
  // One sheet, birch ply of 18, is there: 23 more and a slide.
  await hands.press('button', 'Usual stock of a yard (24)');
  await expect(page.getByRole('button', { name: 'Change Spruce 45 x 95' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change Birch ply 18' })).toHaveCount(1);
  await expect(page.getByRole('button', { name: /Usual stock/ })).toHaveCount(0);
});

/** Does one sentence of the handbook as it stands there. @returns how often something was pressed or typed for it */
async function follow(page: Page, hands: Hands, sentence: string): Promise<number> {
  const typed = /^Type (.+) into (.+)\.$/.exec(sentence);
  const chosen = /^Choose (.+) at (.+)\.$/.exec(sentence);
  const pressed = /^Press (.+)\.$/.exec(sentence);
  if (typed) {
    await hands.fill(new RegExp(`^${typed[2]}$`), typed[1] as string);
    return (typed[1] as string).length + 2;
  }
  if (chosen) {
    await hands.choose(chosen[2] as string, chosen[1] as string);
    return 2;
  }
  const name = new RegExp(`^\\d? ?${pressed?.[1]}`);
  const control = page.getByRole('link', { name }).or(page.getByRole('button', { name }));
  await control.first().click();
  await saved(page);
  return 1;
}

// By hand: 36 - 2 x 23/32 between the sides, and 1/32 short at each end of a shelf, 3/8 back; 900 - 2 x 18, 1 short, 10 back.
for (const [locale, cut] of [
  ['en-US', ['C 1 top 34 9/16 12 23/32', 'F, G 2 shelf 34 1/2 11 5/8 23/32']],
  ['en-GB', ['C 1 top 864 300 18', 'F, G 2 shelf 862 290 18']],
] as const) {
  test(`“Your first piece” of the handbook leads to a cut list, word for word, in ${locale}`, async ({ browser, empty }) => {
    const page = await (await browser.newContext({ locale })).newPage();
    const hands = pointer(page);
    await page.goto(`${empty.url}/?all`);
    await hands.fill('Project name', `First ${locale}`);
    await hands.press('button', 'Start the project');
    await hands.press('link', 'Handbook');
    const list = page.getByRole('list', { name: 'Steps to your first piece' });
    await expect(list).toBeVisible();
    const sentences = await list.getByRole('listitem').evaluateAll((all) => all.map((li) => (li.textContent ?? '').split('. ')[0] + '.'));
    expect(sentences.length).toBeGreaterThan(8);
    let strokes = 0;
    let toList = 0;
    for (const sentence of sentences) {
      strokes += await follow(page, hands, sentence.replace(/\.\.$/, '.'));
      if (!/Parts/.test(sentence)) continue;
      toList = strokes;
      await expect.poll(async () => (await partsOf(page)).join('; ')).toContain(cut[0]);
      expect((await partsOf(page)).join('; ')).toContain(cut[1]);
    }
    // From the shed to the list in no more than forty presses and keys.
    expect(toList).toBeLessThanOrEqual(40);
    await expect(page.getByRole('list', { name: 'Steps' })).toBeVisible({ timeout: 30_000 });
    await page.context().close();
  });
}
