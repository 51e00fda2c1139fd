import { expect, test } from '@playwright/test';
import { freshFolder, read, save } from './record.js';
import { startServer } from './server.js';

const folder = freshFolder();

test('a second start on the same data shows the same work', { tag: '@long' }, async () => {
  const first = await startServer(folder());
  const { version } = await read(first);
  expect(await save(first, version, 130_000_000)).toBe(true);
  await first.stop();
  const second = await startServer(folder());
  expect(await read(second)).toMatchObject({ version: version + 1, data: { height: 130_000_000 } });
  await second.stop();
});

test('a second process on the same folder is refused with a clear message and harms nothing', { tag: '@long' }, async () => {
  const first = await startServer(folder());
  await expect(startServer(folder())).rejects.toThrow(/in use by another Ruvok \(process \d+\).*Nothing was changed/s);
  expect(await save(first, (await read(first)).version, 131_000_000)).toBe(true);
  await first.stop();
});

test('nothing in the store when it is started empty', async () => {
  const running = await startServer(folder(), ['--empty']);
  expect(await (await fetch(`${running.url}/api/projects`)).json()).toEqual([]);
  await running.stop();
});
