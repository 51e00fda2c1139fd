import { couldBecome, largestFromCut, shrunkTo } from '../core/build/index.js';
import { fromUnits, mm, toMm, type Length } from '../core/length/index.js';
import { writeExactly } from '../core/figure/index.js';
import { lostBySlope, type Part } from '../core/parts/index.js';
import { solve, type Solution } from '../core/solution/index.js';
import type { MadePart } from '../core/survey/index.js';
import { shopOf, solved } from './solved.js';

const asCut = (part: Part, off: { length?: number; width?: number } = {}): MadePart => {
  const planned = { length: part.cut.length.set, width: part.cut.width.set, thickness: part.thickness.value };
  return {
    piece: 'mat-stand',
    part: part.id,
    is: 'cut',
    ...planned,
    length: fromUnits(planned.length - mm(off.length ?? 0)),
    width: fromUnits(planned.width - mm(off.width ?? 0)),
    planned,
    at: '2026-05-04T18:00:00Z',
  };
};

/** A piece of the shed of which some parts are cut. */
function withCut(id: string, cut: (plan: Solution) => readonly MadePart[]): Solution {
  const plan = solved(id);
  return solve(plan.piece, { ...shopOf(id), made: new Map(cut(plan).map((m) => [m.part, m])) }, plan.letters);
}

const rails = (s: Solution) => s.parts.filter((p) => p.member.role === 'rail' && p.cut.length.set === mm(371));

test('the mat stand is made smaller from what is cut: rails 4.5 short make the frame as much narrower, and nothing is cut anew', () => {
  // Frame 455 wide, posts of 42: front rails 371 between them. Two came out 366.5.
  const stand = withCut('mat-stand', (plan) => plan.parts.map((p) => asCut(p, rails(plan).slice(0, 2).includes(p) ? { length: 4.5 } : {})));
  expect(rails(stand).length).toBeGreaterThan(2);
  expect(stand.checks.filter((c) => c.id.startsWith('made-') && c.severity === 'stop')).toHaveLength(2);
  const shrunk = largestFromCut(stand);
  expect(shrunk?.sizes.map((s) => [s.reach, toMm(s.was), toMm(s.size)])).toEqual([['width', 455, 450.5]]);
  expect(shrunk?.rework.anew).toEqual([]);
  // The other rails lose 4.5 of their length; those that were short lose nothing.
  const off = new Map(shrunk?.rework.parts.map((r) => [r.part.id, toMm(r.off.length)]));
  expect(rails(stand).map((p) => off.get(p.id))).toEqual([
    0,
    0,
    ...rails(stand)
      .slice(2)
      .map(() => 4.5),
  ]);
  // Parts that run from the front to the rear stay as they are.
  const side = stand.parts.find((p) => p.member.role === 'rail' && p.cut.length.set === mm(311));
  expect(off.get(side?.id ?? '')).toBe(0);
  // Cut parts only ever get smaller.
  for (const r of shrunk?.rework.parts ?? []) expect(Math.min(r.off.length, r.off.width)).toBeGreaterThanOrEqual(0);
  expect(shrunk?.rework.lost).toBeGreaterThan(0);
});

test('made lower on purpose: what each part loses, and what cannot follow', () => {
  const stand = withCut('mat-stand', (plan) => plan.parts.map((p) => asCut(p)));
  expect(largestFromCut(stand)).toBeNull();
  const height = stand.piece.height.from === 'given' ? stand.piece.height.size : (0 as Length);
  const lower = shrunkTo(stand, [{ reach: 'height', size: fromUnits(height - mm(40)) }]);
  const posts = lower.rework.parts.filter((r) => r.part.member.role === 'post');
  expect(posts.map((r) => toMm(r.off.length))).toEqual([40, 40, 40, 40]);
  expect(lower.rework.anew).toEqual([]);
  const higher = shrunkTo(stand, [{ reach: 'height', size: fromUnits(height + mm(10)) }]);
  expect(higher.rework.anew.filter((p) => p.member.role === 'post')).toHaveLength(4);
});

test('in the composing table the tape found 4.5 less between runners: drawers that are cut are told, those that are not have followed', () => {
  const table = solved('composing-table');
  const ends = table.parts.filter((p) => p.member.role === 'drawer end');
  const [one] = ends;
  if (!one) throw new Error('no drawer end');
  // It was cut by the plan of before the reading: 4.5 longer than what is asked now.
  const cut = withCut('composing-table', () => [{ ...asCut(one, { length: -4.5 }), piece: 'composing-table' }]);
  const told = cut.checks.find((c) => c.id === `made-${one.id}`);
  expect([told?.severity, told?.sentence.some((s) => typeof s === 'object' && s.kind === 'length' && s.length === mm(4.5))]).toEqual([
    'look',
    true,
  ]);
  expect(shrunkTo(cut, []).rework.parts.map((r) => toMm(r.off.length))).toEqual([4.5]);
});

test('a part that was spoiled becomes what loses least of it', () => {
  const plan = solved('ink-case');
  const shelf = plan.parts.find((p) => p.member.role === 'shelf' && p.cut.length.set === mm(587));
  const side = plan.parts.find((p) => p.member.role === 'side');
  if (!shelf || !side) throw new Error('no parts');
  // 587 x 304 cut 10 too short: the loose shelves of 573 x 304 come out of it with 4 to cut off.
  const short = { ...asCut(shelf, { length: 10 }), piece: 'ink-case' };
  const [first, ...rest] = couldBecome(short, shelf, plan.parts, new Map());
  expect([toMm(first?.part.cut.length.set ?? (0 as Length)), toMm(first?.off.length ?? (0 as Length)), rest.length]).toEqual([573, 4, 0]);
  // What is cut already is not cut again, and nothing comes out of a scrap.
  const loose = plan.parts.filter((p) => p.cut.length.set === mm(573));
  expect(couldBecome(short, shelf, plan.parts, new Map(loose.map((p) => [p.id, asCut(p)])))).toEqual([]);
  expect(couldBecome({ ...short, length: mm(80), width: mm(60) }, shelf, plan.parts, undefined)).toEqual([]);
  // Out of a side cut 50 too short three kinds come: the divider first, which is nearest to it.
  const bySide = couldBecome({ ...asCut(side, { length: 50 }), piece: 'ink-case' }, side, plan.parts, undefined);
  expect([bySide[0]?.part.member.role, bySide.length]).toEqual(['divider', 3]);
});

test('a side that came out as its reflection is what the other is to be; two of one hand are told', () => {
  const plan = solved('proof-display');
  const [left, right] = ['left', 'right'].map((at) => plan.parts.find((p) => p.id === `leaning/side/${at}`));
  if (!left || !right) throw new Error('no sides');
  const told = (...made: readonly MadePart[]) =>
    withCut('proof-display', () => made)
      .checks.filter((c) => c.id.startsWith('made-wrong-'))
      .map((c) => [c.severity, writeExactly(c.sentence)]);
  const displayed = (part: Part, wrong?: MadePart['wrong']) => ({ ...asCut(part), piece: 'proof-display', ...(wrong ? { wrong } : {}) });
  const [a, b] = [left, right].map((p) => `side ${p.letter}`);
  expect(told(displayed(left), displayed(right))).toEqual([]);
  expect(told(displayed(left, 'reflection'))).toEqual([
    ['stop', expect.stringContaining(`which is what ${b} is to be: take it for that, and cut ${a}`)],
  ]);
  expect(told(displayed(left, 'reflection'), displayed(right))).toEqual([['stop', expect.stringContaining(`came out the same as ${b}`)]]);
  const swapped = expect.stringContaining('take one for the other') as string;
  expect(told(displayed(left, 'reflection'), displayed(right, 'reflection')).map(([, s]) => s)).toEqual([swapped, swapped]);
  // It does for nothing that it was to be when the piece is made otherwise.
  const wrong = withCut('proof-display', () => [displayed(left, 'reflection')]);
  expect(shrunkTo(wrong, []).rework.anew.map((p) => p.id)).toEqual([left.id]);
  // One that has no other hand in its piece is cut anew.
  const alone = solved('ink-case').parts.find((p) => p.id === 'case/side/left') as Part;
  const [only] = withCut('ink-case', () => [{ ...asCut(alone), piece: 'ink-case', wrong: 'reflection' }]).checks;
  expect(writeExactly(only?.sentence ?? [])).toContain('with what is cut into it on the wrong side: cut it anew');
});

test('an end that slopes the wrong way costs twice what it runs back over the width', () => {
  const side = solved('proof-display').parts.find((p) => p.id === 'leaning/side/left');
  if (!side) throw new Error('no side');
  const cut = withCut('proof-display', () => [{ ...asCut(side), piece: 'proof-display', wrong: 'slope' }]);
  const told = cut.checks.find((c) => c.id === `made-wrong-${side.id}`);
  // 120 wide at 13° off plumb.
  const lost = 2 * 120 * Math.tan((13 * Math.PI) / 180);
  expect([told?.severity, told?.sentence.flatMap((s) => (typeof s === 'object' && s.kind === 'length' ? [toMm(s.length)] : []))]).toEqual([
    'stop',
    [expect.closeTo(lost, 2)],
  ]);
  // A board with square ends has none that could.
  const shelf = solved('ink-case').parts.find((p) => p.member.role === 'shelf');
  expect(shelf && lostBySlope(shelf.member)).toBeNull();
});
