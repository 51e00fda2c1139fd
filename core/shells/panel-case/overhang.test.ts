import { applyEdit } from '../../kinds/index.js';
import { writeExactly } from '../../figure/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import { boxOf, solidOfMember, type Member } from '../../piece/index.js';
import { overlapOf } from '../../solid/index.js';
import { solve, tapeThrough, type Solution } from '../../solution/index.js';
import { divided, opening, piece, workshop } from '../../testing/samples.js';
import { HUNG } from './ids.js';
import type { PanelCase } from './spec.js';

const shop = workshop();
const overhang = { sides: mm(25), front: mm(15) };
const over = (extra: Partial<PanelCase> = {}) => piece(divided('in', 'up', 3), { top: 'over', overhang, ...extra });
const solved = (extra?: Partial<PanelCase>) => solve(over(extra), shop, {});
const box = (s: Solution, id: string) => {
  const { x0, x1, y0, y1, z0, z1 } = boxOf(s.shape.members.find((m) => m.id === id) as Member);
  return [x0, x1, y0, y1, z0, z1].map(toMm);
};
const sizes = ({ shape: { overall } }: Solution) => [overall.width, overall.height, overall.depth].map((f) => toMm(f.value));

describe('a top over the sides that stands out past them', () => {
  test('overall sizes are those of the top; the case is 25 in at each side and 15 behind its front', () => {
    const [s, flush] = [solved(), solve(piece(divided('in', 'up', 3), { top: 'over' }), shop, {})];
    expect(sizes(s)).toEqual(sizes(flush));
    const [W, H, D] = sizes(s) as [number, number, number];
    expect(box(s, 'case/top/1')).toEqual([0, W, H - 20, H, box(flush, 'case/top/1')[4], D]);
    expect(box(s, 'case/side/left').slice(0, 2)).toEqual([25, 45]);
    expect(box(s, 'case/side/right').slice(0, 2)).toEqual([W - 45, W - 25]);
    for (const id of ['case/side/left', 'case/side/right', 'case/bottom/1', 'in-m1/shelf/1']) expect(box(s, id)[5]).toBe(D - 15);
    // What is between them is as much narrower: 50 and 15.
    const clear = (x: Solution) => x.shape.spaces.get('in')?.clear;
    expect(toMm(clear(s)?.width.value ?? ZERO)).toBe(toMm(clear(flush)?.width.value ?? ZERO) - 50);
    expect(toMm(clear(s)?.depth.value ?? ZERO)).toBe(toMm(clear(flush)?.depth.value ?? ZERO) - 15);
  });

  test.each<[string, Partial<PanelCase>]>([
    ['on a plinth', { base: { kind: 'plinth', height: mm(80), setback: mm(40), bearers: true } }],
    ['over a toe', { base: { kind: 'toe', height: mm(80), setback: mm(40), bearers: false } }],
    ['its bottom under the sides', { base: { kind: 'none' }, bottom: 'over' }],
    ['a back over the rear edges', { back: { kind: 'applied' } }],
  ])('%s nothing overlaps, and its tapes close', (_, extra) => {
    const s = solved(extra);
    const { members } = s.shape;
    members.forEach((a, i) => {
      for (const b of members.slice(i + 1))
        if (![...a.features, ...b.features].some((f) => f.mate === a.id || f.mate === b.id))
          expect([a.id, b.id, overlapOf(solidOfMember(a), solidOfMember(b)) > 0.01]).toEqual([a.id, b.id, false]);
    });
    for (const axis of ['across', 'up', 'deep'] as const) {
      const tape = tapeThrough(s, 'in', axis);
      expect(tape.lines.at(-1)?.far.value).toBe(tape.overall.value);
    }
    const [W, , D] = sizes(s) as [number, number, number];
    for (const m of members) {
      const [x0, x1, , , , z1] = box(s, m.id) as [number, number, number, number, number, number];
      if (m.id !== 'case/top/1') expect([x0 >= 25, x1 <= W - 25, z1 <= D - 15]).toEqual([true, true, true]);
    }
  });

  test('it hangs by a cleat as long as the case, and fills its opening with its top', () => {
    const hung = solved({ base: { kind: 'none' }, hung: { cleat: { stock: 'ply', wide: mm(100) } } });
    const [W] = sizes(hung) as [number];
    expect(box(hung, HUNG.case).slice(0, 2)).toEqual([25, W - 25]);
    const room = { ...shop, openings: new Map([['o', opening()]]) };
    const inIt = (extra: Partial<PanelCase>) =>
      sizes(solve(piece(divided('in', 'up', 3), { opening: 'o', width: { from: 'opening' }, ...extra }), room, {}))[0];
    expect(inIt({ top: 'over', overhang })).toBe(inIt({}));
  });

  test('the inside given, the top is as much wider', () => {
    const given = { width: { from: 'given', size: mm(600), of: 'inside' } } as const;
    expect(sizes(solved(given))[0]).toBe(600 + 2 * 20 + 2 * 25);
    expect(sizes(solved({ width: { from: 'given', size: mm(640), of: 'sides' } }))[0]).toBe(640 + 2 * 25);
  });

  test.each<[string, Partial<PanelCase>, number]>([
    ['between the sides', { top: 'between' }, 2],
    ['only so deep', { topDeep: mm(100) }, 1],
  ])('%s it stands out by nothing, and that is told', (_, extra, ways) => {
    const found = solved(extra).shape.problems.find((p) => p.id === 'overhang-idle');
    expect(writeExactly(found?.sentence ?? [])).toContain('does not');
    expect(found?.fixes.length).toBe(ways);
    for (const fix of found?.fixes ?? []) {
      const mended = solve(applyEdit(over(extra), fix.edit), shop, {});
      expect(mended.shape.problems.map((p) => p.id)).not.toContain('overhang-idle');
    }
  });
});
