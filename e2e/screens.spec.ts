import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './server.js';

/** What is looked at, one after the other as by links, once its first has been loaded. */
const SCREENS: Readonly<Record<string, readonly string[]>> = {
  'the first page': ['/'],
  pairing: ['/pair'],
  'the shed': ['', 'stock', 'things', 'people', 'settings', 'handbook/sag'],
  'ink-case': [
    'measure',
    'divide?at=tubs',
    'carry?at=right-2/shelf/1',
    'parts?at=post/divider/1',
    'stock?show=buy',
    'build?show=plan',
    'build?show=elsewhere',
    'log',
  ],
  'ink-case, looked at otherwise': [
    'divide',
    'divide?at=right-2/shelf/1',
    'divide?at=tubs&view=side',
    'divide?at=tubs&view=top',
    'divide?view=table',
    'build?show=jigs',
  ],
  'paper-chest': ['measure', 'divide?at=drawer-top', 'divide', 'stock?show=buy'],
  'sink-drawers': ['measure', 'divide'],
  'type-tray': ['measure', 'divide', 'divide?at=sticks-lane'],
  'guest-bed': ['divide?view=side', 'carry?out=pull-out'],
  'drying-deck': ['measure', 'divide', 'divide?at=ledge'],
  'tube-rack': ['measure', 'divide', 'divide?at=gable'],
  'mat-stand': ['stock?stock=ash-18', 'build?show=places', 'bench'],
  'composing-table': ['measure', 'divide', 'build', 'build?show=plan', 'build?show=cut'],
  'proof-display': ['log', 'log?show=owner'],
};

/** Those where every sort of screen is; of the others only their own fields are new, and they are looked at in the long tests. */
const EVERY_SORT = ['the first page', 'pairing', 'the shed', 'ink-case'];

/** Where a screen is, by the group that it stands in: the piece, and what else is said of it. */
const pathOf = (group: string, screen: string) =>
  screen.startsWith('/')
    ? screen
    : group === 'the shed'
      ? `/p/print-shed/${screen}`.replace(/\/$/, '')
      : `/p/print-shed/pieces/${group.split(',')[0]}/${screen}`;

/** Goes to a screen as a link does. */
const follow = (page: Page, path: string) =>
  page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);

/** The names that two choosers or more of a page have. */
async function namedAlike(page: Page): Promise<readonly (string | null | undefined)[]> {
  const labels = await page.locator('button[aria-haspopup="listbox"]').evaluateAll((all) =>
    all.map((one) =>
      (one.getAttribute('aria-labelledby') ?? '')
        .split(' ')
        .map((id) => document.getElementById(id)?.textContent)
        .at(-1),
    ),
  );
  return labels.filter((label, i) => labels.indexOf(label) !== i);
}

for (const [group, screens] of Object.entries(SCREENS)) {
  const long = EVERY_SORT.includes(group) ? '' : ' @long';
  test(`${group}${long}: nothing serious for axe, nothing in the console, no scrolling sideways, no two choosers of one name`, async ({
    page,
    shed,
  }) => {
    const said: string[] = [];
    page.on('console', (m) => ['error', 'warning'].includes(m.type()) && said.push(m.text()));
    page.on('pageerror', (e) => said.push(e.message));
    for (const [i, screen] of screens.entries()) {
      const path = pathOf(group, screen);
      await (i === 0 ? page.goto(shed.url + path) : follow(page, path));
      await expect(page.locator('h1').first()).toBeVisible();
      if (/^(measure|divide)/.test(screen))
        await expect(page.getByRole('complementary', { name: 'Worksheet' }).getByRole('button', { name: / / }).first()).toBeVisible();
      await page.waitForTimeout(300);
      const { violations } = await new AxeBuilder({ page })
        .options({ resultTypes: ['violations'] })
        .setLegacyMode()
        .analyze();
      const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
      const aside = await page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - window.innerWidth));
      expect({
        screen,
        serious: serious.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`),
        said,
        aside,
        alike: /^(measure|divide)/.test(screen) ? await namedAlike(page) : [],
      }).toEqual({ screen, serious: [], said: [], aside: 0, alike: [] });
    }
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
