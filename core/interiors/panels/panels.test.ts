import { mm, toMm } from '../../length/index.js';
import { boxOf, type Axis } from '../../piece/index.js';
import { solve } from '../../solution/index.js';
import { divided, panels, piece, workshop } from '../../testing/samples.js';
import type { Panels } from './spec.js';

/** What divides a case of 960 x 1960 x 300 inside in two: how long and deep it is, and where its ends lie, mm. */
function panel(axis: Axis, shelves: Partial<Panels['shelves']>, dividers: Partial<Panels['dividers']> = {}) {
  const s = solve(piece(divided('in', axis, 2), { panels: panels(shelves, dividers) }), workshop(), {});
  const member = s.shape.members.find((m) => m.node === 'in-m1');
  if (!member) throw new Error('nothing divides it');
  const { x0, x1, y0, y1 } = boxOf(member);
  const ends = axis === 'up' ? [x0, x1] : [y0, y1];
  return { size: [toMm(member.length.value), toMm(member.width.value)], ends: ends.map((l) => toMm(l)), s };
}

test('a loose shelf is short at both ends and set back from the front', () => {
  expect(panel('up', { looseEnd: mm(1), setback: mm(10) })).toMatchObject({ size: [958, 290], ends: [21, 979] });
});

test('a housed one reaches into both sides, a butted one fits between them', () => {
  expect(panel('up', { fix: 'housed', housing: mm(5) })).toMatchObject({ size: [970, 300], ends: [15, 985] });
  expect(panel('up', { fix: 'butted' })).toMatchObject({ size: [960, 300], ends: [20, 980] });
});

test('a divider is as long as the inside is high, and as much more as it is housed', () => {
  expect(panel('across', {})).toMatchObject({ size: [1960, 300], ends: [20, 1980] });
  expect(panel('across', {}, { fix: 'housed', housing: mm(5) })).toMatchObject({ size: [1970, 300], ends: [15, 1985] });
});

test('a shelf is held at both its sides the way it is fixed, and a housing is cut into each', () => {
  const held = (fix: Panels['shelves']['fix']) => {
    const { s } = panel('up', { fix });
    const id = 'in-m1/shelf/1';
    const housings = s.parts.filter((p) => p.features.some((f) => f.kind === 'housing')).map((p) => p.member.id);
    return [s.shape.joints.filter((j) => j.carried === id).map((j) => [j.carrier, j.how]), housings];
  };
  const both = (how: string) => [
    ['case/side/left', how],
    ['case/side/right', how],
  ];
  expect(held('loose')).toEqual([both('pins'), []]);
  expect(held('butted')).toEqual([both('screws'), []]);
  expect(held('housed')).toEqual([both('housed'), ['case/side/left', 'case/side/right']]);
});
