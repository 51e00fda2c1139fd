import { existsSync, readFileSync } from 'node:fs';
import { cpus } from 'node:os';

/** What the kernel counts processor time in, a second. */
const TICKS = 100;

/** Processor time of this machine, whatever it was spent on, s. */
const ofMachine = () => cpus().reduce((sum, { times }) => sum + times.user + times.nice + times.sys + times.irq, 0) / 1000;

/** Processor time of the programs that this one ran and that have ended, s; not a number where the system does not tell. */
function ofEnded() {
  if (!existsSync('/proc/self/stat')) return NaN;
  const text = readFileSync('/proc/self/stat', 'utf8');
  const [, , user, system] = text
    .slice(text.lastIndexOf(')') + 2)
    .split(' ')
    .slice(11)
    .map(Number);
  return (user + system) / TICKS;
}

const begunAt = { clock: performance.now(), processor: ofMachine() };
const parts = [];

/** Does a part of a run, and keeps how long it took on the clock and of the processors. */
export async function timed(name, work) {
  const [clock, processor] = [performance.now(), ofMachine()];
  const came = await work();
  parts.push({ name, clock: (performance.now() - clock) / 1000, processor: ofMachine() - processor });
  return came;
}

let ended = ofEnded();

/** The same of a part that goes beside others: what the programs took that it ran. */
export async function timedBeside(name, work) {
  const clock = performance.now();
  const came = await work();
  const now = ofEnded();
  parts.push({ name: `  ${name}`, clock: (performance.now() - clock) / 1000, processor: now - ended });
  ended = now;
  return came;
}

const row = (name, clock, processor) => `${name.padEnd(36)} ${clock.toFixed(0).padStart(7)} ${processor.toFixed(0).padStart(11)}`;

/** A table of the parts that were done; what stands further in went beside others, and is in the part below it. */
export function timesTable() {
  const all = row('All', (performance.now() - begunAt.clock) / 1000, ofMachine() - begunAt.processor);
  return ['Part                                 clock, s processor, s', ...parts.map((p) => row(p.name, p.clock, p.processor)), all].join(
    '\n',
  );
}

/** What a test may take, s. */
const SHARE = { unit: 2, browser: 15 };

/** The tests that took more than a test may, the longest first. @param tests each with its name and how long it took, s */
export function overShare(kind, tests) {
  const over = tests.filter((t) => t.took > SHARE[kind]).sort((a, b) => b.took - a.took);
  const head = `${over.length} of ${tests.length} ${kind} tests took more than ${SHARE[kind]} s`;
  return [`\n${head}`, ...over.map((t) => `${t.took.toFixed(1).padStart(7)}  ${t.name}`)].join('\n');
}
