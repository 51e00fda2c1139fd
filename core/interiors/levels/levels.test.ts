import { writeExactly } from '../../figure/index.js';
import { mm, toMm } from '../../length/index.js';
import { boxOf, type Member } from '../../piece/index.js';
import type { Frame } from '../../shells/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { NO_OVER, all, framePiece, given, shop } from '../../testing/frame-samples.js';
import { space } from '../../testing/samples.js';
import type { Level } from './spec.js';

/** Rails of 21 by 45 on edge out of boards 2400 long, a deck of 12 over them, cross pieces at most 550 apart, plates of 300 over seams. */
const light: Level = {
  rails: { stock: 'deal21', wide: mm(45), ...all },
  deck: { stock: 'ply12', goes: 'over', gap: mm(0) },
  cross: { most: mm(550) },
  splice: { stock: 'ply12', long: mm(300) },
};

/** A top of 4180 by 416 and one level under it, on inner posts, with posts where the seams are. */
function long(extra: Partial<Frame> = {}, level: Level = light): Solution {
  const interior = space('in', {
    split: {
      axis: 'up',
      making: { kind: 'levels', level },
      members: [{ id: 'low' }],
      spaces: [space('below'), space('above')],
    },
  });
  return solve(
    framePiece(interior, {
      width: given(4180),
      depth: given(416),
      height: given(1500),
      joined: 'end-on',
      posts: { stock: 'deal42', wide: mm(42), turned: 'across', middles: [mm(1759), mm(2379)] },
      top: { level, over: NO_OVER },
      ...extra,
    }),
    shop,
    {},
  );
}

const s = long();
const ofRole = (solution: Solution, role: Member['role'], node: string) =>
  solution.shape.members.filter((m) => m.role === role && m.node === node);
const lengths = (members: readonly Member[]) => members.map((m) => toMm(m.length.value));
const across = (members: readonly Member[]) => members.filter((m) => m.frame.u[0] === 1);
const ring = (solution: Solution) => solution.shape.spaces.get('in')?.posts?.ring;
const top = (solution: Solution) => solution.shape.members.find((m) => m.node !== 'low' && m.role === 'rail')?.node ?? '';

test('the ring of rails is as wide as the frame, and the posts that tie it stand outside', () => {
  expect(toMm(ring(s)?.width.value ?? mm(0))).toBe(4180);
  expect(toMm(ring(s)?.depth.value ?? mm(0))).toBe(416 - 2 * 42);
});

test('rails of 4180 are boards of 2400 and 1780, the seam on the other side in the level over it', () => {
  const [low, high] = [across(ofRole(s, 'rail', 'low')), across(ofRole(s, 'rail', top(s)))];
  for (const rails of [low, high]) expect(lengths(rails).sort()).toEqual([1780, 1780, 2400, 2400]);
  const firsts = (rails: readonly Member[]) => rails.filter((m) => toMm(boxOf(m).x0) === 0).map((m) => toMm(m.length.value));
  expect([firsts(low), firsts(high)]).toEqual([
    [2400, 2400],
    [1780, 1780],
  ]);
});

test('a plate of 300 lies over each seam, half on either board, on the inside of front and rear', () => {
  const plates = ofRole(s, 'splice plate', 'low');
  expect(plates.map((m) => [toMm(boxOf(m).x0), toMm(boxOf(m).x1)])).toEqual([
    [2250, 2550],
    [2250, 2550],
  ]);
  // The ring lies 42 in from front and rear, its rails are 21 and the plates 12 thick.
  const deep = plates.map((m) => [toMm(boxOf(m).z0), toMm(boxOf(m).z1)]).sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0));
  expect(deep).toEqual([
    [63, 75],
    [341, 353],
  ]);
  for (const m of plates) expect(toMm(m.width.value)).toBe(45);
});

test('cross pieces are 480 apart in the stretch of 2400 and 445 in that of 1780, one of them under the seam', () => {
  const middles = ofRole(s, 'cross piece', 'low').map((m) => (toMm(boxOf(m).x0) + toMm(boxOf(m).x1)) / 2);
  expect(middles).toEqual([480, 960, 1440, 1920, 2400, 2845, 3290, 3735]);
});

test('they go between both rails, and between both plates where these are', () => {
  const pieces = ofRole(s, 'cross piece', 'low');
  // 332 − 2 x 21, and 2 x 12 less.
  expect(lengths(pieces)).toEqual([290, 290, 290, 290, 266, 290, 290, 290]);
});

test('each is held by the board of the rail that it meets', () => {
  const held = (n: number) =>
    s.shape.joints
      .filter((j) => j.carried === ofRole(s, 'cross piece', 'low')[n]?.id)
      .map((j) => s.shape.members.find((m) => m.id === j.carrier));
  expect(held(0).map((m) => [m?.role, toMm(m?.length.value ?? mm(0))])).toEqual([
    ['rail', 2400],
    ['rail', 2400],
  ]);
  expect(held(7).map((m) => [m?.role, toMm(m?.length.value ?? mm(0))])).toEqual([
    ['rail', 1780],
    ['rail', 1780],
  ]);
  expect(held(4).map((m) => m?.role)).toEqual(['splice plate', 'splice plate']);
});

test('a deck of sheets that are long enough is in one piece for as long as they are, with its seams over those of the rails', () => {
  const decks = ofRole(s, 'deck', 'low');
  // Sheets are 2500 long: as 2400 and 1780 both go into one.
  expect(lengths(decks)).toEqual([2400, 1780]);
  expect(decks.every((m) => toMm(m.width.value) === 332)).toBe(true);
});

test('without plates nothing lies over a seam, and cross pieces are all of one length', () => {
  const { splice: _, ...plain } = light;
  void _;
  const bare = long({ top: { level: plain, over: NO_OVER } }, plain);
  expect(ofRole(bare, 'splice plate', 'low')).toEqual([]);
  expect(new Set(lengths(ofRole(bare, 'cross piece', 'low')))).toEqual(new Set([290]));
});

test('a plate that has no room beside the rail at the end is told, with how near its seam is', () => {
  const wide = { ...light, splice: { stock: 'ply12', long: mm(300) } };
  // 2500 wide leaves 100 past the seam, and 79 to the rail at the end.
  const near = long({ width: given(2500), posts: { stock: 'deal42', wide: mm(42), turned: 'across' } }, wide);
  const told = near.shape.problems.filter((p) => p.id.startsWith('splice-')).map((p) => writeExactly(p.sentence));
  expect(told.length).toBeGreaterThan(0);
  expect(told[0]).toMatch(/is 79 mm from the rail at its end, and half of a plate 300 mm long over it has no room there/);
  expect(s.shape.problems.filter((p) => p.id.startsWith('splice-'))).toEqual([]);
});

test('rails that lie flat are as broad as they were high, and the level is as much lower', () => {
  const flat = long({}, { ...light, rails: { ...light.rails, flat: true } });
  const [edge, laid] = [s, flat].map((x) => boxOf(across(ofRole(x, 'rail', 'low'))[0] as Member));
  expect([edge, laid].map((b) => b && [toMm(b.y1) - toMm(b.y0), toMm(b.z1) - toMm(b.z0)])).toEqual([
    [45, 21],
    [21, 45],
  ]);
});
