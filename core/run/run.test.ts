import fc from 'fast-check';
import { size, writeExactly } from '../figure/index.js';
import { inch, mm, toInches, toMm, type Length } from '../length/index.js';
import {
  marksOf,
  nearestCounts,
  snapTotal,
  solveRun,
  sumOfLines,
  type GapRule,
  type Rounding,
  type RunLine,
  type RunSpec,
} from './index.js';
import { runs } from '../testing/runs.js';

const share: GapRule = { kind: 'share', weight: 1 };
const grid: Rounding = { grid: mm(0.5), set: 'gaps', leftover: 'last' };
const gap = (id: string, rule: GapRule = share, extra: object = {}): RunLine => ({ kind: 'gap', id, label: id, rule, ...extra });
const wood = (id: string, thickness: number, extra: object = {}): RunLine => ({
  kind: 'member',
  id,
  label: id,
  plural: 'shelves',
  extent: size('ply', mm(thickness)),
  ...extra,
});
const given = (total: number) => ({ kind: 'given', figure: size('total', mm(total)) }) as const;
const run = (lines: readonly RunLine[], total: RunSpec['total'], rounding = grid): RunSpec => ({ lines, total, rounding });
const gapsOf = (spec: RunSpec) =>
  solveRun(spec)
    .lines.filter((l) => l.line.kind === 'gap')
    .map((l) => toMm(l.size.value));

/** Equal gaps with members between them. */
function even(count: number, thickness: number): RunLine[] {
  return Array.from({ length: 2 * count - 1 }, (_, i) => (i % 2 === 0 ? gap(`g${i / 2}`) : wood(`m${(i - 1) / 2}`, thickness)));
}

describe('rules', () => {
  test('fixed, fit and share: 1975.8 with four shelves of 17.6 and 380 for tubs', () => {
    const lines = even(5, 17.6).map((l) =>
      l.id === 'g0' ? gap('g0', { kind: 'fit', clearance: mm(40) }, { need: size('tub', mm(340)) }) : l,
    );
    const solved = solveRun(run(lines, given(1975.8)));
    expect(solved.lines.filter((l) => l.line.kind === 'gap').map((l) => toMm(l.exact.value))).toEqual([
      380, 381.35, 381.35, 381.35, 381.35,
    ]);
    expect(solved.residues).toEqual([{ amount: mm(0.4), gap: 'g2' }]);
    expect(sumOfLines(solved)).toBe(mm(1975.8));
  });

  test('weighted shares: 1, 2 and 1 parts of 800', () => {
    const lines = [gap('a'), gap('b', { kind: 'share', weight: 2 }), gap('c')];
    expect(gapsOf(run(lines, given(800)))).toEqual([200, 400, 200]);
  });

  test('five graded, 20 more each down, in 766: 113.2 to 193.2', () => {
    const lines = Array.from({ length: 5 }, (_, i) => gap(`g${i}`, { kind: 'graded', step: 1_600_000 }));
    const solved = solveRun(run(lines, given(766), { ...grid, set: 'exact' }));
    expect(solved.lines.map((l) => toMm(l.size.value))).toEqual([113.2, 133.2, 153.2, 173.2, 193.2]);
  });

  test('graded by a ratio of 2 in 700: 100, 200, 400', () => {
    const lines = ['a', 'b', 'c'].map((id) => gap(id, { kind: 'graded', ratio: 2 }));
    expect(gapsOf(run(lines, given(700)))).toEqual([100, 200, 400]);
  });

  test('a pitch of 32, ten steps from shelf to shelf: 320 less the shelf', () => {
    const lines = [gap('a', { kind: 'grid', pitch: mm(32), steps: 10, overMember: true }), wood('m', 18), gap('b')];
    expect(gapsOf(run(lines, given(900)))).toEqual([302, 580]);
    const bare = [gap('a', { kind: 'grid', pitch: mm(32), steps: 10, overMember: false }), wood('m', 18), gap('b')];
    expect(gapsOf(run(bare, given(900)))).toEqual([320, 562]);
  });

  test('a fit with nothing in it shares, and says so', () => {
    const solved = solveRun(run([gap('a', { kind: 'fit', clearance: mm(0) }), wood('m', 20), gap('b')], given(420)));
    expect(solved.lines[0]?.size.value).toBe(mm(200));
    expect(solved.unfitted).toEqual(['a']);
  });

  test('least and greatest hold a share, and the rest share again', () => {
    const lines = [gap('a', share, { greatest: mm(100) }), gap('b'), gap('c', share, { least: mm(400) })];
    expect(gapsOf(run(lines, given(900)))).toEqual([100, 400, 400]);
  });

  test('a pinned member splits the run, and both sides share for themselves', () => {
    const lines = [gap('a'), wood('m', 20, { at: size('stud', mm(300)) }), gap('b'), wood('n', 20), gap('c')];
    expect(gapsOf(run(lines, given(1000)))).toEqual([300, 330, 330]);
  });
});

describe('the total', () => {
  const lines = [gap('a', share, { need: size('tin', mm(120)) }), wood('m', 20), gap('b', share, { need: size('tub', mm(150)) })];

  test('follows from the largest need', () => {
    expect(toMm(solveRun(run(lines, { kind: 'follows' })).total.value)).toBe(320);
  });

  test.each([
    ['under the greatest', { greatest: size('most', mm(500)) }, 320],
    ['held by the greatest', { greatest: size('most', mm(300)) }, 300],
    ['held by the least', { least: size('least', mm(400)) }, 400],
  ])('bounded, %s', (_, bounds, expected) => {
    const solved = solveRun(run(lines, { kind: 'bounded', ...bounds }));
    expect(toMm(solved.total.value)).toBe(expected);
    expect(toMm(sumOfLines(solved))).toBe(expected);
  });
});

describe('rounding', () => {
  test('14 slats of 31 in 652: seven gaps of 17 and six of 16.5', () => {
    const lines = Array.from({ length: 27 }, (_, i) => (i % 2 === 0 ? wood(`s${i}`, 31) : gap(`g${i}`)));
    const gaps = gapsOf(run(lines, given(652)));
    expect(gaps.filter((g) => g === 17).length).toBe(7);
    expect(gaps.filter((g) => g === 16.5).length).toBe(6);
  });

  test('seven fronts in 758: four of 108.5 and three of 108', () => {
    const gaps = gapsOf(
      run(
        Array.from({ length: 7 }, (_, i) => gap(`f${i}`)),
        given(758),
      ),
    );
    expect(gaps).toEqual([108, 108, 108, 108.5, 108.5, 108.5, 108.5]);
  });

  test('63 1/4 in five, to 1/32: one of 12 5/8 and four of 12 21/32', () => {
    const total = { kind: 'given', figure: size('inside', inch(63.25)) } as const;
    const solved = solveRun(
      run(
        Array.from({ length: 5 }, (_, i) => gap(`g${i}`)),
        total,
        { grid: inch(1 / 32), set: 'gaps', leftover: 'last' },
      ),
    );
    expect(solved.lines.map((l) => toInches(l.size.value))).toEqual([12.625, 12.65625, 12.65625, 12.65625, 12.65625]);
    expect(solved.residues).toEqual([]);
  });

  test.each<[Rounding['leftover'], number[]]>([
    ['first', [200.5, 200.5, 200, 200]],
    ['last', [200, 200, 200.5, 200.5]],
    ['spread', [200, 200.5, 200, 200.5]],
  ])('steps left over go %s', (leftover, expected) => {
    const lines = Array.from({ length: 4 }, (_, i) => gap(`g${i}`));
    expect(gapsOf(run(lines, given(801), { ...grid, leftover }))).toEqual(expected);
  });

  test('out of the total: all equal, and the whole is less by what was left over', () => {
    const solved = solveRun(run(even(4, 17.6), given(1000), { ...grid, leftover: 'total' }));
    // (1000 − 52.8) / 4 = 236.8 → 236.5 each, 1.2 off the whole.
    expect(solved.lines.filter((l) => l.line.kind === 'gap').map((l) => toMm(l.size.value))).toEqual([236.5, 236.5, 236.5, 236.5]);
    expect(toMm(solved.total.value)).toBe(998.8);
  });

  test('set by the edges: every shelf starts on the grid', () => {
    const solved = solveRun(run(even(4, 17.6), given(1000), { ...grid, set: 'edges' }));
    const edges = solved.lines.filter((l) => l.line.kind === 'member').map((l) => toMm(l.near.value));
    // 236.8, 491.2, 745.6 exactly.
    expect(edges).toEqual([237, 491, 745.5]);
    expect(sumOfLines(solved)).toBe(mm(1000));
  });

  test('the outside nearest a wanted one at which everything lands on the grid', () => {
    // (1000 − 3 x 17.6) / 4 = 236.8 → 237: 4 x 237 + 52.8 = 1000.8.
    expect(toMm(snapTotal(run(even(4, 17.6), given(1000)), mm(1000)) as Length)).toBe(1000.8);
    expect(snapTotal(run([gap('a', { kind: 'fixed', size: mm(10) })], given(10)), mm(10))).toBeNull();
  });
});

describe('conflicts', () => {
  test('more than there is: by how much, and ways out with the least change first', () => {
    const lines = [gap('a', { kind: 'fixed', size: mm(500) }), wood('m', 20), gap('b', { kind: 'fixed', size: mm(300) })];
    const [conflict] = solveRun(run(lines, given(700))).conflicts;
    expect(conflict).toMatchObject({ kind: 'over', by: mm(120) });
    expect(conflict?.ways.map((w) => writeExactly(w.label)).slice(0, 2)).toEqual([
      'Make a 380 mm instead of 500 mm',
      'Make the whole 820 mm instead of 700 mm',
    ]);
    const weights = conflict?.ways.map((w) => w.weight) ?? [];
    expect([...weights].sort((a, b) => a - b)).toEqual(weights);
  });

  test('every way out settles the run it was offered for', () => {
    const lines = [gap('a', { kind: 'fixed', size: mm(500) }), wood('m', 20), gap('b', { kind: 'fixed', size: mm(300) })];
    const spec = run(lines, given(700));
    const ways = solveRun(spec).conflicts[0]?.ways ?? [];
    expect(ways.length).toBeGreaterThan(3);
    for (const { change } of ways) {
      const changed =
        change.kind === 'rule'
          ? { ...spec, lines: lines.map((l) => (l.kind === 'gap' && l.id === change.gap ? { ...l, rule: change.rule } : l)) }
          : change.kind === 'total'
            ? { ...spec, total: { kind: 'given', figure: size('total', change.total) } as const }
            : { ...spec, lines: [gap('a', { kind: 'fixed', size: mm(500) }), gap('rest')] };
      expect(solveRun(changed).conflicts).toEqual([]);
    }
  });

  test('what is left over with nothing to take it', () => {
    const [conflict] = solveRun(run([gap('a', { kind: 'fixed', size: mm(500) })], given(700))).conflicts;
    expect(conflict).toMatchObject({ kind: 'under', by: mm(200) });
  });

  test('more shelves than fit: the shares have nothing left', () => {
    const [conflict] = solveRun(run(even(10, 20), given(150))).conflicts;
    expect(conflict?.kind).toBe('over');
    expect(toMm(conflict?.by as Length)).toBeCloseTo(30, 3);
  });

  test('a least size that cannot be kept', () => {
    const [conflict] = solveRun(run([gap('a', share, { least: mm(400) }), gap('b', share, { least: mm(400) })], given(700))).conflicts;
    expect(conflict).toMatchObject({ kind: 'over', by: mm(100) });
    expect(conflict?.ways.map((w) => w.change)).toContainEqual({ kind: 'unbound', gap: 'a' });
  });

  test('members held in the wrong order', () => {
    const lines = [
      gap('a'),
      wood('m', 20, { at: size('here', mm(500)) }),
      gap('b'),
      wood('n', 20, { at: size('there', mm(300)) }),
      gap('c'),
    ];
    const conflicts = solveRun(run(lines, given(900))).conflicts;
    expect(conflicts[0]).toMatchObject({ kind: 'pins', by: mm(220) });
    expect(conflicts[0]?.ways[0]?.change).toEqual({ kind: 'unpin', member: 'n' });
  });
});

test('marks come from one datum, with the error that chaining would make', () => {
  const solved = solveRun(run(even(3, 18), given(936)));
  const marks = marksOf(solved, mm(0.5));
  expect(marks.map((m) => [toMm(m.near.value), toMm(m.far.value), toMm(m.chainedError)])).toEqual([
    [300, 318, 0.5],
    [618, 636, 1],
  ]);
});

describe('the inverse question', () => {
  test('31 wide slats about 17 apart over 652: 14 come nearest', () => {
    const [first] = nearestCounts(mm(652), mm(31), mm(17), -1, mm(0.5));
    expect(first).toMatchObject({ members: 14, gaps: 13, set: mm(16.5) });
    expect(toMm(first?.gap as Length)).toBeCloseTo((652 - 14 * 31) / 13, 4);
    // 218 − 13 x 16.5 = 3.5
    expect(toMm(first?.leftover as Length)).toBe(3.5);
  });

  test('shelves of 18 about 300 apart in 1500: four give 285.6', () => {
    const [first] = nearestCounts(mm(1500), mm(18), mm(300), 1, mm(0.5));
    expect(first).toMatchObject({ members: 4, gap: mm(285.6) });
  });

  test('a wanted gap larger than the total gives no shelf at all', () => {
    expect(nearestCounts(mm(500), mm(18), mm(900), 1, mm(0.5))[0]).toMatchObject({ members: 0, gap: mm(500) });
  });
});

describe('properties', () => {
  const length = fc.integer({ min: 1_000_000, max: 80_000_000 });
  const rule = fc.oneof(
    fc.record({ kind: fc.constant('share' as const), weight: fc.constantFrom(1, 1, 1, 2, 0.5) }),
    fc.record({ kind: fc.constant('graded' as const), step: fc.integer({ min: -400_000, max: 400_000 }) }),
    fc.record({ kind: fc.constant('fixed' as const), size: length.map((l) => l as Length) }),
  );
  const specs = fc
    .record({
      rules: fc.array(rule, { minLength: 1, maxLength: 9 }),
      thickness: fc.integer({ min: 400_000, max: 2_400_000 }),
      total: fc.integer({ min: 20_000_000, max: 300_000_000 }),
      set: fc.constantFrom('gaps' as const, 'edges' as const, 'exact' as const),
      leftover: fc.constantFrom('first' as const, 'last' as const, 'spread' as const),
    })
    .map(({ rules, thickness, total, set, leftover }): RunSpec => ({
      lines: rules.flatMap((r, i): RunLine[] => [
        ...(i > 0
          ? [{ kind: 'member' as const, id: `m${i}`, label: `m${i}`, plural: 'shelves', extent: size('ply', thickness as Length) }]
          : []),
        gap(`g${i}`, r),
      ]),
      total: { kind: 'given', figure: size('total', total as Length) },
      rounding: { grid: mm(0.5), set, leftover },
    }));

  test('lines add up to the total exactly, or a conflict says they do not', () => {
    fc.assert(
      fc.property(specs, (spec) => {
        const solved = solveRun(spec);
        if (solved.conflicts.length > 0) return;
        expect(sumOfLines(solved)).toBe(solved.total.value);
        solved.lines.forEach((l, i) => i > 0 && expect(l.near.value).toBe(solved.lines[i - 1]?.far.value));
      }),
      { numRuns: runs(400) },
    );
  });

  test('equal shares set to the grid never differ by more than a step', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 12 }), fc.integer({ min: 60_000_000, max: 200_000_000 }), (count, total) => {
        const sizes = solveRun(
          run(
            Array.from({ length: count }, (_, i) => gap(`g${i}`)),
            { kind: 'given', figure: size('t', total as Length) },
          ),
        ).lines.map((l) => l.size.value);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(mm(0.5));
      }),
      { numRuns: runs(200) },
    );
  });

  test('solving twice gives the same', () => {
    fc.assert(
      fc.property(specs, (spec) =>
        expect(solveRun(spec).lines.map((l) => l.size.amount)).toEqual(solveRun(spec).lines.map((l) => l.size.amount)),
      ),
      { numRuns: runs(60) },
    );
  });
});
