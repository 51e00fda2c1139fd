import { GRAVITY, type CarriedMember } from '../core/carry/index.js';
import { toMm, type Length } from '../core/length/index.js';
import { boxOf, type Member } from '../core/piece/index.js';
import { PRINT_SHED } from './print-shed.js';
import { solved } from './solved.js';
import { propertiesOf } from '../core/stock/index.js';
import { planeFrame, type FrameBar, type FrameNode } from '../core/testing/plane-frame.js';
import type { Solution } from '../core/solution/index.js';
import type { Frame } from '../core/shells/index.js';

/** How stiff a member on edge, or a post, is in the plane of the front: E taken 1.1 times where shear is counted beside it. */
function stiffness(m: Member, high: number, broad: number): Pick<FrameBar, 'EA' | 'EI' | 'kGA'> {
  const { elastic } = propertiesOf(m.stock);
  const E = elastic * 1000;
  return { EA: E * high * broad, EI: (1.1 * E * broad * high ** 3) / 12, kGA: (5 / 6) * ((1.1 * E) / 16) * high * broad };
}

const memberOf = (s: Solution, id: string) => s.shape.members.find((m) => m.id === id) as Member;
const carriedOf = (s: Solution, id: string) => s.carried.members.get(id) as CarriedMember;

/** From where to where a member lies across, mm. */
function acrossOf(s: Solution, id: string): readonly number[] {
  const { x0, x1 } = boxOf(memberOf(s, id));
  return [toMm(x0), toMm(x1)];
}

test('a long run: boards of 2400 and 1780, seams over posts and never in line, cross pieces 480 and 445 apart', () => {
  const s = solved('loft-shelf');
  const boards = (level: string) => ['1', '1-2'].map((n) => acrossOf(s, `${level}/rail/${n}`));
  expect(boards('loft-1')).toEqual([
    [0, 2400],
    [2400, 4180],
  ]);
  expect(boards('loft-2')).toEqual([
    [0, 1780],
    [1780, 4180],
  ]);
  const middles = s.shape.members
    .filter((m) => m.node === 'loft-1' && m.role === 'cross piece')
    .map((m) => (acrossOf(s, m.id)[0] as number) + 10.5)
    .sort((a, b) => a - b);
  // Five of 480 to the seam, and four of 445 on from it.
  expect(middles).toEqual([480, 960, 1440, 1920, 2400, 2845, 3290, 3735]);
  // The lowest space 610, then levels of 60 with 345 between them: 1885, and 235 under joists at 2120.
  for (const id of ['loft-boxes', 'loft-rolls', 'loft-high']) expect(toMm(s.shape.spaces.get(id)?.clear.height.value as Length)).toBe(345);
  expect(s.checks.filter((c) => c.severity === 'stop')).toEqual([]);
  // Without posts under them the seams hang in mid-air; what is offered puts them there.
  const posts = { ...(s.piece as Frame).posts };
  delete posts.middles;
  const bare = solved('loft-shelf', { kind: 'piece', patch: { posts } });
  const told = bare.shape.problems.find((p) => p.id === 'seams');
  const fix = told?.fixes[0]?.edit;
  const mended = fix?.kind === 'piece' ? (fix.patch as Partial<Frame>).posts?.middles?.map(toMm) : [];
  expect(mended).toEqual([1757.5, 2377.5]);
});

describe('the frame of a rail on posts, worked by stiffness', () => {
  test('a beam on two posts does what the closed form says: 5 w L⁴ / 384 EI, and half of the load on each', () => {
    const [L, w, E] = [900, 0.5, 9000];
    const I = (300 * 18 ** 3) / 12;
    const stiff = { EA: 1e9, EI: E * I, kGA: 1e12 };
    const nodes: FrameNode[] = [0, 1, 2, 3, 4].map((i) => ({ x: (L * i) / 4, y: 0, held: [i === 0, i === 0 || i === 4, false] as const }));
    const bars = [0, 1, 2, 3].map((i): FrameBar => ({ from: i, to: i + 1, ...stiff, perMm: w }));
    const { moves, reactions } = planeFrame(nodes, bars, []);
    expect(-(moves[2]?.[1] ?? 0)).toBeCloseTo(3.25520833, 6);
    expect(reactions.map((r) => r[1])).toEqual([225, 0, 0, 0, 225].map((n) => expect.closeTo(n, 6)));
  });

  test('the press stand: the front rail sags as the frame does, and each post takes as much', () => {
    // Spread over all of it rather than on its feet, which are nearly over the posts.
    const { top } = PRINT_SHED.pieces['press-stand']?.piece as Frame;
    const things = [{ thing: 'nipping-press', count: 1, at: 'spread' as const }];
    const s = solved('press-stand', { kind: 'piece', patch: { top: { ...top, things } } });
    const rail = memberOf(s, 'frame-top/rail/1');
    const posts = ['front-1', 'front-2'].map((p) => memberOf(s, `frame-top/inner-post/${p}`));
    const middles = posts.map((p) => (toMm(boxOf(p).x0) + toMm(boxOf(p).x1)) / 2);
    const { selfKg, standing, handed } = carriedOf(s, rail.id);
    const [x0, x1] = middles as [number, number];
    const onIt = (selfKg + standing.reduce((kg, o) => kg + o.kg, 0)) * GRAVITY;
    const parts = 8;
    const railBar = stiffness(rail, 95, 45);
    const postBar = stiffness(posts[0] as Member, 95, 45);
    const nodes: FrameNode[] = [
      ...Array.from({ length: parts + 1 }, (_, i) => ({ x: x0 + ((x1 - x0) * i) / parts, y: 605 })),
      { x: x0, y: 0, held: [true, true, true] },
      { x: x1, y: 0, held: [true, true, true] },
    ];
    // The rail lies on its posts, and turns there.
    const bars: FrameBar[] = [
      ...Array.from({ length: parts }, (_, i): FrameBar => ({ from: i, to: i + 1, ...railBar, perMm: onIt / (x1 - x0) })),
      { from: parts + 1, to: 0, ...postBar, hinged: [false, true] },
      { from: parts + 2, to: parts, ...postBar, hinged: [false, true] },
    ];
    // The side rails lie over the posts.
    const ends = handed.map((h) => h.newtons);
    const { moves, reactions } = planeFrame(nodes, bars, [ends[0] as number, ...Array<number>(parts - 1).fill(0), ends[1] as number]);
    const sag = (moves[0]?.[1] ?? 0) / 2 + (moves[parts]?.[1] ?? 0) / 2 - (moves[parts / 2]?.[1] ?? 0);
    expect((carriedOf(s, rail.id).bending?.sag.mm ?? 0) / sag).toBeCloseTo(1, 2);
    for (const [i, post] of posts.entries()) {
      const own = carriedOf(s, post.id);
      expect(reactions[parts + 1 + i]?.[1]).toBeCloseTo(own.total - own.selfKg * GRAVITY, 3);
    }
  });

  test('the loft shelf: a board of a rail over three posts gives to each of them what the frame does', () => {
    const s = solved('loft-shelf');
    for (const id of ['loft-1/rail/1', 'loft-1/rail/2']) {
      const rail = memberOf(s, id);
      const { handed, selfKg, supports } = carriedOf(s, id);
      const box = boxOf(rail);
      const [from, to] = [toMm(box.x0), toMm(box.x1)];
      const props = supports.map((p) => p.on?.at ?? 0).sort((a, b) => a - b);
      const first = Math.min(...props);
      // A node at each support, and every 10 mm or so between.
      const xs = [...new Set([...props, ...Array.from({ length: 241 }, (_, i) => first + ((to - first) * i) / 240)])].sort((a, b) => a - b);
      const at = (x: number) => xs.reduce((best, n, i) => (Math.abs(n - x) < Math.abs((xs[best] as number) - x) ? i : best), 0);
      const loads = xs.map(() => 0);
      const spread = (newtons: number, a: number, b: number) => {
        for (let k = 0; k < 400; k += 1) {
          const i = at(a + ((b - a) * (k + 0.5)) / 400);
          loads[i] = (loads[i] as number) + newtons / 400;
        }
      };
      spread(selfKg * GRAVITY, xs[0] as number, to);
      handed.forEach((h) =>
        h.on && !h.over ? spread(h.newtons, h.on.at, h.on.at) : spread(h.newtons, h.over?.from ?? from, h.over?.to ?? to),
      );
      const nodes = xs.map((x): FrameNode => ({ x, y: 0, held: [x === xs[0], props.includes(x), false] }));
      const bar = stiffness(rail, 45, 21);
      const { reactions } = planeFrame(
        nodes,
        xs.slice(1).map((_, i): FrameBar => ({ from: i, to: i + 1, ...bar })),
        loads,
      );
      const all = supports.reduce((sum, p) => sum + p.newtons, 0);
      for (const p of supports) expect(Math.abs((reactions[xs.indexOf(p.on?.at ?? 0)]?.[1] ?? 0) - p.newtons)).toBeLessThan(0.02 * all);
    }
  });
});
