import { toMm, mm, type Length } from '../../length/index.js';
import { boxOf } from '../../piece/index.js';
import type { Solution } from '../../solution/index.js';
import { chest, drawers } from '../../testing/chest.js';
import type { Drawers } from './index.js';

/** How long and wide the parts of the second of three drawers are, mm, by their roles. */
function partsOf(s: Solution): Readonly<Record<string, readonly [number, number]>> {
  const own = s.shape.members.filter((m) => m.id.startsWith('d2/'));
  return Object.fromEntries(own.map((m) => [m.id.replace('d2/', ''), [toMm(m.length.value), toMm(m.width.value)]]));
}
function at(s: Solution, id: string): readonly (readonly [number, number])[] {
  const box = boxOf(s.shape.members.find((m) => m.id === id) as never);
  const pair = (a: Length, b: Length) => [toMm(a), toMm(b)] as const;
  return [pair(box.x0, box.x1), pair(box.y0, box.y1), pair(box.z0, box.z1)];
}

/** Three drawers in 960 x 1960 x 300: fronts of 20, boxes of 10 with 5 free at each side, 10 free behind. */
const made = (extra: Partial<Drawers> = {}) => chest(drawers(extra));
const boxed = (box: Partial<Drawers['box']>) => made({ box: { ...drawers().box, ...box } });

test('an inset drawer on wooden runners: front, walls, grooved bottom and runners, each by its own sum', () => {
  expect(partsOf(made())).toEqual({
    // 960 less 2 at each side; 1960 less four times 4, in three.
    'drawer-front/1': [956, 648],
    // 300 less the front of 20 and 10 behind; the front less 20.
    'drawer-side/left': [270, 628],
    'drawer-side/right': [270, 628],
    // 960 less 5 and a wall of 10 at each side.
    'drawer-end/front': [930, 628],
    'drawer-end/back': [930, 628],
    // The inside of 930 x 250 with 4 in each groove, less 1.
    'drawer-bottom/1': [937, 257],
    'runner/left': [280, 20],
    'runner/right': [280, 20],
  });
});

test('they lie in each other where they belong: the box 10 over the foot of its front, the bottom 8 over its own edge', () => {
  const s = made();
  // Under the second front: the bottom of the case, 4, the first front, 4.
  expect(at(s, 'd2/drawer-front/1')).toEqual([
    [22, 978],
    [676, 1324],
    [280, 300],
  ]);
  expect(at(s, 'd2/drawer-side/left')).toEqual([
    [25, 35],
    [686, 1314],
    [10, 280],
  ]);
  expect(at(s, 'd2/drawer-bottom/1')[1]).toEqual([694, 699]);
  // The runner fills what is between the foot of the front and the box.
  expect(at(s, 'd2/runner/left')).toEqual([
    [20, 40],
    [676, 686],
    [0, 280],
  ]);
});

test('with the sides between the ends those are as wide as the box, and the sides two walls shorter', () => {
  const parts = partsOf(boxed({ order: 'sides-between' }));
  expect([parts['drawer-end/front'], parts['drawer-side/left']]).toEqual([
    [950, 628],
    [250, 628],
  ]);
});

describe('the bottom', () => {
  test('in rebates is as large as in grooves, and lies at the foot of the walls', () => {
    const s = boxed({ bottom: { kind: 'rebate', depth: mm(4), slack: mm(1) } });
    expect(partsOf(s)['drawer-bottom/1']).toEqual([937, 257]);
    expect(at(s, 'd2/drawer-bottom/1')[1]).toEqual([686, 691]);
  });

  test('under the box is as large as that, and the walls are lower by it', () => {
    const parts = partsOf(boxed({ bottom: { kind: 'applied' } }));
    expect([parts['drawer-bottom/1'], parts['drawer-side/left']]).toEqual([
      [950, 270],
      [270, 623],
    ]);
  });

  test('of a tray is as large as the box, with strips round it as high as is said', () => {
    const parts = partsOf(boxed({ bottom: { kind: 'tray', strip: mm(40) } }));
    expect([parts['drawer-bottom/1'], parts['drawer-side/left'], parts['drawer-end/back']]).toEqual([
      [950, 270],
      [270, 40],
      [930, 40],
    ]);
  });
});

describe('the front', () => {
  test('lipped reaches over its opening all round, and stands before the case', () => {
    const s = made({ front: { kind: 'lipped', lip: mm(9), between: mm(27) } });
    // 960 and two lips; openings of (1960 - 54) / 3, set to 635, 635.5 and 635.5.
    expect(partsOf(s)['drawer-front/1']).toEqual([978, 653.5]);
    expect(at(s, 'd2/drawer-front/1')).toEqual([
      [11, 989],
      [673, 1326.5],
      [300, 320],
    ]);
  });

  test('left out gives its thickness to the box, its bottom and its runners', () => {
    const parts = partsOf(made({ front: { kind: 'none', between: mm(4), below: mm(4), above: mm(4) } }));
    expect(parts['drawer-front/1']).toBeUndefined();
    expect([parts['drawer-side/left'], parts['drawer-bottom/1'], parts['runner/left']]).toEqual([
      [290, 628],
      [937, 277],
      [300, 20],
    ]);
  });
});
