import fc from 'fast-check';
import { toMm } from '../length/index.js';
import { boxOf, isPlain, posesOf, shiftOf } from '../piece/index.js';
import { solve } from '../solution/index.js';
import { anyPiece } from '../testing/every-kind.js';
import { divided, piece, workshop } from '../testing/samples.js';
import { sceneOf } from './index.js';
import { runs } from '../testing/runs.js';

test('a solid lies in the middle of its box, and its frame is square', () => {
  fc.assert(
    fc.property(anyPiece, ({ piece: p, shop }) => {
      const solution = solve(p, shop, {});
      const { solids } = sceneOf(solution);
      solution.shape.members.forEach((m, i) => {
        const solid = solids[i];
        const box = boxOf(m);
        if (isPlain(m)) {
          const middle = [box.x0 + box.x1, box.y0 + box.y1, box.z0 + box.z1].map((s) => toMm((s / 2) as typeof box.x0));
          middle.forEach((at, axis) => expect(solid?.middle[axis]).toBeCloseTo(at, 2));
        } else {
          // What is cut out of its rectangle need not reach all of its sides: its faces reach as far as its box.
          const corners = (solid?.faces ?? []).flat();
          ([box.x0, box.y0, box.z0] as const).forEach((least, axis) => {
            const at = corners.map(
              ([u, v, n]) =>
                (solid?.middle[axis] ?? 0) + u * (m.frame.u[axis] ?? 0) + v * (m.frame.v[axis] ?? 0) + n * (m.frame.n[axis] ?? 0),
            );
            const most = [box.x1, box.y1, box.z1][axis] as typeof least;
            expect([Math.min(...at), Math.max(...at)]).toEqual([expect.closeTo(toMm(least), 2), expect.closeTo(toMm(most), 2)]);
          });
        }
        const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, k) => sum + x * (b[k] as number), 0);
        expect(Math.abs(dot(m.frame.u, m.frame.v)) + Math.abs(dot(m.frame.u, m.frame.n))).toBeLessThan(1e-9);
      });
    }),
    { numRuns: runs(20) },
  );
});

test('taken apart by one, the left side of a case of 1000 goes from 10 to 490 further left', () => {
  const solution = solve(piece(divided('in', 'up', 2)), workshop(), {});
  const at = (apart: number) => sceneOf(solution, undefined, apart).solids.find((s) => s.id === 'case/side/left')?.middle[0];
  expect([at(0), at(1)]).toEqual([10, 10 - 490]);
});

test('in an open pose what is in a drawer goes with it', () => {
  fc.assert(
    fc.property(anyPiece, ({ piece: p, shop }) => {
      const solution = solve(p, shop, {});
      const { bodies } = solution.shape;
      const open = posesOf(bodies).find((x) => x.id === 'open');
      if (!open) return;
      const [shut, out] = [sceneOf(solution), sceneOf(solution, open.pose)];
      shut.things.forEach((t, i) => {
        // Where the room grows, things are laid out anew.
        if (solution.shape.spaces.get(t.space)?.growsWith) return;
        const body = bodies.find((b) => b.spaces.includes(t.space));
        const by = body ? toMm(shiftOf(body, open.pose).z) : 0;
        expect((out.things[i]?.middle[2] ?? 0) - t.middle[2]).toBeCloseTo(by, 6);
      });
    }),
    { numRuns: runs(30) },
  );
});
