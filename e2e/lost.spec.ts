import type { Page } from '@playwright/test';
import { expect, test } from './server.js';

const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Saving' })).toHaveCount(0);

test.describe('nothing is lost in everyday use', () => {
  test('readings typed at machine speed with Tab between them all arrive', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed/pieces/ink-case/measure`);
    const first = page.getByRole('textbox', { name: 'Width, top' });
    for (let round = 0; round < 5; round += 1) {
      const readings = Array.from({ length: 8 }, (_, i) => `${1200 + round * 10 + i}`);
      await first.focus();
      for (const reading of readings) {
        await page.keyboard.press('Control+A');
        await page.keyboard.type(reading);
        await page.keyboard.press('Tab');
      }
      await saved(page);
      const kept = async () => {
        const { data } = (await (await fetch(`${shed.url}/api/projects/print-shed/openings/alcove`)).json()) as {
          data: {
            widths: { value: number }[];
            heights: { value: number }[];
            depths: { value: number }[];
            diagonals: Record<string, number>;
          };
        };
        const all = [...data.widths, ...data.heights, ...data.depths].map((r) => r.value).concat(Object.values(data.diagonals));
        return all.map((v) => `${v / 80_000}`);
      };
      // The last one may still be on its way when the page has said nothing of it yet.
      await expect.poll(kept).toEqual(readings);
    }
  });

  test('Ctrl+Z takes back an edit while its field has the focus, and typing while something is typed', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed/pieces/ink-case/measure`);
    const depth = page.getByRole('textbox', { name: 'Depth, middle' });
    const before = await depth.inputValue();
    await depth.fill('351');
    await depth.press('Enter');
    await saved(page);
    await depth.press('Control+z');
    await expect(depth).toHaveValue(before);
    await depth.press('Control+A');
    await page.keyboard.type('9');
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('button', { name: /^Undo: Measured depth/ })).toHaveCount(0);
    await depth.press('Escape');
    await expect(depth).toHaveValue(before);
  });

  test('what was taken out is brought back at once, and by undo after a reload', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed`);
    const card = page.getByRole('link', { name: 'Brayer rack', exact: true });
    await page.getByRole('button', { name: 'Remove Brayer rack' }).click();
    await expect(page.getByText('Took out Brayer rack.')).toBeVisible();
    await expect(card).toHaveCount(0);
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await expect(card).toBeVisible();
    await page.getByRole('button', { name: 'Remove Brayer rack' }).click();
    await expect(card).toHaveCount(0);
    await page.reload();
    await page.getByRole('button', { name: 'Undo: Took out Brayer rack' }).click();
    await expect(card).toBeVisible();
  });

  test('stock in use is not taken out, and says by what', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed/stock`);
    await page.getByRole('button', { name: 'Remove Birch ply 18' }).click();
    await expect(page.getByRole('alert')).toContainText('Ink case');
    await page.getByRole('button', { name: 'Dismiss' }).click();
    await expect(page.getByRole('alert')).toHaveCount(0);
  });

  test('a script that did not load is told in its place and fetched again', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed`);
    await expect(page.getByRole('link', { name: 'Things', exact: true })).toBeVisible();
    let away = true;
    await page.route(/assets\/things-.*\.js/, (route) => (away ? route.abort() : route.continue()));
    await page.getByRole('link', { name: 'Things', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('could not be shown');
    away = false;
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { name: 'Things', exact: true })).toBeVisible();
  });

  test('a drawer is taken out on its tape like a shelf, by keys alone', async ({ page, shed }) => {
    await page.goto(`${shed.url}/p/print-shed/pieces/paper-chest/divide?at=drawer-top`);
    const tape = page.getByRole('listbox', { name: 'Upright tape, from the floor' });
    const drawers = tape.getByRole('option', { name: /drawer|maps|prints|paper/i });
    await tape.getByRole('option', { selected: true }).first().focus();
    const before = await drawers.count();
    await page.keyboard.press('Delete');
    await expect(drawers).toHaveCount(before - 1);
    await page.keyboard.press('Control+z');
    await expect(drawers).toHaveCount(before);
  });
});
