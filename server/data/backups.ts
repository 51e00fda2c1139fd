import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { sql } from 'drizzle-orm';
import type { EmbeddedDatabase } from './database.js';
import { moved, syncPath } from './synced.js';

/** So many days that were worked on are kept. */
const KEPT = 10;
const NAME = /^(\d{4}-\d{2}-\d{2})\.tar\.gz$/;

const folderOf = (dataFolder: string) => join(dataFolder, 'backups');
const fileOf = (dataFolder: string, day: string) => join(folderOf(dataFolder), `${day}.tar.gz`);

/** The days that there are backups of, the newest first. */
export function backupDays(dataFolder: string): readonly string[] {
  const folder = folderOf(dataFolder);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name) => NAME.exec(name)?.[1] ?? [])
    .sort()
    .reverse();
}

/** What everything that was ever kept comes to: another figure after each edit, fact and photo. */
async function editionOf(db: EmbeddedDatabase['db']): Promise<string> {
  const { rows } = (await db.execute(sql`select concat_ws(' ',
    (select count(*) from projects), (select coalesce(max(seq), 0) from changes), (select count(*) from changes where undone),
    (select count(*) from readings), (select count(*) from made), (select count(*) from photos)) as edition`)) as {
    readonly rows: readonly { readonly edition: string }[];
  };
  return rows[0]?.edition ?? '';
}

/** Keeps the store as it was at the end of each day that it was worked on. */
export class Backups {
  private timer: ReturnType<typeof setInterval> | null = null;

  constructor(
    private readonly dataFolder: string,
    private readonly database: Pick<EmbeddedDatabase, 'db'> & { readonly client: Pick<PGlite, 'dumpDataDir'> },
    private readonly today: () => string = () => new Date().toISOString().slice(0, 10),
  ) {}

  /** Looks now and then whether something was done since the last one. */
  start(every: number): void {
    this.timer = setInterval(() => void this.backUp().catch(() => undefined), every);
    this.timer.unref();
  }

  stop(): void {
    if (this.timer) clearInterval(this.timer);
  }

  /**
   * Makes the backup of this day, in place of the one that was made earlier on it.
   * @returns its day; null where nothing was done since the last one
   */
  async backUp(): Promise<string | null> {
    const mark = join(folderOf(this.dataFolder), 'edition');
    const edition = await editionOf(this.database.db);
    if (existsSync(mark) && readFileSync(mark, 'utf8') === edition) return null;
    mkdirSync(folderOf(this.dataFolder), { recursive: true });
    const day = this.today();
    const dump = await this.database.client.dumpDataDir('gzip');
    const path = fileOf(this.dataFolder, day);
    writeFileSync(`${path}.new`, new Uint8Array(await dump.arrayBuffer()));
    syncPath(`${path}.new`);
    moved(`${path}.new`, path);
    writeFileSync(mark, edition);
    for (const old of backupDays(this.dataFolder).slice(KEPT)) rmSync(fileOf(this.dataFolder, old));
    return day;
  }
}

/** There is no such backup. */
export class NoBackup extends Error {}

/**
 * Puts a backup in the place of the store; what was there is kept beside it.
 * @param day the newest where none is named
 * @returns the day it is of, and where the store went that was there
 * @throws NoBackup with those that there are
 */
export async function restore(dataFolder: string, asked: string | null): Promise<{ readonly day: string; readonly aside: string | null }> {
  const days = backupDays(dataFolder);
  const day = asked ?? days[0];
  if (day === undefined || !days.includes(day))
    throw new NoBackup(
      `There is no backup${asked === null ? '' : ` of ${asked}`} in ${folderOf(dataFolder)}. ${days.length > 0 ? `There are those of ${days.join(', ')}.` : 'None was made yet.'} Nothing was changed.`,
    );
  const place = join(dataFolder, 'db');
  const fresh = `${place}.restored`;
  rmSync(fresh, { recursive: true, force: true });
  const client = new PGlite({ dataDir: fresh, loadDataDir: new Blob([readFileSync(fileOf(dataFolder, day))]) });
  await client.waitReady;
  await client.close();
  const aside = existsSync(place) ? join(dataFolder, `db-before-${new Date().toISOString().replace(/[:.]/g, '-')}`) : null;
  if (aside !== null) renameSync(place, aside);
  moved(fresh, place);
  rmSync(join(folderOf(dataFolder), 'edition'), { force: true });
  return { day, aside };
}
