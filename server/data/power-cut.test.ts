import { copyFileSync, cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { eq } from 'drizzle-orm';
import { runs } from '../../core/testing/runs.js';
import { openDatabase, type Database } from './database.js';
import { projects } from './schema.js';
import { SyncedFolder } from './synced.js';

const folder = mkdtempSync(join(tmpdir(), 'ruvok-cut-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

interface Stream {
  readonly nfd?: number;
  readonly node: object;
}

interface Mounting {
  readonly NODEFS: { readonly stream_ops: { fsync: (stream: Stream) => number }; readonly realPath: (node: object) => string };
}

/**
 * A disk that keeps what was synced and nothing else: a file as it was when it was synced last, a folder with the names
 * that it had then. What the machine holds in memory beside is lost when the power goes.
 */
class Disk extends SyncedFolder {
  private readonly snapshots = new Map<number, string>();

  constructor(
    private readonly live: string,
    private readonly kept: string,
    private readonly store: string,
    private readonly keeps = true,
  ) {
    super(live);
    mkdirSync(store, { recursive: true });
  }

  private syncedFile(path: string): void {
    const { ino } = statSync(path);
    const snapshot = join(this.store, `${ino}`);
    copyFileSync(path, snapshot);
    this.snapshots.set(ino, snapshot);
    const to = join(this.kept, relative(this.live, path));
    mkdirSync(dirname(to), { recursive: true });
    copyFileSync(snapshot, to);
  }

  private syncedNames(path: string): void {
    const to = join(this.kept, relative(this.live, path));
    mkdirSync(to, { recursive: true });
    const names = new Set(readdirSync(path));
    for (const name of readdirSync(to)) if (!names.has(name)) rmSync(join(to, name), { recursive: true });
    for (const name of names) {
      const own = statSync(join(path, name));
      if (!own.isFile()) continue;
      const snapshot = this.snapshots.get(own.ino);
      if (snapshot) copyFileSync(snapshot, join(to, name));
      else if (!existsSync(join(to, name))) writeFileSync(join(to, name), '');
    }
  }

  override async init(...[pg, options]: Parameters<SyncedFolder['init']>): ReturnType<SyncedFolder['init']> {
    const made = await super.init(pg, options);
    made.emscriptenOpts.preRun?.push((mounted: unknown) => {
      const { NODEFS } = mounted as Mounting;
      const { fsync } = NODEFS.stream_ops;
      NODEFS.stream_ops.fsync = (stream) => {
        const answer = fsync(stream);
        const path = NODEFS.realPath(stream.node);
        if (!this.keeps || !existsSync(path)) return answer;
        if (statSync(path).isFile()) this.syncedFile(path);
        else this.syncedNames(path);
        return answer;
      };
    });
    return made;
  }
}

/** A new database in a folder, and the same as it is on the disk. */
async function twice(name: string): Promise<readonly [live: string, kept: string]> {
  const [live, kept] = [join(folder, name), join(folder, `${name}-kept`)];
  mkdirSync(live);
  await (await openDatabase(live)).close();
  cpSync(live, kept, { recursive: true });
  return [live, kept];
}

const add = (db: Database, id: string) => db.insert(projects).values({ id, version: 1, data: { name: id, filled: 'x'.repeat(3000) } });

test(
  'what was answered is there after the power went, at whichever moment that was',
  async () => {
    const [live, kept] = await twice('true');
    const { db, close } = await openDatabase(live, (place) => new Disk(place, join(kept, 'db'), join(folder, 'store')));
    const answered: string[] = [];
    const lost: string[] = [];
    const cuts = runs(2);
    for (let cut = 0; cut < cuts; cut += 1) {
      for (let i = 0; i < 15; i += 1) {
        const id = `cut-${cut}-edit-${i}`;
        await add(db, id);
        answered.push(id);
      }
      if (cut % 2 === 1) {
        await db.execute('checkpoint');
        for (const id of answered.splice(0, 5)) await db.delete(projects).where(eq(projects.id, id));
      }
      const after = join(folder, `after-${cut}`);
      cpSync(kept, after, { recursive: true });
      const found = await openDatabase(after);
      const there = new Set((await found.db.select({ id: projects.id }).from(projects)).map((p) => p.id));
      await found.close();
      rmSync(after, { recursive: true });
      lost.push(
        ...answered.filter((id) => !there.has(id)),
        ...[...there].filter((id) => !answered.includes(id)).map((id) => `${id} is back`),
      );
    }
    await close();
    expect([answered.length, lost]).toEqual([15 * cuts - 5 * Math.floor(cuts / 2), []]);
  },
  60_000 * runs(2),
);

test('on a disk that keeps nothing when it is told to, it is lost: the test above can fail', async () => {
  const [live, kept] = await twice('lying');
  const { db, close } = await openDatabase(live, (place) => new Disk(place, join(kept, 'db'), join(folder, 'lying-store'), false));
  await add(db, 'never-kept');
  const found = await openDatabase(kept);
  const there = await found.db.select({ id: projects.id }).from(projects);
  await found.close();
  await close();
  expect(there).toEqual([]);
}, 60_000);
