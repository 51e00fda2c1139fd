import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cutPower } from './cuts.js';
import type { FileTried } from './files.js';
import { killServer } from './kills.js';
import { load, twoOnOne } from './load.js';
import { endpoints, faultOfAnswer, heldTo, send, sentBy } from './requests.js';
import { sendBombs } from './bombs.js';
import { askAtTheDoor } from './doors.js';
import { fillDisk } from './full-disk.js';
import { killAtStages } from './stages.js';
import { shareDatabase } from './shared.js';
import { twoTabs } from './tabs.js';
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

/** So many requests are asked at once. */
const AT_ONCE = 6;

/** Each run tries others, from this seed on, which is printed; RUVOK_SEED takes its place. */
const SEED = Number(process.env['RUVOK_SEED'] ?? Math.floor(Math.random() * 2 ** 31));

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
  const held = heldTo(join(ROOT, 'docs/api.json'));
  let [tried, wrong, next] = [0, 0, from];
  const ask = async () => {
    while (next < from + count) {
      const seed = next;
      next += 1;
      const sent = sentBy(seed, known, project);
      // The shed itself stays, or the rest would have nothing to ask about.
      if (sent.method === 'DELETE' && /projects\/print-shed(\?|$)/.test(sent.path)) continue;
      tried += 1;
      const answer = await send(running.url, sent, LIMIT);
      const why = faultOfAnswer(answer) ?? (answer && held(sent.method, sent.known, answer));
      if (why === null) continue;
      wrong += 1;
      told(`request ${seed}, ${sent.method} ${sent.path}: ${why}`);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, ask));
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
  return [{ what: `requests that nearly fit, seeds ${from} on`, tried, survived: tried - wrong, lost: wrong }];
}

const line = ({ what, tried, survived, lost }: Row) =>
  `${what.padEnd(62)} ${`${tried}`.padStart(8)} ${`${survived}`.padStart(9)} ${`${lost}`.padStart(6)}`;

/** Edits that were acknowledged, and how many of them are gone. */
const kept = (what: string, { acknowledged, lost }: { readonly acknowledged: number; readonly lost: number }): readonly Row[] => [
  { what, tried: acknowledged, survived: acknowledged - lost, lost },
];

/** Tells what this machine has not, so that something was not tried. */
function untried(what: string): readonly Row[] {
  console.log(`  ${what}, so it was not tried`);
  return [];
}

/** What is tried, by the name that it can be asked for by. @param some so many of all, by the share that is wanted */
const GROUPS: Readonly<Record<string, (some: (all: number) => number) => Promise<readonly Row[]>>> = {
  async kills(some) {
    const came = await killServer(some(120), told);
    return kept(`edits acknowledged before ${came.tried} kills`, came);
  },
  async cuts(some) {
    const came = await cutPower(some(50), told);
    return came ? kept(`edits acknowledged before ${came.tried} power cuts`, came) : untried('this machine cannot mount a disk in a file');
  },
  async stages(some) {
    const came = await killAtStages(some(20), told);
    return [
      {
        what: 'kills at first start, upgrade, import, removal, undo',
        tried: came.tried,
        survived: came.tried - came.wrong,
        lost: came.wrong,
      },
    ];
  },
  async full(some) {
    const came = await fillDisk(some(20), told);
    if (came === null) return untried('this machine cannot mount a disk of its own');
    return kept('edits acknowledged on a disk that fills', { acknowledged: came.acknowledged, lost: came.lost + came.untold });
  },
  async bombs() {
    const came = await sendBombs(told);
    if (came === null) return untried('this machine does not tell how much memory a process takes');
    told(`memory grew by ${came.grew.toFixed(0)} MB at most`);
    return [
      { what: 'archives and photos that swell, and a large one', tried: came.tried, survived: came.tried - came.wrong, lost: came.wrong },
    ];
  },
  async doors(some) {
    const came = await askAtTheDoor(some(2000), told);
    return [{ what: 'requests of a stranger and of a phone', tried: came.tried, survived: came.tried - came.wrong, lost: came.wrong }];
  },
  async folder() {
    const { tried, letIn } = await twoOnOne();
    return [{ what: 'second servers on one folder, with its lock and without', tried, survived: tried - letIn, lost: letIn }];
  },
  async shared(some) {
    const came = await shareDatabase(some(200), told);
    if (came === null) return untried('there is no PostgreSQL here');
    told(`${came.refused} more met another's or came while something was down, and were told so`);
    return kept('edits acknowledged by two processes on one database server', came);
  },
  async tabs(some) {
    const came = await twoTabs(some(300), 1, told);
    if (came === null) return untried('there is no Chromium here');
    told(`${came.refused} undos were told that another change came first`);
    return [{ what: 'edits and undos in two tabs on one opening', tried: came.tried, survived: came.tried - came.lost, lost: came.lost }];
  },
  requests: (some) => tryRequests(SEED, some(20_000)),
  async load(some) {
    const came = await load(50, 6, some(60));
    const lost = came.lost + came.unanswered;
    told(
      `${came.refused} of them met another's and were told so; an edit ${came.median.toFixed(0)} ms in the middle, ${came.slowest.toFixed(0)} at most; health in ${came.health.toFixed(0)} ms at most`,
    );
    return [{ what: 'edits of 50 pieces and one of 1,000 parts by 6 people', tried: came.tried, survived: came.tried - lost, lost }];
  },
  files: (some) => tryFiles(SEED, some(20_000)),
};

/**
 * Tries to break the built product: kills, power cuts, files and requests of strangers, several at once. Prints what was
 * tried, what survived and what was lost.
 * @param scale 1 for all of it; less for a look
 * @param only the groups that are wanted; all of them where none is named
 * @returns how much was lost in all
 * @throws RangeError for a group that there is not
 */
export async function hard(scale: number, only: readonly string[]): Promise<number> {
  const names = only.length > 0 ? only : Object.keys(GROUPS);
  const some = (all: number) => Math.max(1, Math.round(all * scale));
  const rows: Row[] = [];
  console.log(`${'tried'.padStart(71)} ${'survived'.padStart(9)} ${'lost'.padStart(6)}`);
  for (const name of names) {
    const group = GROUPS[name];
    if (!group) throw new RangeError(`there is no ${name}; there are ${Object.keys(GROUPS).join(', ')}`);
    for (const row of await group(some)) {
      rows.push(row);
      console.log(line(row));
    }
  }
  console.log(`\n${'tried'.padStart(71)} ${'survived'.padStart(9)} ${'lost'.padStart(6)}`);
  rows.forEach((row) => console.log(line(row)));
  return rows.reduce((sum, row) => sum + row.lost, 0);
}
