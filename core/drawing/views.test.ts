import { ZERO, mm, toMm } from '../length/index.js';
import type { Space } from '../piece/index.js';
import { solve, type Solution } from '../solution/index.js';
import { chest, drawers } from '../testing/chest.js';
import { divided, piece, space, thing, workshop } from '../testing/samples.js';
import { cutThrough, drawPiece, extentOf, type Drawing, type PlainShape, type View } from './index.js';

type Placement = Space['things'][number];

const tins = (count: number, extra: Partial<Placement> = {}): Placement => ({ thing: 'tin', count, ...extra });

/** A case of 1000 x 2000 x 300 with one shelf, and so much on its bottom. */
function shelved(things: Placement[] = [], tin = thing()): Solution {
  const interior = divided('in', 'up', 2);
  const [lower] = interior.split?.spaces ?? [];
  (lower as Space).things = things;
  return solve(piece(interior), workshop({ things: { tin } }), {});
}

const of = ({ shapes }: Drawing, kind: PlainShape['of']['kind']) => shapes.filter((s) => s.of.kind === kind);
const at = (drawing: Drawing, id: string) => {
  const shape = drawing.shapes.find((s) => s.of.id === id);
  return shape ? extentOf(shape) : null;
};

test('from the front every member lies where its box does, to the tenth of a mm, and the drawing is as large as the case', () => {
  const s = shelved();
  const front = drawPiece(s, 'front', 'in');
  expect([front.left, front.width, front.height, front.datum]).toEqual([0, 1000, 2000, 0]);
  expect(at(front, 'case/side/left')).toEqual({ x0: 0, x1: 20, y0: 0, y1: 2000 });
  expect(at(front, 'case/side/right')).toEqual({ x0: 980, x1: 1000, y0: 0, y1: 2000 });
  expect(at(front, 'case/top/1')).toEqual({ x0: 20, x1: 980, y0: 1980, y1: 2000 });
  // The shelf of 20 parts 1960 in two halves of 970, from 20 up.
  expect(at(front, 'in-m1/shelf/1')).toEqual({ x0: 20, x1: 980, y0: 990, y1: 1010 });
});

test('the parts of a divided space are drawn and can be picked; the whole of it is not', () => {
  const ids = of(drawPiece(shelved(), 'front', 'in'), 'space').map((s) => s.of.id);
  expect(ids).toEqual(['in-1', 'in-2']);
});

test('from the side a section goes through the middle of the chosen space: depth across, what is not met is not there but a side behind', () => {
  const s = shelved();
  expect(toMm(cutThrough(s, 'in-1', 'side'))).toBe(500);
  const side = drawPiece(s, 'side', 'in-1');
  expect([side.width, side.height]).toEqual([300, 2000]);
  expect(at(side, 'in-m1/shelf/1')).toEqual({ x0: 0, x1: 300, y0: 990, y1: 1010 });
  expect(at(side, 'case/side/left')).toBeNull();
  const right = side.shapes.find((shape) => shape.of.id === 'case/side/right');
  expect(right?.hidden).toBe(true);
});

test('from above the front is at the foot: what lies under the cut, and what it meets', () => {
  const s = shelved([tins(1, { at: mm(100) })]);
  expect(toMm(cutThrough(s, 'in-1', 'top'))).toBe(505);
  const top = drawPiece(s, 'top', 'in-1');
  expect([top.width, top.height]).toEqual([1000, 300]);
  // At the front edge of the space and 100 along: at the foot of the drawing.
  const [tin] = of(top, 'thing');
  expect(tin && extentOf(tin)).toEqual({ x0: 120, x1: 220, y0: 0, y1: 100 });
  expect(at(top, 'case/side/left')).toEqual({ x0: 0, x1: 20, y0: 0, y1: 300 });
  expect(at(top, 'in-m1/shelf/1')).toBeNull();
});

describe('things in a space', () => {
  const boxesOf = (s: Solution, view: View) =>
    of(drawPiece(s, view, 'in-1'), 'thing')
      .map(extentOf)
      .sort((a, b) => a.x0 - b.x0 || a.y0 - b.y0);

  test('stand one beside the other with what is left over evenly round their rows, on the bottom', () => {
    // Seven of 100, three behind each other in 300, are three across; in 960 they leave 660, half on either side.
    const boxes = boxesOf(shelved([tins(7)]), 'front');
    expect(boxes.map((b) => b.x0)).toEqual([350, 450, 550]);
    expect(new Set(boxes.map((b) => b.y0))).toEqual(new Set([20]));
  });

  test('as many are drawn in front as stand there: the last row may be short', () => {
    // Nine across, two rows of them in 300: five things in front of five.
    const s = shelved([tins(12)]);
    const [block] = s.shape.spaces.get('in-1')?.blocks ?? [];
    expect(boxesOf(s, 'front')).toHaveLength(Math.ceil(12 / (block?.rows ?? 0)));
  });

  test('round ones are round from above and upright from the front', () => {
    const jar = thing({ shape: { kind: 'cylinder', diameter: mm(90), height: mm(120) } });
    const s = shelved([tins(1, { at: ZERO })], jar);
    const kinds = (view: View) => of(drawPiece(s, view, 'in-1'), 'thing').map((shape) => shape.kind);
    expect([kinds('top'), kinds('front')]).toEqual([['circle'], ['rect']]);
    expect(boxesOf(s, 'top')).toEqual([{ x0: 20, x1: 110, y0: 0, y1: 90 }]);
    expect(boxesOf(s, 'front')).toEqual([{ x0: 20, x1: 110, y0: 20, y1: 140 }]);
  });

  test('very many are one box as large as all of them', () => {
    const small = thing({ shape: { kind: 'box', width: mm(10), height: mm(10), depth: mm(10) }, count: 10_000, stack: 10 });
    // 30 behind each other and ten high: 34 across, 340 in front, the sides of which are 960 − 340 apart in all.
    expect(boxesOf(shelved([tins(10_000)], small), 'front')).toEqual([{ x0: 330, x1: 670, y0: 20, y1: 120 }]);
  });
});

describe('drawers', () => {
  const s = chest(drawers());
  const frontOf = (drawing: Drawing, drawer: string) => drawing.shapes.find((shape) => shape.of.id === `${drawer}/drawer-front/1`);

  test('the front of the chosen one is looked through, and the others are not', () => {
    const front = drawPiece(s, 'front', 'd2');
    expect([frontOf(front, 'd1')?.hidden, frontOf(front, 'd2')?.hidden, frontOf(front, 'd3')?.hidden]).toEqual([false, true, false]);
  });

  test('drawn out they lie further to the front by just their way, and the drawing is wider by it', () => {
    const body = s.shape.bodies.find((b) => b.members.some((id) => id.startsWith('d1/')));
    if (body?.motion.kind !== 'slide') throw new Error('no drawer slides');
    const way = toMm(body.motion.travel.value);
    const [shut, out] = [drawPiece(s, 'side', 'd1'), drawPiece(s, 'side', 'd1', new Map([[body.id, 1]]))];
    const [before, after] = [shut, out].map((d) => {
      const shape = frontOf(d, 'd1');
      return shape ? extentOf(shape).x1 : Number.NaN;
    }) as [number, number];
    expect(after - before).toBeCloseTo(way, 6);
    expect(out.width - shut.width).toBeCloseTo(after - 300, 6);
    expect(frontOf(out, 'd2') && frontOf(shut, 'd2') && extentOf(frontOf(out, 'd2') as PlainShape).x1).toBe(before);
  });
});

test('a space that is not there is as the whole inside', () => {
  const s = solve(piece(space('in')), workshop(), {});
  expect(cutThrough(s, 'gone', 'side')).toBe(cutThrough(s, 'in', 'side'));
  expect(drawPiece(s, 'front', 'gone')).toEqual(drawPiece(s, 'front', 'in'));
});
