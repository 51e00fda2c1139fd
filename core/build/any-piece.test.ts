import fc from 'fast-check';
import { together, fastenersOf, solve } from '../solution/index.js';
import type { Bought } from '../piece/index.js';
import { anyPiece } from '../testing/every-kind.js';
import { collisions, shutOut } from '../testing/replay.js';
import { runs } from '../testing/runs.js';
import { buildingOf } from './spec.js';
import { stepsOf } from './steps.js';

const counted = (all: readonly Bought[]) => Object.fromEntries(together(all).map((b) => [`${b.what} ${b.length ?? ''}`, b.count]));

/** Pieces of more parts are not replayed: each of them takes as long as many others. */
const REPLAYED = 40;

test(`${runs(200)} pieces of any kind: what is driven is what is bought, and parts go in without passing through others, or it is told`, () => {
  let replayed = 0;
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      const s = solve(piece, shop, {});
      if (s.shape.problems.some((p) => p.stops)) return;
      const steps = stepsOf(s, buildingOf('any'));
      const cut = new Set(s.parts.map((p) => p.id));
      const driven = fastenersOf(s).filter((f) => f.between.every((id) => cut.has(id) || id === 'place'));
      expect(counted(steps.flatMap((step) => step.takes))).toEqual(counted(driven));
      const told = steps.flatMap((step) => step.cautions).filter((c) => c.startsWith('No straight way in'));
      expect(told).toHaveLength(shutOut(s).length);
      if (s.parts.length > REPLAYED) return;
      replayed += 1;
      expect(collisions(s, 27)).toEqual([]);
    }),
    { numRuns: runs(200) },
  );
  expect(replayed).toBeGreaterThan(runs(200) / 4);
});
