import { applyEdit } from '../../kinds/index.js';
import type { Panels } from '../../interiors/index.js';
import fc from 'fast-check';
import { mm, negative, toMm, type Length } from '../../length/index.js';
import { boxOf, type Box, type Member, type Shape, type Space } from '../../piece/index.js';
import { type Back } from './spec.js';
import { type Base } from './spec.js';
import { type PanelCase } from './spec.js';
import { sumOfLines } from '../../run/index.js';
import { divided, opening, piece, space, stock, thing, workshop, panels } from '../../testing/samples.js';
import { shapeOf } from '../index.js';
import { CASE } from './ids.js';
import { runs } from '../../testing/runs.js';

const shop = workshop();
const shape = (p: PanelCase) => shapeOf(p, shop);
const member = (s: Shape, id: string) => s.members.find((m) => m.id === id) as Member;
const sizes = (s: Shape, id: string) => [toMm(member(s, id).length.value), toMm(member(s, id).width.value)];
const clear = (s: Shape, id: string) => {
  const { width, height, depth } = (s.spaces.get(id) as NonNullable<ReturnType<typeof s.spaces.get>>).clear;
  return [width, height, depth].map((f) => toMm(f.value));
};

const toe: Base = { kind: 'toe', height: mm(80), setback: mm(50), bearers: false };
const plinth: Base = { kind: 'plinth', height: mm(80), setback: mm(50), bearers: true };

describe('sizes after thickness and joints, a case of 1000 x 2000 x 300 in 20', () => {
  test.each<[string, Partial<PanelCase>, Record<string, [number, number]>, [number, number, number]]>([
    ['nothing under or behind it', {}, { [CASE.left]: [2000, 300], [CASE.top]: [960, 300] }, [960, 1960, 300]],
    [
      'top over the sides',
      { top: 'over' },
      { [CASE.left]: [1980, 300], [CASE.top]: [1000, 300], [CASE.bottom]: [960, 300] },
      [960, 1960, 300],
    ],
    [
      'top and bottom over the sides',
      { top: 'over', bottom: 'over' },
      { [CASE.left]: [1960, 300], [CASE.bottom]: [1000, 300] },
      [960, 1960, 300],
    ],
    ['a toe of 80', { base: toe }, { [CASE.left]: [2000, 300], [CASE.toe]: [960, 80] }, [960, 1880, 300]],
    [
      'a loose plinth of 80',
      { base: plinth },
      { [CASE.left]: [1920, 300], [CASE.front]: [1000, 80], 'base/end/left': [210, 80] },
      [960, 1880, 300],
    ],
    ['a back of 6 applied', { back: { kind: 'applied' } }, { [CASE.left]: [2000, 294], [CASE.back]: [2000, 1000] }, [960, 1960, 294]],
    [
      'a back in grooves 5 deep, 10 in, 1 slack',
      { back: { kind: 'groove', depth: mm(5), inset: mm(10), slack: mm(1) } },
      { [CASE.left]: [2000, 300], [CASE.back]: [1969, 969] },
      [960, 1960, 284],
    ],
    [
      'a back in rebates 8 wide',
      { back: { kind: 'rebate', depth: mm(8), slack: mm(0) } },
      { [CASE.left]: [2000, 300], [CASE.back]: [1976, 976] },
      [960, 1960, 294],
    ],
  ])('%s', (_, extra, members, inside) => {
    const s = shape(piece(space('in'), extra));
    for (const [id, size] of Object.entries(members)) expect(sizes(s, id)).toEqual(size);
    expect(clear(s, 'in')).toEqual(inside);
  });

  test('sizes may be given of the inside or of the sides', () => {
    const given = (of: 'inside' | 'sides', size: number) => ({ from: 'given', size: mm(size), of }) as const;
    const s = shape(
      piece(space('in'), {
        width: given('inside', 800),
        height: given('inside', 1500),
        depth: given('sides', 320),
        base: toe,
        back: { kind: 'applied' },
      }),
    );
    expect([s.overall.width, s.overall.height, s.overall.depth].map((f) => toMm(f.value))).toEqual([840, 1620, 326]);
  });
});

describe('shelves and dividers', () => {
  test.each<[Panels['shelves']['fix'], number]>([
    ['butted', 960],
    ['housed', 970],
    ['loose', 956],
  ])('a %s shelf between 960 is %d long', (fix, length) => {
    const s = shape(piece(divided('in', 'up', 2), { panels: panels({ fix, looseEnd: mm(2), setback: mm(10) }) }));
    expect(sizes(s, 'in-m1/shelf/1')).toEqual([length, 290]);
  });

  test('a housed shelf is let into both sides where it lies, stopped short of the front by its setback', () => {
    const s = shape(piece(divided('in', 'up', 2), { panels: panels({ fix: 'housed', setback: mm(10) }) }));
    // The shelf is in the middle of 1960: 970 above the bottom's upper face, so 990 above the foot of the side.
    const expected = { kind: 'housing', region: { u0: mm(990), u1: mm(1010), v0: 0, v1: mm(290) }, depth: mm(5), mate: 'in-m1/shelf/1' };
    expect(member(s, CASE.left).features).toEqual([{ ...expected, face: 'up' }]);
    expect(member(s, CASE.right).features).toEqual([{ ...expected, face: 'down' }]);
  });

  test('a loose shelf lies on four pins, two at each end, just under it', () => {
    const s = shape(piece(divided('in', 'up', 2)));
    const holes = member(s, CASE.left).features;
    expect(holes.map((f) => f.kind === 'hole' && [toMm(f.at.u), toMm(f.at.v), f.face])).toEqual([
      [987.5, 37, 'up'],
      [987.5, 263, 'up'],
    ]);
    expect(member(s, CASE.right).features).toHaveLength(2);
  });

  test('nested to any depth: a divider in a shelf space, and a shelf beside it', () => {
    const inner = divided('in-1', 'across', 2);
    (inner.split as NonNullable<Space['split']>).spaces[0] = divided('in-1-1', 'up', 2);
    const outer = divided('in', 'up', 2);
    (outer.split as NonNullable<Space['split']>).spaces[0] = inner;
    const s = shape(piece(outer));
    expect(clear(s, 'in-1-1-2')).toEqual([470, 475, 300]);
    expect(s.spaces.get('in-1-1-2')?.neighbours).toEqual({
      left: CASE.left,
      right: 'in-1-m1/divider/1',
      below: 'in-1-1-m1/shelf/1',
      above: 'in-m1/shelf/1',
    });
  });

  test('a shelf lined up with one in the other bay lies at the same height', () => {
    const bays = divided('in', 'across', 2);
    (bays.split as NonNullable<Space['split']>).spaces = [divided('l', 'up', 3, {}), divided('r', 'up', 2)];
    const right = bays.split?.spaces[1]?.split?.members[0] as { sameAs?: string };
    right.sameAs = 'l-m1';
    const s = shape(piece(bays));
    const y = (id: string) => boxOf(member(s, id)).y0;
    expect(y('r-m1/shelf/1')).toBe(y('l-m1/shelf/1'));
    expect(s.problems).toEqual([]);
  });

  test('a shelf lined up with one in the other bay goes with it when a size there is another, though nothing of its own bay is', () => {
    const bays = divided('in', 'across', 2);
    (bays.split as NonNullable<Space['split']>).spaces = [divided('l', 'up', 3, {}), divided('r', 'up', 2)];
    (bays.split?.spaces[1]?.split?.members[0] as { sameAs?: string }).sameAs = 'l-m1';
    const before = piece(bays);
    shape(before);
    const s = shape(applyEdit(before, { kind: 'rule', space: 'l-1', rule: { kind: 'fixed', size: mm(300) } }) as PanelCase);
    expect([s.runs.get('l'), s.runs.get('r')].map((run) => run?.run.lines[1]?.near.value)).toEqual([mm(300), mm(300)]);
  });

  test('two shelves lined up with each other are a circle, and it is said', () => {
    const bays = divided('in', 'across', 2);
    (bays.split as NonNullable<Space['split']>).spaces = [divided('l', 'up', 2), divided('r', 'up', 2)];
    (bays.split?.spaces[0]?.split?.members[0] as { sameAs?: string }).sameAs = 'r-m1';
    (bays.split?.spaces[1]?.split?.members[0] as { sameAs?: string }).sameAs = 'l-m1';
    expect(shape(piece(bays)).problems.map((p) => p.id)).toContain('circle-r-m1');
  });

  test('bearers stand under dividers that stand on the bottom', () => {
    const s = shape(piece(divided('in', 'across', 3), { base: { ...toe, bearers: true } }));
    expect(s.members.filter((m) => m.role === 'bearer').map((m) => sizes(s, m.id))).toEqual([
      [230, 80],
      [230, 80],
    ]);
  });
});

describe('sizes from contents', () => {
  const tins = (count: number) => [{ thing: 'tin', count }];
  const from = { width: { from: 'contents' }, height: { from: 'contents' }, depth: { from: 'contents' } } as const;

  test('six tins: as wide as six, as high and as deep as one', () => {
    const s = shape(piece(space('in', { things: tins(6) }), from));
    expect(clear(s, 'in')).toEqual([600, 100, 100]);
    expect(toMm(s.overall.width.value)).toBe(640);
  });

  test('two rows where the depth is given', () => {
    const s = shape(piece(space('in', { things: tins(6) }), { ...from, depth: { from: 'given', size: mm(200), of: 'inside' } }));
    expect(clear(s, 'in')).toEqual([300, 100, 200]);
  });

  test('shelves share as the tallest asks', () => {
    const shelved = divided('in', 'up', 3);
    (shelved.split as NonNullable<Space['split']>).spaces.forEach((sp, i) => (sp.things = [{ thing: i === 1 ? 'jar' : 'tin', count: 2 }]));
    const jars = workshop({
      things: { jar: thing({ name: 'jar', clearance: mm(30), shape: { kind: 'cylinder', diameter: mm(90), height: mm(180) } }) },
    });
    const s = shapeOf(piece(shelved, from), jars);
    expect(['in-1', 'in-2', 'in-3'].map((id) => clear(s, id)[1])).toEqual([210, 210, 210]);
  });

  test.each([
    ['at most', { greatest: mm(500) }, 500],
    ['at least', { least: mm(900) }, 900],
    ['within', { least: mm(300), greatest: mm(900) }, 640],
  ])('bounded, %s', (_, bounds, width) => {
    const s = shape(piece(space('in', { things: tins(6) }), { ...from, width: { from: 'bounded', ...bounds } }));
    expect(toMm(s.overall.width.value)).toBe(width);
  });

  test('with nothing in it the size is not known, and a way out is offered', () => {
    const s = shape(piece(space('in'), from));
    expect(s.problems.map((p) => p.id)).toEqual(['no-depth', 'no-width', 'no-height']);
    expect(s.problems.every((p) => p.fixes.length > 0)).toBe(true);
  });
});

describe('what cannot be built is said, and nothing is thrown', () => {
  test('an opening smaller than its own slack', () => {
    const tight = workshop({ opening: opening({ slack: { side: mm(600), above: mm(0), behind: mm(0) } }) });
    const s = shapeOf(piece(space('in'), { opening: 'gap', width: { from: 'opening' } }), tight);
    expect(s.members).toEqual([]);
    expect(s.problems.map((p) => p.id)).toContain('inside-width');
  });

  test('no opening where one is asked for', () => {
    expect(shape(piece(space('in'), { width: { from: 'opening' } })).problems[0]).toMatchObject({ id: 'no-opening-width', stops: true });
  });

  test('a stock that is no longer there', () => {
    const s = shape(piece(space('in'), { stock: { sides: 'gone' } }));
    expect(s.members.length).toBeGreaterThan(0);
  });

  test('a bottom over the sides with a toe board', () => {
    expect(shape(piece(space('in'), { bottom: 'over', base: toe })).problems[0]?.fixes).toHaveLength(2);
  });

  test('shelves that stand back further than the case is deep', () => {
    const s = shape(piece(divided('in', 'up', 2), { panels: panels({ setback: mm(400) }) }));
    expect(s.problems.map((p) => p.id)).toContain('setback');
  });
});

describe('properties of every case', () => {
  const backs: Back[] = [
    { kind: 'none' },
    { kind: 'applied' },
    { kind: 'groove', depth: mm(5), inset: mm(12), slack: mm(1) },
    { kind: 'rebate', depth: mm(8), slack: mm(1) },
  ];
  const bases: Base[] = [{ kind: 'none' }, toe, { ...toe, bearers: true }, plinth];
  const cases = fc
    .record({
      bays: fc.integer({ min: 1, max: 3 }),
      shelves: fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 3, maxLength: 3 }),
      fixed: fc.option(fc.integer({ min: 100, max: 400 })),
      back: fc.constantFrom(...backs),
      base: fc.constantFrom(...bases),
      top: fc.constantFrom('between' as const, 'over' as const),
      fix: fc.constantFrom('butted' as const, 'housed' as const, 'loose' as const),
      dividerFix: fc.constantFrom('butted' as const, 'housed' as const),
      thickness: fc.integer({ min: 12 * 80_000, max: 25 * 80_000 }),
      width: fc.integer({ min: 600 * 80_000, max: 2400 * 80_000 }),
      setback: fc.constantFrom(0, 16),
      set: fc.constantFrom('gaps' as const, 'edges' as const, 'exact' as const),
    })
    .map((c) => {
      const column = (i: number): Space =>
        c.shelves[i] === 1 ? space(`bay-${i + 1}`) : divided(`bay-${i + 1}`, 'up', c.shelves[i] as number);
      const root = c.bays === 1 ? divided('in', 'up', 3) : divided('in', 'across', c.bays);
      if (c.bays > 1 && root.split) root.split.spaces = Array.from({ length: c.bays }, (_, i) => column(i));
      const first = root.split?.spaces[0]?.split?.spaces[0];
      if (c.fixed !== null && first) first.rule = { kind: 'fixed', size: mm(c.fixed) };
      return {
        shop: workshop({ stock: { ply: stock({ thickness: c.thickness as Length }) } }),
        piece: piece(root, {
          width: { from: 'given', size: c.width as Length, of: 'overall' },
          back: c.back,
          base: c.base,
          top: c.top,
          panels: panels({ fix: c.fix, looseEnd: mm(1), setback: mm(c.setback) }, { fix: c.dividerFix, housing: mm(4) }),
          rounding: { grid: mm(0.5), set: c.set, leftover: 'last' },
        }),
      };
    });

  /** How far two boxes lie inside each other on their least axis, units. */
  const depthOfOverlap = (a: Box, b: Box) =>
    Math.min(
      Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0),
      Math.min(a.y1, b.y1) - Math.max(a.y0, b.y0),
      Math.min(a.z1, b.z1) - Math.max(a.z0, b.z0),
    );

  test('every run closes exactly; members overlap only where one is let into the other, by that depth; nothing floats', () => {
    fc.assert(
      fc.property(cases, ({ piece: p, shop: w }) => {
        const s = shapeOf(p, w);
        for (const run of s.runs.values()) if (run.run.conflicts.length === 0) expect(sumOfLines(run.run)).toBe(run.run.total.value);
        if ([...s.runs.values()].some((r) => r.run.conflicts.length > 0)) return;
        const boxes = s.members.map((m) => ({ m, box: boxOf(m) }));
        boxes.forEach(({ m, box }, i) => {
          expect(box.y0).toBeGreaterThanOrEqual(0);
          expect(box.x1).toBeLessThanOrEqual(s.overall.width.value);
          expect(box.y1).toBeLessThanOrEqual(s.overall.height.value);
          expect(box.z1).toBeLessThanOrEqual(s.overall.depth.value);
          for (const other of boxes.slice(i + 1)) {
            const deep = depthOfOverlap(box, other.box);
            if (deep <= 0) continue;
            const cut = [...m.features, ...other.m.features].filter((f) => f.kind !== 'hole' && (f.mate === m.id || f.mate === other.m.id));
            expect(cut.length).toBeGreaterThan(0);
            expect(deep).toBeLessThanOrEqual(Math.max(...cut.map((f) => f.depth)));
          }
          const touches = boxes.some((o) => o.m !== m && depthOfOverlap(box, o.box) >= negative(mm(1)));
          expect(touches || box.y0 === 0).toBe(true);
        });
      }),
      { numRuns: runs(140) },
    );
  });

  test('the sides are reflections in size and place, and a part is as large as its placed member', () => {
    fc.assert(
      fc.property(cases, ({ piece: p, shop: w }) => {
        const s = shapeOf(p, w);
        const [l, r] = [boxOf(member(s, CASE.left)), boxOf(member(s, CASE.right))];
        expect(l.x0 + r.x1).toBe(s.overall.width.value);
        expect([l.y0, l.y1, l.z0, l.z1]).toEqual([r.y0, r.y1, r.z0, r.z1]);
        for (const m of s.members) {
          const b = boxOf(m);
          const extents = [b.x1 - b.x0, b.y1 - b.y0, b.z1 - b.z0].sort((x, y) => x - y);
          expect([m.length.amount, m.width.amount, m.thickness.amount].sort((x, y) => x - y)).toEqual(extents);
        }
      }),
      { numRuns: runs(60) },
    );
  });

  test('a measured thickness changed and changed back restores every figure', () => {
    fc.assert(
      fc.property(cases, fc.integer({ min: 12 * 80_000, max: 25 * 80_000 }), ({ piece: p, shop: w }, other) => {
        const figures = (s: Shape) => s.members.map((m) => [m.id, m.length.amount, m.width.amount, m.frame.origin]);
        const before = figures(shapeOf(p, w));
        shapeOf(p, { ...w, stock: new Map(w.stock).set('ply', stock({ thickness: other as Length })) });
        expect(figures(shapeOf(p, w))).toEqual(before);
      }),
      { numRuns: runs(20) },
    );
  });
});
