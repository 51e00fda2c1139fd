import fc from 'fast-check';
import { allScrews, extentsOf } from '../carry/index.js';
import { mm, toMm, type Length } from '../length/index.js';
import { boxOf, posed, posesOf, shiftOf, type Box, type Feature, type Member, type Shape } from '../piece/index.js';
import { sumOfLines } from '../run/index.js';
import { solve, type Solution } from '../solution/index.js';
import { anyPiece } from '../testing/every-kind.js';
import { stock } from '../testing/samples.js';

/** How far two boxes lie inside each other on their least axis, units; negative for how far they are apart. */
function depthOfOverlap(a: Box, b: Box): number {
  return Math.min(
    Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0),
    Math.min(a.y1, b.y1) - Math.max(a.y0, b.y0),
    Math.min(a.z1, b.z1) - Math.max(a.z0, b.z0),
  );
}

const whole = (s: Solution) =>
  s.shape.members.length > 0 &&
  [...s.shape.runs.values()].every((r) => r.run.conflicts.length === 0 && r.run.lines.every((l) => l.size.value >= 0));

/** Members whose boxes tell where they are: all but sloping ones. */
const square = (m: Member) => [m.frame.u, m.frame.v].every((d) => d.every((n) => Math.abs(n) < 1e-9 || Math.abs(n) > 1 - 1e-9));

const deepest = (list: readonly Feature[]) => Math.max(0, ...list.map((f) => f.depth));

/** The same pieces each time, so that a change is held against what the last one was; other seeds are tried by hand. */
const SEED = 20261125;

/** One housing takes both layers of a shelf. */
function housedAs(id: string): string {
  return id.replace('/shelf-layer/', '/shelf/');
}

test('runs close, solids do not overlap, nothing floats, things lie in their spaces, parts are as large as placed: 5,000 of any kind', () => {
  let built = 0;
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      const s = solve(piece, shop, {});
      for (const run of s.shape.runs.values()) if (run.run.conflicts.length === 0) expect(sumOfLines(run.run)).toBe(run.run.total.value);
      if (!whole(s) || s.shape.problems.some((p) => p.stops)) return;
      built += 1;
      solidsApart(s.shape);
      for (const m of s.shape.members.filter(square)) {
        const b = boxOf(m);
        const extents = [b.x1 - b.x0, b.y1 - b.y0, b.z1 - b.z0].sort((x, y) => x - y);
        expect([m.length.amount, m.width.amount, m.thickness.amount].sort((x, y) => x - y)).toEqual(extents);
      }
      for (const space of s.shape.spaces.values()) {
        if (s.checks.some((c) => 'id' in c.about && c.about.id === space.id && c.state === 'fails')) continue;
        for (const b of space.blocks) {
          expect(b.height + b.thing.clearance).toBeLessThanOrEqual(space.clear.height.value);
          expect(b.width).toBeLessThanOrEqual(space.clear.width.value);
        }
      }
    }),
    { numRuns: 5000, seed: SEED },
  );
  // Enough of them can be built for the rest to mean something.
  expect(built).toBeGreaterThan(2500);
});

function solidsApart(shape: Shape): void {
  const boxes = shape.members.filter(square).map((m) => ({ m, box: boxOf(m) }));
  boxes.forEach(({ m, box }, i) => {
    for (const other of boxes.slice(i + 1)) {
      const deep = depthOfOverlap(box, other.box);
      if (deep <= 0) continue;
      const cut = [...m.features, ...other.m.features].filter(
        (f) => f.kind !== 'hole' && [m, other.m].some((o) => f.mate === housedAs(o.id)),
      );
      if (cut.length === 0 || deep > deepest(cut)) throw new Error(`${m.id} and ${other.m.id} lie ${toMm(deep as Length)} in each other`);
    }
    const jointed = shape.joints.some((j) => j.carried === m.id || j.carrier === m.id);
    const touches = boxes.some((o) => o.m !== m && depthOfOverlap(box, o.box) >= -mm(15));
    if (!touches && !jointed) throw new Error(`${m.id} floats`);
  });
}

test('solving twice gives the same, and a thickness changed and changed back restores every figure', () => {
  const figures = (s: Solution) => s.shape.members.map((m) => [m.id, m.length.amount, m.width.amount, m.frame.origin, m.features]);
  fc.assert(
    fc.property(anyPiece, fc.integer({ min: 120, max: 220 }), ({ piece, shop }, tenths) => {
      const before = figures(solve(piece, shop, {}));
      const other = { ...shop, stock: new Map(shop.stock).set('ply', stock({ thickness: mm(tenths / 10) })) };
      solve(piece, other, {});
      expect(figures(solve(piece, shop, {}))).toEqual(before);
    }),
    { numRuns: 300, seed: SEED },
  );
});

test('letters never move to another part', () => {
  fc.assert(
    fc.property(anyPiece, anyPiece, ({ piece, shop }, { piece: next }) => {
      const first = solve(piece, shop, {}).letters;
      const then = solve(next, shop, first).letters;
      for (const [id, letter] of Object.entries(first)) expect(then[id]).toBe(letter);
      expect(new Set(Object.values(then)).size).toBe(Object.keys(then).length);
    }),
    { numRuns: 200, seed: SEED },
  );
});

test('the sides of a drawer are reflections: as far in from each side of its box, the same size', () => {
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      const { members } = solve(piece, shop, {}).shape;
      for (const left of members.filter((m) => m.id.endsWith('/drawer-side/left'))) {
        const right = members.find((m) => m.id === left.id.replace(/left$/, 'right')) as Member;
        const bottom = members.find((m) => m.node === left.node && m.role === 'drawer bottom') as Member;
        expect([left.length.value, left.width.value]).toEqual([right.length.value, right.width.value]);
        const [l, r, b] = [boxOf(left), boxOf(right), boxOf(bottom)];
        expect(Math.abs(b.x0 - l.x0 - (r.x1 - b.x1))).toBeLessThanOrEqual(1);
        expect(left.features).toHaveLength(right.features.length);
      }
    }),
    { numRuns: 500, seed: SEED },
  );
});

test('in every pose members go just as far as their body, and shut is where they were', () => {
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      const { members, bodies } = solve(piece, shop, {}).shape;
      const owner = new Map(bodies.flatMap((b) => b.members.map((id) => [id, b] as const)));
      for (const { id, pose } of posesOf(bodies)) {
        posed(members, bodies, pose).forEach((m, i) => {
          const body = owner.get(m.id);
          const by = body ? shiftOf(body, pose) : { x: 0, y: 0, z: 0 };
          const before = (members[i] as Member).frame.origin;
          expect([m.frame.origin.x - before.x, m.frame.origin.z - before.z]).toEqual([by.x, by.z]);
          if (id === 'shut') expect(m.frame.origin).toEqual(before);
        });
      }
    }),
    { numRuns: 200, seed: SEED },
  );
});

test('all loads reach the floor', () => {
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      const s = solve(piece, shop, {});
      if (!whole(s)) return;
      const all = [...s.carried.members.values()].reduce((sum, c) => sum + c.selfKg + c.standing.reduce((k, x) => k + x.kg, 0), 0);
      expect(s.carried.floor / 9.81).toBeCloseTo(all, 4);
    }),
    { numRuns: 400, seed: SEED },
  );
});

test('every screw begins at the outside of one member and ends inside another, with wood before its point', () => {
  let driven = 0;
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      const s = solve(piece, shop, {});
      if (!whole(s) || s.shape.problems.some((p) => p.stops)) return;
      for (const { row, screws } of allScrews(s.carried)) {
        const through = extentsOf(row.through)[row.contact.axis];
        const into = extentsOf(row.into);
        for (const { head, point, across } of screws) {
          driven += 1;
          expect(Math.min(...through.map((end) => Math.abs(end - head[row.contact.axis])))).toBeLessThan(1e-6);
          for (const k of [0, 1, 2] as const) {
            expect(point[k]).toBeGreaterThan(into[k][0]);
            expect(point[k]).toBeLessThan(into[k][1]);
          }
          expect(row.left).toBeGreaterThanOrEqual(across - 1e-6);
        }
      }
    }),
    { numRuns: 300, seed: SEED },
  );
  expect(driven).toBeGreaterThan(1000);
});
