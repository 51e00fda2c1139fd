import { backupDays, NoBackup } from './data/backups.js';
import { ServerUnfit } from './data/database-server.js';
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

/** What a database server says as it turns one away, in words. */
const SERVER: Readonly<Record<string, string>> = {
  ECONNREFUSED: 'Nothing answers there. Is PostgreSQL running, and does it listen to this machine?',
  ENOTFOUND: 'There is no machine of that name in this network.',
  EAI_AGAIN: 'There is no machine of that name in this network.',
  ETIMEDOUT: 'It does not answer.',
  '28P01': 'It does not take this name and password.',
  '28000': 'It does not let this user in from here (pg_hba.conf says who is).',
  '3D000': 'It has no database of that name. Make it with: createdb --encoding UTF8 ruvok',
  '42501': 'This user may not make tables there: grant create on the database and its schema public.',
  '53300': 'It has as many connections as it takes.',
  '57P03': 'It is starting up or going down. Try again in a moment.',
};

/** Every code in a chain of errors, outermost first. */
function codesOf(error: unknown): readonly string[] {
  const codes: string[] = [];
  for (let e = error as { code?: unknown; cause?: unknown; errors?: unknown } | undefined; e && codes.length < 8; e = e.cause as typeof e)
    codes.push(...[e, ...(Array.isArray(e.errors) ? (e.errors as { code?: unknown }[]) : [])].map((one) => String(one.code)));
  return codes;
}

/** Why a database server cannot be used, in words; null for what is a fault of ours. */
function serverFault(error: unknown, url: string): string | null {
  const { host, pathname } = new URL(url);
  const said =
    error instanceof ServerUnfit
      ? error.message
      : (codesOf(error)
          .map((code) => SERVER[code])
          .find((words) => words !== undefined) ?? (/timeout|terminated/i.test(String(error)) ? SERVER['ETIMEDOUT'] : undefined));
  return said === undefined
    ? null
    : `The database ${pathname.slice(1)} on ${host || 'this machine'} cannot be used. ${said} Nothing was changed.`;
}

/**
 * Why the server did not start, for whoever started it, with what to do about it; null for what is a fault of ours.
 * @param config as far as it could be read
 */
export function startFault(error: unknown, config: Pick<Config, 'dataFolder' | 'databaseUrl' | 'port'> | null): string | null {
  if (error instanceof FolderInUse || error instanceof NoBackup || error instanceof RangeError) return error.message;
  if (config === null) return null;
  const { dataFolder, port } = config;
  if (codeOf(error) === 'EADDRINUSE')
    return `Port ${port} is taken, perhaps by another Ruvok. Close that one, or set PORT to another number, such as PORT=${port + 1}.`;
  if (config.databaseUrl !== null) return serverFault(error, config.databaseUrl);
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
