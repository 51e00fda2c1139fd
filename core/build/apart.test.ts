import { size } from '../figure/index.js';
import { mm } from '../length/index.js';
import { cutBodiesOf, rectangular, type Direction, type Feature, type Member } from '../piece/index.js';
import { massOf } from '../solid/convex.js';
import { stock } from '../testing/samples.js';
import { orderOf } from './apart.js';

type Stretch = readonly [number, number];
const AXES: readonly Direction[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** A board that fills a box, mm: its thickness along `across`, its length and width along the next two axes in turn. */
function board(id: string, box: readonly [Stretch, Stretch, Stretch], across: 0 | 1 | 2, features: readonly Feature[] = []): Member {
  const [u, v] = [(across + 1) % 3, (across + 2) % 3] as [0 | 1 | 2, 0 | 1 | 2];
  const wide = (k: 0 | 1 | 2) => size('size', mm(box[k][1] - box[k][0]));
  const [x, y, z] = box.map(([from]) => mm(from)) as [ReturnType<typeof mm>, ReturnType<typeof mm>, ReturnType<typeof mm>];
  const frame = { origin: { x, y, z }, u: AXES[u] as Direction, v: AXES[v] as Direction, n: AXES[across] as Direction };
  const wood = { id: 'ply', stock: stock(), thickness: wide(across) };
  return rectangular({ id, node: id, role: 'side', label: id, wood, length: wide(u), width: wide(v), frame, features });
}

/** A groove along all of the length of a board, between two places across it, on its upper or lower face. */
const groove = (mate: string, face: 'up' | 'down', long: number, [v0, v1]: Stretch, depth: number): Feature => ({
  kind: 'groove',
  face,
  depth: mm(depth),
  mate,
  region: { u0: mm(0), u1: mm(long), v0: mm(v0), v1: mm(v1) },
});

/** Two sides 400 high and deep, 20 thick, 300 apart, with grooves 6 deep for a panel of 10 at half their depth: across x, along y and z. */
const left = board(
  'left',
  [
    [0, 20],
    [0, 400],
    [0, 400],
  ],
  0,
  [groove('panel', 'up', 400, [195, 205], 6)],
);
const right = board(
  'right',
  [
    [320, 340],
    [0, 400],
    [0, 400],
  ],
  0,
  [groove('panel', 'down', 400, [195, 205], 6)],
);
const panel = board(
  'panel',
  [
    [14, 326],
    [20, 380],
    [195, 205],
  ],
  2,
);
/** Below and above, between the sides, with the same groove: across y, along z and x. */
const across = (id: string, y: Stretch, face: 'up' | 'down') =>
  board(id, [[20, 320], y, [0, 400]], 1, [
    { kind: 'groove', face, depth: mm(6), mate: 'panel', region: { u0: mm(195), u1: mm(205), v0: mm(0), v1: mm(300) } },
  ]);
const tall = board(
  'panel',
  [
    [14, 326],
    [14, 386],
    [195, 205],
  ],
  2,
);
const [bottom, top] = [across('bottom', [0, 20], 'up'), across('top', [380, 400], 'down')];

const alone = (...members: readonly Member[]) => members.map((m) => [m]);
const ids = (order: ReturnType<typeof orderOf>) => order.map((g) => g.unit.map((m) => m.id).join('+'));

test('a groove takes its wood: 400 x 400 x 20 less 400 x 10 x 6', () => {
  expect(massOf(cutBodiesOf(left)).volume).toBeCloseTo(400 * 400 * 20 - 400 * 10 * 6, 3);
});

test('a panel in grooves of two sides that are open above goes in last, from above', () => {
  const order = orderOf(alone(left, right, panel), []);
  expect(ids(order)).toEqual(['left', 'right', 'panel']);
  expect(order[2]?.way).toEqual([0, -1, 0]);
});

test('in grooves all round it goes in before the last board, whatever was wanted', () => {
  for (const wanted of [
    [left, right, bottom, top, tall],
    [tall, top, bottom, right, left],
    [left, bottom, right, tall, top],
  ]) {
    const order = orderOf(alone(...wanted), []);
    expect(order.every((g) => g.way !== null)).toBe(true);
    expect(ids(order).indexOf('panel')).toBeLessThan(4);
  }
});

test('all four round it joined before, it has no way in, and what bars it is told', () => {
  const [stuck] = orderOf(alone(tall), [left, right, bottom, top]);
  expect(stuck?.way).toBeNull();
  expect(stuck?.barredBy.length).toBeGreaterThan(0);
});

test('the two frames of it ready, each of a side with a board across: one after the other still closes round it', () => {
  const order = orderOf([[left, bottom], [right, top], [tall]], []);
  expect(order.every((g) => g.way !== null)).toBe(true);
  expect(ids(order).at(-1)).not.toBe('panel');
});
