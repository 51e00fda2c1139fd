import { applyEdit } from '../../kinds/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import { aslantText } from '../../parts/index.js';
import { boxOf, massMiddleOf, solidOfMember, type Member } from '../../piece/index.js';
import { overlapOf } from '../../solid/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { divided, piece, space, stock, workshop } from '../../testing/samples.js';
import type { PanelCase } from './spec.js';

const shop = workshop({ stock: { thick: stock({ name: 'ply 30', thickness: mm(30) }) } });
const solved = (extra: Partial<PanelCase>) => solve(piece(divided('in', 'up', 3), extra), shop, {});
const member = (s: Solution, id: string) => s.shape.members.find((m) => m.id === id) as Member;
const FOUR = ['case/side/left', 'case/side/right', 'case/top/1', 'case/bottom/1'];
const inset = (top: number, bottom: number) => ({ front: ZERO, rear: ZERO, top: mm(top), bottom: mm(bottom) });
const problems = (extra: Partial<PanelCase>) => solved(extra).shape.problems.map((p) => p.id);
const stops = (s: Solution) => s.checks.filter((c) => c.severity === 'stop' && !/^(racking|tips)/.test(c.id)).map((c) => c.id);

describe('housed', () => {
  const housed = { top: 'housed', bottom: 'housed', inset: inset(40, 60), rebate: mm(8) } as const;

  test('8 into each side, so far in from the ends', () => {
    const s = solved(housed);
    // 960 clear between sides of 20.
    expect([toMm(member(s, 'case/top/1').length.value), toMm(member(s, 'case/bottom/1').length.value)]).toEqual([976, 976]);
    const cuts = member(s, 'case/side/left').features.flatMap((f) => ('region' in f && f.kind === 'housing' ? [f] : []));
    expect(cuts.map((f) => [f.mate, toMm(f.region.u0), toMm(f.region.u1), toMm(f.depth)])).toEqual([
      ['case/top/1', 1940, 1960, 8],
      ['case/bottom/1', 60, 80, 8],
    ]);
    expect(stops(s)).toEqual([]);
    expect(s.shape.joints.filter((j) => j.carried === 'case/top/1').map((j) => j.how)).toEqual(['housed', 'housed']);
  });

  test('not at the very end of the sides: both ways out lead to a case that is sound', () => {
    const at = { ...housed, inset: inset(0, 60) };
    const [problem] = solved(at).shape.problems;
    expect(problem?.id).toBe('corner-top-housed');
    for (const fix of problem?.fixes ?? []) {
      const mended = applyEdit(piece(divided('in', 'up', 3), at), fix.edit);
      expect(solve(mended, shop, {}).shape.problems).toEqual([]);
    }
    // Over a toe the sides go on to the floor.
    expect(problems({ bottom: 'housed', base: { kind: 'toe', height: mm(80), setback: mm(50), bearers: false } })).toEqual([]);
  });
});

describe('mitred', () => {
  test.each([
    ['all of 20', {}],
    ['the top of 30 and the bottom of 20', { stock: { sides: 'ply', top: 'thick', back: 'thin', base: 'ply' } }],
  ] as const)('%s: four boards close the case without lying in each other', (_, extra) => {
    const s = solved({ top: 'mitred', bottom: 'mitred', ...extra });
    const four = FOUR.map((id) => member(s, id));
    const top = toMm(four[2]?.thickness.value ?? ZERO);
    // All that is between 1000 x 2000 and the clear inside of it, 300 deep, by another way than theirs.
    const inside = 960 * (2000 - 20 - top);
    expect(four.reduce((sum, m) => sum + massMiddleOf(m).volume, 0)).toBeCloseTo((1000 * 2000 - inside) * 300, 0);
    four.forEach((a, i) => four.slice(i + 1).forEach((b) => expect(overlapOf(solidOfMember(a), solidOfMember(b))).toBeLessThan(0.001)));
    // Each reaches both ends of the case with its long points.
    expect(four.map((m) => toMm(m.length.value))).toEqual([2000, 2000, 1000, 1000]);
    expect(stops(s)).toEqual([]);
    const [leftSide, , upper] = four;
    expect([toMm(boxOf(upper as Member).x0), toMm(boxOf(upper as Member).x1)]).toEqual([0, 1000]);
    expect(toMm(boxOf(leftSide as Member).y1)).toBe(2000);
  });

  test('the saw is told 45°, and the longer face', () => {
    const s = solved({ top: 'mitred', bottom: 'mitred' });
    const told = (id: string) => aslantText(member(s, id), { unit: 'mm', step: mm(0.1) });
    expect(told('case/top/1').map((t) => t.replace(/^(left|right) /, ''))).toEqual([
      'end bevelled by 45.0°, its upper face the longer',
      'end bevelled by 45.0°, its upper face the longer',
    ]);
    expect(told('case/side/left').every((t) => t.includes('45.0°') && t.includes('outside the longer'))).toBe(true);
    expect(s.shape.joints.filter((j) => j.carried === 'case/top/1').map((j) => j.how)).toEqual(['glued', 'glued']);
  });

  test.each<[string, Partial<PanelCase>]>([
    ['corner-top-inset', { top: 'mitred', inset: inset(20, 0) }],
    ['corner-bottom-toe', { bottom: 'mitred', base: { kind: 'toe', height: mm(80), setback: mm(50), bearers: false } }],
    ['corner-top-cut', { top: 'mitred', outline: { corners: { frontTop: { is: 'cut', by: mm(10) } } } }],
    ['corner-top-deep', { top: 'mitred', topDeep: mm(200) }],
  ])('%s is told, and its way out leads to a sound case', (id, extra) => {
    const [problem] = solved(extra).shape.problems.filter((p) => p.id.startsWith('corner-'));
    expect(problem?.id).toBe(id);
    const mended = applyEdit(piece(divided('in', 'up', 3), extra), problem?.fixes[0]?.edit as never);
    expect(solve(mended, shop, {}).shape.problems.filter((p) => p.id.startsWith('corner-'))).toEqual([]);
  });

  test('its ends stay square where it is not', () => {
    const s = solve(piece(space('in'), { top: 'mitred' }), shop, {});
    expect(member(s, 'case/bottom/1').ends ?? []).toEqual([]);
    expect(member(s, 'case/side/left').ends).toHaveLength(1);
  });
});
