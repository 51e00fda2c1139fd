import type * as MaxRects from 'maxrects-packer';
import * as binpacking from 'binpackingjs/2d';
import {
  SheetSearch,
  layBoards,
  layBoardsWell,
  solverOf,
  type BoardProblem,
  type Highs,
  type ProgramSolver,
  type SheetAnswer,
  type SheetProblem,
} from '../core/cutting/index.js';
import {
  askedOf,
  blanksOf,
  cheaperSizes,
  cuttingOf,
  layOut,
  sizesTried,
  stepsFor,
  sumsOf,
  type Asked,
  type Blank,
  type PieceToCut,
} from '../core/layout/index.js';
import { mm } from '../core/length/index.js';
import { workshopFor } from '../core/project/index.js';
import { workshopOf } from '../core/formats/index.js';
import { solve } from '../core/solution/index.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { ms, print, spreadOf } from './figures.js';
import { rectangles, triplets, uniformLengths, workshopParts } from './instances.js';

/** The general packing libraries that are run beside it; what they say of their own types is not read here. */
const MAXRECTS = 'maxrects-packer/dist/maxrects-packer.mjs';
const { MaxRectsPacker } = (await import(MAXRECTS)) as typeof MaxRects;
const { pack2D } = binpacking as unknown as {
  readonly pack2D: (asked: {
    readonly bins: readonly { readonly width: number; readonly height: number }[];
    readonly boxes: readonly { readonly width: number; readonly height: number; readonly constrainRotation: boolean }[];
  }) => { readonly packedBins: readonly { readonly boxes: readonly unknown[] }[] };
};

/** The solver as a terminal has it. */
async function programs(): Promise<ProgramSolver> {
  const module = (await import('highs')) as unknown as { readonly default: () => Promise<Highs> };
  return solverOf(await module.default());
}

function boardProblem(lengths: readonly number[], room: number): BoardProblem {
  const by = new Map<number, string[]>();
  lengths.forEach((l, i) => by.set(l, [...(by.get(l) ?? []), `${i}`]));
  return {
    kerf: mm(0),
    trim: mm(0),
    boards: [{ id: 'b', length: mm(room), count: Infinity, cost: 1 }],
    wanted: [...by].map(([length, ids]) => ({ length: mm(length), ids })),
  };
}

/** The published classes of boards: proven, over the bound, and first-fit decreasing beside it. */
function benchBoards(solver: ProgramSolver): void {
  const cases: { readonly name: string; readonly problem: BoardProblem }[] = [];
  for (const count of [60, 120, 250, 500]) {
    for (const from of [1, 20, 50]) {
      for (const seed of [1, 2, 3])
        cases.push({ name: `${from}–100`, problem: boardProblem(uniformLengths(count, from, seed * 31 + count), 100) });
    }
  }
  for (const boards of [20, 40, 83, 167]) {
    for (const seed of [1, 2, 3]) cases.push({ name: 'triplets', problem: boardProblem(triplets(boards, seed), 1000) });
  }
  let [proven, past, ours, atOnce, bound] = [0, 0, 0, 0, 0];
  const times: number[] = [];
  for (const { problem } of cases) {
    const start = performance.now();
    const answer = layBoardsWell(problem, solver);
    times.push(performance.now() - start);
    if (answer.proven) proven += 1;
    past = Math.max(past, answer.cost - answer.bound.cost);
    ours += answer.cost;
    bound += answer.bound.cost;
    atOnce += layBoards(problem).cost;
  }
  const { median, p95 } = spreadOf(times);
  print(
    `boards: ${cases.length} published instances, 60 to 501 lengths, proven`,
    `${((100 * proven) / cases.length).toFixed(1)} %`,
    'at least 95 %',
  );
  print('boards: most over the rounded-up bound', `${past}`, 'at most 1');
  print('boards in all: ours / bound / fitted decreasing', `${ours} / ${bound} / ${atOnce}`, 'fewer than fitted decreasing');
  print('boards: median, and 95 of 100', `${ms(median)}, ${ms(p95)}`, '');
}

function peers(items: readonly (readonly [number, number])[], sheet: number, turns: boolean): readonly [number, number] {
  const rects = new MaxRectsPacker(sheet, sheet, 0, { smart: false, pot: false, square: false, allowRotation: turns });
  rects.addArray(items.map(([width, height], i) => ({ width, height, data: i })) as never);
  const boxes = items.map(([width, height]) => ({ width, height, constrainRotation: !turns }));
  const { packedBins } = pack2D({ bins: boxes.map(() => ({ width: sheet, height: sheet })), boxes });
  return [rects.bins.length, packedBins.filter((b) => b.boxes.length > 0).length];
}

/** So many steps for each of the published instances. */
const STEPS = 3000;

function benchSheets(): void {
  let [all, allBounds, allFirst, allRects, allBins] = [0, 0, 0, 0, 0];
  const times: number[] = [];
  for (const turns of [false, true]) {
    let [ours, bounds, first, rects, bins] = [0, 0, 0, 0, 0];
    for (let cls = 1; cls <= 10; cls += 1) {
      for (const count of [20, 40, 60, 80, 100]) {
        for (const seed of [1, 2]) {
          const { sheet, items } = rectangles(cls, count, seed);
          const problem: SheetProblem = {
            kerf: mm(0),
            first: 'either',
            pins: [],
            sheets: [{ id: 's', length: mm(sheet), width: mm(sheet), count: Infinity, cost: 1, trim: { ends: mm(0), edges: mm(0) } }],
            wanted: items.map(([l, w], i) => ({ id: `${i}`, length: mm(l), width: mm(w), turns })),
          };
          const start = performance.now();
          const search = new SheetSearch(problem);
          first += search.answer().laid.length;
          while (search.steps < STEPS && !search.proven) search.go(100);
          const answer = search.answer();
          times.push(performance.now() - start);
          ours += answer.laid.length;
          bounds += answer.bound.count;
          const [a, b] = peers(items, sheet, turns);
          rects += a;
          bins += b;
        }
      }
    }
    print(
      `sheets, ${turns ? 'turned' : 'not turned'}: ours / bounds / at once`,
      `${ours} / ${bounds} / ${first}`,
      `${(ours / bounds).toFixed(4)}`,
    );
    [all, allBounds, allFirst, allRects, allBins] = [all + ours, allBounds + bounds, allFirst + first, allRects + rects, allBins + bins];
  }
  print('sheets: 100 instances, with and without turning, to the bounds', (all / allBounds).toFixed(4), 'at most 1.04, 1.03 the aim');
  print('sheets: at once to the bounds', (allFirst / allBounds).toFixed(4), '');
  print('sheets: maxrects-packer (not edge to edge)', `${allRects}`, `ours ${all}`);
  print('sheets: binpackingjs (not edge to edge)', `${allBins}`, `ours ${all}`);
  const { median, p95 } = spreadOf(times);
  print('sheets: median, and 95 of 100', `${ms(median)}, ${ms(p95)}`, '');
}

/** All parts of the demo, and ten lists more, on sheets with offcuts, kerf, trim and grain. */
function workshopCases(): readonly { readonly name: string; readonly asked: Asked }[] {
  const file = PRINT_SHED;
  const workshop = workshopOf(file);
  const readings = Object.values(file.readings ?? {});
  const pieces = Object.entries(file.pieces).map(([id, { piece, letters }]): PieceToCut => ({
    id,
    solution: solve(piece, workshopFor(workshop, readings, id), letters),
  }));
  const cutting = cuttingOf({ id: 'all', name: 'all' });
  const demo = [...blanksOf(pieces)].map(([id, blanks]) => ({
    name: id,
    asked: askedOf(id, (blanks[0] as Blank).part.member.stock, blanks, cutting, file.project.settings),
  }));
  const lists = [20, 40, 60, 80, 100, 120, 140, 160, 180, 200].map((count, i) => {
    const stock = {
      ...(file.stock['birch-18'] as (typeof file.stock)[string]),
      onHand: 2,
      offcuts: [{ name: 'rest', length: mm(1100), width: mm(620), count: 2 }],
    };
    const asked = askedOf('birch-18', stock, [], cutting, { ...file.project.settings, tools: { trimEnds: mm(6), trimEdges: mm(6) } });
    const wanted = workshopParts(count, 100 + i).map((p, n) => ({ id: `${n}`, length: mm(p.length), width: mm(p.width), turns: p.turns }));
    return { name: `${count} parts`, asked: { ...asked, problem: { ...asked.problem, wanted } } };
  });
  return [...demo, ...lists];
}

function benchWorkshop(solver: ProgramSolver): void {
  const first: number[] = [];
  const whole: number[] = [];
  let [gained, early] = [0, 0];
  let [settings, rest] = [0, 0];
  const tools = PRINT_SHED.project.settings.tools;
  const cases = workshopCases();
  for (const { asked } of cases) {
    const start = performance.now();
    let atOnce: SheetAnswer | null = null;
    let within: SheetAnswer | null = null;
    let last: SheetAnswer | null = null;
    for (const { answer } of layOut(asked, solver)) {
      const after = performance.now() - start;
      if (!atOnce) {
        atOnce = answer;
        first.push(after);
      }
      if (after <= 5000) within = answer;
      last = answer;
    }
    whole.push(performance.now() - start);
    const gain = (to: SheetAnswer | null) => Math.max(0, (atOnce?.cost ?? 0) - (to?.cost ?? 0));
    gained += gain(last);
    early += gain(within);
    if (!last) continue;
    const sums = sumsOf(asked, last, tools);
    settings += sums.settings;
    rest = Math.max(rest, ...sums.rests.map((r) => (r.length / mm(1)) * (r.width / mm(1)) * 1e-6));
  }
  print(`workshop: ${cases.length} lists, first answer, the slowest`, ms(Math.max(...first)), 'under 300 ms');
  print(
    'workshop: of what is gained, within 5 s',
    gained > 0 ? `${((100 * early) / gained).toFixed(1)} %` : 'nothing gained',
    'at least 95 %',
  );
  print('workshop: to the end, the slowest', ms(Math.max(...whole)), `${Math.max(...cases.map((c) => stepsFor(c.asked)))} steps at most`);
  print('workshop: settings in all, largest rest', `${settings}, ${rest.toFixed(2)} m²`, '');
  print('workshop: memory in use', `${Math.round(process.memoryUsage().heapUsed / 1e6)} MB`, 'under 300 MB');
}

/** Very many parts, of which the first answer must not keep anyone waiting. */
function benchMany(): void {
  const problem: SheetProblem = {
    kerf: mm(3),
    first: 'either',
    pins: [],
    sheets: [{ id: 's', length: mm(2500), width: mm(1250), count: Infinity, cost: 80, trim: { ends: mm(5), edges: mm(5) } }],
    wanted: workshopParts(5000, 7).map((p, n) => ({ id: `${n}`, length: mm(p.length), width: mm(p.width), turns: p.turns })),
  };
  const times = [1, 2, 3].map(() => {
    const start = performance.now();
    const { laid, bound } = new SheetSearch(problem).answer();
    return { ms: performance.now() - start, text: `${laid.length} sheets, at least ${bound.count}` };
  });
  const { median } = spreadOf(times.map((t) => t.ms));
  print('workshop: 5,000 parts, first answer', ms(median), times[0]?.text ?? '');
}

/** Sheets bought with the best of all sizes near those first asked, to those bought as it is, nothing being on hand. */
function benchSizes(): void {
  const file = { ...PRINT_SHED, stock: Object.fromEntries(Object.entries(PRINT_SHED.stock).map(([id, s]) => [id, { ...s, onHand: 0 }])) };
  const workshop = workshopOf(file);
  const readings = Object.values(file.readings ?? {});
  let [as, best] = [0, 0];
  for (const id of ['ink-case', 'paper-chest', 'loft-shelf', 'proof-display', 'screen-cabinet', 'trolley-stand']) {
    const kept = file.pieces[id];
    if (!kept) continue;
    const given = { id, piece: kept.piece, letters: kept.letters, workshop: workshopFor(workshop, readings, id) };
    const { shape } = solve(kept.piece, given.workshop, kept.letters);
    let [bought, least] = [0, Infinity];
    for (const reach of ['width', 'height', 'depth'] as const) {
      const all = [...sizesTried([given], id, reach, cuttingOf({ id, name: id }))];
      const present = shape.overall[reach].value;
      bought = all.find((t) => t.size === present)?.bought ?? 0;
      least = Math.min(least, bought, ...cheaperSizes(all, present).map((t) => t.bought));
    }
    as += bought;
    best += least;
  }
  print(
    'sizes: bought with the best size near to those first asked',
    as > 0 ? `${best} / ${as} = ${(best / as).toFixed(3)}` : 'none',
    'under 1',
  );
}

/** Boards, sheets and whole workshops laid out. */
export async function benchLayout(): Promise<void> {
  const solver = await programs();
  benchBoards(solver);
  benchSheets();
  benchWorkshop(solver);
  benchMany();
  benchSizes();
}
