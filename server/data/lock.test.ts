import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FolderInUse, holdFolder, holdStore } from './lock.js';

const folder = mkdtempSync(join(tmpdir(), 'ruvok-lock-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Tries to take the lock in a process of its own, which is then killed while it holds it. */
function tryElsewhere(file = 'lock'): string {
  const script = `
    const fs = require('node:fs'); const locks = require('fs-native-extensions');
    const got = locks.tryLock(fs.openSync(${JSON.stringify(join(folder, file))}, 'a+'));
    fs.writeSync(1, got ? 'got' : 'refused'); process.kill(process.pid, 'SIGKILL');`;
  return spawnSync(process.execPath, ['-e', script], { cwd: process.cwd() }).stdout.toString();
}

test('a folder that is held is refused to another process, and free again when it is let go or its holder is killed', () => {
  const letGo = holdFolder(folder);
  expect(readFileSync(join(folder, 'lock'), 'utf8').trim()).toBe(`${process.pid}`);
  expect(tryElsewhere()).toBe('refused');
  expect(() => holdFolder(folder)).toThrow(FolderInUse);
  expect(() => holdFolder(folder)).toThrow(`process ${process.pid}`);
  letGo();
  expect(tryElsewhere()).toBe('got');
  holdFolder(folder)();
});

test('a store that is held is refused though somebody deleted the file that the folder is locked by', () => {
  mkdirSync(join(folder, 'db'));
  writeFileSync(join(folder, 'db/PG_VERSION'), '18\n');
  const letGo = [holdFolder(folder), holdStore(join(folder, 'db'))];
  rmSync(join(folder, 'lock'));
  expect(tryElsewhere('lock')).toBe('got');
  expect(tryElsewhere('db/PG_VERSION')).toBe('refused');
  expect(() => holdStore(join(folder, 'db'))).toThrow(FolderInUse);
  letGo.forEach((go) => go());
  expect(tryElsewhere('db/PG_VERSION')).toBe('got');
});
