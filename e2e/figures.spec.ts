import type { Page } from '@playwright/test';
import { expect, test } from './server.js';

/** The finest grid of each unit. */
const FINEST = { in: (25.4 * 80_000) / 64, mm: 8000 } as const;

/** Has the whole print shed work in a unit, by its finest grid, every size kept. */
async function worksIn(url: string, unit: keyof typeof FINEST) {
  const at = `${url}/api/projects/print-shed`;
  const { version, project } = (await (await fetch(at)).json()) as { version: number; project: { name: string; settings: object } };
  const body = JSON.stringify({ version, data: { ...project, settings: { ...project.settings, unit, step: FINEST[unit] } } });
  const answer = await fetch(at, { method: 'PUT', headers: { 'content-type': 'application/json' }, body });
  expect(answer.status, await answer.text()).toBe(200);
}

/** Goes to a screen as a link does. */
async function follow(page: Page, path: string) {
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
  // The page that one comes from stays until the next is ready.
  await expect(page.locator(`a[aria-current="page"][href*="${path.replace(/\?.*/, '')}"]`)).toBeVisible();
  await expect(page.locator('h1').first()).toBeVisible();
  // Drawings are set out once their place has been measured.
  await page.waitForTimeout(120);
}

/** Every text of the page that something hides a part of, and every two of a drawing that lie over each other. */
const hiddenFigures = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    const texts: { text: string; at: DOMRect; of: Element }[] = [];
    const walker = document.createTreeWalker(document.querySelector('main') ?? document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const of = node.parentElement;
      const text = (node.textContent ?? '').trim();
      if (!of || text === '' || of.closest('.visually-hidden, [hidden], title, desc, style, script, select')) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const at = range.getBoundingClientRect();
      if (at.width >= 1 && at.height >= 1 && getComputedStyle(of).visibility !== 'hidden') texts.push({ text, at, of });
    }
    const EDGE = 1.5;
    const cutOff = ({ at, of }: (typeof texts)[number]) => {
      for (let a: Element | null = of; a && a !== document.body; a = a.parentElement) {
        const { overflowX, overflowY } = getComputedStyle(a);
        // What can be scrolled to is not cut off.
        if (/auto|scroll/.test(overflowX + overflowY)) return null;
        const cuts = a.tagName === 'svg' ? overflowX !== 'visible' : /hidden|clip/.test(overflowX + overflowY);
        const b = a.getBoundingClientRect();
        const out = at.left < b.left - EDGE || at.right > b.right + EDGE || at.top < b.top - 2 * EDGE || at.bottom > b.bottom + 2 * EDGE;
        if (cuts && out) return a;
      }
      return null;
    };
    for (const one of texts) {
      const by = cutOff(one);
      if (by) found.push(`"${one.text}" is cut off by ${by.getAttribute('aria-label') ?? by.tagName}`);
    }
    const drawn = texts.filter((t) => t.of.closest('svg, [role="listbox"]'));
    drawn.forEach((a, i) =>
      drawn.slice(i + 1).forEach((b) => {
        const wide = Math.min(a.at.right, b.at.right) - Math.max(a.at.left, b.at.left);
        const high = Math.min(a.at.bottom, b.at.bottom) - Math.max(a.at.top, b.at.top);
        if (wide > 2.5 && high > 3.5 && a.of !== b.of && !a.of.contains(b.of) && !b.of.contains(a.of))
          found.push(`"${a.text}" and "${b.text}" lie over each other`);
      }),
    );
    return found;
  });

/** Walks views of pieces in one page, and tells what is hidden where. */
async function walk(page: Page, url: string, unit: keyof typeof FINEST, pieces: readonly string[], screens: readonly string[]) {
  await worksIn(url, unit);
  await page.goto(`${url}/p/print-shed`);
  await expect(page.locator('h1').first()).toBeVisible();
  const found: string[] = [];
  for (const piece of pieces)
    for (const screen of screens) {
      await follow(page, `/p/print-shed/pieces/${piece}/${screen}`);
      found.push(...(await hiddenFigures(page)).map((what) => `${piece}/${screen}: ${what}`));
    }
  return found;
}

const DRAWN = ['divide?view=front', 'divide?view=side', 'divide?view=top', 'carry'];

test('no figure of a tape or a drawing is cut off or covered, in inches to 1/64 at 1280', async ({ page, own: shed }) => {
  const pieces = ['ink-case', 'paper-chest', 'mat-stand', 'guest-bed', 'proof-display', 'inking-table', 'brayer-board', 'drying-deck'];
  expect(await walk(page, shed.url, 'in', pieces, DRAWN)).toEqual([]);
});

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
  [390, 844],
] as const)
  for (const unit of ['in', 'mm'] as const)
    test(`@long no figure of any piece is cut off or covered, ${unit} at ${width}`, async ({ page, own: shed }) => {
      test.setTimeout(900_000);
      await page.setViewportSize({ width, height });
      const { pieces } = (await (await fetch(`${shed.url}/api/projects/print-shed/file`)).json()) as { pieces: Record<string, unknown> };
      const screens = [...DRAWN, 'measure', 'parts', 'stock', 'build'];
      expect(await walk(page, shed.url, unit, Object.keys(pieces), screens)).toEqual([]);
    });
