// Takes the pictures of the main views anew, from the demo: all of them, or those that are named.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT, ensureBuilt, ensureInstalled } from './lib.mjs';

ensureInstalled();
await ensureBuilt();
const { chromium } = await import('@playwright/test');
const { serve, stop } = await import('../build/node/bench/server.js');

const press = (name) => (page) => page.getByRole('button', { name }).first().click();
async function takenApart(page) {
  await page.getByRole('slider', { name: 'Taken apart' }).focus();
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('ArrowRight');
}

/** What is seen where: a path of the print shed, and what is done there. */
const PICTURES = {
  shed: [''],
  stockroom: ['/stock'],
  handbook: ['/handbook/waits'],
  measure: ['/pieces/ink-case/measure'],
  divide: ['/pieces/ink-case/divide?at=tubs'],
  ways: ['/pieces/ink-case/divide', press('Shelves fixed: what each costs')],
  carry: ['/pieces/ink-case/carry', press(/^shelf M/i)],
  parts: ['/pieces/ink-case/parts', (page) => page.getByRole('row', { name: /side/ }).first().click()],
  stock: ['/pieces/ink-case/stock'],
  build: ['/pieces/composing-table/build'],
  log: ['/pieces/composing-table/log'],
  drawers: ['/pieces/paper-chest/divide?at=drawer-top'],
  space: ['/pieces/trolley-stand/divide?view=solid', takenApart],
  tray: ['/pieces/type-tray/divide?view=top&at=sticks-lane'],
  rack: ['/pieces/tube-rack/divide'],
  leaning: ['/pieces/proof-display/divide?view=side&at=under'],
  folding: ['/pieces/inking-table/divide?view=side'],
  frame: ['/pieces/mat-stand/divide?at=mat-open'],
};

const folder = mkdtempSync(join(tmpdir(), 'ruvok-pictures-'));
const demo = await serve(join(folder, 'demo'));
const empty = await serve(join(folder, 'empty'), {}, ['--empty']);
const browser = await chromium.launch({
  executablePath: process.env.RUVOK_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--disable-dev-shm-usage'],
});

async function take(name, url, act) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(url, { waitUntil: 'networkidle' });
  await page.waitForTimeout(1500);
  await act?.(page);
  // Until all that is worked out beside it stands there too.
  await page.waitForTimeout(2500);
  await page.screenshot({ path: join(ROOT, 'docs/screenshots', `${name}.png`) });
  await page.close();
  console.log(name);
}

const asked = process.argv.slice(2);
const isAsked = (name) => asked.length === 0 || asked.includes(name);
for (const [name, [path, act]] of Object.entries(PICTURES)) if (isAsked(name)) await take(name, `${demo.url}/p/print-shed${path}`, act);
if (isAsked('welcome')) await take('welcome', empty.url);
await browser.close();
await stop(demo);
await stop(empty);
rmSync(folder, { recursive: true, force: true });
