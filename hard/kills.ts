import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { counted, edit } from './edits.js';
import { startServer } from './server.js';

/** What came of killing the server. */
export interface KillsTried {
  readonly tried: number;
  readonly acknowledged: number;
  readonly lost: number;
}

/** Kills the server in a stream of edits, at every stage of one, and looks what it has when it is started again. */
export async function killServer(times: number, told: (text: string) => void): Promise<KillsTried> {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-kills-'));
  let [acknowledged, lost] = [0, 0];
  let running = await startServer(folder);
  let { version } = await counted(running.url);
  for (let kill = 0; kill < times; kill += 1) {
    for (let i = 0; i < 1 + (kill % 4); i += 1) {
      const next = await edit(running.url, version, 120_000_000 + version);
      if (next === null) throw new Error(`an edit was refused: ${running.said()}`);
      version = next;
      acknowledged += 1;
    }
    const late = edit(running.url, version, 110_000_000 + version);
    await new Promise((resolve) => setTimeout(resolve, kill % 7));
    await running.kill();
    await late;
    running = await startServer(folder);
    const found = await counted(running.url);
    if (found.version < version) {
      lost += version - found.version;
      told(`kill ${kill}: ${version - found.version} edits lost`);
    }
    version = found.version;
  }
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
  return { tried: times, acknowledged, lost };
}
