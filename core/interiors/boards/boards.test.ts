import { writeExactly } from '../../figure/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import { boxOf, type Member, type Split } from '../../piece/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { piece, space, stock, workshop } from '../../testing/samples.js';
import type { Boards } from './spec.js';

/** Boards of 10, 60 high. */
const boards = (extra: Partial<Boards> = {}): Boards => ({
  kind: 'boards',
  stock: 'wall',
  high: mm(60),
  ends: false,
  fit: ZERO,
  channel: ZERO,
  glued: true,
  ...extra,
});

const split = (axis: Split['axis'], making: Boards, id: string, count: number): Split => ({
  axis,
  making,
  members: Array.from({ length: count - 1 }, (_, i) => ({ id: `${id}-m${i + 1}` })),
  spaces: Array.from({ length: count }, (_, i) => space(`${id}-${i + 1}`)),
});

/** A tray of 960 across and 300 deep, in which nothing is brought to a grid. */
function tray(layout: Split, thick = 10): Solution {
  const shop = workshop({
    stock: { wall: stock({ name: 'wall', thickness: mm(thick) }) },
    settings: { rounding: { grid: mm(0.5), set: 'exact', leftover: 'last' }, kerf: mm(2.6) },
  });
  return solve(piece(space('in', { split: layout })), shop, {});
}

const boardsIn = ({ shape }: Solution) => shape.members.filter((m) => m.role === 'board');
const long = (m: Member | undefined) => (m ? toMm(m.length.value) : 0);
const facts = ({ shape }: Solution) => [...shape.facts.values()].flat();
const problem = ({ shape }: Solution, start: string) => shape.problems.find((p) => p.id.startsWith(start));

test('two boards make three lanes of 300: each lane has what is left by both, and each board goes from side to side', () => {
  const s = tray(split('deep', boards(), 'lane', 3));
  expect(boardsIn(s).map((m) => [long(m), toMm(m.width.value), toMm(m.thickness.value)])).toEqual([
    [960, 60, 10],
    [960, 60, 10],
  ]);
  // (300 − 2 x 10) / 3.
  for (const id of ['lane-1', 'lane-2', 'lane-3']) expect(toMm(s.shape.spaces.get(id)?.clear.depth.value ?? ZERO)).toBeCloseTo(280 / 3, 4);
});

test('with boards at both ends too the layout lifts out as one: four boards, and lanes of (300 − 40) / 3', () => {
  const s = tray(split('deep', boards({ ends: true }), 'lane', 3));
  expect(boardsIn(s)).toHaveLength(4);
  expect(toMm(s.shape.spaces.get('lane-2')?.clear.depth.value ?? ZERO)).toBeCloseTo(260 / 3, 4);
  const fronts = boardsIn(s).map((m) => toMm(boxOf(m).z1));
  expect(Math.max(...fronts) - Math.min(...boardsIn(s).map((m) => toMm(boxOf(m).z0)))).toBe(300);
});

test('pressed in, boards are short by the fit, half of it at each end', () => {
  const s = tray(split('deep', boards({ fit: mm(0.5), glued: false }), 'lane', 2));
  const [board] = boardsIn(s) as [Member];
  expect(long(board)).toBe(959.5);
  // The sides are 20 thick.
  expect([toMm(boxOf(board).x0), toMm(boxOf(board).x1)]).toEqual([20.25, 979.75]);
  const fit = facts(s).find((f) => f.name === 'fit');
  expect(writeExactly(fit?.remark ?? [])).toMatch(/not glued: keep the boards some days in the room/);
  expect(facts(tray(split('deep', boards(), 'lane', 2))).some((f) => f.name === 'fit')).toBe(false);
});

describe('cross pieces in a lane', () => {
  /** Three lanes, of which one has two compartments in channels 3 deep. */
  const withCross = (lane: number, fit = ZERO) => {
    const layout = split('deep', boards({ channel: mm(3) }), 'lane', 3);
    const own = layout.spaces[lane];
    if (own) own.split = split('across', boards({ channel: mm(3), fit }), 'cell', 2);
    return tray(layout);
  };
  const crossIn = (s: Solution) => boardsIn(s).find((m) => m.node === 'cell-m1');
  const lanesOf = (s: Solution) => boardsIn(s).filter((m) => m.node.startsWith('lane'));

  test('between two boards go into both: longer by both channels, a housing of 3 by 10 in the face of each that looks at it', () => {
    const s = withCross(1);
    expect(long(crossIn(s))).toBeCloseTo(280 / 3 + 6, 4);
    for (const board of lanesOf(s)) {
      const [channel, more] = board.features;
      if (channel?.kind !== 'housing') throw new Error('no channel');
      expect(more).toBeUndefined();
      expect(toMm(channel.depth)).toBe(3);
      // Compartments of (960 − 10) / 2 = 475 on both sides of it.
      expect([toMm(channel.region.u0), toMm(channel.region.u1)]).toEqual([475, 485]);
    }
    expect(new Set(lanesOf(s).map((m) => (m.features[0] as { face: string }).face)).size).toBe(2);
  });

  test('at the wall of the tray only butt: longer by one channel', () => {
    const s = withCross(0);
    expect(long(crossIn(s))).toBeCloseTo(280 / 3 + 3, 4);
    expect(lanesOf(s).map((m) => m.features.length)).toEqual(expect.arrayContaining([1, 0]));
  });

  test('the passes of the blade for a channel end where it ends, and each takes no more than the blade', () => {
    const remark = facts(withCross(1)).find((f) => f.name.startsWith('channel for'))?.remark ?? [];
    const [, passes, fences = ''] = /(\d+) passes of the blade, fence at (.*)\./.exec(writeExactly(remark)) ?? [];
    const at = fences.split(', ').map((f) => Number.parseFloat(f));
    // 10 wide by passes of 2.6: four, the last of which ends at 485.
    expect([Number(passes), at.length]).toEqual([4, 4]);
    expect([at[0], (at.at(-1) ?? 0) + 2.6]).toEqual([475, 485]);
    at.slice(1).forEach((f, i) => expect(f - (at[i] as number)).toBeLessThanOrEqual(2.6));
  });

  test('cut so small that they come out of both channels they are told, with a fit that holds', () => {
    const told = problem(withCross(1, mm(6)), 'board-slips-');
    expect(told?.stops).toBe(true);
    const edit = told?.fixes[0]?.edit;
    if (edit?.kind !== 'making') throw new Error('no fix');
    expect((edit.making as Boards).fit).toBeLessThan(mm(6));
    expect(problem(withCross(1, mm(0.5)), 'board-slips-')).toBeUndefined();
  });
});

test('strips of a board: twenty of 60 with 19 cuts of 2.6 come from 1250', () => {
  const strips = facts(tray(split('deep', boards(), 'lane', 2))).find((f) => f.name === 'strips');
  expect(writeExactly(strips?.remark ?? [])).toMatch(/^20 strips of 60 mm come from one wall 1250 mm wide/);
});

test('boards under 12 may warp, and are told; at 12 they are not', () => {
  expect(problem(tray(split('deep', boards(), 'lane', 2), 11.9), 'boards-thin-')?.stops).toBe(false);
  expect(problem(tray(split('deep', boards(), 'lane', 2), 12), 'boards-thin-')).toBeUndefined();
});

test('boards that are higher than the space are a stop, with the height that goes in', () => {
  const told = problem(tray(split('deep', boards({ high: mm(1961) }), 'lane', 2)), 'boards-high-');
  expect(told?.stops).toBe(true);
  const edit = told?.fixes[0]?.edit;
  expect(edit?.kind === 'making' && (edit.making as Boards).high).toBe(mm(1960));
  expect(problem(tray(split('deep', boards({ high: mm(1960) }), 'lane', 2)), 'boards-high-')).toBeUndefined();
});
