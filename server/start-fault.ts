import { backupDays, NoBackup } from './data/backups.js';
import { StoreBroken } from './data/database.js';
import { FolderInUse } from './data/lock.js';
import type { Config } from './config.js';

const codeOf = (error: unknown): string => (error as { code?: unknown } | null)?.code as string;

const ELSEWHERE = 'Set RUVOK_DATA to a folder where it can.';

/** What the file system says about a data folder, in words. */
const FILES: Readonly<Record<string, (folder: string) => string>> = {
  EACCES: (folder) => `Ruvok may not write in the data folder ${folder}. Give this user the right to, or set RUVOK_DATA to another folder.`,
  EPERM: (folder) => `Ruvok may not write in the data folder ${folder}. Give this user the right to, or set RUVOK_DATA to another folder.`,
  EROFS: (folder) => `The data folder ${folder} is on a disk that is read-only: nothing can be saved there. ${ELSEWHERE}`,
  ENOSPC: (folder) => `The disk of the data folder ${folder} is full. What was saved is safe. Free some space, and start again.`,
  ENOTDIR: (folder) => `The data folder ${folder} is no folder. ${ELSEWHERE}`,
  EEXIST: (folder) => `The data folder ${folder} is no folder. ${ELSEWHERE}`,
};

/**
 * Why the server did not start, for whoever started it, with what to do about it; null for what is a fault of ours.
 * @param config as far as it could be read
 */
export function startFault(error: unknown, config: Pick<Config, 'dataFolder' | 'port'> | null): string | null {
  if (error instanceof FolderInUse || error instanceof NoBackup || error instanceof RangeError) return error.message;
  if (config === null) return null;
  const { dataFolder, port } = config;
  if (codeOf(error) === 'EADDRINUSE')
    return `Port ${port} is taken, perhaps by another Ruvok. Close that one, or set PORT to another number, such as PORT=${port + 1}.`;
  const told = FILES[codeOf(error)];
  if (told) return told(dataFolder);
  if (!(error instanceof StoreBroken)) return null;
  if (/ENOSPC|No space left/i.test(error.message)) return FILES['ENOSPC']?.(dataFolder) ?? null;
  const [newest, ...older] = backupDays(dataFolder);
  const way = newest
    ? `The newest backup is of ${newest}: npm start -- --restore ${newest} puts it in its place and keeps what is there beside it.${older.length > 0 ? ` There are older ones of ${older.join(', ')}.` : ''}`
    : 'There is no backup of it yet.';
  return `The store in ${dataFolder} cannot be opened (${error.message}). Nothing was changed. ${way}`;
}
