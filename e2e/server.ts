import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base } from '@playwright/test';

const ROOT = join(import.meta.dirname, '..');

/** A server of its own on a fresh data folder, on a free port. */
export interface Running {
  readonly url: string;
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
  const child = spawn('node', ['build/server/main.js', ...args], {
    cwd: ROOT,
    env: { ...process.env, RUVOK_DATA: folder, PORT: '0', ...env },
  });
  return new Promise((resolve, reject) => {
    let said = '';
    const read = (chunk: Buffer) => {
      said += chunk.toString();
      const url = /http:\/\/127\.0\.0\.1:\d+/.exec(said)?.[0];
      if (url) resolve({ url, folder, process: child, stop: () => end(child, 'SIGTERM') });
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

async function serve(args: readonly string[], use: (running: Running) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-e2e-'));
  const running = await startServer(folder, args);
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
    await serve([], use);
  },
  shed: [
    async ({ browserName }, use) => {
      void browserName;
      await serve([], use);
    },
    { scope: 'worker' },
  ],
  empty: [
    async ({ browserName }, use) => {
      void browserName;
      await serve(['--empty'], use);
    },
    { scope: 'worker' },
  ],
});

export { expect } from '@playwright/test';
