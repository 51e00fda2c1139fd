import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { workshopOf } from '../../core/formats/index.js';
import { PRINT_SHED } from '../../demo/print-shed.js';
import { WORKER } from '../places.js';
import { startApp, type TestApp } from '../test/app.js';
import { WorkService, type Progress } from './work.service.js';

let running: TestApp;
let url: string;
beforeAll(async () => {
  if (!existsSync(WORKER)) throw new Error('the worker is not built: npm run build');
  running = await startApp({ worker: WORKER });
  await running.app.listen(0, '127.0.0.1');
  url = `http://127.0.0.1:${(running.app.getHttpServer().address() as AddressInfo).port}/api`;
}, 60_000);
afterAll(() => running.close());

/** The shed many times over: some seconds of work. */
const LONG = {
  ...PRINT_SHED,
  buildings: {},
  log: {},
  readings: {},
  made: {},
  pieces: Object.fromEntries(
    Array.from({ length: 6 }, (_, i) =>
      Object.entries(PRINT_SHED.pieces).map(([id, kept]) => [`${id}-${i}`, { ...kept, letters: {} }]),
    ).flat(),
  ),
};
const read = (id: string, signal?: AbortSignal) =>
  fetch(`${url}/projects/files?id=${id}&job=${id}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(LONG),
    ...(signal ? { signal } : {}),
  });
/** Asks how far a job is until something holds of it. */
async function until(job: string, holds: (progress: Progress | null) => boolean): Promise<Progress | null> {
  for (let tries = 0; tries < 3000; tries += 1) {
    const answer = await fetch(`${url}/work/${job}`);
    const progress = answer.ok ? ((await answer.json()) as Progress) : null;
    if (holds(progress)) return progress;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  throw new Error(`nothing was told of ${job}`);
}
const projects = async () => ((await (await fetch(`${url}/projects`)).json()) as { id: string }[]).map((p) => p.id);

test('how far a file is read is told while it is read, and it is there in the end', async () => {
  const reading = read('many');
  const pieces = Object.keys(LONG.pieces).length;
  const first = await until('many', (p) => (p?.of ?? 0) > 0);
  expect(first?.of).toBe(2 * pieces);
  const later = await until('many', (p) => (p?.done ?? 0) > (first?.done ?? 0));
  expect(later?.done).toBeLessThan(2 * pieces);
  expect((await reading).status).toBe(201);
  expect(await projects()).toContain('many');
  expect((await fetch(`${url}/work/many`)).status).toBe(404);
}, 60_000);

test('whoever waits no longer stops it: the thread is free again, and nothing of it is there', async () => {
  const waiting = new AbortController();
  const reading = read('half', waiting.signal).catch((error: unknown) => (error as Error).name);
  await until('half', (p) => (p?.of ?? 0) > 0);
  waiting.abort();
  expect(await reading).toBe('AbortError');
  await until('half', (p) => p === null);
  expect(await projects()).not.toContain('half');
  // The next is not held up by it.
  expect((await fetch(`${url}/projects/print-shed/pieces/mat-stand/sheets.pdf?job=next`)).status).toBe(200);
  expect((await fetch(`${url}/projects/print-shed/pieces/mat-stand/solution`)).status).toBe(200);
}, 60_000);

test('stopped while it is written, nothing of it is kept', async () => {
  const service = running.app.get(WorkService);
  const waiting = new AbortController();
  // The answer of the thread is held back until nobody waits any more, so that the next thing is the writing.
  const run = service.run.bind(service);
  const held = jest.spyOn(service, 'run').mockImplementationOnce(async (...args: Parameters<typeof run>) => {
    const answer = await run(...args);
    waiting.abort();
    await new Promise((resolve) => setTimeout(resolve, 300));
    return answer;
  });
  await read('late', waiting.signal).catch(() => null);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  held.mockRestore();
  expect(await projects()).not.toContain('late');
}, 60_000);

test('the name of a job is a name', async () => {
  const answer = await fetch(`${url}/projects/print-shed/pieces/mat-stand/sheets.pdf?job=No%20such`);
  expect([answer.status, ((await answer.json()) as { errors: { path: string }[] }).errors[0]?.path]).toEqual([400, '/job']);
});

test('an edit of a large piece does not wait for files that are read meanwhile', async () => {
  const service = running.app.get(WorkService);
  const [over, stop] = [[] as string[], new AbortController()];
  const reads = [1, 2].map(() =>
    service.run('read', [LONG], stop).then(
      () => over.push('read'),
      () => over.push('stopped'),
    ),
  );
  const { piece } = PRINT_SHED.pieces['ink-case'] as (typeof PRINT_SHED.pieces)[string];
  const kept = await service.run('keep', [piece, workshopOf(PRINT_SHED), null]);
  expect([kept.ok, over]).toEqual([true, []]);
  stop.abort();
  await Promise.all(reads);
}, 60_000);
