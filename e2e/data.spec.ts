import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { startServer, type Running } from './server.js';

const PERSON = '/api/projects/print-shed/people/wren';

let folder: string;
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'ruvok-data-'));
});
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

interface Stored {
  version: number;
  data: { name: string; height: number };
}

const read = async (running: Running) => (await (await fetch(running.url + PERSON)).json()) as Stored;

/** Saves a height; true when the server acknowledged it. */
async function save(running: Running, version: number, height: number): Promise<boolean> {
  const body = JSON.stringify({ version, data: { name: 'Wren', height }, label: 'Measured again' });
  try {
    return (await fetch(running.url + PERSON, { method: 'PUT', headers: { 'content-type': 'application/json' }, body })).ok;
  } catch {
    return false;
  }
}

test('a second start on the same data shows the same work', async () => {
  const first = await startServer(folder);
  const { version } = await read(first);
  expect(await save(first, version, 130_000_000)).toBe(true);
  await first.stop();
  const second = await startServer(folder);
  expect(await read(second)).toMatchObject({ version: version + 1, data: { height: 130_000_000 } });
  await second.stop();
});

test('a second process on the same folder is refused with a clear message and harms nothing', async () => {
  const first = await startServer(folder);
  await expect(startServer(folder)).rejects.toThrow(/in use by another Ruvok \(process \d+\).*Nothing was changed/s);
  expect(await save(first, (await read(first)).version, 131_000_000)).toBe(true);
  await first.stop();
});

test('nothing in the store when it is started empty', async () => {
  const running = await startServer(folder, ['--empty']);
  expect(await (await fetch(`${running.url}/api/projects`)).json()).toEqual([]);
  await running.stop();
});

test('killed between two edits, twenty times: no acknowledged edit is lost, and undo still knows them', async () => {
  test.setTimeout(240_000);
  let running = await startServer(folder);
  let { version } = await read(running);
  let acknowledged = (await read(running)).data.height;
  for (let round = 0; round < 20; round += 1) {
    const edits = 1 + (round % 4);
    for (let i = 0; i < edits; i += 1) {
      const height = 120_000_000 + round * 1000 + i;
      expect(await save(running, version, height)).toBe(true);
      version += 1;
      acknowledged = height;
    }
    // One more edit is on its way when the process is killed: it may be kept or not, but nothing before it is lost.
    const late = save(running, version, 110_000_000 + round);
    const killed = new Promise((resolve) => running.process.once('exit', resolve));
    running.process.kill('SIGKILL');
    await killed;
    await late;
    running = await startServer(folder);
    const now = await read(running);
    expect([acknowledged, 110_000_000 + round]).toContain(now.data.height);
    expect(now.version).toBe(now.data.height === acknowledged ? version : version + 1);
    ({ version } = now);
    acknowledged = now.data.height;
  }
  const { undo } = (await (await fetch(`${running.url}/api/projects/print-shed/history?scope=people/wren`)).json()) as {
    undo: string | null;
  };
  expect(undo).toBe('Measured again');
  await running.stop();
});
