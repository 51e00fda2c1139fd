import { massOf } from '../carry/index.js';
import { size } from '../figure/index.js';
import { Figure } from '../figure/index.js';
import { mm, toMm } from '../length/index.js';
import { woodOf } from '../project/index.js';
import { overlapOf } from '../solid/index.js';
import { SHELF } from '../testing/examples.js';
import { workshop } from '../testing/samples.js';
import {
  boxOf,
  flatFrame,
  isPlain,
  massMiddleOf,
  posed,
  rectangular,
  solidOfMember,
  statesOnTheWay,
  sweptBox,
  uprightFrame,
  type Body,
  type Member,
  type Outline,
} from './index.js';

const wood = woodOf(workshop(), 'ply');
const board = (length: number, width: number, extra: Partial<Member> = {}): Member => ({
  ...rectangular({
    id: 'b',
    node: 'b',
    role: 'shelf',
    label: 'board',
    wood,
    length: size('long', mm(length)),
    width: size('wide', mm(width)),
    frame: flatFrame({ x: mm(0), y: mm(0), z: mm(width) }),
  }),
  ...extra,
});
const at = (u: number, v: number) => ({ u: mm(u), v: mm(v) });
const line = (u: number, v: number) => ({ kind: 'line', to: at(u, v) }) as const;
const box = (m: Member) => Object.fromEntries(Object.entries(boxOf(m)).map(([key, value]) => [key, toMm(value)]));

test('a plain board is known by its three edges, and its box and solid agree', () => {
  const plain = board(500, 300);
  expect(isPlain(plain)).toBe(true);
  expect(box(plain)).toEqual({ x0: 0, x1: 500, y0: 0, y1: 20, z0: 0, z1: 300 });
  expect(massMiddleOf(plain)).toEqual({ volume: 500 * 300 * 20, middle: [250, 10, 150] });
  const turned = board(500, 300, { frame: uprightFrame({ x: mm(7), y: mm(0), z: mm(0) }) });
  expect(box(turned)).toEqual({ x0: 7, x1: 27, y0: 0, y1: 500, z0: 0, z1: 300 });
});

describe('a triangle of 300 by 400', () => {
  const outline: Outline = { start: at(0, 0), sides: [line(400, 0), line(0, 300), line(0, 0)] };
  const gusset = board(400, 300, { outline });

  test('weighs half of what it is cut from, its middle a third from its legs', () => {
    expect(isPlain(gusset)).toBe(false);
    const { volume, middle } = massMiddleOf(gusset);
    expect(volume).toBeCloseTo((400 * 300 * 20) / 2, 3);
    // v runs to the rear from a front at 300.
    expect(middle.map((m) => Math.round(m * 1000) / 1000)).toEqual([133.333, 10, 200]);
    expect(massOf(gusset)).toBeCloseTo(massOf(board(400, 300)) / 2, 9);
  });

  test('leaves room for another in the half that is not there', () => {
    const beside = board(400, 300, {
      outline,
      frame: { origin: { x: mm(400), y: mm(0), z: mm(0) }, u: [-1, 0, 0], v: [0, 0, 1], n: [0, 1, 0] },
    });
    expect(overlapOf(solidOfMember(gusset), solidOfMember(beside))).toBeLessThan(1e-6);
    expect(overlapOf(solidOfMember(gusset), solidOfMember(board(400, 300)))).toBeGreaterThan(15);
  });
});

test('an end cut at 45 degrees takes a corner off: its long point stays', () => {
  // The upper face ends 20 before the lower one.
  const half = Math.SQRT1_2;
  const mitred = board(500, 300, { ends: [{ normal: [half, 0, half], at: mm(500 * half) }] });
  expect(box(mitred)).toEqual({ x0: 0, x1: 500, y0: 0, y1: 20, z0: 0, z1: 300 });
  expect(massMiddleOf(mitred).volume).toBeCloseTo(500 * 300 * 20 - (20 * 20 * 300) / 2, 0);
});

describe('a lid hinged at its rear edge', () => {
  const lid = board(500, 300);
  const body: Body = {
    id: 'lid',
    label: 'lid',
    members: ['b'],
    spaces: [],
    motion: { kind: 'turn', at: { x: mm(0), y: mm(0), z: mm(0) }, axis: [1, 0, 0], angle: Figure.leaf('angle', -90, 'opens') },
    runsOn: { kind: 'plain', name: 'its hinges', rating: null },
  };

  test('stands upright when it is open, as heavy as before', () => {
    const [open] = posed([lid], [body], new Map([['lid', 1]])) as [Member];
    // What was to the front is up; its thickness of 20 lies behind the hinge.
    expect(box(open)).toEqual({ x0: 0, x1: 500, y0: 0, y1: 300, z0: -20, z1: 0 });
    expect(massOf(open)).toBeCloseTo(massOf(lid), 9);
    expect(posed([lid], [body], new Map([['lid', 0]]))[0]).toBe(lid);
  });

  test('comes past what stands in its quarter circle, and not past what stands beyond', () => {
    const meets = (y: number, z: number) => {
      const there = solidOfMember(board(10, 10, { frame: flatFrame({ x: mm(100), y: mm(y), z: mm(z) }) }));
      return statesOnTheWay(lid, body, []).some((s) => overlapOf(s.solid(), there) > 0.05);
    };
    expect(meets(200, 200)).toBe(true);
    // 300 x 300 is further from the hinge than the lid is deep.
    expect(meets(290, 290)).toBe(false);
    expect(toMm(sweptBox(lid, body, []).y1)).toBeCloseTo(300.7, 0);
  });
});

test('what a housing, a groove across it and a rebate took is not weighed, and where two cross it is gone once', () => {
  const region = (u0: number, u1: number, v0: number, v1: number) => ({ u0: mm(u0), u1: mm(u1), v0: mm(v0), v1: mm(v1) });
  const cut = (kind: 'housing' | 'groove', depth: number, at: ReturnType<typeof region>, slant?: number) =>
    ({ kind, face: 'up', depth: mm(depth), region: at, mate: 'other', ...(slant === undefined ? {} : { slant }) }) as const;
  const board = (features: Member['features']) => massMiddleOf({ ...SHELF, features });
  const { volume, middle } = massMiddleOf(SHELF);
  const housed = board([cut('housing', 6, region(0, 20, 0, 300))]);
  expect(housed.volume).toBe(volume - 20 * 300 * 6);
  // Its middle goes away from what is gone.
  expect(Math.abs(housed.middle[0] - middle[0])).toBeCloseTo((36_000 * (middle[0] - 30)) / (volume - 36_000), 6);
  const crossed = board([cut('housing', 6, region(0, 20, 0, 300)), cut('groove', 8, region(0, 600, 280, 290))]);
  expect(crossed.volume).toBe(volume - 36_000 - 600 * 10 * 8 + 20 * 10 * 6);
  // Aslant by a half over 300 its region is 150 longer than it is.
  expect(board([cut('housing', 6, region(100, 270, 0, 300), 0.5)]).volume).toBeCloseTo(volume - 20 * 300 * 6, 6);
});
