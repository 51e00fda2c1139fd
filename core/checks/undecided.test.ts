import { writeExactly } from '../figure/index.js';
import { mm, toMm } from '../length/index.js';
import { solve, type Solution } from '../solution/index.js';
import { roomFor, isMeasured, valuesOf, type Opening } from '../survey/index.js';
import { divided, opening, piece, space, workshop } from '../testing/samples.js';

const blank = (value: number) => [{ place: 'middle', value: mm(value), assumed: true as const }];
const said = (s: Solution) => s.checks.map((c) => [c.severity, c.state, writeExactly(c.sentence)]);
const from = { from: 'opening' } as const;
const inIt = (o: Opening) =>
  solve(piece(divided('in', 'up', 2), { opening: 'gap', width: from, height: from, depth: from }), workshop({ opening: o }), {});

test('an opening that was not measured yet is asked for, and nothing is checked by what stands in', () => {
  const s = inIt(opening({ widths: blank(1200), heights: blank(2100), depths: blank(330) }));
  expect(s.shape.assumed).toEqual(['width', 'height', 'depth']);
  expect(said(s)).toEqual([
    [
      'look',
      'not checked',
      'Measure the width, height and depth of the opening. Until then 1200 mm by 2100 mm by 330 mm are assumed, and nothing is checked.',
    ],
  ]);
});

test('one reading is enough for its reach, and takes the place of all that stood in', () => {
  const o = opening({
    widths: [...blank(900), { place: 'low', value: mm(1205) }, { place: 'top', value: mm(1210) }],
    heights: blank(2100),
  });
  expect([isMeasured(o, 'width'), valuesOf(o, 'width').map(toMm), toMm(roomFor('gap', o, 'width').value)]).toEqual([
    true,
    [1205, 1210],
    1205,
  ]);
  const s = inIt(o);
  expect(s.shape.assumed).toEqual(['height']);
  expect(said(s)[0]?.[2]).toBe('Measure the height of the opening. Until then 2100 mm is assumed, and nothing is checked.');
});

test('with all measured it is judged', () => {
  const s = inIt(opening());
  expect([s.shape.assumed, s.checks.some((c) => c.id === 'undecided'), s.checks.length > 3]).toEqual([[], false, true]);
});

test('a piece that things should decide asks for them, and not for an opening', () => {
  const contents = { from: 'contents' } as const;
  const s = solve(piece(space('in'), { width: contents, height: contents, depth: contents }), workshop(), {});
  expect(said(s).map((c) => c[2])).toEqual([
    'Say what it must hold: nothing with a size stands in it yet, so nothing decides the width, height and depth. Until then 800 mm by 800 mm by 300 mm are assumed, and nothing is checked.',
  ]);
});

test('where no opening is chosen those that there are can be used', () => {
  const s = solve(piece(space('in'), { width: from }), workshop(), {});
  expect(s.checks.map((c) => [c.id, c.fixes.map((f) => writeExactly(f.label))])).toEqual([['undecided', ['Use gap']]]);
});
