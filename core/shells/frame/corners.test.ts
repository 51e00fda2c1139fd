import { fixingsOf, massOf } from '../../carry/index.js';
import { writeExactly } from '../../figure/index.js';
import { ZERO, mm, toMm, type Length } from '../../length/index.js';
import { boxOf, type Member } from '../../piece/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { NO_OVER, box, framePiece, given, level, shop, stops } from '../../testing/frame-samples.js';
import { space } from '../../testing/samples.js';
import type { Level } from '../../interiors/index.js';
import type { Frame } from './spec.js';

describe('what keeps the corners of a frame stiff', () => {
  const legs = (extra: Partial<Frame>) => solve(framePiece(space('in'), extra), shop, {});
  const said = (s: Solution) => s.checks.find((c) => c.id === 'racking');
  const top = (more: Partial<Level>): Frame['top'] => ({ level: { ...level('deal21', 70), ...more }, over: NO_OVER });

  test('corner blocks lie against their posts and end on both rails', () => {
    const s = legs({ top: top({ corners: { stock: 'deal21' } }) });
    const blocks = s.shape.members.filter((m) => m.role === 'corner block');
    // Posts stand in 24 along each rail of 21: 48 √2, and twice 21.
    expect(blocks.map((m) => toMm(m.length.value))).toEqual([1, 2, 3, 4].map(() => expect.closeTo(48 * Math.SQRT2 + 42, 4)));
    const reach = 48 + 21 * Math.SQRT2;
    const [front] = blocks.map((m) => boxOf(m));
    // Front left: from the inside of the left rail on, and up to the inside of the front one.
    expect([toMm(front?.x0 as Length), toMm(front?.x1 as Length)]).toEqual([expect.closeTo(21, 4), expect.closeTo(21 + reach, 4)]);
    expect([toMm(front?.z0 as Length), toMm(front?.z1 as Length)]).toEqual([expect.closeTo(479 - reach, 4), expect.closeTo(479, 4)]);
    // A trapezium of 48 √2 and that and 42, 21 thick and 70 high.
    expect(massOf(blocks[0] as Member) / 448).toBeCloseTo(((48 * Math.SQRT2 + 21) * 21 * 70) / 1e9, 8);
    expect(stops(s)).toEqual([]);
    // Half of 2850 G² D with G 0.40 on 39 of thread (a No. 10 of 60 through 21), 0.9 of it, aslant, at half of 70; four over 665.
    const pull = 0.5 * 0.9 * 2850 * 0.4 ** 2 * 0.19 * (39 / 25.4) * 4.4482216;
    const takes = (4 * pull * Math.SQRT1_2 * 35) / 665;
    expect(writeExactly(said(s)?.sentence ?? [])).toContain(`its corner blocks take ${takes.toFixed(1)} N sideways`);
  });

  test('corner blocks go only where rails meet at a post that stands in', () => {
    const bad = (extra: Partial<Frame>, more: Partial<Level> = {}) =>
      stops(legs({ top: top({ corners: { stock: 'deal21' }, ...more }), ...extra }));
    expect(bad({ joined: 'lapped' })).toContain('corners-frame-top');
    expect(bad({}, { rails: { ...level('deal21', 70).rails, left: false, right: false } })).toContain('corners-frame-top');
    expect(bad({ posts: { stock: 'deal21', wide: mm(21), turned: 'across' } })).toContain('corners-frame-top');
    expect(bad({ depth: given(160) })).toContain('corners-frame-top');
  });

  test('gussets are triangles between post and rail, each held by both; where no rail is over them they are told', () => {
    const braces: Frame['braces'] = [
      { at: 'ends', is: 'gusset', space: 'in', stock: 'ply12', wide: mm(150) },
      { at: 'rear', is: 'gusset', space: 'in', stock: 'ply12', wide: mm(150) },
    ];
    const s = legs({ top: top({}), braces });
    const gussets = s.shape.members.filter((m) => m.role === 'gusset');
    expect(gussets).toHaveLength(6);
    expect(gussets.every((m) => Math.abs(massOf(m) / 680 - (0.15 * 0.15 * 0.012) / 2) < 1e-9)).toBe(true);
    expect(s.shape.joints.filter((j) => j.carried === gussets[0]?.id).map((j) => j.carrier)).toEqual([
      'frame/post/rear-1',
      'frame-top/rail/3',
    ]);
    expect(stops(s)).toEqual([]);
    const taken = writeExactly(said(s)?.sentence ?? []).match(/gussets take ([\d.]+) N sideways.*gussets take ([\d.]+) N to the front/);
    // Two are closed by a push to the front, at both ends; one by a push sideways, at the rear alone.
    expect(Number(taken?.[2]) / Number(taken?.[1])).toBeCloseTo(2, 1);
    const bare = legs({ top: top({ rails: { ...level('deal21', 70).rails, rear: false } }), braces });
    expect(stops(bare)).toContain('brace-2');
  });

  test('rails let into posts lie on their shoulders, so that posts stand as much further out and keep the rest', () => {
    const on = (letIn: number | null) =>
      legs({
        joined: 'lapped',
        top: top({}),
        posts: { stock: 'deal45', wide: mm(45), turned: 'across', ...(letIn ? { letIn: mm(letIn) } : {}) },
      });
    const [flush, s] = [on(null), on(12)];
    expect([box(flush, 'frame/post/front-1').slice(0, 2), box(s, 'frame/post/front-1').slice(0, 2)]).toEqual([
      [21, 66],
      [9, 54],
    ]);
    const post = s.shape.members.find((m) => m.id === 'frame/post/front-1') as Member;
    const cut = Object.fromEntries(post.features.map((f) => [f.mate, [f.kind, 'depth' in f ? toMm(f.depth) : 0]]));
    // Half into its face for the rail across; from its edge, right through, for that from front to rear.
    expect(cut).toEqual({ 'frame-top/rail/1': ['housing', 12], 'frame-top/rail/3': ['notch', 45] });
    // The notch is sawn out of it, and the housing cut into it: 12 x 70 x 45 each less than 45 x 45 x 700.
    expect(massOf(post) / 448).toBeCloseTo((45 * 45 * 700 - 2 * 12 * 70 * 45) / 1e9, 8);
    const how = (of: Solution) => of.carried.members.get('frame-top/rail/1')?.supports.map((x) => x.how);
    expect([how(flush), how(s)]).toEqual([
      ['screws', 'screws'],
      ['housed', 'housed'],
    ]);
    expect(stops(s)).toEqual([]);
    expect(s.shape.problems.map((p) => p.id)).toEqual([]);
    expect(on(18).shape.problems.map((p) => [p.id, p.stops])).toEqual([['let-in', false]]);
    expect(stops(on(22))).toContain('let-in');
  });

  test('rails between posts are let in too: as much longer at each end, on a ledge as wide as that and as broad as the rail', () => {
    const on = (letIn: number, rail = 'deal21', turned: 'across' | 'deep' = 'across') =>
      legs({
        top: { level: { ...level(rail, 70, { stock: 'ply12', goes: 'over', gap: ZERO }) }, over: NO_OVER, people: 1 },
        posts: { stock: 'deal45', wide: mm(45), turned, letIn: mm(letIn) },
      });
    for (const turned of ['across', 'deep'] as const) {
      const s = on(12, 'deal21', turned);
      // 1000 − 2 × 45 + 2 × 12, and from the rear to the front 500 − 90 + 24.
      expect(box(s, 'frame-top/rail/1').slice(0, 2)).toEqual([33, 967]);
      expect(box(s, 'frame-top/rail/3').slice(4)).toEqual([33, 467]);
      const post = s.shape.members.find((m) => m.id === 'frame/post/front-1') as Member;
      expect(post.features.map((f) => [f.kind, 'depth' in f ? toMm(f.depth) : 0]).sort()).toEqual([
        ['housing', 12],
        ['housing', 21],
      ]);
      expect(stops(s)).toEqual([]);
      expect(s.shape.problems).toEqual([]);
      expect(s.checks.filter((c) => c.id.startsWith('overlap'))).toEqual([]);
      const rail = s.carried.members.get('frame-top/rail/1');
      // Between the middles of its ledges.
      expect(rail?.bending?.span).toBeCloseTo(934 - 12, 3);
      const [end] = rail ? fixingsOf(rail, new Map(s.shape.members.map((m) => [m.id, m])), shop.settings) : [];
      // Square to the grain 0.007 × 448 / 1.2 = 2.61 MPa, for long 0.7 / 1.3 of it, loads times 1.5, on 12 by 21.
      expect(end?.holds).toBeCloseTo(((2.61 * 0.7) / 1.3 / 1.5) * 12 * 21, 3);
    }
    // As thick as its posts, a rail is in a notch; posts of 45 with rails of 45 from two sides have no room for both.
    expect(stops(on(12, 'deal45'))).toContain('let-in-meet-frame-top');
  });

  test('a brace between posts that rails are lapped on goes from post to post', () => {
    const s = legs({
      joined: 'lapped',
      top: top({}),
      braces: [{ at: 'ends', is: 'diagonal', space: 'in', stock: 'deal21', wide: mm(40) }],
    });
    const brace = boxOf(s.shape.members.find((m) => m.id === 'frame/brace/left-1-1') as Member);
    // 21 of rail and 45 of post at the rear, and as much in front of 500.
    expect([toMm(brace.z0), toMm(brace.z1)]).toEqual([expect.closeTo(66, 4), expect.closeTo(434, 4)]);
  });
});
