import { size } from '../figure/index.js';
import { ZERO, mm, toMm } from '../length/index.js';
import {
  SQUARE_EDGES,
  facingFrame,
  flatFrame,
  onEdgeFrame,
  boxOf,
  rectangle,
  uprightFrame,
  type Box,
  type Frame,
  type Member,
} from '../piece/index.js';
import { box, stock } from '../testing/samples.js';
import { PIN, lengthBetween, pinHoles, reachAtEnd, recess } from './index.js';

const clear = size('clear', mm(575.1));
const ends = { housing: mm(6), looseEnd: mm(1) };

test.each([
  ['butted', 575.1, 0],
  ['housed', 587.1, 6],
  ['loose', 573.1, -1],
] as const)('between 575.1 a %s shelf is %d long and reaches %d past the face', (fix, length, reach) => {
  expect(toMm(lengthBetween(clear, { ...ends, fix }).value)).toBe(length);
  expect(toMm(reachAtEnd({ ...ends, fix }))).toBe(reach);
});

test('a loose shelf with no room at its ends is as long as the space', () => {
  expect(lengthBetween(clear, { fix: 'loose', housing: mm(6), looseEnd: ZERO })).toBe(clear);
});

function board(frame: Frame, length = 1000, width = 300): Member {
  return {
    id: 'board',
    node: 'board',
    role: 'side',
    label: 'board',
    stockId: 'ply',
    stock: stock(),
    outline: rectangle(mm(length), mm(width)),
    frame,
    length: size('long', mm(length)),
    width: size('wide', mm(width)),
    thickness: size('thick', mm(20)),
    purpose: { length: 'between', width: 'between' },
    features: [],
    edges: SQUARE_EDGES,
  };
}

const origin = { x: mm(100), y: mm(50), z: mm(300) };
test.each<[string, Frame, Box]>([
  ['upright', uprightFrame(origin), box(100, 120, 50, 1050, 300, 600)],
  ['flat', flatFrame(origin), box(100, 1100, 50, 70, 0, 300)],
  ['facing the front', facingFrame(origin), box(100, 1100, 50, 350, 300, 320)],
  ['on edge, front to back', onEdgeFrame(origin), box(80, 100, 50, 350, 300, 1300)],
])('a board of 1000 x 300 x 20, %s, lies in its box, and its frame is right-handed', (_, frame, expected) => {
  expect(boxOf(board(frame))).toEqual(expected);
  const [[a, b, c], [d, e, f]] = [frame.u, frame.v];
  expect([b * f - c * e, c * d - a * f, a * e - b * d].map((n) => n + 0)).toEqual([...frame.n]);
});

test('a housing lies where its mate does, kept inside the board', () => {
  const cut = recess('housing', board(uprightFrame(origin)), 'up', 'shelf', box(114, 700, 450, 470, 316, 700), mm(6));
  expect(cut).toEqual({
    kind: 'housing',
    face: 'up',
    mate: 'shelf',
    depth: mm(6),
    region: { u0: mm(400), u1: mm(420), v0: mm(16), v1: mm(300) },
  });
});

test('pins lie just under the shelf, 37 in from its front and rear, nearer on a narrow one', () => {
  const at = (z1: number) =>
    pinHoles(board(uprightFrame(origin)), 'down', 'shelf', box(120, 700, 450, 470, 300, z1)).map((f) =>
      f.kind === 'hole' ? [toMm(f.at.u), toMm(f.at.v)] : [],
    );
  expect(at(600)).toEqual([
    [397.5, 37],
    [397.5, 263],
  ]);
  expect(at(400)).toEqual([
    [397.5, 25],
    [397.5, 75],
  ]);
  expect(toMm(PIN.diameter)).toBe(5);
});

test('rows of pin holes go up and down by the pitch as far as 30 stay clear of what is over and under the shelf', () => {
  const rows = { pitch: mm(32), each: 3, from: mm(400), to: mm(580) };
  const holes = pinHoles(board(uprightFrame(origin)), 'down', 'shelf', box(120, 700, 450, 470, 300, 600), rows);
  // Its underside at 450 may go down to 430 and its upper face at 470 up to 550: 450, 482 and 514, less 2.5 and the 50 of the board.
  expect(holes.map((f) => (f.kind === 'hole' ? [toMm(f.at.u), toMm(f.at.v), f.spare ?? false] : []))).toEqual(
    [37, 263].flatMap((v) => [
      [397.5, v, false],
      [429.5, v, true],
      [461.5, v, true],
    ]),
  );
});
