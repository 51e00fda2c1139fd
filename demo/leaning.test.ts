import { buildingOf, stepsOf } from '../core/build/index.js';
import { writeExactly } from '../core/figure/index.js';
import { machiningText } from '../core/parts/index.js';
import { workshopOf } from '../core/formats/index.js';
import { mm, toMm, type Length } from '../core/length/index.js';
import { boxOf, type Member, type Piece } from '../core/piece/index.js';
import { solve } from '../core/solution/index.js';
import { PRINT_SHED } from './print-shed.js';
import { solved } from './solved.js';

const s = solved('proof-display');
const member = (id: string) => s.shape.members.find((m) => m.id === id) as Member;
const fact = (name: string) => toMm(s.shape.facts.get('inside')?.find((f) => f.name === name)?.figure?.value ?? mm(0));
const SHELVES = ['lowest', 'second', 'third', 'highest'];

test('a proof display: sides of 1950 x 120 x 20 at 13° reach 1900 and stand 438.7 out', () => {
  expect(toMm(s.shape.overall.height.value)).toBeCloseTo(1900.0, 1);
  expect(fact('foot, out')).toBeCloseTo(438.7, 1);
  expect(fact('sides, along')).toBe(1950);
});

test('four shelves of 330 to 195, upper faces from 420 every 433.33 to 1720, 444.73 along the side', () => {
  const tops = SHELVES.map((id) => toMm(boxOf(member(`${id}/shelf/1`)).y1));
  expect(tops).toEqual([420, 420 + 1300 / 3, 420 + 2600 / 3, 1720].map((y) => expect.closeTo(y, 3)));
  expect(fact('from shelf to shelf, along the side')).toBeCloseTo(444.73, 2);
  expect(SHELVES.map((id) => toMm(member(`${id}/shelf/1`).width.value))).toEqual([330, 285, 240, 195]);
  expect(SHELVES.map((id) => toMm(member(`${id}/shelf/1`).length.value))).toEqual([656, 656, 656, 656]);
});

test('housings 8 deep are 18.47 along the side, from 412.6 on; plugs leave 7 under the heads of the screws', () => {
  expect(fact('housing, along the side')).toBeCloseTo(18.47, 2);
  const [part] = s.parts;
  if (!part) throw new Error('it has parts');
  const first = part.features.find((f) => f.kind === 'housing');
  // 402 / cos 13° from its level end to the lower face of the lowest shelf.
  expect(first && machiningText(first, part, { unit: 'mm', step: mm(0.1) })).toBe(
    'housing ≈18.5 long along the edges, 8 deep, on the inside, aslant by 13.0°, ≈412.6 along either edge from the lower end',
  );
  expect(fact('left under the head of a screw')).toBe(7);
  expect(s.checks.filter((c) => c.severity === 'stop')).toEqual([]);
});

test('a shelf that is so shallow that its bevel leaves nothing of it is told, and is no crash', () => {
  const kept = PRINT_SHED.pieces['proof-display'] as { piece: Piece };
  const piece = structuredClone(kept.piece);
  const shelf = piece.interior.split?.members.find((m) => m.id === 'second');
  if (!shelf) throw new Error('no second shelf');
  shelf.deep = 1 as Length;
  const { checks } = solve(piece, workshopOf(PRINT_SHED), {});
  expect(checks.find((c) => c.id.startsWith('uncuttable-second'))?.severity).toBe('stop');
});

test('its housings are set up as wide as the shelf is thick, square to the way they run, by a guide at 13°', () => {
  const says = stepsOf(s, buildingOf('proof-display')).flatMap((step) => step.setups.map((x) => writeExactly(x.says)));
  const housings = says.filter((text) => text.includes('housings'));
  expect(housings).toHaveLength(4);
  for (const text of housings)
    expect(text).toMatch(
      / (18|17\.9999\d*) mm wide, 13\.0° off square, on the inside, .* up the edges from the lower end: router, bit of 18 mm, 8 mm deep/,
    );
});
