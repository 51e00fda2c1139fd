import { closeSync, mkdirSync, openSync, readFileSync, writeSync, ftruncateSync } from 'node:fs';
import { dirname, join } from 'node:path';
import locks from 'fs-native-extensions';

/** Another process holds the data folder. */
export class FolderInUse extends Error {}

function inUse(folder: string, holder = ''): FolderInUse {
  return new FolderInUse(
    `The data folder ${folder} is in use by another Ruvok${holder ? ` (process ${holder})` : ''}. Close that one first, or set RUVOK_DATA to another folder. Nothing was changed.`,
  );
}

/** Locks an open file; nothing where another process has. */
function locked(path: string, how: 'a+' | 'r+'): number | null {
  const file = openSync(path, how);
  if (locks.tryLock(file)) return file;
  closeSync(file);
  return null;
}

/**
 * Holds a data folder for the life of this process. The lock is the operating system's, on
 * an open file, so that it is freed however the process ends.
 * @returns a function that lets the folder go
 * @throws FolderInUse when another process holds it; nothing in the folder was touched
 */
export function holdFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true });
  const file = locked(join(folder, 'lock'), 'a+');
  if (file === null) throw inUse(folder, readFileSync(join(folder, 'lock'), 'utf8').trim());
  ftruncateSync(file);
  writeSync(file, `${process.pid}\n`);
  return () => closeSync(file);
}

/**
 * Holds the database in a data folder too, by a file that it cannot be without: the folder's own lock is gone once
 * somebody deletes its file.
 * @throws FolderInUse when another process has the database open
 */
export function holdStore(place: string): () => void {
  const file = locked(join(place, 'PG_VERSION'), 'r+');
  if (file === null) throw inUse(dirname(place));
  return () => closeSync(file);
}
