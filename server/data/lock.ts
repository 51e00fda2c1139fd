import { closeSync, mkdirSync, openSync, readFileSync, writeSync, ftruncateSync } from 'node:fs';
import { join } from 'node:path';
import locks from 'fs-native-extensions';

/** Another process holds the data folder. */
export class FolderInUse extends Error {}

/**
 * Holds a data folder for the life of this process. The lock is the operating system's, on
 * an open file, so that it is freed however the process ends.
 * @returns a function that lets the folder go
 * @throws FolderInUse when another process holds it; nothing in the folder was touched
 */
export function holdFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true });
  const path = join(folder, 'lock');
  const file = openSync(path, 'a+');
  if (!locks.tryLock(file)) {
    closeSync(file);
    const holder = readFileSync(path, 'utf8').trim();
    throw new FolderInUse(
      `The data folder ${folder} is in use by another Ruvok${holder ? ` (process ${holder})` : ''}. Close that one first, or set RUVOK_DATA to another folder. Nothing was changed.`,
    );
  }
  ftruncateSync(file);
  writeSync(file, `${process.pid}\n`);
  return () => closeSync(file);
}
