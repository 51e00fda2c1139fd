import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser, type Page } from '@playwright/test';
import { largeCase } from './cases.js';
import { ms, print, spreadOf, type Spread } from './figures.js';
import { serve, stop } from './server.js';

/**
 * In the page: keeps what the browser says of each key by its Event Timing, from the key itself to the frame after it being
 * shown, in steps of 8 ms; and when the page was free again after that frame, which is later where work was put off until then.
 */
const KEEP_TIMES = `globalThis.shownTimes = []; globalThis.freeTimes = [];
  new PerformanceObserver((list) => {
    for (const { name, duration } of list.getEntries()) if (name === 'keydown') globalThis.shownTimes.push(duration);
  }).observe({ type: 'event', durationThreshold: 16 });
  window.addEventListener('keydown', (event) => requestAnimationFrame(() =>
    setTimeout(() => globalThis.freeTimes.push(performance.now() - event.timeStamp))), { capture: true });`;

interface KeyTimes {
  /** From a key to the frame with its figures. A key that took less than 16 ms counts as 16. */
  readonly shown: Spread;
  /** From a key until the page was free again after that frame. */
  readonly free: Spread;
}

/** What keys in a field cost, as the page itself measures it. */
async function keystrokes(page: Page, count: number): Promise<KeyTimes> {
  await page.evaluate('globalThis.shownTimes.length = 0; globalThis.freeTimes.length = 0;');
  for (let i = 0; i < count; i += 1) {
    await page.keyboard.press(i % 2 === 0 ? '1' : 'Backspace');
    await page.waitForTimeout(80);
  }
  // The browser tells of them after a while.
  await page.waitForTimeout(300);
  const [shown, free] = await page.evaluate<[number[], number[]]>('[globalThis.shownTimes, globalThis.freeTimes]');
  const fast = Array.from({ length: Math.max(0, count - shown.length) }, () => 16);
  return { shown: spreadOf([...shown, ...fast]), free: spreadOf(free) };
}

/** Types into a space of a piece in its page: how long it took to open, and each key to its figures, with the memory that it takes then. */
async function typedIn(browser: Browser, piece: string, keys: number) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const start = performance.now();
  await page.goto(`${piece}/divide?at=s0x0`, { waitUntil: 'commit' });
  const space = page.getByRole('listbox', { name: /Upright/ }).getByRole('option', { name: /space 1,/ });
  await space.waitFor();
  const opened = performance.now() - start;
  await page.evaluate(KEEP_TIMES);
  await space.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('30');
  await keystrokes(page, 10);
  const times = await keystrokes(page, keys);
  // What a key costs in the same page where nothing follows from it: the floor of the machine.
  await page.keyboard.press('Escape');
  await page
    .getByRole('link', { name: /Measure/ })
    .first()
    .click();
  await page.getByLabel('Name of the piece').focus();
  await keystrokes(page, 10);
  const floor = await keystrokes(page, keys);
  await page.keyboard.press('Escape');
  const heap = await page.evaluate<number>('performance.memory.usedJSHeapSize');
  await page.close();
  return { ...times, opened, heap, floor };
}

/** How many frames a second the largest piece of the demo is turned at in space, drawn without a graphics card. */
async function frames(url: string): Promise<void> {
  const browser = await chromium.launch({
    timeout: 60_000,
    executablePath: process.env['RUVOK_CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--disable-dev-shm-usage'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${url}/p/print-shed/pieces/tube-rack/divide?view=solid`);
  const canvas = page.locator('canvas');
  await canvas.waitFor();
  await page.waitForTimeout(1500);
  const box = await canvas.boundingBox();
  if (!box) throw new Error('nothing is drawn in space');
  await page.evaluate(
    'globalThis.frames3d = 0; const tick = () => { globalThis.frames3d += 1; requestAnimationFrame(tick); }; requestAnimationFrame(tick);',
  );
  await page.mouse.move(box.x + 200, box.y + 200);
  await page.mouse.down();
  const start = performance.now();
  for (let i = 0; performance.now() - start < 3000; i += 1) await page.mouse.move(box.x + 200 + (i % 100) * 3, box.y + 200);
  const counted = await page.evaluate<number>('globalThis.frames3d');
  const seconds = (performance.now() - start) / 1000;
  await page.mouse.up();
  print('the tube rack turned in space, 337 parts, software drawing', `${(counted / seconds).toFixed(0)} frames a second`, '');
  await browser.close();
}

/** What was sent of the scripts of a page so far, bytes. */
const SCRIPTS = `performance.getEntriesByType('resource').filter((r) => r.name.endsWith('.js')).reduce((sum, r) => sum + r.encodedBodySize, 0)`;

export async function benchBrowser(): Promise<void> {
  const assets = 'build/web/assets';
  const html = readFileSync('build/web/index.html', 'utf8');
  const first = readdirSync(assets).filter((name) => name.endsWith('.js') && html.includes(name));
  const bytes = first.reduce((sum, name) => sum + gzipSync(readFileSync(join(assets, name))).length, 0);
  print('first script, compressed', `${Math.round(bytes / 1000)} kB`, 'under 250 kB');

  const folder = mkdtempSync(join(tmpdir(), 'ruvok-bench-'));
  const running = await serve(folder);
  const path = `${running.url}/api/projects/print-shed`;
  for (const [id, data] of [
    ['large', largeCase(10, 11)],
    ['largest', largeCase(64, 16)],
  ] as const) {
    const made = await fetch(`${path}/pieces`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, data, label: 'Bench' }),
    });
    if (!made.ok) throw new Error(await made.text());
  }
  const browser = await chromium.launch({
    timeout: 60_000,
    executablePath: process.env['RUVOK_CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--enable-precise-memory-info'],
  });
  let scripts = 0;
  const usable: number[] = [];
  const sheds: number[] = [];
  const again: number[] = [];
  for (let i = 0; i < 6; i += 1) {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    const ready = async (url: string, locator: string) => {
      await page.goto(url, { waitUntil: 'commit' });
      await page.locator(locator).first().waitFor();
      return page.evaluate(() => performance.now());
    };
    usable.push(await ready(`${running.url}/p/print-shed/pieces/ink-case/divide`, '[role=listbox] [role=option]'));
    sheds.push(await ready(`${running.url}/p/print-shed`, 'svg[role=group] a'));
    scripts = await page.evaluate<number>(SCRIPTS);
    // From another screen of the same project, as one comes back to the shed.
    await page.getByRole('link', { name: 'Things', exact: true }).click();
    await page.locator('svg[role=group] a').first().waitFor({ state: 'detached' });
    again.push(
      await page.evaluate<number>(`new Promise((resolve) => {
        const start = performance.now();
        const seen = () => (document.querySelector('svg[role=group] a') ? requestAnimationFrame(() => resolve(performance.now() - start)) : requestAnimationFrame(seen));
        [...document.querySelectorAll('header a')].find((a) => a.textContent === 'Shed').click();
        seen();
      })`),
    );
    await page.context().close();
  }
  print('a piece usable, warm server, empty cache, median', ms(spreadOf(usable.slice(1)).median), 'under 1500 ms');
  print('all scripts until the shed is painted, as sent', `${Math.round(scripts / 1000)} kB`, '');
  print('the shed painted, whole demo, from an empty cache, median', ms(spreadOf(sheds.slice(1)).median), '');
  print('  of that after the page was there, median', ms(spreadOf(again.slice(1)).median), 'under 200 ms');

  const keys = await typedIn(browser, `${running.url}/p/print-shed/pieces/large`, 120);
  const keyLine = (what: string, { p95, median }: Spread, most: string) => print(what, ms(p95), `${most}(median ${ms(median)})`);
  const most120 = Math.max(50, keys.floor.shown.p95 + 20);
  keyLine('key to painted figures, 120 parts, 95th percentile', keys.shown, `under ${ms(most120)} `);
  keyLine('  until the page was free again after it', keys.free, '');
  keyLine('  an edit from which nothing follows, painted', keys.floor.shown, '');
  keyLine('  and free again', keys.floor.free, '');
  const most = await typedIn(browser, `${running.url}/p/print-shed/pieces/largest`, 40);
  print('a piece of 1,024 spaces, 1,029 parts, opened', ms(most.opened), 'under 3000 ms');
  keyLine('  key to painted figures, 95th percentile', most.shown, 'under 300 ms ');
  keyLine('  until the page was free again after it', most.free, '');
  print('  memory of its page', `${Math.round(most.heap / 1e6)} MB`, 'under 400 MB');
  await browser.close();
  await frames(running.url);
  await stop(running);
  rmSync(folder, { recursive: true, force: true });
}
