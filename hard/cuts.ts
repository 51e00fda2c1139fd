import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { counted, edit } from './edits.js';
import { startServer, type Running } from './server.js';

/** What came of cutting the power. */
export interface CutsTried {
  readonly tried: number;
  readonly acknowledged: number;
  readonly lost: number;
}

const can = (command: string, ...args: string[]) => spawnSync(command, args, { stdio: 'ignore' }).status === 0;

function must(command: string, ...args: string[]): void {
  const { status, stderr } = spawnSync(command, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(`${command} ${args.join(' ')}: ${stderr}`);
}

/**
 * Cuts the power of a server that is being edited: its data lie on a disk in a file, and what that file holds at some
 * moment is what such a disk holds then. The server on a copy of it must have every edit that was acknowledged.
 * @returns null where this machine cannot mount a disk in a file
 */
export async function cutPower(times: number, told: (text: string) => void): Promise<CutsTried | null> {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-cuts-'));
  const [image, copy, live, after] = ['disk', 'copy', 'live', 'after'].map((n) => join(folder, n)) as [string, string, string, string];
  mkdirSync(live);
  mkdirSync(after);
  const made = can('truncate', '-s', '300M', image) && can('mkfs.ext4', '-q', '-F', image) && can('mount', '-o', 'loop', image, live);
  if (!made) {
    rmSync(folder, { recursive: true, force: true });
    return null;
  }
  let [acknowledged, lost] = [0, 0];
  let running: Running | null = null;
  try {
    running = await startServer(join(live, 'data'));
    let { version } = await counted(running.url);
    for (let cut = 0; cut < times; cut += 1) {
      for (let i = 0; i < 1 + ((cut * 7) % 13); i += 1) {
        const next = await edit(running.url, version, 120_000_000 + version);
        if (next === null) throw new Error(`an edit was refused: ${running.said()}`);
        version = next;
        acknowledged += 1;
      }
      const had = version;
      // One more is on its way when the power goes.
      const late = edit(running.url, version, 110_000_000 + version);
      running.process.kill('SIGSTOP');
      must('cp', '--sparse=always', image, copy);
      running.process.kill('SIGCONT');
      version = (await late) ?? version;
      must('mount', '-o', 'loop', copy, after);
      try {
        const again = await startServer(join(after, 'data'));
        const found = await counted(again.url);
        await again.kill();
        if (found.version < had) {
          lost += had - found.version;
          told(`cut ${cut}: ${had - found.version} edits lost`);
        }
      } catch (error) {
        lost += 1;
        told(`cut ${cut}: the store does not open: ${(error as Error).message.slice(0, 300)}`);
      } finally {
        must('umount', after);
      }
    }
    await running.stop();
  } finally {
    await running?.kill();
    can('umount', live);
    rmSync(folder, { recursive: true, force: true });
  }
  return { tried: times, acknowledged, lost };
}
