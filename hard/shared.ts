import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { counted, edit } from './edits.js';
import { postgresHere, startCluster } from './postgres.js';
import { startServer, type Running } from './server.js';

/** What came of several processes on one database server. */
export interface SharedTried {
  /** Edits that were acknowledged. */
  readonly acknowledged: number;
  /** Edits that met one of another process and were told so, or came while something was down. */
  readonly refused: number;
  readonly lost: number;
}

const CHANGES = '/api/projects/print-shed/changes';

/** How often each label stands in the history. */
async function labelsKept(url: string): Promise<ReadonlyMap<string, number>> {
  const kept = new Map<string, number>();
  for (let before = ''; ;) {
    const page = (await (await fetch(`${url}${CHANGES}${before}`)).json()) as readonly { change: number; label: string }[];
    if (page.length === 0) return kept;
    for (const { label } of page) kept.set(label, (kept.get(label) ?? 0) + 1);
    before = `?before=${page.at(-1)?.change}`;
  }
}

/**
 * Two processes that start at once on an empty database and whose people all edit the same record, while the database
 * server falls over and comes back, and then one of the processes is killed. Each edit that was acknowledged must stand in
 * the history once, whichever process is asked.
 * @returns null where there is no PostgreSQL here
 */
export async function shareDatabase(edits: number, told: (text: string) => void): Promise<SharedTried | null> {
  const bin = postgresHere();
  if (bin === null) return null;
  const cluster = await startCluster(bin);
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-shared-'));
  const start = (name: string) => startServer(join(folder, name), [], { RUVOK_DATABASE_URL: cluster.url, RUVOK_DEVICE: name });
  const running: Running[] = [];
  try {
    running.push(...(await Promise.all([start('bench'), start('office')])));
    const acknowledged: string[] = [];
    let refused = 0;
    const work = async (who: number) => {
      for (let i = 0; i < edits; i += 1) {
        const { url } = running[who % running.length] as Running;
        const label = `Edit ${i} of ${who}`;
        const now = await counted(url).catch(() => null);
        const next = now && (await edit(url, now.version, 120_000_000 + i, label));
        if (next) acknowledged.push(label);
        else {
          refused += 1;
          await pause(20);
        }
      }
    };
    const disturb = async () => {
      await pause(200);
      await cluster.restart();
      await pause(400);
      await cluster.freeze(3000);
      await running[1]?.kill();
      running[1] = await start('office');
    };
    await Promise.all([...[0, 1, 2, 3].map(work), disturb()]);
    let lost = 0;
    for (const { url, process, said } of running) {
      if (process.exitCode !== null) throw new Error(`a server ended with ${process.exitCode}: ${said()}`);
      const kept = await labelsKept(url);
      const gone = acknowledged.filter((label) => kept.get(label) !== 1);
      gone.forEach((label) => told(`${label} stands ${kept.get(label) ?? 0} times in the history`));
      lost += gone.length;
    }
    return { acknowledged: acknowledged.length, refused, lost };
  } finally {
    for (const one of running) await one.kill();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
