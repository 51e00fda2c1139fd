import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { counted, edit } from './edits.js';
import { startServer, type Running } from './server.js';

/** What came of edits on a disk that fills. */
export interface FullTried {
  readonly acknowledged: number;
  readonly lost: number;
  /** Edits on the full disk that were not told so. */
  readonly untold: number;
}

const can = (command: string, ...args: string[]) => spawnSync(command, args, { stdio: 'ignore' }).status === 0;

const PERSON = '/api/projects/print-shed/people/wren';

/**
 * Fills the disk under a server that is being edited: edits are refused as such while it is full, and all that were
 * acknowledged are there once there is room again, also after the server was killed meanwhile.
 * @returns null where this machine cannot mount a disk of its own
 */
export async function fillDisk(rounds: number, told: (text: string) => void): Promise<FullTried | null> {
  const place = mkdtempSync(join(tmpdir(), 'ruvok-full-'));
  if (!can('mount', '-t', 'tmpfs', '-o', 'size=220m', 'tmpfs', place)) {
    rmSync(place, { recursive: true, force: true });
    return null;
  }
  let [acknowledged, lost, untold] = [0, 0, 0];
  const filler = join(place, 'filler');
  let running: Running | null = null;
  try {
    running = await startServer(join(place, 'data'), [], { RUVOK_LEAST_FREE: '4000000' });
    let { version } = await counted(running.url);
    for (let round = 0; round < rounds; round += 1) {
      for (let i = 0; i < 3; i += 1) {
        const next = await edit(running.url, version, 120_000_000 + version);
        if (next === null) throw new Error(`an edit was refused with room on the disk: ${running.said()}`);
        version = next;
        acknowledged += 1;
      }
      const { bavail, bsize } = statfsSync(place);
      writeFileSync(filler, Buffer.alloc(Math.max(0, bavail * bsize - 1_000_000)));
      const wren = (await (await fetch(running.url + PERSON)).json()) as { data: object };
      const body = JSON.stringify({ version, data: { ...wren.data, height: 110_000_000 }, label: 'Too much' });
      const refused = await fetch(running.url + PERSON, { method: 'PUT', headers: { 'content-type': 'application/json' }, body });
      if (refused.status !== 507) {
        untold += 1;
        told(`round ${round}: an edit on a full disk was answered ${refused.status}`);
      }
      if (round % 2 === 1) await running.kill();
      rmSync(filler);
      if (round % 2 === 1) running = await startServer(join(place, 'data'), [], { RUVOK_LEAST_FREE: '4000000' });
      const found = await counted(running.url);
      if (found.version !== version) {
        lost += Math.max(1, version - found.version);
        told(`round ${round}: version ${found.version} where ${version} was acknowledged`);
        ({ version } = found);
      }
    }
    await running.stop();
  } finally {
    await running?.kill();
    can('umount', place);
    rmSync(place, { recursive: true, force: true });
  }
  return { acknowledged, lost, untold };
}
