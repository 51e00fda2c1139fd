import { size, writeExactly } from '../figure/index.js';
import { ZERO, mm, toMm } from '../length/index.js';
import { FLOOR, OPEN, type PlacedSpace, type Space } from '../piece/index.js';
import { divided, panels, piece, space, thing, workshop } from '../testing/samples.js';
import { divide, type Divided } from './divide.js';
import type { ClearRegion } from './kind.js';

/** The inside of a case of 1000 x 2000 x 300 of panels of 20, which stands at its own left, floor and rear. */
const INSIDE: ClearRegion = {
  start: { x: size('left side', mm(20)), y: size('bottom', mm(20)), z: size('rear', ZERO) },
  clear: { width: size('wide', mm(960)), height: size('high', mm(1960)), depth: size('deep', mm(300)) },
  neighbours: { left: 'left side', right: 'right side', below: 'bottom', above: 'top' },
  setback: mm(10),
};

function dividedAs(interior: Space, inside: ClearRegion = INSIDE, shop = workshop()): Divided {
  return divide(piece(interior), { workshop: shop, panels: panels(), rounding: shop.settings.rounding }, inside);
}
const of = (made: Divided, id: string) => made.spaces.get(id) as PlacedSpace;
/** From and to along an axis, mm. */
const along = (made: Divided, id: string, axis: 'x' | 'y' | 'z') => [
  toMm(of(made, id).box[`${axis}0`]),
  toMm(of(made, id).box[`${axis}1`]),
];

test('an inside that is not divided is one space, as large as it is, and nothing is solved', () => {
  const made = dividedAs(space('in'));
  expect([...made.spaces.keys()]).toEqual(['in']);
  expect(made.runs.size).toBe(0);
  expect(['x', 'y', 'z'].map((axis) => along(made, 'in', axis as 'x'))).toEqual([
    [20, 980],
    [20, 1980],
    [0, 300],
  ]);
  expect([of(made, 'in').label, of(made, 'in').within, toMm(of(made, 'in').standing)]).toEqual(['inside', null, 20]);
});

test('two shelves of 20 leave 1920, a third of it to each space, between what bounds it and the shelves', () => {
  const made = dividedAs(divided('in', 'up', 3));
  expect(['in-1', 'in-2', 'in-3'].map((id) => along(made, id, 'y'))).toEqual([
    [20, 660],
    [680, 1320],
    [1340, 1980],
  ]);
  expect(['in-1', 'in-2', 'in-3'].map((id) => [of(made, id).neighbours.below, of(made, id).neighbours.above])).toEqual([
    ['bottom', 'in-m1/shelf/1'],
    ['in-m1/shelf/1', 'in-m2/shelf/1'],
    ['in-m2/shelf/1', 'top'],
  ]);
  expect(of(made, 'in-2').within?.owner).toBe('in');
});

test('a bay is divided in the room that its dividers leave it, by shelves that go from divider to divider', () => {
  const outer = divided('in', 'across', 2);
  outer.split?.spaces.splice(1, 1, divided('mid', 'up', 2));
  const made = dividedAs(outer);
  // 960 less 20, halved.
  expect(along(made, 'in-1', 'x')).toEqual([20, 490]);
  expect(along(made, 'mid', 'x')).toEqual([510, 980]);
  // 1960 less 20, halved.
  expect(along(made, 'mid-1', 'y')).toEqual([20, 990]);
  expect(along(made, 'mid-2', 'x')).toEqual([510, 980]);
  expect([of(made, 'mid-2').neighbours.left, of(made, 'mid-2').neighbours.below]).toEqual(['in-m1/divider/1', 'mid-m1/shelf/1']);
  expect([of(made, 'in').depth, of(made, 'mid').depth, of(made, 'mid-2').depth]).toEqual([0, 1, 2]);
});

test('bays are shared out exactly, and not brought to the grid of the shop as heights are', () => {
  // 960 less two of 20 in three are 306 2/3; 1960 less two in three are 640, and of 1961 the last one has what is left.
  expect(toMm(of(dividedAs(divided('in', 'across', 3)), 'in-1').clear.width.value)).toBeCloseTo(306.6667, 3);
  const taller = { ...INSIDE, clear: { ...INSIDE.clear, height: size('high', mm(1961)) } };
  const made = dividedAs(divided('in', 'up', 3), taller);
  expect(['in-1', 'in-2', 'in-3'].map((id) => toMm(of(made, id).clear.height.value))).toEqual([640, 640.5, 640.5]);
});

test('a shelf that is held stays there, and what is over and under it share the rest', () => {
  const held = divided('in', 'up', 3);
  held.split?.members.splice(0, 1, { id: 'in-m1', at: mm(320) });
  const made = dividedAs(held);
  // Its underside 320 from the floor: 300 under it, and 1960 - 300 - 40 in two over it.
  expect(along(made, 'in-1', 'y')).toEqual([20, 320]);
  expect(along(made, 'in-2', 'y')).toEqual([340, 1150]);
  expect(along(made, 'in-3', 'y')).toEqual([1170, 1980]);
});

describe('a shelf in line with one of another bay', () => {
  const bays = (left: Space['split'], right: Space['split']) => {
    const outer = divided('in', 'across', 2);
    outer.split?.spaces.splice(0, 2, space('l', left ? { split: left } : {}), space('r', right ? { split: right } : {}));
    return outer;
  };
  const run = (id: string, first: object, second: object = {}) => ({
    axis: 'up' as const,
    members: [
      { id: `${id}1`, ...first },
      { id: `${id}2`, ...second },
    ],
    spaces: [space(`${id}a`), space(`${id}b`), space(`${id}c`)],
  });

  test('lies where that one does, whichever stands first in the list', () => {
    const made = dividedAs(bays(run('l', { sameAs: 'r1' }), run('r', { at: mm(520) })));
    expect(along(made, 'la', 'y')).toEqual([20, 520]);
    expect(along(made, 'ra', 'y')).toEqual([20, 520]);
    expect(made.problems).toEqual([]);
  });

  test('in a circle it is told, with the way out of it, and goes where the spaces put it', () => {
    const made = dividedAs(bays(run('l', { sameAs: 'r1' }), run('r', { sameAs: 'l1' })));
    const [circle, ...more] = made.problems;
    expect(more).toEqual([]);
    expect(circle && [circle.stops, writeExactly(circle.sentence)]).toEqual([
      true,
      'shelf 1 is lined up with a shelf that is itself placed by this run, or that runs the other way.',
    ]);
    expect(circle?.fixes[0]?.edit).toEqual({ kind: 'align', member: circle?.about, sameAs: null });
    expect(along(made, 'la', 'y')).toEqual([20, 660]);
  });

  test('with a divider, or with none that is there, it is told as well', () => {
    const across = { axis: 'across' as const, members: [{ id: 'd' }], spaces: [space('da'), space('db')] };
    expect(dividedAs(bays(run('l', { sameAs: 'd' }), across)).problems.map((p) => p.id)).toEqual(['circle-l1']);
    expect(dividedAs(bays(run('l', { sameAs: 'gone' }), undefined)).problems.map((p) => p.id)).toEqual(['circle-l1']);
  });
});

test('what the tape found of a space counts for all that is in it, and is told as so far off', () => {
  const shop = workshop({ built: { in: { height: mm(1954) } } });
  const made = dividedAs(divided('in', 'up', 2), INSIDE, shop);
  // 1954 less 20 halved, and not 970 each.
  expect([along(made, 'in-1', 'y'), along(made, 'in-2', 'y')]).toEqual([
    [20, 987],
    [1007, 1974],
  ]);
  expect([of(made, 'in').off, of(made, 'in-2').off].map(toMm)).toEqual([6, 6]);
  expect([...dividedAs(divided('in', 'up', 2)).spaces.values()].map((s) => toMm(s.off))).toEqual([0, 0, 0]);
});

test('parts one behind the other: only the foremost stands behind the front that things stand back from', () => {
  const made = dividedAs(divided('in', 'deep', 2));
  // 300 less a partition of 20, halved.
  expect([along(made, 'in-1', 'z'), along(made, 'in-2', 'z')]).toEqual([
    [0, 140],
    [160, 300],
  ]);
  expect([of(made, 'in-1').setback, of(made, 'in-2').setback].map(toMm)).toEqual([0, 10]);
});

test('over a shelf that is less deep things stand at its front; over nothing but room there is nothing to stand on', () => {
  const short = divided('in', 'up', 3);
  short.split?.members.splice(0, 2, { id: 'in-m1', deep: mm(240) }, { id: 'in-m2', room: mm(30) });
  const made = dividedAs(short);
  expect(['in-1', 'in-2', 'in-3'].map((id) => toMm(of(made, id).setback))).toEqual([10, 60, 10]);
  expect([of(made, 'in-2').neighbours.above, of(made, 'in-3').neighbours.below]).toEqual([OPEN, OPEN]);
  // 1960 less 20 and 30, in three: 636.5, 636.5 and 637.
  expect(along(made, 'in-3', 'y')).toEqual([1343, 1980]);
});

test('a space that fits what stands in it is as high as that needs in the room there is', () => {
  const fits = divided('in', 'up', 2);
  fits.split?.spaces.splice(0, 1, space('in-1', { rule: { kind: 'fit', clearance: mm(30) }, things: [{ thing: 'tin', count: 27 }] }));
  // 300 less 10 deep are two tins behind each other, 960 nine beside each other: 27 are two layers of tins, where they may be stacked.
  const shop = workshop({ things: { tin: thing({ stack: 2 }) } });
  const made = dividedAs(fits, INSIDE, shop);
  expect(along(made, 'in-1', 'y')).toEqual([20, 250]);
  expect(of(made, 'in-1').blocks.map((b) => b.count)).toEqual([27]);
});

test('the same tree in another inside is divided anew, though the one before is kept', () => {
  const tree = divided('in', 'up', 2);
  expect(along(dividedAs(tree), 'in-1', 'y')).toEqual([20, 990]);
  const lower = {
    ...INSIDE,
    clear: { ...INSIDE.clear, height: size('high', mm(1020)) },
    neighbours: { ...INSIDE.neighbours, below: FLOOR },
  };
  const made = dividedAs(tree, lower);
  expect([along(made, 'in-1', 'y'), of(made, 'in-1').neighbours.below]).toEqual([[20, 520], FLOOR]);
  expect(along(dividedAs(tree), 'in-2', 'y')).toEqual([1010, 1980]);
});
