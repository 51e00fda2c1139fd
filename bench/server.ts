import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { mm } from '../core/length/index.js';
import { ms, print, spreadOf } from './figures.js';

/** A server that runs in a process of its own. */
export interface Served {
  readonly url: string;
  readonly child: ChildProcess;
  readonly startedIn: number;
}

/** Starts the built server and waits for its address. */
export function serve(folder: string, env: NodeJS.ProcessEnv = {}, args: readonly string[] = []): Promise<Served> {
  const start = performance.now();
  const child = spawn('node', ['build/server/main.js', ...args], {
    env: { ...process.env, RUVOK_DATA: folder, PORT: '0', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.stdout?.on('data', (chunk: Buffer) => {
      const url = /http:\/\/127\.0\.0\.1:\d+/.exec(chunk.toString())?.[0];
      if (url) resolve({ url, child, startedIn: performance.now() - start });
    });
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
}

export function stop({ child }: Served): Promise<void> {
  return new Promise((resolve) => {
    child.once('exit', () => resolve());
    child.kill('SIGTERM');
  });
}

export async function benchServer(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-bench-'));
  const first = await serve(folder);
  print('first start, new data with the demo', ms(first.startedIn), '');
  await stop(first);
  const starts: number[] = [];
  for (let i = 0; i < 5; i += 1) {
    const again = await serve(folder);
    starts.push(again.startedIn);
    await stop(again);
  }
  print('cold start with existing data, median of 5', ms(spreadOf(starts).median), 'under 3000 ms');

  const running = await serve(folder);
  const path = `${running.url}/api/projects/print-shed`;
  const record = (await (await fetch(`${path}/pieces/ink-case`)).json()) as { version: number; data: { piece: object } };
  const piece = record.data.piece;
  let { version } = record;
  const put = async (where: string, body: object) => {
    const start = performance.now();
    const answer = await fetch(where, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`saving answered ${answer.status}`);
    return performance.now() - start;
  };
  const pieces: number[] = [];
  for (let i = 0; i < 240; i += 1) {
    pieces.push(await put(`${path}/pieces/ink-case`, { version, data: { ...piece, fixedToWall: i % 2 === 0 }, label: 'Bench' }));
    version += 1;
  }
  const saved = spreadOf(pieces.slice(40));
  print('saving a piece, 95th percentile', ms(saved.p95), `under 30 ms (median ${ms(saved.median)})`);
  const people: number[] = [];
  for (let i = 0; i < 240; i += 1)
    people.push(await put(`${path}/people/wren`, { version: i + 1, data: { name: 'Wren', height: mm(1680) }, label: 'Bench' }));
  const person = spreadOf(people.slice(40));
  print('saving a small record, 95th percentile', ms(person.p95), `under 30 ms (median ${ms(person.median)})`);
  await stop(running);
  rmSync(folder, { recursive: true, force: true });
}
