import fc from 'fast-check';
import { isSquare } from '../carry/index.js';
import { mm, toMm, type Length } from '../length/index.js';
import { boxOf, type Box, type Feature, type Shape } from '../piece/index.js';
import { sumOfLines } from '../run/index.js';
import { solve } from '../solution/index.js';
import { SEED, anyPiece, isWhole } from '../testing/every-kind.js';

/** How far two boxes lie inside each other on their least axis, units; negative for how far they are apart. */
function depthOfOverlap(a: Box, b: Box): number {
  return Math.min(
    Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0),
    Math.min(a.y1, b.y1) - Math.max(a.y0, b.y0),
    Math.min(a.z1, b.z1) - Math.max(a.z0, b.z0),
  );
}

const deepest = (list: readonly Feature[]) => Math.max(0, ...list.map((f) => f.depth));

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
      if (!isWhole(s) || s.shape.problems.some((p) => p.stops)) return;
      built += 1;
      solidsApart(s.shape);
      for (const m of s.shape.members.filter(isSquare)) {
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
  const boxes = shape.members.filter(isSquare).map((m) => ({ m, box: boxOf(m) }));
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
