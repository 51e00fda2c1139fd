import { massOf } from '../core/carry/index.js';
import { writeExactly } from '../core/figure/index.js';
import { ZERO, toMm } from '../core/length/index.js';
import { boxOf, massMiddleOf, type Member } from '../core/piece/index.js';
import { type Grooves } from '../core/interiors/index.js';
import type { Solution } from '../core/solution/index.js';
import { solved } from './solved.js';

const member = (s: Solution, id: string) => s.shape.members.find((m) => m.id === id) as Member;
const fact = (s: Solution, name: string) => [...s.shape.facts.values()].flat().find((f) => f.name === name);
const stops = (s: Solution) => s.checks.filter((c) => c.severity === 'stop').map((c) => c.id);

test('a screen cabinet of 415 x 905 x 360: top and bottom of 401, 25 grooves, shelves and back of 394', () => {
  const s = solved('screen-cabinet');
  const long = (id: string) => toMm(member(s, id).length.value);
  // 385 between sides of 15, 8 into the rebate of each; 5 into each groove, and 1 of slack.
  expect([long('case/top/1'), long('case/bottom/1')]).toEqual([401, 401]);
  expect(toMm(member(s, 'case/back/1').width.value)).toBe(394);
  expect(long('screens/shelf/1')).toBe(394);
  expect(fact(s, 'grooves in each side')?.count?.amount).toBe(25);
  const cuts = member(s, 'case/side/left').features.filter((f) => f.kind === 'groove' && f.mate !== 'case/back/1');
  // The first 48 over the bottom of 15, the last 24 pitches of 32 over that.
  const places = cuts.map((f) => ('region' in f ? toMm(f.region.u0) : NaN));
  expect([places.length, Math.min(...places), Math.max(...places)]).toEqual([25, 63, 63 + 24 * 32]);
  expect(stops(s)).toEqual([]);
  // Moved to any other groove it stays as it is.
  const filling = s.piece.interior.filling as Grooves;
  const moved = solved('screen-cabinet', {
    kind: 'filling',
    space: 'screens',
    filling: { ...filling, shelves: [2, 5, 8, 11, 14, 17, 20, 25] },
  });
  expect(toMm(boxOf(member(moved, 'screens/shelf/25')).y0)).toBe(15 + 48 + 24 * 32);
  expect(stops(moved)).toEqual([]);
});

test('a roller wall case: a board of 120 as it measures, ripped at 45°; on the wall as heavy as it is', () => {
  const s = solved('roller-wall-case');
  // Of 17.6, not 18: (120 + 17.6 − k √2) / 2 with the blade of the shed.
  const kerf = toMm(s.workshop.settings.kerf ?? (240_000 as typeof s.shape.overall.width.value));
  expect(toMm(member(s, 'cleat/half/case').width.value)).toBeCloseTo((120 + 17.6 - kerf * Math.SQRT2) / 2, 4);
  expect(toMm(member(s, 'roller-shelf/shelf/1').width.value)).toBe(165);
  expect(toMm(member(s, 'tin-shelf/shelf/1').width.value)).toBeGreaterThan(200);
  const wood = s.shape.members.reduce((kg, m) => kg + massOf(m), 0);
  const things = [...s.carried.members.values()].reduce((kg, c) => kg + c.standing.reduce((k, x) => k + x.kg, 0), 0);
  expect(s.carried.floor / 9.81).toBeCloseTo(wood + things, 3);
  expect(s.checks.find((c) => c.id === 'hung')?.severity).toBe('good');
  expect(stops(s)).toEqual([]);
});

test('the brayer board: four fins over four studs, three bays of 432, shelves of 444 as deep as what stands on them', () => {
  const s = solved('brayer-board');
  const middles = ['wall-board/fin/left', 'fin-1/divider/1', 'fin-2/divider/1', 'wall-board/fin/right'].map((id) => {
    const { x0, x1 } = boxOf(member(s, id));
    return (toMm(x0) + toMm(x1)) / 2;
  });
  // 1560 less 96 at each end and four fins of 18 is three bays of 432; studs at 117, 567, 1017 and 1467 of a wall that it begins 12 along.
  expect(middles).toEqual([105, 555, 1005, 1455]);
  expect(s.checks.filter((c) => c.id === 'fin-on-stud').map((c) => writeExactly(c.sentence))).toEqual(
    [105, 1455, 555, 1005].map((at) => expect.stringContaining(`on the stud ${at} mm`)),
  );
  expect(toMm(member(s, 'inks-low/shelf/1').length.value)).toBe(444);
  expect([130, 165].map((deep, i) => toMm(member(s, `${['inks', 'brayers'][i]}-high/shelf/1`).width.value) - deep)).toEqual([0, 0]);
  // Aslant from 232.4 over the lower shelf to 130 under the upper one: a trapezium between two rectangles, of 18.
  const [low, high] = ['inks-low', 'inks-high'].map((id) => boxOf(member(s, `${id}/shelf/1`)));
  const [from, to] = [toMm(low?.y1 ?? ZERO) - 60, toMm(high?.y0 ?? ZERO) - 60];
  const fin = member(s, 'wall-board/fin/left');
  expect(massMiddleOf({ ...fin, features: [] }).volume / 18).toBeCloseTo(
    from * 232.4 + ((232.4 + 130) / 2) * (to - from) + 130 * (520 - to),
    -1,
  );
  expect(s.checks.find((c) => c.id === 'hung')?.severity).toBe('good');
  expect(stops(s)).toEqual([]);
});

test('the legs of the composing table: skirts between legs, stiff in their corners, as large as the bank on them', () => {
  const s = solved('composing-legs');
  expect([toMm(s.shape.overall.width.value), toMm(s.shape.overall.depth.value)]).toEqual([614, 1040]);
  const skirts = s.shape.members.filter((m) => m.role === 'rail').map((m) => toMm(m.length.value));
  // Less two legs of 42 each way.
  expect(skirts).toEqual([530, 530, 956, 956]);
  const blocks = s.shape.members.filter((m) => m.role === 'corner block');
  // Legs stand 15 in along each skirt of 27: 30 √2, and twice 27.
  expect(blocks.map((m) => toMm(m.length.value))).toEqual([1, 2, 3, 4].map(() => expect.closeTo(30 * Math.SQRT2 + 54, 4)));
  const racking = s.checks.find((c) => c.id === 'racking');
  // 2850 G² D, half of it and 0.9 for years, 43 of thread; aslant, half of 104; four of them over 588.
  const pull = 0.5 * 0.9 * 2850 * 0.6 ** 2 * 0.19 * (43 / 25.4) * 4.4482216;
  expect(writeExactly(racking?.sentence ?? [])).toContain(`${Math.round((4 * pull * Math.SQRT1_2 * 52) / 588)} N sideways`);
  expect([racking?.severity, stops(s)]).toEqual(['good', []]);
});
