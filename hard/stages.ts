import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { isDeepStrictEqual } from 'node:util';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { PRINT_SHED } from '../demo/print-shed.js';
import { openDatabase } from '../server/data/database.js';
import { folder as documents, openings, people, pieces, projects, stock, things } from '../server/data/schema.js';
import { ROOT, startServer, type Running } from './server.js';

/** What came of killing the server at stages of its work, judged by whole records. */
export interface StagesTried {
  readonly tried: number;
  readonly wrong: number;
}

const SHED = '/api/projects/print-shed';

/** A project as the server gives it out; null where there is none. @throws Error where it answers otherwise */
async function project(url: string, path = SHED): Promise<unknown> {
  const answer = await fetch(`${url}${path}/file`);
  if (answer.status === 404) return null;
  if (!answer.ok) throw new Error(`${path}/file: ${answer.status}`);
  return answer.json();
}

const post = (url: string, body: unknown) =>
  fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }).catch(() => null);

/** The version of a project, which a removal names. */
const versionOf = async (url: string) => ((await (await fetch(url + SHED)).json()) as { version: number }).version;

/** How a stage is brought about, and what there may be after it: each a whole state. */
interface Stage {
  readonly name: string;
  /** Makes the folder ready; what is there then, and may stay. */
  readonly before: (folder: string) => Promise<void>;
  /** What is begun, and cut off; null where the start itself is. */
  readonly does: ((url: string) => Promise<unknown>) | null;
  /** Whether what is there afterwards is one of the whole states. */
  readonly isWhole: (url: string) => Promise<boolean>;
}

async function withServer<T>(folder: string, work: (running: Running) => Promise<T>, args: readonly string[] = []): Promise<T> {
  const running = await startServer(folder, args);
  try {
    return await work(running);
  } finally {
    await running.stop();
  }
}

const shedAs = (now: unknown) => isDeepStrictEqual(now, JSON.parse(JSON.stringify(whole)));
let whole: unknown = null;

let upgraded: unknown = null;

/** Puts a project into a folder as the program of the first version left it. */
async function putFirst(folder: string): Promise<void> {
  const first = JSON.parse(readFileSync(join(ROOT, 'core/formats/versions/kept/1.json'), 'utf8')) as Record<
    string,
    Record<string, unknown>
  >;
  const { db, close } = await openDatabase(folder);
  await db.delete(documents);
  const record = ([id, data]: [string, unknown]) => ({ projectId: 'first', id, version: 1, data });
  await db.insert(projects).values({ id: 'first', version: 1, data: first['project'] });
  for (const [kind, table] of Object.entries({ openings, things, stock, people, pieces })) {
    const records = Object.entries(first[kind] ?? {}).map(record);
    if (records.length > 0) await db.insert(table).values(records);
  }
  await close();
}

const STAGES: readonly Stage[] = [
  { name: 'the first start', before: () => Promise.resolve(), does: null, isWhole: async (url) => shedAs(await project(url)) },
  {
    name: 'an upgrade',
    before: async (folder) => {
      await withServer(folder, () => Promise.resolve(), ['--empty']);
      await putFirst(folder);
      if (upgraded !== null) return;
      // As it is brought up where nobody kills it.
      const copy = `${folder}-copy`;
      cpSync(folder, copy, { recursive: true });
      upgraded = await withServer(copy, ({ url }) => project(url, '/api/projects/first'), ['--empty']);
      rmSync(copy, { recursive: true, force: true });
    },
    does: null,
    isWhole: async (url) => isDeepStrictEqual(await project(url, '/api/projects/first'), upgraded),
  },
  {
    name: 'reading a project in',
    before: (folder) => withServer(folder, () => Promise.resolve()),
    does: (url) => post(`${url}/api/projects/files?id=again`, PRINT_SHED),
    isWhole: async (url) => {
      const again = await project(url, '/api/projects/again');
      return again === null || shedAs(again);
    },
  },
  {
    name: 'taking a project away',
    before: (folder) => withServer(folder, () => Promise.resolve()),
    does: async (url) => fetch(`${url}${SHED}?version=${await versionOf(url)}`, { method: 'DELETE' }).catch(() => null),
    isWhole: async (url) => {
      const now = await project(url);
      return now === null || shedAs(now);
    },
  },
  {
    name: 'an undo',
    before: (folder) =>
      withServer(folder, async ({ url }) => {
        const wren = (await (await fetch(`${url}${SHED}/people/wren`)).json()) as { version: number; data: object };
        const body = JSON.stringify({ version: wren.version, data: { ...wren.data, height: 123_456_789 }, label: 'Grew' });
        await fetch(`${url}${SHED}/people/wren`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body });
      }),
    does: (url) => post(`${url}${SHED}/undo`, { scope: ['people/wren'] }),
    isWhole: async (url) => {
      const now = (await project(url)) as { people: Record<string, { height: number }> };
      const height = now.people['wren']?.height;
      const other = { ...now, people: (whole as typeof now).people };
      return shedAs(other) && (height === 123_456_789 || height === (whole as typeof now).people['wren']?.height);
    },
  },
];

/** Starts a server and kills it after so long, whether it has come up or not. */
async function killedStart(folder: string, after: number): Promise<void> {
  const starting = startServer(folder, []).then(
    (running) => running,
    () => null,
  );
  const early = await Promise.race([starting, pause(after).then(() => null)]);
  if (early) return early.kill();
  const running = await starting;
  await running?.kill();
}

/**
 * Kills a server as it starts for the first time, brings documents up, reads a project in, takes one away, and takes an edit back, each
 * at other moments; what is there when it is started again must be whole: as before, or as after.
 */
export async function killAtStages(times: number, told: (text: string) => void): Promise<StagesTried> {
  let [tried, wrong] = [0, 0];
  const first = mkdtempSync(join(tmpdir(), 'ruvok-stages-'));
  whole = await withServer(first, ({ url }) => project(url));
  rmSync(first, { recursive: true, force: true });
  for (const { name, before, does, isWhole } of STAGES)
    for (let i = 0; i < times; i += 1) {
      const folder = mkdtempSync(join(tmpdir(), 'ruvok-stages-'));
      tried += 1;
      try {
        await before(folder);
        if (does === null) await killedStart(folder, 150 + (4000 * i) / times);
        else {
          const running = await startServer(folder);
          // What it asks is cut off with it.
          const done = does(running.url).catch(() => null);
          await pause((900 * i) / times);
          await running.kill();
          await done;
        }
        const ok = await withServer(folder, ({ url }) => isWhole(url));
        if (!ok) throw new Error('what is there is neither as before nor as after');
      } catch (error) {
        wrong += 1;
        told(`${name}, killed for the ${i + 1}. time: ${(error as Error).message.slice(0, 300)}`);
      }
      rmSync(folder, { recursive: true, force: true });
    }
  return { tried, wrong };
}
