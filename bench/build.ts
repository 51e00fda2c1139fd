import { PRINT_SHED } from '../demo/print-shed.js';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import sharp from 'sharp';
import { buildingOf, stepsOf } from '../core/build/index.js';
import { solved } from '../demo/solved.js';
import { laidFor } from '../print/laid.js';
import { shopSheets } from '../print/shop-sheets.js';
import { ms, print, spreadOf, timed } from './figures.js';
import { serve, stop } from './server.js';

/** The largest piece of the demo, and one with most to drill. */
const PIECES = ['tube-rack', 'paper-chest'] as const;

async function sheets(): Promise<void> {
  for (const id of PIECES) {
    const solution = solved(id);
    // Loads are worked out with the checks, before anyone comes to Build.
    void solution.checks;
    const building = buildingOf(id);
    const { median, p95 } = timed(() => void stepsOf(solution, building), 20);
    print(`steps of ${id}, ${solution.parts.length} parts: median, 95 of 100`, `${ms(median)}, ${ms(p95)}`, 'under 50 ms');
    const steps = stepsOf(solution, building);
    const times: number[] = [];
    let bytes = 0;
    for (let i = 0; i < 5; i += 1) {
      const start = performance.now();
      bytes = (await shopSheets({ solution, building, steps, laid: await laidFor(PRINT_SHED, id, solution) })).length;
      times.push(performance.now() - start);
    }
    print(`shop sheets of ${id} as PDF, ${Math.round(bytes / 1024)} kB`, ms(spreadOf(times).median), 'under 3 s');
  }
}

/** So many photos and entries are a year of log. */
const PHOTOS = 300;

/** Fills the log of a piece with a year of entries, each with a photo. */
async function fillLog(url: string): Promise<void> {
  const post = (path: string, body: BodyInit, type: string) =>
    fetch(`${url}/api/projects/print-shed/${path}`, { method: 'POST', headers: { 'content-type': type }, body });
  const photo = await sharp({
    create: { width: 1200, height: 900, channels: 3, background: '#7a5c3e', noise: { type: 'gaussian', mean: 128, sigma: 20 } },
  })
    .jpeg()
    .toBuffer();
  for (let i = 0; i < PHOTOS; i += 1) {
    const kept = await post(`photos?id=p${i}`, new Uint8Array(photo), 'image/jpeg');
    if (!kept.ok) throw new Error(`a photo was refused: ${await kept.text()}`);
    const day = new Date(Date.UTC(2026, 0, 1 + Math.floor((i * 365) / PHOTOS))).toISOString().slice(0, 10);
    const data = { piece: 'mat-stand', day, is: 'photo', text: `Photo ${i}`, photo: `p${i}` };
    await post('log', JSON.stringify({ id: `l${i}`, data, label: 'Photo' }), 'application/json');
  }
}

async function pages(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-bench-'));
  const running = await serve(folder, { RUVOK_PER_MINUTE: '100000' });
  const browser = await chromium.launch({
    executablePath: process.env['RUVOK_CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'],
  });
  try {
    await fillLog(running.url);
    const opened = async (path: string, shown: string, slow: number, viewport: { width: number; height: number }): Promise<number> => {
      const page = await browser.newPage({ viewport });
      const session = await page.context().newCDPSession(page);
      if (slow > 1) await session.send('Emulation.setCPUThrottlingRate', { rate: slow });
      const start = performance.now();
      await page.goto(`${running.url}${path}`, { waitUntil: 'commit' });
      await page.getByText(shown).first().waitFor();
      const took = performance.now() - start;
      await page.close();
      return took;
    };
    const median = async (rounds: number, work: () => Promise<number>) => {
      await work();
      const times: number[] = [];
      for (let i = 0; i < rounds; i += 1) times.push(await work());
      return spreadOf(times).median;
    };
    const phone = await median(5, () => opened('/p/print-shed/pieces/mat-stand/bench', 'Done, next', 4, { width: 390, height: 800 }));
    print('the phone’s page on a processor slowed four times', ms(phone), 'under 2 s');
    const log = await median(5, () => opened('/p/print-shed/pieces/mat-stand/log', `Photo ${PHOTOS - 1}`, 1, { width: 1280, height: 800 }));
    print(`a log of a year with ${PHOTOS} photos, from an empty cache`, ms(log), '');
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const station = async (name: string, shown: string) => {
      const start = performance.now();
      await page.getByRole('link', { name: new RegExp(`^\\d\\s*${name}`) }).click();
      await page.getByText(shown).first().waitFor();
      return performance.now() - start;
    };
    await page.goto(`${running.url}/p/print-shed/pieces/mat-stand/measure`);
    await page.getByRole('link', { name: /^\d\s*Log/ }).waitFor();
    const again = await median(5, async () => {
      const took = await station('Log', `Photo ${PHOTOS - 1}`);
      await station('Parts', 'Letter');
      return took;
    });
    print('  of that once the piece is open', ms(again), 'under 1 s');
  } finally {
    await browser.close();
    await stop(running);
    rmSync(folder, { recursive: true, force: true });
  }
}

export async function benchBuild(): Promise<void> {
  await sheets();
  await pages();
}
