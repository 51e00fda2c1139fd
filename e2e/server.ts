import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base } from '@playwright/test';

const ROOT = join(import.meta.dirname, '..');

/** Where folders of tests are: in memory where that can be had, since each edit waits for the disk. */
const PLACE = existsSync('/dev/shm') ? '/dev/shm' : tmpdir();

/** A folder for a test. */
export const makeFolder = () => mkdtempSync(join(PLACE, 'ruvok-e2e-'));

/** A server of its own on a fresh data folder, on a free port. */
export interface Running {
  readonly url: string;
  /** The address that makes a browser the desk, where others are let in too. */
  readonly desk: string;
  readonly folder: string;
  readonly process: ChildProcess;
  readonly stop: () => Promise<void>;
}

function end(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    child.once('exit', () => resolve());
    child.kill(signal);
  });
}

/** Starts the built server and waits until it prints its address. */
export function startServer(folder: string, args: readonly string[] = [], env: NodeJS.ProcessEnv = {}): Promise<Running> {
  // The database is compiled quickly, not well: a server of a test does not run long enough for more.
  const child = spawn('node', ['--liftoff-only', 'build/server/main.js', ...args], {
    cwd: ROOT,
    env: { ...process.env, RUVOK_DATA: folder, PORT: '0', ...env },
  });
  return new Promise((resolve, reject) => {
    let said = '';
    const read = (chunk: Buffer) => {
      said += chunk.toString();
      const [, url, path] = /(http:\/\/127\.0\.0\.1:\d+)(\S*)\n/.exec(said) ?? [];
      if (url) resolve({ url, desk: `${url}${path}`, folder, process: child, stop: () => end(child, 'SIGTERM') });
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
}

interface Fixtures {
  /** With the print shed in it. */
  shed: Running;
  /** With nothing in it. */
  empty: Running;
}

/** How a data folder begins: with the print shed in it, or with nothing. */
export const BEGUN = { shed: [], empty: ['--empty'] } as const;

/** Under these names the environment says where the two were made, once for all tests. */
export const madeAt = (begun: keyof typeof BEGUN) => `RUVOK_E2E_${begun.toUpperCase()}`;

/** A data folder as a server leaves it that was started once. */
export function begunFolder(begun: keyof typeof BEGUN): string {
  const folder = makeFolder();
  cpSync(process.env[madeAt(begun)] ?? '', folder, { recursive: true });
  return folder;
}

async function serve(begun: keyof typeof BEGUN, use: (running: Running) => Promise<void>): Promise<void> {
  const folder = begunFolder(begun);
  const running = await startServer(folder, BEGUN[begun]);
  await use(running);
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
}

interface OwnFixtures {
  /** With the print shed as it ships: no other test has been in it. */
  own: Running;
}

export const test = base.extend<OwnFixtures, Fixtures>({
  own: async ({ browserName }, use) => {
    void browserName;
    await serve('shed', use);
  },
  shed: [
    async ({ browserName }, use) => {
      void browserName;
      await serve('shed', use);
    },
    { scope: 'worker' },
  ],
  empty: [
    async ({ browserName }, use) => {
      void browserName;
      await serve('empty', use);
    },
    { scope: 'worker' },
  ],
});

export { expect } from '@playwright/test';
