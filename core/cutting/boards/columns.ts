import { sumText, type ProgramSolver } from '../program.js';
import type { Relaxed } from './relax.js';
import { costOfMissing, type Packing, type Pattern } from './problem.js';

const SMALL = 1e-7;

const columnName = (i: number) => `x${i}`;

/** The choice of whole numbers of patterns as a program. */
function programOver(packing: Packing, patterns: readonly Pattern[]): string {
  const missing = costOfMissing(packing);
  const wanted = packing.sizes.map((_, i) => i).filter((i) => (packing.demand[i] as number) > 0);
  const limited = packing.boards.map((_, b) => b).filter((b) => Number.isFinite(packing.boards[b]?.count ?? 0));
  const cost = patterns.map((p, j) => [packing.boards[p.board]?.cost ?? 0, columnName(j)] as const);
  const lines = ['Minimize', ` cost: ${sumText([...cost, ...wanted.map((i) => [missing, `m${i}`] as const)])}`, 'Subject To'];
  for (const i of wanted) {
    const takes = patterns.flatMap((p, j) => ((p.takes[i] ?? 0) > 0 ? [[p.takes[i] as number, columnName(j)] as const] : []));
    lines.push(` d${i}: ${sumText([...takes, [1, `m${i}`]])} >= ${packing.demand[i]}`);
  }
  for (const b of limited) {
    const of = patterns.flatMap((p, j) => (p.board === b ? [[1, columnName(j)] as const] : []));
    if (of.length > 0) lines.push(` u${b}: ${sumText(of)} <= ${packing.boards[b]?.count}`);
  }
  lines.push('General', ` ${patterns.map((_, j) => `${columnName(j)}${j % 12 === 11 ? '\n' : ''}`).join(' ')}`);
  return [...lines, 'End'].join('\n');
}

/** A pattern that takes no more than is still wanted. */
function within(pattern: Pattern, demand: readonly number[]): Pattern {
  return { ...pattern, takes: pattern.takes.map((t, i) => Math.min(t, demand[i] as number)) };
}

const isDone = ({ demand }: Packing) => demand.every((d) => d === 0);

/** How a dive stands: what the least answer so far costs, and how many programs may still be solved. */
interface Dive {
  /** The least cost that a layout of what is fixed and the rest can have. */
  readonly least: (fixed: number, rest: number) => number;
  best: readonly Pattern[] | null;
  cost: number;
  left: number;
}

/** So many patterns are tried at each step before the dive goes back. */
const WIDTH = 3;

/** The patterns to fix next, the first the most likely: as often as a whole number of it is taken, or once. */
function candidates({ patterns, times, rest }: Relaxed): readonly { readonly pattern: number; readonly times: number }[] {
  const taken = times
    .map((part, pattern) => ({ pattern, part, most: rest.boards[(patterns[pattern] as Pattern).board]?.count ?? 0 }))
    .filter(({ pattern, part, most }) => {
      return part > SMALL && most >= 1 && (patterns[pattern] as Pattern).takes.some((t, i) => t > 0 && (rest.demand[i] as number) > 0);
    })
    .sort((a, b) => b.part - a.part);
  const whole = taken.find(({ part }) => part >= 1 - SMALL);
  if (whole) return [{ pattern: whole.pattern, times: Math.min(whole.most, Math.floor(whole.part + SMALL)) }];
  return taken.slice(0, WIDTH).map(({ pattern }) => ({ pattern, times: 1 }));
}

function descend(state: Dive, relaxed: Relaxed, before: readonly Pattern[], spent: number): void {
  if (isDone(relaxed.rest)) {
    if (spent < state.cost - SMALL) [state.best, state.cost] = [before, spent];
    return;
  }
  if (state.least(spent, relaxed.cost) >= state.cost - SMALL) return;
  for (const { pattern, times } of candidates(relaxed)) {
    if (state.left <= 0) return;
    state.left -= 1;
    const whole = relaxed.patterns[pattern] as Pattern;
    const left = [...relaxed.rest.demand];
    const taken = Array.from({ length: times }, () => {
      const fits = within(whole, left);
      fits.takes.forEach((t, i) => (left[i] = (left[i] as number) - t));
      return fits;
    });
    const cost = (relaxed.rest.boards[whole.board]?.cost ?? 0) * times;
    descend(state, relaxed.after(pattern, times), [...before, ...taken], spent + cost);
  }
}

/**
 * Whole patterns from the relaxed answer (a dive): what is taken a whole number of times is fixed, else the
 * pattern that is taken most, and the rest is relaxed anew. Where the rest can no longer be better
 * than what is known, it goes back and fixes another.
 * @param least the least cost of what is fixed with a rest that costs so much at least
 * @param programs how many programs may be solved
 * @returns null where nothing cheaper than `cost` was found
 */
export function dive(
  first: Relaxed,
  { cost, least, programs }: { readonly cost: number; readonly least: Dive['least']; readonly programs: number },
): readonly Pattern[] | null {
  const state: Dive = { least, best: null, cost, left: programs };
  descend(state, first, [], 0);
  return state.best;
}

/** The best choice of whole patterns among some, or null where the search ended before one was found. */
export function chosen(packing: Packing, patterns: readonly Pattern[], solve: ProgramSolver, nodes: number): Pattern[] | null {
  const { Status, Columns } = solve(programOver(packing, patterns), nodes);
  if (Object.values(Columns).every((c) => c.Primal === undefined) || Status === 'Infeasible') return null;
  const left = [...packing.demand];
  return patterns.flatMap((pattern, j) => {
    const times = Math.round(Columns[columnName(j)]?.Primal ?? 0);
    return Array.from({ length: times }, () => {
      const fits = within(pattern, left);
      fits.takes.forEach((t, i) => (left[i] = (left[i] as number) - t));
      return fits;
    }).filter((p) => p.takes.some((t) => t > 0));
  });
}
