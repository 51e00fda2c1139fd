import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { largeCase } from '../bench/cases.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { startServer, type Running } from './server.js';

/** What came of many at once. */
export interface LoadTried {
  readonly tried: number;
  readonly refused: number;
  readonly unanswered: number;
  readonly lost: number;
  /** Times of edits, and of asking whether the server is well, ms. */
  readonly median: number;
  readonly slowest: number;
  readonly health: number;
}

const at = (sorted: readonly number[], part: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? 0;

/** A project of so many pieces, with those of the shed over and over, and one of a thousand parts. */
function shopOf(pieces: number): object {
  const all = Object.entries(PRINT_SHED.pieces);
  const some = Array.from({ length: pieces }, (_, i) => {
    const [id, kept] = all[i % all.length] as (typeof all)[number];
    return [`${id}-${i}`, kept];
  });
  // What belongs to pieces by other names is left out.
  const { format, version, project, openings, things, stock, slides, people } = PRINT_SHED;
  const large = ['large', { piece: largeCase(64, 15), letters: {} }];
  return { format, version, project, openings, things, stock, slides, people, pieces: Object.fromEntries([...some, large]) as unknown };
}

async function asked(url: string, method: string, body?: unknown): Promise<{ readonly status: number; readonly json: unknown }> {
  const response = await fetch(url, {
    method,
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
  const text = await response.text();
  return { status: response.status, json: text === '' ? null : (JSON.parse(text) as unknown) };
}

interface Kept {
  readonly version: number;
  readonly data: { readonly piece: { readonly name: string } };
}

/** One person at a bench: changes pieces one after the other, and has the largest worked out now and then. */
async function work(
  url: string,
  ids: readonly string[],
  edits: number,
  from: number,
  times: number[],
): Promise<{ refused: number; unanswered: number; lost: number }> {
  const came = { refused: 0, unanswered: 0, lost: 0 };
  for (let i = 0; i < edits; i += 1) {
    const id = ids[(from + i) % ids.length] as string;
    const path = `${url}/api/projects/many/pieces/${id}`;
    try {
      const { version, data } = (await asked(path, 'GET')).json as Kept;
      const start = performance.now();
      const sent = { version, data: { ...data.piece, name: `${data.piece.name.slice(0, 60)} ${i}` }, label: `Edit ${i}` };
      const { status, json } = await asked(path, 'PUT', sent);
      times.push(performance.now() - start);
      if (status === 409) came.refused += 1;
      else if (status !== 200) came.unanswered += 1;
      else if ((json as Kept).version !== version + 1) came.lost += 1;
      if (i % 10 === 0 && (await asked(`${path}/solution`, 'GET')).status !== 200) came.unanswered += 1;
    } catch {
      came.unanswered += 1;
    }
  }
  return came;
}

/** Several people at once on a project of many pieces; each edit that was taken counts the version of its piece up by one. */
export async function load(pieces: number, people: number, edits: number): Promise<LoadTried> {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-load-'));
  const running: Running = await startServer(folder, ['--empty']);
  const { url } = running;
  let health = 0;
  let isOver = false;
  const watch = async () => {
    while (!isOver) {
      const start = performance.now();
      await fetch(`${url}/api/health`);
      health = Math.max(health, performance.now() - start);
      await new Promise((resolve) => setTimeout(resolve, 25));
    }
  };
  const watching = watch();
  const file = shopOf(pieces) as { pieces: Record<string, unknown> };
  const read = await asked(`${url}/api/projects/files?id=many`, 'POST', file);
  if (read.status !== 201) throw new Error(`the project was refused: ${JSON.stringify(read.json).slice(0, 300)}`);
  const ids = Object.keys(file.pieces);
  const times: number[] = [];
  const all = await Promise.all(Array.from({ length: people }, (_, p) => work(url, ids, edits, p * 7, times)));
  isOver = true;
  await watching;
  const total = (key: 'refused' | 'unanswered' | 'lost') => all.reduce((sum, one) => sum + one[key], 0);
  const now = (await asked(`${url}/api/projects/many`, 'GET')).json as { records: { pieces: readonly { version: number }[] } };
  const counted = now.records.pieces.reduce((sum, p) => sum + p.version - 1, 0);
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
  const tried = people * edits;
  const taken = tried - total('refused') - total('unanswered');
  times.sort((a, b) => a - b);
  return {
    tried,
    refused: total('refused'),
    unanswered: total('unanswered'),
    lost: total('lost') + Math.max(0, taken - counted),
    median: at(times, 0.5),
    slowest: times.at(-1) ?? 0,
    health,
  };
}

/** A second server on a folder that is in use, with its lock and without. @returns how often it was let in */
export async function twoOnOne(): Promise<{ readonly tried: number; readonly letIn: number }> {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-two-'));
  const first = await startServer(folder, ['--empty']);
  let letIn = 0;
  for (const without of [false, true]) {
    if (without) rmSync(join(folder, 'lock'));
    const second = await startServer(folder, ['--empty']).catch(() => null);
    if (second) {
      letIn += 1;
      await second.stop();
    }
  }
  await first.stop();
  rmSync(folder, { recursive: true, force: true });
  return { tried: 2, letIn };
}
