import { writeExactly } from '../core/figure/index.js';
import { toMm, mm } from '../core/length/index.js';
import { boxOf, massMiddleOf, type Member, type Outline } from '../core/piece/index.js';
import type { PanelCase } from '../core/shells/index.js';
import { boughtFor, solve } from '../core/solution/index.js';
import { PRINT_SHED } from './print-shed.js';
import { solved } from './solved.js';

const s = solved('exposure-unit');
const member = (id: string) => s.shape.members.find((m) => m.id === id) as Member;
const fact = (space: string, name: string) => toMm(s.shape.facts.get(space)?.find((f) => f.name === name)?.figure?.value ?? mm(0));

test('an exposure unit: the lamp box wants 552 inside, the packs 510, overall 588; all cross panels are 552', () => {
  expect([fact('lamp', 'needed across'), fact('power', 'needed across')]).toEqual([552, 510]);
  expect(toMm(s.shape.overall.width.value)).toBe(588);
  expect(['case/bottom/1', 'lamp-panel/shelf/1', 'lid/rail/1'].map((id) => toMm(member(id).length.value))).toEqual([552, 552, 552]);
});

test('its lid is 549, 1.5 free at each side; packed off the back by 18 it opens to 92.9° against the wall, and a stay holds it at 92°', () => {
  expect(toMm(member('case/top/1').length.value)).toBe(549);
  // Behind it the back of 6, the rail of 18 and 1.5; before them 520 + 6 − 1.5 − 25.5 of lid.
  const [behind, deep] = [6 + 18 + 1.5, 520 + 6 - 1.5 - 25.5];
  expect([toMm(boxOf(member('case/top/1')).z0), toMm(member('case/top/1').width.value)]).toEqual([behind, deep]);
  const most = 90 + (Math.asin(behind / deep) * 180) / Math.PI;
  expect(s.shape.facts.get('inside')?.map((f) => writeExactly(f.remark ?? []))).toContain(
    `Against a wall the lid opens by ${most.toFixed(1)}° before it meets it.`,
  );
  expect(s.checks.find((c) => c.id === 'lid-opens')?.state).toBe('fine');
  expect(
    boughtFor(s)
      .filter((b) => /hinge|stay/.test(b.what))
      .map((b) => [b.what, b.count]),
  ).toEqual([
    ['hinges', 3],
    ['lid stay', 1],
  ]);
});

test('its sides of 700 by 520 have corners of 60: 2336.99 along each, 5141.4 of edging for both', () => {
  expect([toMm(member('case/side/left').length.value), toMm(member('case/side/left').width.value)]).toEqual([700, 520]);
  expect(fact('inside', 'along the edges of a side')).toBeCloseTo(2336.99, 2);
  expect(fact('inside', 'edging of both sides, to buy')).toBeCloseTo(5141.38, 2);
  // What is between them stands in 1.5 from the trim at the front, and over and under it where the corners are.
  expect(toMm(boxOf(member('case/side/left')).z1) - toMm(boxOf(member('lamp-panel/shelf/1')).z1)).toBe(1.5);
});

test('its controls take 34 under their panel, and the back stops 80 over the bottom', () => {
  expect(fact('lamp', 'clear under what it stands on')).toBe(34);
  expect(toMm(boxOf(member('case/back/1')).y0) - toMm(boxOf(member('case/bottom/1')).y1)).toBe(80);
  expect(s.checks.filter((c) => c.severity === 'stop')).toEqual([]);
});

test('cables come out: under the back behind the packs, and by a hole of 60 in it behind the lamp', () => {
  const back = member('case/back/1');
  expect(back.holes).toHaveLength(1);
  // Only the lamp's space is closed behind; the hole is 15 over its floor of 362, in the middle of 588.
  const whole = 588 * (640 - 158) * 6;
  expect(massMiddleOf(back).volume).toBeCloseTo(whole - Math.PI * 30 ** 2 * 6, -3);
  const [hole] = back.holes ?? [];
  const solid = { ...back, outline: hole as Outline, holes: [] };
  expect(
    massMiddleOf(solid)
      .middle.slice(0, 2)
      .map((v) => Math.round(v)),
  ).toEqual([294, 362 + 15 + 30]);
  const { cables: _, ...closed } = PRINT_SHED.pieces['exposure-unit']?.piece as PanelCase;
  void _;
  const told = solve(closed, s.workshop, s.letters).shape.problems.find((p) => p.id === 'cables');
  expect([writeExactly(told?.sentence ?? []), told?.fixes.length]).toEqual([
    'The cables of lamp box have no way out: the back is closed behind it.',
    1,
  ]);
});

test('an access bar before the packs, 550 long between 552, lifts by what is over it: 266 − 120', () => {
  const bar = member('access-bar/rail/1');
  expect([toMm(bar.length.value), toMm(bar.width.value)]).toEqual([550, 120]);
  const b = boxOf(bar);
  // On the bottom, flush with the fronts of the panels.
  expect([b.x0, b.y0, b.z1].map(toMm)).toEqual([19, 78, 524.5]);
  const body = s.shape.bodies.find((one) => one.id === 'access-bar');
  expect(body?.motion.kind === 'slide' && toMm(body.motion.travel.value)).toBe(266 - 120);
  expect(s.checks.filter((c) => c.id.startsWith('hits') || c.id.startsWith('overlap'))).toEqual([]);
  expect(boughtFor(s).find((one) => one.what === 'magnetic catches')?.count).toBe(2);
  const piece = PRINT_SHED.pieces['exposure-unit']?.piece as PanelCase;
  const high = solve({ ...piece, bar: { ...(piece.bar as NonNullable<PanelCase['bar']>), wide: mm(300) } }, s.workshop, s.letters);
  expect(high.shape.problems.map((p) => [p.id, p.fixes.length])).toEqual([['bar-high', 1]]);
});
