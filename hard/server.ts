import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the product, from where this runs once it is built. */
export const ROOT = fileURLToPath(new URL('../../..', import.meta.url));

/** A server of its own, as it is shipped. */
export interface Running {
  readonly url: string;
  readonly process: ChildProcess;
  readonly said: () => string;
  /** Ends it at once, as the system does when it must. */
  readonly kill: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** Starts the built server and waits until it tells its address. @throws Error with what it said where it ends instead */
export function startServer(folder: string, args: readonly string[] = [], env: NodeJS.ProcessEnv = {}): Promise<Running> {
  const child = spawn(process.execPath, [join(ROOT, 'build/server/main.js'), ...args], {
    cwd: ROOT,
    env: { ...process.env, RUVOK_DATA: folder, PORT: '0', RUVOK_PER_MINUTE: '10000000', RUVOK_LOG: 'error', ...env },
  });
  const end = (signal: NodeJS.Signals) =>
    new Promise<void>((resolve) => {
      if (child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill(signal);
    });
  return new Promise((resolve, reject) => {
    let said = '';
    const read = (chunk: Buffer) => {
      said += chunk.toString();
      const url = /http:\/\/127\.0\.0\.1:\d+/.exec(said)?.[0];
      if (url) resolve({ url, process: child, said: () => said, kill: () => end('SIGKILL'), stop: () => end('SIGTERM') });
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
}
