/** @jest-environment node */
import { applyEdit } from '../../../core/kinds/index.js';
import { mm, toMm, type Length } from '../../../core/length/index.js';
import { solve } from '../../../core/solution/index.js';
import type { Slide } from '../../../core/stock/index.js';
import { newInPlace } from '../in-place/begin.js';
import { PLACE, fillEdit, fillingOf, means, onHand, slideOf, workshopOf } from '../../test/filled.js';
import { woodFor } from '../means.js';

test('drawers are put on the longest slide on hand that goes in, or on wooden runners where none does', () => {
  const piece = newInPlace(onHand('mm'), PLACE);
  const runner = (slides: readonly { id: string; data: Slide }[]) => {
    const edit = fillEdit(piece, 'inside', 'drawers', means('mm', piece, slides));
    return edit.kind === 'fill' && edit.split?.making?.kind === 'drawers' ? edit.split.making.runner : null;
  };
  // 520 deep, 18 for the front, 10 behind: 492 is free.
  expect(runner([slideOf('ball', 400, 450, 500)])).toEqual({ kind: 'slide', slide: 'ball', length: mm(450) });
  expect(runner([slideOf('ball', 500, 600)])?.kind).toBe('wooden');
  expect(runner([])?.kind).toBe('wooden');
});

test('how many drawers, and which slide they run on, is asked: the first that goes in stands there, another or wood is taken', () => {
  const piece = newInPlace(onHand('mm'), PLACE);
  const with_ = means('mm', piece, [slideOf('long', 500), slideOf('ball', 450), slideOf('plain', 300, 400)]);
  const { asks } = fillingOf('drawers');
  // 492 is free: what is only 500 long is not offered.
  // 600 by 150 each are four.
  expect(asks?.(with_)).toEqual([
    expect.objectContaining({ use: 'count', value: '4' }),
    expect.objectContaining({
      value: 'ball',
      choices: [
        expect.objectContaining({ id: 'ball' }),
        expect.objectContaining({ id: 'plain' }),
        { id: 'wooden runners', label: 'Wooden runners' },
      ],
    }),
  ]);
  const runner = (chosen: string) => {
    const edit = fillEdit(piece, 'inside', 'drawers', { ...with_, chosen: { slide: chosen } });
    return edit.kind === 'fill' && edit.split?.making?.kind === 'drawers' ? edit.split.making.runner : null;
  };
  expect(runner('plain')).toEqual({ kind: 'slide', slide: 'plain', length: mm(400) });
  expect(runner('wooden runners')?.kind).toBe('wooden');
  expect(asks?.({ ...with_, slides: [] })?.map((a) => a.use)).toEqual(['count']);
  const bank = fillEdit(piece, 'inside', 'drawers', { ...with_, chosen: { count: '1' } });
  expect(bank.kind === 'fill' && bank.split?.spaces.length).toBe(1);
});

test('drawers from both ends: two banks back to back, half of the depth each, that pull out their own way', () => {
  const piece = newInPlace(onHand('mm'), { ...PLACE, depth: [1040, 40] });
  const edit = fillEdit(piece, 'inside', 'drawers-both-ends', { ...means('mm', piece), chosen: { count: '3' } });
  const ends = edit.kind === 'fill' ? (edit.split?.spaces ?? []) : [];
  expect(ends.map((e) => [e.split?.spaces.length, e.split?.making?.kind === 'drawers' && e.split.making.face])).toEqual([
    [3, 'rear'],
    [3, 'front'],
  ]);
  const s = solve(applyEdit(piece, edit), workshopOf('mm', means('mm', piece)), {});
  // 1040 less 24 between them, halved.
  expect(ends.map((e) => toMm(s.shape.spaces.get(e.id)?.clear.depth.value as Length))).toEqual([508, 508]);
});

test('what it is made of is asked before it is put in: the nearest stands there, what is chosen is taken', () => {
  const piece = newInPlace(onHand('mm'), PLACE);
  const with_ = means('mm', piece);
  // Of 18, 12 and 6: the box of 15 is as near to either and takes the first; wooden runners, as there are no slides.
  const uses = fillingOf('drawers').uses(with_);
  expect(uses.map((use) => [use.label, woodFor(with_, use)])).toEqual([
    ['Boxes of', 'thick'],
    ['Drawer bottoms of', 'thin'],
    ['Fronts of', 'thick'],
    ['Runners of', 'thick'],
  ]);
  const edit = fillEdit(piece, 'inside', 'drawers', { ...with_, chosen: { box: 'middling' } });
  const making = edit.kind === 'fill' ? edit.split?.making : undefined;
  expect(making?.kind === 'drawers' ? making.stock : null).toEqual({ box: 'middling', bottom: 'thin', front: 'thick' });
});
