import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './server.js';

const SCREENS = [
  ['first page', '/'],
  ['shed', '/p/print-shed'],
  ['stockroom', '/p/print-shed/stock'],
  ['things', '/p/print-shed/things'],
  ['people', '/p/print-shed/people'],
  ['settings', '/p/print-shed/settings'],
  ['handbook', '/p/print-shed/handbook/sag'],
  ['measure', '/p/print-shed/pieces/ink-case/measure'],
  ['divide', '/p/print-shed/pieces/ink-case/divide?at=tubs'],
  ['divide, a shelf', '/p/print-shed/pieces/ink-case/divide?at=right-2/shelf/1'],
  ['divide, side', '/p/print-shed/pieces/ink-case/divide?at=tubs&view=side'],
  ['divide, top', '/p/print-shed/pieces/ink-case/divide?at=tubs&view=top'],
  ['divide, table', '/p/print-shed/pieces/ink-case/divide?view=table'],
  ['divide, drawers', '/p/print-shed/pieces/paper-chest/divide?at=drawer-top'],
  ['divide, a tray', '/p/print-shed/pieces/type-tray/divide?at=sticks-lane'],
  ['divide, what slides out', '/p/print-shed/pieces/guest-bed/divide?view=side'],
  ['divide, slats', '/p/print-shed/pieces/drying-deck/divide?at=ledge'],
  ['divide, cells', '/p/print-shed/pieces/tube-rack/divide?at=gable'],
  ['carry', '/p/print-shed/pieces/ink-case/carry?at=right-2/shelf/1'],
  ['carry, drawn out', '/p/print-shed/pieces/guest-bed/carry?out=pull-out'],
  ['stock, a board with a knot', '/p/print-shed/pieces/mat-stand/stock?stock=ash-18'],
  ['parts', '/p/print-shed/pieces/ink-case/parts?at=post/divider/1'],
  ['stock, what to buy', '/p/print-shed/pieces/paper-chest/stock?show=buy'],
  ['build', '/p/print-shed/pieces/composing-table/build'],
  ['build, set out', '/p/print-shed/pieces/mat-stand/build?show=places'],
  ['build, jigs', '/p/print-shed/pieces/ink-case/build?show=jigs'],
  ['build, when', '/p/print-shed/pieces/composing-table/build?show=plan'],
  ['build, what is cut', '/p/print-shed/pieces/composing-table/build?show=cut'],
  ['build, another plan', '/p/print-shed/pieces/ink-case/build?show=elsewhere'],
  ['log', '/p/print-shed/pieces/proof-display/log'],
  ['log, its owner', '/p/print-shed/pieces/proof-display/log?show=owner'],
  ['at the bench', '/p/print-shed/pieces/mat-stand/bench'],
  ['pairing', '/pair'],
] as const;

for (const [name, path] of SCREENS) {
  test(`${name}: nothing serious for axe, nothing in the console, no scrolling sideways`, async ({ page, shed }) => {
    const said: string[] = [];
    page.on('console', (m) => ['error', 'warning'].includes(m.type()) && said.push(m.text()));
    page.on('pageerror', (e) => said.push(e.message));
    await page.goto(shed.url + path);
    await expect(page.locator('h1').first()).toBeVisible();
    await page.waitForTimeout(300);
    const { violations } = await new AxeBuilder({ page }).analyze();
    const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
    expect(serious.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
    expect(said).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  });
}

test('the bench is whole at 1280 x 800: the page itself does not scroll', async ({ page, shed }) => {
  for (const station of ['measure', 'divide', 'carry', 'parts', 'build', 'log']) {
    await page.goto(`${shed.url}/p/print-shed/pieces/ink-case/${station}`);
    await expect(page.locator('h1').first()).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)).toBeLessThanOrEqual(0);
  }
});

test('at phone width every station can be reached and nothing is cut off', async ({ page, shed }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of [
    '/p/print-shed',
    '/p/print-shed/pieces/ink-case/divide?at=tubs',
    '/p/print-shed/pieces/ink-case/parts',
    '/p/print-shed/pieces/ink-case/carry',
    '/p/print-shed/pieces/composing-table/build',
    '/p/print-shed/pieces/composing-table/build?show=cut',
    '/p/print-shed/pieces/composing-table/log',
    '/p/print-shed/pieces/mat-stand/bench',
  ]) {
    await page.goto(shed.url + path);
    await expect(page.locator('h1').first()).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  }
});

test('a page that is not there leads back', async ({ page, shed }) => {
  await page.goto(`${shed.url}/p/nowhere`);
  await expect(page.getByText('There is no project nowhere.')).toBeVisible();
  await page.getByRole('link', { name: 'To the first page' }).click();
  // With one workshop that is the shed itself.
  await expect(page).toHaveURL(/\/(p\/print-shed)?$/);
  await expect(page.getByText('There is no project nowhere.')).toHaveCount(0);
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
