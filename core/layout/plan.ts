import { layBoardsWell, type BoardAnswer, type BoardProblem } from '../cutting/boards/index.js';
import type { LaidSheet, Sawn } from '../cutting/laid.js';
import type { ProgramSolver } from '../cutting/program.js';
import { SheetSearch, type RectWanted, type SheetAnswer, type SheetProblem } from '../cutting/sheets/index.js';
import { ZERO, fromUnits, type Length } from '../length/index.js';
import type { Settings } from '../project/index.js';
import type { Stock } from '../stock/index.js';
import type { Blank } from './blanks.js';
import type { Begun, Cutting } from './spec.js';
import { frontStrips, stripsCut, type Strip } from './matched.js';
import { boardsWhole, clearSheets, pinOnClear, stretchesOf, type Flawed } from './flaws.js';
import { reservedOf, sourcesOf, type Source } from './supply.js';
import { kerfOf } from './tools.js';

/** What is to be laid out: plain data, which a worker can be given. */
export interface ToLay {
  readonly problem: SheetProblem;
  /** Everything lies one after the other along boards: nothing lies beside anything else. */
  readonly along: boolean;
  /** Fronts that come from one strip each, which is laid out in their place. */
  readonly strips: readonly Strip[];
  /** Boards are crosscut first, and ripped first where that costs less. */
  readonly orRips: boolean;
  /** Boards with knots or splits, whose clear lengths are laid out in their place. */
  readonly flawed: readonly Flawed[];
}

/** All that one stock is asked for, ready to be laid out. */
export interface Asked extends ToLay {
  readonly stockId: string;
  readonly stock: Stock;
  readonly blanks: readonly Pick<Blank, 'key'>[];
  readonly sources: readonly Source[];
}

/** No two lie beside each other on any board, and all lie along it. */
function areAlong({ wanted, sheets, kerf, pins }: SheetProblem): boolean {
  if (pins.length > 0) return false;
  const narrowest = Math.min(...wanted.map((w) => w.width));
  const widest = Math.max(...wanted.map((w) => w.width));
  return wanted.every((w) => !w.turns) && sheets.every((s) => 2 * narrowest + kerf > s.width && widest <= s.width);
}

/** Whether anything is ripped off boards of a stock, or off what is left of them. */
function isRipped(stock: Stock, blanks: readonly Blank[]): boolean {
  const sold = [stock, ...(stock.sizes ?? []), ...(stock.offcuts ?? [])];
  return [...sold, ...blanks].some((s) => s.width !== stock.width);
}

/**
 * What is to be laid out of one stock: the blanks that are not cut yet, on what there is.
 * @param others what else is planned to be cut: what it keeps of the stock is not there
 * @example askedOf('ply', PLY, BLANKS, CUTTING, SHOP.settings).problem.wanted.length // 5
 */
export function askedOf(
  stockId: string,
  stock: Stock,
  blanks: readonly Blank[],
  cutting: Cutting,
  settings: Settings,
  others: readonly Cutting[] = [],
): Asked {
  const begun = cutting.begun.filter((b) => b.stock === stockId);
  const cut = new Set(begun.flatMap((b) => keysIn(b.sawn as Sawn).filter((key) => !b.spoiled?.includes(key))));
  const left = blanks.filter((b) => !cut.has(b.key) && !b.isCut);
  const sources = sourcesOf(stock, settings.tools, begun, reservedOf(stockId, others));
  const isBoard = stock.form === 'board';
  const kerf = kerfOf(stock, isRipped(stock, left), settings);
  const flawed = sources.flatMap(({ sheet, flaws }): Flawed[] =>
    flaws && sheet.count > 0 ? [{ sheet, stretches: stretchesOf(sheet, flaws, kerf) }] : [],
  );
  const whole = sources.flatMap((s) => (s.flaws || s.sheet.count === 0 ? [] : [s.sheet]));
  const sheets = [...clearSheets(flawed), ...whole];
  const held = new Set([...cutting.pins.map((p) => p.part), ...cutting.turns]);
  const fits = (length: Length, width: Length) =>
    sheets.some(({ length: l, width: w, trim }) => length <= l - 2 * trim.ends && width <= w - 2 * trim.edges);
  const strips = cutting.matched ? frontStrips(left, kerf, held, fits) : [];
  const inStrip = new Set(strips.flatMap((s) => s.parts.map((p) => p.key)));
  const alone = left
    .filter((b) => !inStrip.has(b.key))
    .map((b): RectWanted => ({ id: b.key, length: b.length, width: b.width, turns: !b.grain || cutting.turns.includes(b.key) }));
  const wanted = [...alone, ...strips.map(({ key, length, width }): RectWanted => ({ id: key, length, width, turns: false }))];
  const problem: SheetProblem = {
    kerf,
    wanted,
    sheets,
    first: isBoard ? 'crosscuts' : cutting.first,
    pins: cutting.pins.filter((p) => p.stock === stockId && !cut.has(p.part)).map((p) => pinOnClear(p, flawed)),
  };
  return { stockId, stock, blanks: left, sources, problem, strips, flawed, along: isBoard && areAlong(problem), orRips: isBoard };
}

/** A sheet that was begun, as it was laid out. @example sheetOf({ ...LAID[0], stock: 'ply', done: [] }).sheet === LAID[0].sheet // true */
export function sheetOf({ sheet, copy, length, width, trim, sawn }: Begun): LaidSheet {
  return { sheet, copy, length, width, trim, sawn: sawn };
}

/** The ids of the parts in a piece of a sheet. @example keysIn(LAID[0].sawn).length // 5 */
export function keysIn(sawn: Sawn): string[] {
  if (sawn.kind === 'part') return [sawn.id];
  return sawn.kind === 'cut' ? [...keysIn(sawn.near), ...(sawn.far ? keysIn(sawn.far) : [])] : [];
}

/** A layout of what is left to cut of one stock. */
export type Answer = SheetAnswer;

/** The boards of an answer as they are sawn: crosscut one after the other, then each ripped to its width. */
function laidAlong({ sawn }: BoardAnswer, { sheets, wanted, kerf }: SheetProblem): LaidSheet[] {
  const widths = new Map(wanted.map((w) => [w.id, w.width]));
  const copies = new Map<string, number>();
  return sawn.flatMap(({ board, lengths }): LaidSheet[] => {
    const sheet = sheets.find((s) => s.id === board.id);
    if (!sheet) return [];
    let copy = copies.get(sheet.id) ?? 0;
    while (sheet.taken?.includes(copy)) copy += 1;
    copies.set(sheet.id, copy + 1);
    const { trim, length, width } = sheet;
    const end = length - trim.ends;
    const from = (nth: number, x: number): Sawn => {
      const box = { x: fromUnits(x), y: trim.edges, length: fromUnits(end - x), width: fromUnits(width - 2 * trim.edges) };
      const one = lengths[nth];
      if (!one) return { kind: 'left', ...box };
      const part = ripped({ ...box, length: one.length }, one.id, widths.get(one.id) ?? width, kerf);
      if (box.length <= one.length) return part;
      const rest = x + one.length + kerf;
      return { kind: 'cut', ...box, way: 'crosscut', at: one.length, near: part, far: rest < end ? from(nth + 1, rest) : null };
    };
    return [{ sheet: sheet.id, copy, length, width, trim, sawn: from(0, trim.ends) }];
  });
}

function ripped(box: Omit<Extract<Sawn, { kind: 'left' }>, 'kind'>, id: string, width: Length, kerf: Length): Sawn {
  const part: Sawn = { kind: 'part', ...box, width, id, turned: false };
  if (box.width <= width) return part;
  const over = box.width - width - kerf;
  const far: Sawn | null = over > 0 ? { kind: 'left', ...box, y: fromUnits(box.y + width + kerf), width: fromUnits(over) } : null;
  return { kind: 'cut', ...box, way: 'rip', at: width, near: part, far };
}

/**
 * The same as a problem of lengths alone; what is trimmed off the ends is gone from each board.
 * @example boardsOf(ASKED.problem).boards[0].length // mm(2500)
 */
export function boardsOf({ wanted, sheets, kerf }: SheetProblem): BoardProblem {
  const byLength = new Map<Length, string[]>();
  for (const w of wanted) byLength.set(w.length, [...(byLength.get(w.length) ?? []), w.id]);
  return {
    kerf,
    trim: ZERO,
    boards: sheets.map((s) => ({ id: s.id, length: fromUnits(Math.max(0, s.length - 2 * s.trim.ends)), count: s.count, cost: s.cost })),
    wanted: [...byLength].map(([length, ids]) => ({ length, ids })),
  };
}

function layAlong(problem: SheetProblem, solve: ProgramSolver): Answer {
  const answer = layBoardsWell(boardsOf(problem), solve);
  const { missing, cost, bound, proven } = answer;
  return { laid: laidAlong(answer, problem), missing, unpinned: [], cost, bound, proven };
}

/** So many steps are taken between one word of how it stands and the next. */
const STRIDE = 250;

/** How long a layout is searched for: more where there is more to lay. @example stepsFor(ASKED) > 0 // true */
export function stepsFor({ problem }: ToLay): number {
  return Math.min(30_000, 3000 + 150 * problem.wanted.length);
}

/** Where nothing can be cheaper, so many steps are enough to look for a larger rest. */
const ENOUGH = 2000;

/** How a search stands. */
export interface Standing {
  readonly answer: Answer;
  /** From 0 to 1. */
  readonly done: number;
}

/**
 * Lays out what one stock is asked for: an answer at once, then better ones.
 * The same input gives the same answers.
 * @param solve solves linear and integer programs, for what lies along boards
 */
export function* layOut(asked: ToLay, solve: ProgramSolver): Generator<Standing> {
  for (const { answer, done } of layWhole(asked, solve))
    yield { answer: boardsWhole(stripsCut(answer, asked.strips, asked.problem.kerf), asked.flawed), done };
}

/** The same with strips whole. */
function* layWhole(asked: ToLay, solve: ProgramSolver): Generator<Standing> {
  if (asked.along) {
    yield { answer: layAlong(asked.problem, solve), done: 1 };
    return;
  }
  const most = asked.problem.wanted.length > 0 ? stepsFor(asked) : 0;
  let last: Standing | null = null;
  for (const standing of searched(asked.problem, most)) {
    last = standing;
    yield asked.orRips ? { ...standing, done: standing.done / 2 } : standing;
  }
  if (!asked.orRips || !last) return;
  const { answer } = last;
  if (answer.proven || most === 0) {
    yield { answer, done: 1 };
    return;
  }
  for (const ripped of searched({ ...asked.problem, first: 'rips' }, most))
    yield { answer: isCheaper(ripped.answer, answer) ? ripped.answer : answer, done: 0.5 + ripped.done / 2 };
}

/** Whether an answer leaves less out than another, or costs less. */
function isCheaper(a: Answer, b: Answer): boolean {
  return a.missing.length < b.missing.length || (a.missing.length === b.missing.length && a.cost < b.cost - 1e-9);
}

function* searched(problem: SheetProblem, most: number): Generator<Standing> {
  const search = new SheetSearch(problem);
  const done = () => Math.min(1, search.steps / (search.proven ? Math.min(most, ENOUGH) : most) || 0);
  yield { answer: search.answer(), done: most > 0 ? 0 : 1 };
  while (most > 0 && done() < 1) {
    search.go(STRIDE);
    yield { answer: search.answer(), done: done() };
  }
}

/** The last answer of a search. @example laidOut(ASKED, () => null).missing // [] */
export function laidOut(asked: ToLay, solve: ProgramSolver): Answer {
  let last: Answer | null = null;
  for (const { answer } of layOut(asked, solve)) last = answer;
  return last as Answer;
}
