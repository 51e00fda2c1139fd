import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';

/** Where Debian keeps the programs of each version of PostgreSQL. */
const DEBIAN = '/usr/lib/postgresql';

/** A PostgreSQL server of our own, in a folder that goes with it. */
export interface Cluster {
  /** Its first database, from which others can be made. */
  readonly url: string;
  readonly stop: () => Promise<void>;
  /** Ends it at once and starts it again, as after a fault. */
  readonly restart: () => Promise<void>;
  /** Stands still for so long, ms: it takes what is sent, and answers nothing. */
  readonly freeze: (ms: number) => Promise<void>;
}

/** The folder of the newest PostgreSQL that is installed; null where none is. */
export function postgresHere(): string | null {
  const versions = existsSync(DEBIAN) ? readdirSync(DEBIAN).sort((a, b) => Number(b) - Number(a)) : [];
  return versions.map((v) => join(DEBIAN, v, 'bin')).find((bin) => existsSync(join(bin, 'initdb'))) ?? null;
}

/** A port that nobody listens to just now. */
async function freePort(): Promise<number> {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  await new Promise((resolve) => server.close(resolve));
  return port;
}

/** Whom it runs as: PostgreSQL refuses to be run by root. */
function whoRuns(): { readonly uid: number; readonly gid: number } | null {
  if (process.getuid?.() !== 0) return null;
  const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }));
  return { uid: id('-u'), gid: id('-g') };
}

const ended = (child: ChildProcess): Promise<void> =>
  child.exitCode !== null || child.signalCode !== null ? Promise.resolve() : new Promise((resolve) => child.once('exit', () => resolve()));

/** Makes and starts a server on a free port of this machine. @throws Error where it does not come up in half a minute */
export async function startCluster(bin: string): Promise<Cluster> {
  const who = whoRuns();
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-postgres-'));
  if (who) chownSync(folder, who.uid, who.gid);
  const place = join(folder, 'db');
  const as = who ?? {};
  execFileSync(join(bin, 'initdb'), ['-D', place, '-U', 'ruvok', '--auth=trust', '--encoding=UTF8', '--no-locale'], {
    ...as,
    cwd: folder,
    stdio: 'ignore',
  });
  const port = await freePort();
  const isUp = () => {
    try {
      execFileSync(join(bin, 'pg_isready'), ['-h', '127.0.0.1', '-p', `${port}`], { stdio: 'ignore' });
      return true;
    } catch {
      return false;
    }
  };
  const start = async () => {
    const child = spawn(join(bin, 'postgres'), ['-D', place, '-k', folder, '-h', '127.0.0.1', '-p', `${port}`], {
      ...as,
      cwd: folder,
      stdio: 'ignore',
      // A group of its own, so that all of its processes can be stopped together.
      detached: true,
    });
    for (let tries = 0; !isUp(); tries += 1) {
      if (tries > 300 || child.exitCode !== null) throw new Error('PostgreSQL did not start');
      await pause(100);
    }
    return child;
  };
  let child = await start();
  const end = async (signal: NodeJS.Signals) => {
    child.kill(signal);
    await ended(child);
  };
  return {
    url: `postgres://ruvok@127.0.0.1:${port}/postgres`,
    stop: async () => {
      await end('SIGINT');
      rmSync(folder, { recursive: true, force: true });
    },
    freeze: async (ms) => {
      const group = -(child.pid ?? 0);
      process.kill(group, 'SIGSTOP');
      await pause(ms);
      process.kill(group, 'SIGCONT');
    },
    restart: async () => {
      await end('SIGQUIT');
      child = await start();
    },
  };
}
