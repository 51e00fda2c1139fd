import { expect, test } from '@playwright/test';
import { freshFolder, read, save } from './record.js';
import { begunFolder, startServer } from './server.js';

const folder = freshFolder(() => begunFolder('shed'));

/** Kills a server between two edits, so many times: no acknowledged edit is lost, and undo still knows them. */
async function killed(rounds: number): Promise<void> {
  let running = await startServer(folder());
  let { version } = await read(running);
  let acknowledged = (await read(running)).data.height;
  for (let round = 0; round < rounds; round += 1) {
    const edits = 1 + (round % 4);
    for (let i = 0; i < edits; i += 1) {
      const height = 120_000_000 + round * 1000 + i;
      expect(await save(running, version, height)).toBe(true);
      version += 1;
      acknowledged = height;
    }
    // One more edit is on its way when the process is killed: it may be kept or not, but nothing before it is lost.
    const late = save(running, version, 110_000_000 + round);
    const ended = new Promise((resolve) => running.process.once('exit', resolve));
    running.process.kill('SIGKILL');
    await ended;
    await late;
    running = await startServer(folder());
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
}

test('killed between two edits, twice: no acknowledged edit is lost, and undo still knows them', () => killed(2));

test('killed between two edits, twenty times', { tag: '@long' }, () => {
  test.setTimeout(600_000);
  return killed(20);
});
