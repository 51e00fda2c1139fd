import { mm } from '../length/index.js';
import type { Member, OutlineSide } from '../piece/index.js';
import { SHELF } from '../testing/examples.js';
import { aslantText } from './aslant.js';

type Corner = readonly [u: number, v: number, bulge?: number];

/** The shelf of 600 x 300 with these corners, one after the other from the left of its front edge, mm. */
function outlined(corners: readonly Corner[]): Member {
  const at = ([u, v]: Corner) => ({ u: mm(u), v: mm(v) });
  const [start, ...rest] = corners as readonly [Corner, ...Corner[]];
  const sides = [...rest, start].map((c): OutlineSide =>
    c[2] === undefined ? { kind: 'line', to: at(c) } : { kind: 'arc', to: at(c), bulge: c[2] },
  );
  return { ...SHELF, outline: { start: at(start), sides } };
}

const says = (...corners: readonly Corner[]) => aslantText(outlined(corners), { unit: 'mm', step: mm(0.1) });

describe('how the ends of an outline are sawn, in words', () => {
  test('nothing of a rectangle, nor of notches that are square', () => {
    expect(aslantText(SHELF, { unit: 'mm', step: mm(0.1) })).toEqual([]);
    expect(says([0, 0], [600, 0], [600, 300], [400, 300], [400, 250], [200, 250], [200, 300], [0, 300])).toEqual([]);
  });

  test('a parallelogram: atan(100 / 300) = 18.4°, 500 along each edge', () => {
    expect(says([0, 0], [500, 0], [600, 300], [100, 300])).toEqual(['both ends 18.4° off square and parallel; 500 along each edge']);
  });

  test('ends that are not parallel, each with its angle: atan(60 / 300) = 11.3° and atan(100 / 300) = 18.4°', () => {
    expect(says([60, 0], [500, 0], [600, 300], [0, 300])).toEqual([
      'left end 11.3° off square for ≈305.9, right end 18.4° off square for ≈316.2; 440 along the front edge, 600 along the rear edge',
    ]);
  });

  test('a point: two cuts of 250, 150 in 200 off the edge, 36.9°', () => {
    expect(says([0, 0], [400, 0], [600, 150], [400, 300], [0, 300])).toEqual([
      'right end from the front edge on: 36.9° off the edge for 250, then 36.9° off the edge for 250; 400 along each edge',
    ]);
  });

  test('a corner cut off: square for 240, then 60 in 80; the other one rounded by 40', () => {
    const quarter = Math.tan(Math.PI / 8);
    expect(says([40, 0], [600, 0], [600, 240], [520, 300], [0, 300], [0, 40], [40, 0, quarter])).toEqual([
      'left end from the rear edge on: square for 260, then round by 40, right end from the front edge on: square for 240, then 36.9° off the edge for 100; 560 along the front edge, 520 along the rear edge',
    ]);
  });

  test('an edge that runs aslant between two depths', () => {
    expect(says([0, 0], [600, 0], [600, 300], [500, 300], [300, 200], [100, 300], [0, 300])).toEqual([
      'rear edge aslant from 200 wide at 300 to 300 wide at 500 from the left end',
      'rear edge aslant from 300 wide at 100 to 200 wide at 300 from the left end',
    ]);
  });
});
