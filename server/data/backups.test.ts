import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readConfig } from '../config.js';
import { startFault } from '../start-fault.js';
import { Backups, NoBackup, backupDays, restore } from './backups.js';
import { StoreBroken, openDatabase } from './database.js';
import { FolderInUse } from './lock.js';
import { projects } from './schema.js';

const folder = mkdtempSync(join(tmpdir(), 'ruvok-backups-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const names = async () => {
  const { db, close } = await openDatabase(folder);
  const found = await db.select({ id: projects.id }).from(projects).orderBy(projects.id);
  await close();
  return found.map((p) => p.id);
};

test('each day that was worked on has its backup, the last ten are kept, and one is put back by its day', async () => {
  const { db, client, close } = await openDatabase(folder);
  const add = (id: string) => db.insert(projects).values({ id, version: 1, data: { name: id } });
  let day = '';
  // Written out whole, which takes seconds, where it is put back below.
  let isWhole = false;
  const dumpDataDir: typeof client.dumpDataDir = (packed) => (isWhole ? client.dumpDataDir(packed) : Promise.resolve(new Blob([day])));
  const backups = new Backups(folder, { db, client: { dumpDataDir } }, () => day);
  for (let d = 1; d <= 12; d += 1) {
    day = `2026-03-${`${d}`.padStart(2, '0')}`;
    await add(`project-${d}`);
    isWhole = d === 4;
    expect(await backups.backUp()).toBe(day);
    // Nothing was done since.
    expect(await backups.backUp()).toBeNull();
  }
  await add('later-that-day');
  isWhole = true;
  expect(await backups.backUp()).toBe('2026-03-12');
  await add('not-in-any');
  await close();
  expect(backupDays(folder)).toEqual([12, 11, 10, '09', '08', '07', '06', '05', '04', '03'].map((d) => `2026-03-${d}`));

  await expect(restore(folder, '2026-02-01')).rejects.toThrow(NoBackup);
  await expect(restore(folder, '2026-02-01')).rejects.toThrow('There are those of 2026-03-12, 2026-03-11');
  const { aside } = await restore(folder, '2026-03-04');
  expect(await names()).toEqual(['project-1', 'project-2', 'project-3', 'project-4']);
  expect(aside !== null && existsSync(join(aside, 'PG_VERSION'))).toBe(true);
  // The newest, where none is named.
  expect((await restore(folder, null)).day).toBe('2026-03-12');
  expect(await names()).toContain('later-that-day');
  expect(await names()).not.toContain('not-in-any');
}, 120_000);

test('a store that is broken is told with the backup that can be put back, and is left as it is', async () => {
  const control = join(folder, 'db/global/pg_control');
  writeFileSync(control, 'nothing of use');
  const before = readdirSync(folder).sort();
  const error: unknown = await openDatabase(folder).then(
    () => null,
    (e: unknown) => e,
  );
  expect(error).toBeInstanceOf(StoreBroken);
  expect(startFault(error, { dataFolder: folder, databaseUrl: null, port: 4170 })).toMatch(
    /cannot be opened .* Nothing was changed\. The newest backup is of 2026-03-12: npm start -- --restore 2026-03-12/,
  );
  expect(readdirSync(folder).sort()).toEqual(before);
  await restore(folder, null);
  expect(await names()).toContain('project-12');
}, 60_000);

test.each([
  [{ code: 'EACCES' }, 'may not write in the data folder /here'],
  [{ code: 'EROFS' }, 'read-only'],
  [{ code: 'ENOSPC' }, 'is full'],
  [{ code: 'ENOTDIR' }, 'is no folder'],
  [{ code: 'EADDRINUSE' }, 'Port 4170 is taken'],
  [new FolderInUse('in use'), 'in use'],
  [new StoreBroken('half gone'), 'There is no backup of it yet.'],
])('%o is told in words', (error, text) => {
  expect(startFault(error, { dataFolder: '/here', databaseUrl: null, port: 4170 })).toContain(text);
});

test('what is none of these is a fault of ours, and is not dressed up', () => {
  expect(startFault(new TypeError('x is undefined'), { dataFolder: '/here', databaseUrl: null, port: 1 })).toBeNull();
});

test.each([
  [['--restore', '2026-03-04'], '2026-03-04'],
  [['--restore'], null],
  [['--restore', '--empty'], null],
  [['--empty'], undefined],
])('called with %j', (args, day) => {
  expect(readConfig({}, args, { webFolder: null, worker: null }).restore).toBe(day);
});
