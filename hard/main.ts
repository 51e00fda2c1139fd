import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cutPower } from './cuts.js';
import type { FileTried } from './files.js';
import { killServer } from './kills.js';
import { load, twoOnOne } from './load.js';
import { endpoints, faultOfAnswer, send, sentBy } from './requests.js';
import { shareDatabase } from './shared.js';
import { ROOT, startServer } from './server.js';
import { onThreads } from './threads.js';

/** One row of the table: what was tried, how often, and how often it went wrong. */
interface Row {
  readonly what: string;
  readonly tried: number | string;
  readonly survived: number | string;
  readonly lost: number;
}

const told = (text: string) => process.stdout.write(`  ${text}\n`);

/** A file that is not worked out in so long counts as unanswered, ms. */
const LIMIT = 60_000;

async function tryFiles(from: number, count: number): Promise<readonly Row[]> {
  let [read, crashed, unanswered] = [0, 0, 0];
  const seeds = Array.from({ length: count }, (_, i) => from + i);
  await onThreads<FileTried>(new URL('./files-thread.js', import.meta.url), seeds, { threads: 2, limit: LIMIT }, (came) => {
    if (came.answer === null) {
      unanswered += 1;
      told(`file ${came.seed}: ${came.why}`);
    } else if (came.answer.crashed !== null) {
      crashed += 1;
      told(`file ${came.seed} (${came.answer.piece}): ${came.answer.crashed}`);
    } else if (came.answer.read) read += 1;
  });
  return [
    { what: `files changed at random, seeds ${from} to ${from + count - 1}`, tried: count, survived: count - crashed, lost: crashed },
    { what: '  of those read and worked out', tried: read, survived: read, lost: 0 },
    { what: `  of those without an answer in ${LIMIT / 1000} s`, tried: count, survived: count - unanswered, lost: unanswered },
  ];
}

async function tryRequests(from: number, count: number): Promise<readonly Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'ruvok-requests-'));
  const running = await startServer(folder);
  const known = endpoints(join(ROOT, 'docs/api.json'));
  const project = JSON.parse(await (await fetch(`${running.url}/api/projects/print-shed/file`)).text()) as Record<string, unknown>;
  let [tried, wrong] = [0, 0];
  for (let seed = from; seed < from + count; seed += 1) {
    const sent = sentBy(seed, known, project);
    // The shed itself stays, or the rest would have nothing to ask about.
    if (sent.method === 'DELETE' && /projects\/print-shed(\?|$)/.test(sent.path)) continue;
    tried += 1;
    const why = faultOfAnswer(await send(running.url, sent, LIMIT));
    if (why === null) continue;
    wrong += 1;
    told(`request ${seed}, ${sent.method} ${sent.path}: ${why}`);
  }
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
  return [{ what: `requests that nearly fit, seeds ${from} on`, tried, survived: tried - wrong, lost: wrong }];
}

const line = ({ what, tried, survived, lost }: Row) =>
  `${what.padEnd(62)} ${`${tried}`.padStart(8)} ${`${survived}`.padStart(9)} ${`${lost}`.padStart(6)}`;

/**
 * Tries to break the built product: kills, power cuts, files and requests of strangers, many at once. Prints what was tried,
 * what survived and what was lost.
 * @param scale 1 for all of it; less for a look
 * @returns how much was lost in all
 */
export async function hard(scale: number): Promise<number> {
  const some = (all: number) => Math.max(1, Math.round(all * scale));
  const rows: Row[] = [];
  const add = (row: Row) => {
    rows.push(row);
    console.log(line(row));
  };
  console.log(`${'tried'.padStart(71)} ${'survived'.padStart(9)} ${'lost'.padStart(6)}`);
  const kills = await killServer(some(120), told);
  add({
    what: `edits acknowledged before ${kills.tried} kills`,
    tried: kills.acknowledged,
    survived: kills.acknowledged - kills.lost,
    lost: kills.lost,
  });
  const cuts = await cutPower(some(50), told);
  if (cuts === null) console.log('  power cuts: this machine cannot mount a disk in a file, so they were not tried');
  else
    add({
      what: `edits acknowledged before ${cuts.tried} power cuts`,
      tried: cuts.acknowledged,
      survived: cuts.acknowledged - cuts.lost,
      lost: cuts.lost,
    });
  const two = await twoOnOne();
  add({
    what: 'second servers on one folder, with its lock and without',
    tried: two.tried,
    survived: two.tried - two.letIn,
    lost: two.letIn,
  });
  const shared = await shareDatabase(some(200), told);
  if (shared === null) console.log('  two processes on one database: there is no PostgreSQL here, so they were not tried');
  else {
    add({
      what: 'edits acknowledged by two processes on one database server',
      tried: shared.acknowledged,
      survived: shared.acknowledged - shared.lost,
      lost: shared.lost,
    });
    told(`${shared.refused} more met another's or came while something was down, and were told so`);
  }
  for (const row of await tryRequests(1, some(20_000))) add(row);
  const many = await load(50, 6, some(60));
  add({
    what: 'edits of 50 pieces by 6 people at once',
    tried: many.tried,
    survived: many.tried - many.unanswered - many.lost,
    lost: many.lost + many.unanswered,
  });
  told(
    `${many.refused} of them met another's and were told so; an edit ${many.median.toFixed(0)} ms in the middle, ${many.slowest.toFixed(0)} at most; health in ${many.health.toFixed(0)} ms at most`,
  );
  for (const row of await tryFiles(1, some(100_000))) add(row);
  console.log(`\n${'tried'.padStart(71)} ${'survived'.padStart(9)} ${'lost'.padStart(6)}`);
  rows.forEach((row) => console.log(line(row)));
  return rows.reduce((sum, row) => sum + row.lost, 0);
}
