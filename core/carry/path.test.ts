import { mm } from '../length/index.js';
import type { Space } from '../piece/index.js';
import { solve } from '../solution/index.js';
import { divided, piece, workshop } from '../testing/samples.js';
import { pathLines, pathToFloor } from './index.js';

/** A case of 1000 x 2000 over a toe of 80 with two bays of 470 between uprights of 20, a shelf of five tins in the left one. */
const bays = divided('in', 'across', 2);
const left = (bays.split as NonNullable<Space['split']>).spaces[0] as Space;
left.split = divided('bay', 'up', 2).split as NonNullable<Space['split']>;
(left.split.spaces[1] as Space).things = [{ thing: 'tin', count: 4 }];
const { carried } = solve(piece(bays, { base: { kind: 'toe', height: mm(80), setback: mm(50), bearers: false } }), workshop(), {});
const SHELF = 'bay-m1/shelf/1';

test('each joint is at the place where it gives its load on: the ends of the shelf, the foot of the divider, the floor', () => {
  const at = pathToFloor(carried, SHELF).map((s) => [s.from, s.to, Math.round(s.at.x), Math.round(s.at.y)]);
  // The bays begin at 20 and end at 490; between the bottom at 80..100 and the top at 1980 they are 1880: the shelf lies at 100 + 930.
  expect(at).toContainEqual([SHELF, 'case/side/left', 20, 1030]);
  expect(at).toContainEqual([SHELF, 'in-m1/divider/1', 490, 1030]);
  expect(at).toContainEqual(['in-m1/divider/1', 'case/bottom/1', 500, 100]);
  expect(at).toContainEqual(['case/side/left', 'floor', 10, 0]);
});

test('lines lead from the middle of the member on, each from where the load was taken', () => {
  const lines = pathLines(carried, SHELF);
  const from = (id: string) => lines.filter((l) => l.step.from === id).map((l) => [Math.round(l.from.x), Math.round(l.from.y)]);
  expect(from(SHELF)).toEqual([
    [255, 1040],
    [255, 1040],
  ]);
  expect(from('in-m1/divider/1')).toEqual([[490, 1030]]);
  // The bottom takes it at the divider and gives it to both sides, and to the toe board under its front.
  expect(from('case/bottom/1')).toEqual([
    [500, 100],
    [500, 100],
    [500, 100],
  ]);
});

test('of what is not carried there is no way, and what reaches the floor is all that went in', () => {
  expect([pathToFloor(carried, 'nothing'), pathLines(carried, 'nothing')]).toEqual([[], []]);
  const onFloor = [...carried.members.values()].flatMap((c) => c.supports).filter((s) => s.carrier === 'floor');
  expect(onFloor.reduce((sum, s) => sum + s.newtons, 0)).toBeCloseTo((carried.massKg + 8) * 9.81, 6);
});
