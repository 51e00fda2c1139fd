import { size } from '../figure/index.js';
import { mm, toMm } from '../length/index.js';
import { corneredOutline, rectangular, uprightFrame, type Corners, type Edges, type Point } from '../piece/index.js';
import { woodOf } from '../project/index.js';
import { workshop } from '../testing/samples.js';
import { edgedAlong } from './edging.js';

const ALL: Edges = { u0: 'banded', u1: 'banded', v0: 'banded', v1: 'banded' };
const FRONT: Partial<Edges> = { v1: 'banded' };

/** A side of 700 by 520 with its corners cut, or with an edge of its own at the front. */
function side(edges: Partial<Edges>, corners: Corners = {}, end: readonly Point[] = []) {
  const plain = rectangular({
    id: 'side',
    node: 'case',
    role: 'side',
    label: 'side',
    wood: woodOf(workshop(), 'ply'),
    length: size('long', mm(700)),
    width: size('wide', mm(520)),
    frame: uprightFrame({ x: mm(0), y: mm(0), z: mm(0) }),
    edges,
  });
  return { ...plain, outline: corneredOutline(mm(700), mm(520), corners, end) };
}
const along = (...of: Parameters<typeof side>) => toMm(edgedAlong(side(...of)));
const round = (by: number) => ({ is: 'round', by: mm(by) }) as const;
const point = (u: number, v: number): Point => ({ u: mm(u), v: mm(v) });

test('a rectangle: the edges that are covered', () => {
  expect(along(FRONT)).toBe(700);
  expect(along(ALL)).toBe(2 * 700 + 2 * 520);
  expect(along({})).toBe(0);
});

test('all round with corners of 60: 2336.99; along the front alone its two corners with it', () => {
  const corners = { u0v0: round(60), u1v0: round(60), u1v1: round(60), u0v1: round(60) };
  expect(along(ALL, corners)).toBeCloseTo(2 * (580 + 400) + 2 * Math.PI * 60, 3);
  expect(along(FRONT, corners)).toBeCloseTo(580 + Math.PI * 60, 3);
});

test('a front in steps of 300 and 150 with 400 under the step: up, in and up; aslant, its own length', () => {
  expect(along(FRONT, {}, [point(700, 300), point(400, 300), point(400, 520), point(0, 520)])).toBeCloseTo(300 + 220 + 400, 3);
  expect(along(FRONT, {}, [point(700, 220), point(0, 520)])).toBeCloseTo(Math.hypot(700, 300), 3);
});
