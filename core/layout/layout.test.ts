import { partsOn } from '../cutting/laid.js';
import { cutsOf } from '../cutting/cuts.js';
import { mm } from '../length/index.js';
import { programSolver } from '../testing/programs.js';
import { piece, stock, workshop } from '../testing/samples.js';
import { divided } from '../testing/samples.js';
import { solve } from '../solution/index.js';
import type { Stock } from '../stock/index.js';
import {
  askedOf,
  blanksOf,
  cuttingOf,
  fittingsToBuy,
  laidOut,
  layOut,
  markOf,
  moneyByPiece,
  moneyInAll,
  restsOf,
  snapped,
  sourcesOf,
  sumsOf,
  whyNot,
  woodToBuy,
  type Blank,
  type Cutting,
  type PieceToCut,
} from './index.js';

const board: Stock = stock({ form: 'board', material: 'white-ash', length: mm(2000), width: mm(120), price: 20, onHand: 1 });

/** Two of a bookcase of three shelves, cut from one sheet or board. */
function toCut(of: Stock, times = 1): { readonly pieces: readonly PieceToCut[]; readonly blanks: readonly Blank[]; readonly id: string } {
  const shop = workshop({ stock: { ply: of } });
  const pieces = [{ id: 'case', solution: solve({ ...piece(divided('in', 'up', 3)), times }, shop, {}) }];
  const [entry] = blanksOf(pieces);
  const [id, blanks] = entry as [string, readonly Blank[]];
  return { pieces, blanks, id };
}

const settings = workshop({}).settings;
const cutting: Cutting = cuttingOf({ id: 'case', name: 'Case' });

describe('blanks', () => {
  test('one for every part, as often as the piece is made, each with a key of its own', () => {
    const one = toCut(stock({}));
    const three = toCut(stock({}), 3);
    expect(three.blanks).toHaveLength(3 * one.blanks.length);
    expect(new Set(three.blanks.map((b) => b.key)).size).toBe(three.blanks.length);
    for (const b of one.blanks) expect([b.length, b.width]).toEqual([b.part.cut.length.set, b.part.cut.width.set]);
  });

  test('a part that is wider than the board is glued from as few strips as will do, with something over to plane', () => {
    const { blanks } = toCut(board);
    const wide = blanks.filter((b) => b.strip);
    expect(wide.length).toBeGreaterThan(0);
    for (const b of wide) {
      const of = b.strip?.of ?? 0;
      expect(b.width).toBeLessThanOrEqual(mm(120));
      expect(b.width * of).toBeGreaterThanOrEqual(b.part.cut.width.set + mm(6));
      expect((of - 1) * mm(120)).toBeLessThan(b.part.cut.width.set + mm(6));
      expect(wide.filter((o) => o.part === b.part)).toHaveLength(of);
    }
  });

  test('grain counts in plywood and solid wood, not in fibres; and as the builder says', () => {
    expect(toCut(stock({ material: 'birch-plywood' })).blanks.every((b) => b.grain)).toBe(true);
    expect(toCut(stock({ material: 'mdf' })).blanks.some((b) => b.grain)).toBe(false);
    expect(toCut(stock({ material: 'mdf', grain: 'along' })).blanks.every((b) => b.grain)).toBe(true);
  });

  test('a part that is noted as cut is not laid out again, and its mark stays known', () => {
    const { pieces } = toCut(stock({}));
    const [first] = pieces as [PieceToCut];
    const [part] = first.solution.parts as [PieceToCut['solution']['parts'][number]];
    const planned = { length: part.cut.length.set, width: part.cut.width.set, thickness: part.thickness.value };
    const fact = { piece: first.id, part: part.id, is: 'cut' as const, ...planned, planned, at: '2026-05-04T18:00:00Z' };
    const made = { ...first.solution, workshop: { ...first.solution.workshop, made: new Map([[part.id, fact]]) } };
    const blanks = blanksOf([{ id: first.id, solution: made }]).get(part.member.stockId) ?? [];
    const asked = askedOf(part.member.stockId, part.member.stock, blanks, cutting, made.workshop.settings);
    expect(blanks.filter((b) => b.isCut).map((b) => b.part.id)).toEqual([part.id]);
    expect(asked.problem.wanted).toHaveLength(blanks.length - 1);
    expect(asked.problem.wanted.map((w) => w.id)).not.toContain(blanks.find((b) => b.isCut)?.key);
  });

  test('a piece to try settings on is as long as asked for and as wide as the narrowest part of its stock', () => {
    const { pieces } = toCut(stock({}));
    const [plain] = blanksOf(pieces);
    const [tested] = blanksOf(pieces, mm(320));
    const blanks = tested?.[1] ?? [];
    expect(blanks).toHaveLength((plain?.[1].length ?? 0) + 1);
    const test = blanks.find((b) => b.test);
    expect(test).toMatchObject({ length: mm(320), width: Math.min(...blanks.map((b) => b.width)) });
    expect(test && markOf(test, pieces)).toBe('test');
    expect(new Set(blanks.map((b) => b.key)).size).toBe(blanks.length);
  });

  test('the mark has the number of its piece where several are cut together', () => {
    const { blanks, pieces } = toCut(stock({}));
    const [first] = blanks as [Blank];
    expect(markOf(first, pieces)).toBe('A');
    expect(markOf(first, [{ id: 'other' }, ...pieces])).toBe('2A');
    expect(markOf({ ...first, strip: { nth: 1, of: 3 }, spare: true }, pieces)).toBe('A.2*');
  });
});

describe('what there is', () => {
  const own = stock({
    length: mm(2500),
    width: mm(1250),
    price: 84,
    onHand: 2,
    offcuts: [{ name: 'Offcut 1', length: mm(900), width: mm(600), count: 1 }],
    sizes: [{ length: mm(1250), width: mm(1250), price: 45 }],
  });

  test('offcuts, those on hand, and what can be bought; what lies there costs next to nothing beside what is bought', () => {
    const sources = sourcesOf(own, undefined, []);
    expect(sources.map((s) => [s.sheet.id, s.from, s.sheet.count, s.price])).toEqual([
      ['offcut Offcut 1', 'offcut', 1, null],
      ['have 0', 'on hand', 2, null],
      ['buy 0', 'to buy', Infinity, 84],
      ['have 1', 'on hand', 0, null],
      ['buy 1', 'to buy', Infinity, 45],
    ]);
    const cost = (id: string) => sources.find((s) => s.sheet.id === id)?.sheet.cost as number;
    expect(cost('offcut Offcut 1')).toBeLessThan(cost('have 0'));
    expect(cost('have 0')).toBeLessThan(cost('buy 1') / 100);
  });

  test('a sheet that was begun is taken off, until it is taken off what is on hand', () => {
    const begun = { sheet: 'have 0', copy: 0 };
    const have = (list: readonly { sheet: string; copy: number; booked?: boolean }[]) =>
      sourcesOf(own, undefined, list).find((s) => s.sheet.id === 'have 0')?.sheet;
    expect(have([begun])).toMatchObject({ count: 1, taken: [0] });
    expect(have([{ ...begun, booked: true }])).toMatchObject({ count: 2, taken: [] });
  });

  test('edges of sheets are trimmed, edges of boards and offcuts are not', () => {
    const tools = { trimEnds: mm(10), trimEdges: mm(5) };
    expect(sourcesOf(own, tools, []).map((s) => s.sheet.trim.edges / mm(1))).toEqual([0, 5, 5, 5, 5]);
    expect(sourcesOf(board, tools, []).map((s) => [s.sheet.trim.ends / mm(1), s.sheet.trim.edges / mm(1)])).toEqual([
      [10, 0],
      [10, 0],
    ]);
  });
});

describe('laid out', () => {
  test('everything has a place, what it costs adds up, and its pieces bear it by their parts', async () => {
    const solver = await programSolver();
    const { blanks, id, pieces } = toCut(stock({ length: mm(2500), width: mm(1250), price: 30, onHand: 1 }), 2);
    const asked = askedOf(id, (blanks[0] as Blank).part.member.stock, blanks, cutting, settings);
    const answer = laidOut(asked, solver);
    expect(answer.missing).toEqual([]);
    const sums = sumsOf(asked, answer, undefined);
    const bought = answer.laid.filter((l) => l.sheet.startsWith('buy')).length;
    expect(bought).toBe(answer.laid.length - 1);
    expect(sums.money).toBe(30 * bought);
    expect(moneyInAll([sums, sums])).toEqual({ money: 60 * bought, atLeast: false });
    expect(woodToBuy([{ stock: (blanks[0] as Blank).part.member.stock, sums }])).toMatchObject([
      { count: bought, each: 30, money: 30 * bought },
    ]);
    const parts = blanks.reduce((sum, b) => sum + (b.length / mm(1)) * (b.width / mm(1)), 0);
    expect(sums.yield).toBeCloseTo(parts / (answer.laid.length * 2500 * 1250), 9);
    expect(moneyByPiece(blanks, 90).get('case')).toBeCloseTo(90, 9);
    expect(fittingsToBuy(pieces)).toEqual(fittingsToBuy([...pieces]));
  });

  test('better or as good with every word of how it stands, and the last says it is done', async () => {
    const { blanks, id } = toCut(stock({ length: mm(1500), width: mm(1000) }), 3);
    const asked = askedOf(id, (blanks[0] as Blank).part.member.stock, blanks, cutting, settings);
    const all = [...layOut(asked, await programSolver())];
    all.forEach(({ answer }, i) => i > 0 && expect(answer.cost).toBeLessThanOrEqual((all[i - 1]?.answer.cost ?? 0) + 1e-9));
    expect(all.at(-1)?.done).toBe(1);
  });

  test('without a price the cost is "at least"', async () => {
    const { price, ...free } = stock({ onHand: 0 });
    void price;
    const { blanks, id } = toCut(free);
    const asked = askedOf(id, free, blanks, cutting, settings);
    const sums = sumsOf(asked, laidOut(asked, await programSolver()), undefined);
    expect(sums).toMatchObject({ money: 0, atLeast: true });
  });

  test('a part larger than any sheet: named as that, where one that only found no more sheets is not', () => {
    const { blanks, id } = toCut(stock({ length: mm(300), width: mm(300) }));
    const asked = askedOf(id, (blanks[0] as Blank).part.member.stock, blanks, cutting, settings);
    const large = { length: mm(301), width: mm(10), grain: true };
    expect(whyNot(large, asked)).toBe('too large');
    expect(whyNot({ ...large, length: mm(300) }, asked)).toBe('no more');
    expect(whyNot({ length: mm(10), width: mm(301), grain: false }, asked)).toBe('too large');
  });

  test('narrow parts come from a wide board ripped first where that costs less than crosscutting it first', async () => {
    const solver = await programSolver();
    // Two strips of 100 and a kerf of 3 are 203; 1150, 3 and 840 are 1993, and so are 995, 3 and 995. No crosscut meets none of the four.
    const wide = stock({ form: 'board', material: 'white-ash', length: mm(1993), width: mm(203), price: 30, onHand: 0 });
    const wanted = [1150, 840, 995, 995].map((length, i) => ({ id: `${i}`, length: mm(length), width: mm(100), turns: false }));
    const { blanks, id } = toCut(wide);
    const asked = askedOf(id, wide, blanks, cutting, settings);
    const problem = { ...asked.problem, wanted };
    const crosscut = laidOut({ ...asked, problem, along: false, orRips: false }, solver);
    const either = laidOut({ ...asked, problem, along: false }, solver);
    expect(asked.orRips).toBe(true);
    expect([crosscut.laid.length, either.laid.length]).toEqual([2, 1]);
    expect(cutsOf(either.laid)[0]?.way).toBe('rip');
    // Where crosscuts do as well, they come first.
    const plain = [1150, 1150, 840, 840].map((length, i) => ({ id: `${i}`, length: mm(length), width: mm(100), turns: false }));
    const same = laidOut({ ...asked, problem: { ...asked.problem, wanted: plain }, along: false }, solver);
    expect([same.laid.length, cutsOf(same.laid)[0]?.way]).toEqual([1, 'crosscut']);
  });

  test('what lies along boards is crosscut to length and then ripped to width, and what is cut is not laid out again', async () => {
    const solver = await programSolver();
    const narrow = stock({ form: 'board', length: mm(2400), width: mm(320), material: 'white-ash' });
    const { blanks, id } = toCut(narrow);
    const asked = askedOf(id, narrow, blanks, cutting, settings);
    expect(asked.along).toBe(true);
    const { laid, missing } = laidOut(asked, solver);
    expect(missing).toEqual([]);
    for (const l of laid) expect(cutsOf([l])[0]?.way).toBe('crosscut');
    const [first] = laid;
    if (!first) throw new Error('nothing is laid out');
    const begun = { stock: id, ...first, sawn: first.sawn as Cutting['begun'][number]['sawn'], done: ['x'] };
    const gone = new Set(partsOn(first).map((p) => p.id));
    const next = askedOf(id, narrow, blanks, { ...cutting, begun: [begun] }, settings);
    expect(next.problem.wanted.map((w) => w.id).sort()).toEqual(
      blanks
        .map((b) => b.key)
        .filter((k) => !gone.has(k))
        .sort(),
    );
    // What went wrong is wanted again.
    const [wrong] = gone;
    const again = askedOf(id, narrow, blanks, { ...cutting, begun: [{ ...begun, spoiled: [wrong as string] }] }, settings);
    expect(again.problem.wanted.map((w) => w.id)).toContain(wrong);
  });
});

test('rests are kept from the size that is worth it, either way round', () => {
  const sheet = (length: number, width: number) => ({
    sheet: 'a',
    copy: 0,
    length: mm(1000),
    width: mm(1000),
    trim: { ends: mm(0), edges: mm(0) },
    sawn: { kind: 'left' as const, x: mm(0), y: mm(0), length: mm(length), width: mm(width) },
  });
  expect(restsOf([sheet(300, 100)], undefined)).toHaveLength(1);
  expect(restsOf([sheet(100, 300)], undefined)).toHaveLength(1);
  expect(restsOf([sheet(299, 299)], undefined)).toHaveLength(0);
  expect(restsOf([sheet(299, 299)], { keep: { length: mm(200), width: mm(200) } })).toHaveLength(1);
});

test('what is let go near an edge or another part lies against it, a kerf away', () => {
  const at = (x: number, y: number) => ({ x: mm(x), y: mm(y) });
  const laid = {
    sheet: 'a',
    copy: 0,
    length: mm(2000),
    width: mm(1000),
    trim: { ends: mm(10), edges: mm(10) },
    sawn: { kind: 'part' as const, id: 'other', turned: false, x: mm(10), y: mm(10), length: mm(500), width: mm(300) },
  };
  const part = { key: 'p', length: mm(400), width: mm(200) };
  expect(snapped(laid, part, at(508, 15), mm(3), mm(12))).toEqual(at(513, 10));
  expect(snapped(laid, part, at(700, 400), mm(3), mm(12))).toEqual(at(700, 400));
  // Not over the far edge: 2000 less 10 less 400.
  expect(snapped(laid, part, at(1900, 900), mm(3), mm(12))).toEqual(at(1590, 790));
  expect(snapped(laid, part, at(0, 0), mm(3), mm(0))).toEqual(at(10, 10));
});
