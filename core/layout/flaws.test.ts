import { cutsOf } from '../cutting/cuts.js';
import { flawsOn, leftOn, partsOn, type LaidSheet } from '../cutting/laid.js';
import { seeded } from '../cutting/wanted.js';
import { ZERO, fromUnits, mm, toMm, type Length } from '../length/index.js';
import { programSolver } from '../testing/programs.js';
import { piece, stock, workshop, divided } from '../testing/samples.js';
import { solve } from '../solution/index.js';
import type { Flaw, Stock } from '../stock/index.js';
import { askedOf, blanksOf, cuttingOf, laidOut, restsOf, stretchesOf, sumsOf, type Cutting } from './index.js';

const KERF = mm(3);
const board = (long: number) => ({
  id: 'b',
  length: mm(long),
  width: mm(150),
  count: 1,
  cost: 1,
  trim: { ends: ZERO, edges: ZERO },
});
const flaw = (from: number, to: number): Flaw => ({ from: mm(from), to: mm(to) });
const stretches = (long: number, ...flaws: readonly Flaw[]) =>
  stretchesOf(board(long), flaws, KERF).map((s) => [toMm(s.from), toMm(s.to), s.id === null ? 'flaw' : 'clear']);

test.each([
  // The first cut is where the knot begins, its kerf 310 to 313; the last one ends where it ends, its kerf 352 to 355.
  [
    'in the middle',
    [flaw(310, 355)],
    [
      [0, 310, 'clear'],
      [313, 352, 'flaw'],
      [355, 2400, 'clear'],
    ],
  ],
  // One kerf takes all of it.
  [
    'thinner than the blade',
    [flaw(1000, 1002)],
    [
      [0, 1000, 'clear'],
      [1003, 2400, 'clear'],
    ],
  ],
  // Two kerfs of 3 and the thinnest slip of 1: 1000 + 3 + 1 + 3 is 1007.
  [
    'a little wider than the blade',
    [flaw(1000, 1005)],
    [
      [0, 1000, 'clear'],
      [1003, 1004, 'flaw'],
      [1007, 2400, 'clear'],
    ],
  ],
  [
    'told from its far end',
    [flaw(355, 310)],
    [
      [0, 310, 'clear'],
      [313, 352, 'flaw'],
      [355, 2400, 'clear'],
    ],
  ],
  [
    'at the near end',
    [flaw(0, 40)],
    [
      [0, 37, 'flaw'],
      [40, 2400, 'clear'],
    ],
  ],
  [
    'at the far end',
    [flaw(2300, 2500)],
    [
      [0, 2300, 'clear'],
      [2303, 2400, 'flaw'],
    ],
  ],
  ['at the far end, all of it dust', [flaw(2398, 2400)], [[0, 2398, 'clear']]],
  ['all of it', [flaw(0, 2400)], [[0, 2400, 'flaw']]],
  ['past the end', [flaw(2500, 2600)], [[0, 2400, 'clear']]],
  [
    'two that overlap, told in the wrong order',
    [flaw(330, 400), flaw(310, 355)],
    [
      [0, 310, 'clear'],
      [313, 352, 'flaw'],
      [355, 397, 'flaw'],
      [400, 2400, 'clear'],
    ],
  ],
] as const)('a knot %s', (_, flaws, expected) => {
  expect(stretches(2400, ...flaws)).toEqual(expected);
});

const cutting: Cutting = cuttingOf({ id: 'case', name: 'Case' });
const settings = { ...workshop({}).settings, kerf: KERF };

function laidOn(of: Stock, extra: Partial<Cutting> = {}) {
  const shop = workshop({ stock: { ply: of } });
  const pieces = [{ id: 'case', solution: solve(piece(divided('in', 'up', 4)), shop, {}) }];
  const [[id, blanks]] = [...blanksOf(pieces)] as [[string, ReturnType<typeof blanksOf> extends ReadonlyMap<string, infer B> ? B : never]];
  return { id, blanks, asked: askedOf(id, of, blanks, { ...cutting, ...extra }, settings) };
}

const withFlaws = (flaws: readonly Flaw[], length = 4000) =>
  stock({
    form: 'board',
    material: 'white-ash',
    length: mm(length),
    width: mm(320),
    onHand: 0,
    offcuts: [{ name: 'Wide ash', length: mm(length), width: mm(320), count: 1, flaws: [...flaws] }],
  });

const overlaps = (x: Length, length: Length, { from, to }: Flaw) => x < to && from < x + length;

/** Cuts a board as it is told, from end to end: what every cut keeps and what is beyond it make up what is cut, a kerf between. */
function replayed({ sawn, length }: LaidSheet): void {
  expect(sawn.length).toBe(length);
  for (const { of, way, at } of cutsOf([{ sawn } as LaidSheet])) {
    const key = way === 'crosscut' ? 'length' : 'width';
    expect(of.near[key]).toBe(at);
    if (of.far) expect(at + KERF + of.far[key]).toBe(of[key]);
    else expect(of[key] - at).toBeLessThanOrEqual(KERF);
  }
}

test('parts are laid clear of knots; the board is one board, and what is between two cuts round a knot is no rest', async () => {
  const solver = await programSolver();
  const random = seeded(20);
  let on = 0;
  for (let run = 0; run < 12; run += 1) {
    const flaws = Array.from({ length: 1 + Math.floor(random() * 3) }, () => {
      const from = Math.floor(random() * 3800);
      return flaw(from, from + 1 + Math.floor(random() * 120));
    });
    const { asked, blanks } = laidOn(withFlaws(flaws));
    const answer = laidOut(asked, solver);
    expect(answer.missing).toEqual([]);
    expect(
      answer.laid
        .flatMap(partsOn)
        .map((p) => p.id)
        .sort(),
    ).toEqual(blanks.map((b) => b.key).sort());
    const own = answer.laid.filter((l) => l.sheet === 'offcut Wide ash');
    expect(own.length).toBeLessThanOrEqual(1);
    expect(answer.bound.count).toBeLessThanOrEqual(answer.laid.length);
    for (const sheet of own) {
      on += partsOn(sheet).length;
      replayed(sheet);
      for (const p of [...partsOn(sheet), ...leftOn(sheet)]) expect(flaws.filter((f) => overlaps(p.x, p.length, f))).toEqual([]);
      for (const rest of restsOf([sheet], { keep: { length: mm(1), width: mm(1) } })) expect(rest.length).toBeLessThanOrEqual(mm(4000));
      const sums = sumsOf(asked, answer, undefined);
      expect(sums.used.filter((u) => u.source.name === 'Wide ash').map((u) => u.count)).toEqual([1]);
    }
  }
  expect(on).toBeGreaterThan(12);
});

test('a part that is held lies where it was put, in the length that is clear there; on a knot it does not stay', async () => {
  const solver = await programSolver();
  const of = withFlaws([flaw(1500, 1540)]);
  const { blanks, id } = laidOn(of);
  const shelf = blanks.reduce((a, b) => (b.length < a.length ? b : a));
  const pin = (x: number) => ({ part: shelf.key, stock: id, sheet: 'offcut Wide ash', copy: 0, x: mm(x), y: ZERO, turned: false });
  const held = laidOut(laidOn(of, { pins: [pin(1700)] }).asked, solver);
  expect(held.unpinned).toEqual([]);
  const board = held.laid.find((l) => l.sheet === 'offcut Wide ash') as LaidSheet;
  expect(partsOn(board).find((p) => p.id === shelf.key)?.x).toBe(mm(1700));
  // Cut at 1500, its kerf to 1503; what is thrown away ends where the kerf that ends at 1540 begins.
  expect(flawsOn(board).map((f) => [toMm(f.x), toMm(fromUnits(f.x + f.length))])).toEqual([[1503, 1537]]);
  const wrong = laidOut(laidOn(of, { pins: [pin(1510)] }).asked, solver);
  expect(wrong.unpinned.map((u) => u.why)).toEqual(['no such sheet']);
});
