import fc from 'fast-check';
import { mm, type Length } from '../../length/index.js';
import { cutsOf, inOrder } from '../cuts.js';
import { leftOn, partsOn, type LaidSheet, type Rect, type Sawn } from '../laid.js';
import { seeded } from '../wanted.js';
import { SheetSearch, type RectWanted, type Sheet, type SheetAnswer, type SheetProblem } from './index.js';
import { runs } from '../../testing/runs.js';

const none = { ends: mm(0), edges: mm(0) };
const birch: Sheet = { id: 'birch', length: mm(2500), width: mm(1250), count: Infinity, cost: 84, trim: none };
const problem = (wanted: readonly RectWanted[], more: Partial<SheetProblem> = {}): SheetProblem => ({
  kerf: mm(3.2),
  wanted,
  sheets: [birch],
  first: 'either',
  pins: [],
  ...more,
});
const rects = (count: number, length: number, width: number, turns = false): RectWanted[] =>
  Array.from({ length: count }, (_, i) => ({ id: `${length}x${width}-${i}`, length: mm(length), width: mm(width), turns }));

function answerTo(p: SheetProblem, steps = 300): SheetAnswer {
  const search = new SheetSearch(p);
  search.go(steps);
  return search.answer();
}

/** Two rectangles with less than a kerf between them. */
function tooNear(a: Rect, b: Rect, kerf: Length): boolean {
  const apart = (from: number, size: number, other: number, otherSize: number) =>
    from >= other + otherSize + kerf || other >= from + size + kerf;
  return !apart(a.x, a.length, b.x, b.length) && !apart(a.y, a.width, b.y, b.width);
}

/** Saws a sheet by its cuts alone, each from edge to edge of the piece that it names, and gives what falls off. */
function sawn(sheet: LaidSheet, kerf: Length): Rect[] {
  let pieces: Rect[] = [
    {
      x: sheet.trim.ends,
      y: sheet.trim.edges,
      length: (sheet.length - 2 * sheet.trim.ends) as Length,
      width: (sheet.width - 2 * sheet.trim.edges) as Length,
    },
  ];
  for (const { cuts } of inOrder(cutsOf([sheet]))) {
    for (const { of, way, at } of cuts) {
      const piece = pieces.find((p) => p.x === of.x && p.y === of.y && p.length === of.length && p.width === of.width);
      if (!piece) throw new Error('a cut of something that is not there');
      pieces = pieces.filter((p) => p !== piece);
      const rest = (way === 'rip' ? piece.width : piece.length) - at - kerf;
      pieces.push(way === 'rip' ? { ...piece, width: at } : { ...piece, length: at });
      if (rest <= 0) continue;
      const past = at + kerf;
      pieces.push(
        way === 'rip'
          ? { ...piece, y: (piece.y + past) as Length, width: rest as Length }
          : { ...piece, x: (piece.x + past) as Length, length: rest as Length },
      );
    }
  }
  return pieces;
}

/** All that must hold of any layout, worked out from the problem and what is laid alone. */
function expectSound(p: SheetProblem, answer: SheetAnswer) {
  const lying = answer.laid.flatMap(partsOn);
  expect([...lying.map((l) => l.id), ...answer.missing].sort()).toEqual(p.wanted.map((w) => w.id).sort());
  const copies = new Set<string>();
  for (const sheet of answer.laid) {
    const key = `${sheet.sheet} ${sheet.copy}`;
    expect(copies).not.toContain(key);
    copies.add(key);
    const parts = partsOn(sheet);
    const all = [...parts, ...leftOn(sheet)];
    for (const r of all) {
      expect(r.x).toBeGreaterThanOrEqual(sheet.trim.ends);
      expect(r.y).toBeGreaterThanOrEqual(sheet.trim.edges);
      expect(r.x + r.length).toBeLessThanOrEqual(sheet.length - sheet.trim.ends);
      expect(r.y + r.width).toBeLessThanOrEqual(sheet.width - sheet.trim.edges);
    }
    all.forEach((a, i) => all.slice(i + 1).forEach((b) => expect(tooNear(a, b, p.kerf)).toBe(false)));
    for (const part of parts) {
      const of = p.wanted.find((w) => w.id === part.id) as RectWanted;
      expect(part.turned ? [part.width, part.length] : [part.length, part.width]).toEqual([of.length, of.width]);
      if (part.turned) expect(of.turns).toBe(true);
    }
    // Cut by the cuts that are told, in their order, exactly these pieces fall off.
    const places = (list: readonly Rect[]) => list.map(({ x, y, length, width }) => `${x} ${y} ${length} ${width}`).sort();
    expect(places(sawn(sheet, p.kerf))).toEqual(places(all));
  }
  for (const { id, count } of p.sheets) expect(answer.laid.filter((l) => l.sheet === id).length).toBeLessThanOrEqual(count);
  expect(answer.laid.length).toBeGreaterThanOrEqual(answer.missing.length === 0 ? answer.bound.count : 0);
}

test('three strips across a sheet of 1250 at a kerf of 3.2 are 414.53 wide at most', () => {
  expect(answerTo(problem(rects(3, 2500, 414.5))).laid).toHaveLength(1);
  expect(answerTo(problem(rects(3, 2500, 414.6))).laid).toHaveLength(2);
});

test('of strips of 400 and 400 the rest is 443.6', () => {
  const [sheet] = answerTo(problem(rects(2, 2500, 400))).laid;
  expect(leftOn(sheet as LaidSheet).map((l) => l.width)).toEqual([mm(443.6)]);
});

test('a 170 board gives five strips of 31 at a kerf of 2.6, and 2.0 is left after five cuts', () => {
  const board: Sheet = { ...birch, id: 'ash', length: mm(700), width: mm(170) };
  const five = answerTo(problem(rects(5, 700, 31), { kerf: mm(2.6), sheets: [board] }));
  expect(five.laid).toHaveLength(1);
  expect(leftOn(five.laid[0] as LaidSheet).map((l) => l.width)).toEqual([mm(2)]);
  expect(cutsOf(five.laid)).toHaveLength(5);
  // 4.6 where the last is not cut off: 170 less five strips and four kerfs.
  expect(170 - 5 * 31 - 4 * 2.6).toBeCloseTo(4.6, 9);
  expect(answerTo(problem(rects(6, 700, 31), { kerf: mm(2.6), sheets: [board] })).laid).toHaveLength(2);
});

test('edges are trimmed before anything is laid', () => {
  const trimmed: Sheet = { ...birch, trim: { ends: mm(10), edges: mm(5) } };
  expect(answerTo(problem(rects(1, 2480, 1240), { sheets: [trimmed] })).laid).toHaveLength(1);
  expect(answerTo(problem(rects(1, 2481, 1240), { sheets: [trimmed] })).missing).toHaveLength(1);
});

test('along the grain only, a part that would fit across has no place', () => {
  expect(answerTo(problem(rects(1, 1200, 1300))).missing).toHaveLength(1);
  const turned = answerTo(problem(rects(1, 1200, 1300, true)));
  expect(partsOn(turned.laid[0] as LaidSheet)[0]).toMatchObject({ turned: true, length: mm(1300), width: mm(1200) });
});

test('rips first: every first cut of a sheet runs along it; crosscuts first: across', () => {
  const mixed = [...rects(3, 800, 500), ...rects(4, 600, 300), ...rects(2, 1200, 200)];
  const firstWays = (sheet: LaidSheet) => {
    const ways: string[] = [];
    let at: Sawn | null = sheet.sawn;
    while (at?.kind === 'cut' && at.x === sheet.trim.ends && at.length === sheet.length) {
      ways.push(at.way);
      at = at.far;
    }
    return new Set(ways);
  };
  const rips = problem(mixed, { first: 'rips' });
  const answer = answerTo(rips);
  expectSound(rips, answer);
  for (const sheet of answer.laid) expect([...firstWays(sheet)]).toEqual(['rip']);
  const across = answerTo(problem(mixed, { first: 'crosscuts' }));
  for (const sheet of across.laid) expect(sheet.sawn).toMatchObject({ kind: 'cut', way: 'crosscut' });
});

test('what lies there already is used before anything is bought', () => {
  const rest: Sheet = { id: 'rest', length: mm(900), width: mm(500), count: 1, cost: 0.005, trim: none };
  const p = problem([...rects(1, 880, 480), ...rects(1, 2400, 1000)], { sheets: [birch, rest] });
  const answer = answerTo(p);
  expectSound(p, answer);
  expect(answer.laid.map((l) => l.sheet)).toEqual(['birch', 'rest']);
});

test('the same input gives the same answer', () => {
  const p = problem([...rects(7, 610, 333), ...rects(5, 455, 280, true), ...rects(6, 720, 190)]);
  expect(answerTo(p)).toEqual(answerTo(p));
});

test('of layouts that cost the same and leave as much, the one with fewer settings of fence and stop is kept', () => {
  // Sixteen parts of four sizes on one sheet: 4 x 590 and 3 x 3 are 2369, 2 x 300, 2 x 250 and 3 x 3 are 1109.
  const wanted = [300, 300, 250, 250].flatMap((width, row) =>
    Array.from({ length: 4 }, (_, n): RectWanted => ({ id: `${row} ${n}`, length: mm(590), width: mm(width), turns: true })),
  );
  const search = new SheetSearch(problem(wanted));
  const settingsOf = (answer: SheetAnswer) => new Set(cutsOf(answer.laid).map((c) => `${c.way} ${c.at}`)).size;
  const largest = (answer: SheetAnswer) => Math.max(0, ...answer.laid.flatMap((l) => leftOn(l)).map((l) => l.length * l.width));
  let before = search.answer();
  for (let n = 0; n < 40; n += 1) {
    search.go(50);
    const now = search.answer();
    expect(now.cost).toBeLessThanOrEqual(before.cost);
    const isAlike = now.cost === before.cost && largest(now) === largest(before);
    if (isAlike) expect(settingsOf(now)).toBeLessThanOrEqual(settingsOf(before));
    before = now;
  }
  expect(before.laid).toHaveLength(1);
});

describe('held where a person put it', () => {
  const mixed = [...rects(3, 800, 500), ...rects(4, 600, 300)];
  const pin = (x: number, y: number, part = '800x500-1', copy = 0) => ({ part, sheet: 'birch', copy, x: mm(x), y: mm(y), turned: false });

  test('it stays there, and the rest follows', () => {
    const p = problem(mixed, { pins: [pin(900, 400), pin(100, 600, '600x300-0', 2)] });
    const answer = answerTo(p);
    expectSound(p, answer);
    const held = answer.laid.find((l) => partsOn(l).some((q) => q.id === '800x500-1')) as LaidSheet;
    expect(held.copy).toBe(0);
    expect(partsOn(held).find((q) => q.id === '800x500-1')).toMatchObject({ x: mm(900), y: mm(400) });
    expect(answer.laid.find((l) => l.copy === 2)).toBeDefined();
  });

  test.each([
    ['off the sheet', [pin(1701, 0)]],
    ['overlaps', [pin(0, 0), pin(500, 100, '800x500-2')]],
    ['gone', [pin(0, 0, 'nothing')]],
    ['thin', [pin(0, 2)]],
    ['no such sheet', [{ ...pin(0, 0), sheet: 'oak' }]],
    ['against the grain', [{ ...pin(0, 0), turned: true }]],
  ])('%s: told, and the rest still laid out', (why, pins) => {
    const p = problem(mixed, { pins });
    const answer = answerTo(p);
    expect(answer.unpinned.map((u) => u.why)).toEqual([why]);
    expect(answer.missing).toEqual([]);
    expectSound(p, answer);
  });

  test('five round a middle, like the arms of a mill: no cut from edge to edge goes between them', () => {
    const mill = [...rects(2, 1600, 400), ...rects(2, 800, 800)];
    const p = problem(mill, {
      sheets: [{ ...birch, length: mm(2500), width: mm(1250) }],
      pins: [
        pin(0, 0, '1600x400-0'),
        { part: '800x800-0', sheet: 'birch', copy: 0, x: mm(1700), y: mm(0), turned: false },
        pin(900, 850, '1600x400-1'),
        { part: '800x800-1', sheet: 'birch', copy: 0, x: mm(0), y: mm(450), turned: false },
      ],
    });
    const answer = answerTo(p);
    expect(answer.unpinned.map((u) => u.why)).toContain('not edge to edge');
    expectSound(p, answer);
  });
});

const anyRect = fc.record({ length: fc.integer({ min: 60, max: 1100 }), width: fc.integer({ min: 40, max: 900 }), turns: fc.boolean() });

test('any parts: inside, a kerf apart, grain kept, sawn back from the cuts; never worse than at once, and no better than the bound', () => {
  fc.assert(
    fc.property(
      fc.array(anyRect, { minLength: 1, maxLength: 25 }),
      fc.constantFrom('either', 'rips', 'crosscuts'),
      fc.integer({ min: 0, max: 6 }),
      fc.integer({ min: 0, max: 12 }),
      fc.nat(2),
      (list, first, kerf, trim, rests) => {
        const p = problem(
          list.map((r, i) => ({ id: `${i}`, length: mm(r.length), width: mm(r.width), turns: r.turns })),
          {
            first,
            kerf: mm(kerf),
            sheets: [
              { ...birch, length: mm(1220), width: mm(1000), trim: { ends: mm(trim), edges: mm(trim) } },
              { id: 'rest', length: mm(700), width: mm(450), count: rests, cost: 0.006, trim: none },
            ],
          },
        );
        const search = new SheetSearch(p);
        const atOnce = search.answer();
        expectSound(p, atOnce);
        search.go(60);
        const later = search.answer();
        expectSound(p, later);
        expect(later.missing.length).toBeLessThanOrEqual(atOnce.missing.length);
        if (later.missing.length === 0) {
          expect(later.cost).toBeLessThanOrEqual(atOnce.cost + 1e-9);
          expect(later.cost).toBeGreaterThanOrEqual(later.bound.cost - 1e-6);
        }
      },
    ),
    { numRuns: runs(16) },
  );
});

test('any parts that are held and do not lie over each other stay where they are, or are told', () => {
  fc.assert(
    fc.property(
      fc.array(anyRect, { minLength: 2, maxLength: 10 }),
      fc.array(fc.record({ part: fc.nat(9), x: fc.nat(1900), y: fc.nat(900) }), { minLength: 1, maxLength: 4 }),
      (list, pins) => {
        const p = problem(
          list.map((r, i) => ({ id: `${i}`, length: mm(r.length), width: mm(r.width), turns: false })),
          {
            pins: [...new Map(pins.map((q) => [q.part, q])).values()].map((q) => ({
              part: `${q.part}`,
              sheet: 'birch',
              copy: 0,
              x: mm(q.x),
              y: mm(q.y),
              turned: false,
            })),
          },
        );
        const answer = answerTo(p, 40);
        expectSound(p, answer);
        for (const held of p.pins) {
          const told = answer.unpinned.some((u) => u.part === held.part);
          const lies = answer.laid
            .filter((l) => l.copy === 0)
            .flatMap(partsOn)
            .find((q) => q.id === held.part);
          if (!told) expect(lies).toMatchObject({ x: held.x, y: held.y });
        }
      },
    ),
    { numRuns: runs(16) },
  );
});

test('more to saw from never costs more, but for what opening a rest counts', () => {
  const opened = 0.006;
  for (let seed = 1; seed <= 40; seed += 1) {
    const random = seeded(seed);
    const upTo = (least: number, most: number) => mm(least + Math.floor(random() * (most - least)));
    const wanted = Array.from({ length: 4 + Math.floor(random() * 20) }, (_, i): RectWanted => ({
      id: `${i}`,
      length: upTo(60, 1100),
      width: upTo(40, 900),
      turns: random() < 0.5,
    }));
    const sheet: Sheet = { ...birch, length: mm(1220), width: mm(1000) };
    const rest: Sheet = { ...sheet, id: 'rest', length: upTo(300, 1200), width: upTo(200, 900), count: 2, cost: opened };
    const without = answerTo(problem(wanted, { sheets: [sheet] }));
    const withRests = answerTo(problem(wanted, { sheets: [sheet, rest] }));
    expect(withRests.missing.length).toBeLessThanOrEqual(without.missing.length);
    expect(withRests.cost).toBeLessThanOrEqual(without.cost + 2 * opened);
  }
});
