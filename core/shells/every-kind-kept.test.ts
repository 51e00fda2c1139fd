import fc from 'fast-check';
import { allScrews, extentsOf, reachAlong } from '../carry/index.js';
import { mm } from '../length/index.js';
import { boxOf, posed, posesOf, shiftOf, type Member } from '../piece/index.js';
import { solve, type Solution } from '../solution/index.js';
import { dot } from '../solid/index.js';
import { SEED, anyPiece, isWhole } from '../testing/every-kind.js';
import { stock } from '../testing/samples.js';

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
      // What nothing holds takes its load nowhere, and stops the build.
      if (!isWhole(s) || s.checks.some((c) => c.id.startsWith('falls-'))) return;
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
      if (!isWhole(s) || s.shape.problems.some((p) => p.stops)) return;
      for (const { row, screws } of allScrews(s.carried)) {
        const { normal } = row.contact;
        const through = reachAlong(row.through, normal);
        const into = extentsOf(row.into);
        for (const { head, point, across } of screws) {
          driven += 1;
          expect(Math.min(...through.map((end) => Math.abs(end - dot(normal, head))))).toBeLessThan(1e-6);
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
