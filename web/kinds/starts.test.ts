/** @jest-environment node */
import { faultsIn } from '../../core/formats/index.js';
import type { LengthUnit } from '../../core/length/index.js';
import { type Piece } from '../../core/piece/index.js';
import { applyEdit, pieceSchema } from '../../core/kinds/index.js';
import { solve } from '../../core/solution/index.js';
import { newCase } from './panel-case/begin.js';
import { newFrame } from './frame/begin.js';
import { newInPlace } from './in-place/begin.js';
import { PLACE, fillEdit, means, onHand, workshopOf } from '../test/filled.js';
import { fillings } from './kinds.js';

/** What is said to go only into some spaces is put into those; all else into a case and a place that is there. */
type Case = readonly [what: string, unit: LengthUnit, filling: string, piece: Piece];
const CASES = (['mm', 'in'] as const).flatMap((unit) => {
  const frame: [string, Piece] = ['a frame', newFrame(onHand(unit))];
  const boxes: [string, Piece][] = [
    ['a case', newCase(onHand(unit))],
    ['a place that is there', newInPlace(onHand(unit), PLACE)],
  ];
  return fillings().flatMap(({ id, goesInto }): Case[] => {
    const into = ([, piece]: [string, Piece]) => {
      const space = solve(piece, workshopOf(unit, means(unit, piece)), {}).shape.spaces.get('inside');
      return space !== undefined && goesInto?.(space);
    };
    const pieces = goesInto ? [frame, ...boxes].filter(into) : boxes;
    if (pieces.length === 0) throw new Error(`${id} goes into nothing`);
    return pieces.map(([what, piece]) => [what, unit, id, piece]);
  });
});

test.each(CASES)('%s in %s is filled with %s: it is sound, and nothing stops its build', (_, unit, filling, piece) => {
  const with_ = means(unit, piece);
  const filled = applyEdit(piece, fillEdit(piece, 'inside', filling, with_));
  expect(faultsIn(pieceSchema(), filled)).toEqual([]);
  const solution = solve(filled, workshopOf(unit, with_), {});
  expect(solution.shape.members.length).toBeGreaterThan(2);
  // What it is to carry is not known yet, nor whether anyone sits on it, so loads, tipping and people may say more.
  const stops = solution.checks.filter((c) => c.severity === 'stop' && !/^(sag-|tips-|people)/.test(c.id));
  expect(stops.map((c) => c.id)).toEqual([]);
});

test('with nothing in the stockroom, or nothing to hold, it says what is missing', () => {
  const piece = newInPlace(onHand('mm'), PLACE);
  expect(() => fillEdit(piece, 'inside', 'drawers', { ...means('mm', piece), stock: [] })).toThrow(/put some into the stockroom/);
  expect(() => fillEdit(piece, 'inside', 'rack', { ...means('mm', piece), things: [] })).toThrow(/say what the cells are to hold/);
});
