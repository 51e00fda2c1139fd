/** @jest-environment node */
import { faultsIn } from '../../core/formats/index.js';
import { inch, mm, toMm, type Length, type LengthUnit } from '../../core/length/index.js';
import { type Piece } from '../../core/piece/index.js';
import { applyEdit, pieceSchema } from '../../core/kinds/index.js';
import type { Workshop } from '../../core/project/index.js';
import { solve } from '../../core/solution/index.js';
import type { Slide, Stock } from '../../core/stock/index.js';
import { newCase, newFrame, newInPlace, newSettings, newStock, newThing } from '../data/defaults.js';
import { fillings } from './kinds.js';
import { woodFor, type FillingWay, type Means } from './means.js';

const fillingOf = (id: string) => fillings().find((f) => f.id === id) as FillingWay;
const fillEdit = (piece: Piece, space: string, id: string, with_: Means) => fillingOf(id).fill(piece, space, with_);
const PLACE = { place: 'A cabinet', width: [800, 32], height: [600, 24], depth: [520, 20] } as const;

function means(unit: LengthUnit, piece: Piece, slides: readonly { id: string; data: Slide }[] = []): Means {
  const s = (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
  const sheet = (name: string, thickness: Stock['thickness']): { id: string; data: Stock } => ({
    id: name,
    data: { ...newStock(unit), name, thickness },
  });
  const size = (o: Piece['width']) => (o.from === 'given' ? o.size : s(500, 20));
  return {
    unit,
    stock: [sheet('thick', s(18, 3 / 4)), sheet('middling', s(12, 1 / 2)), sheet('thin', s(6, 1 / 4))],
    slides,
    things: [{ id: 'thing' }],
    clear: { width: size(piece.width), height: size(piece.height), depth: size(piece.depth) },
  };
}

const workshopOf = (unit: LengthUnit, with_: Means): Workshop => ({
  settings: newSettings(unit),
  openings: new Map(),
  things: new Map([['thing', newThing(unit)]]),
  stock: new Map(with_.stock.map((s) => [s.id, s.data])),
  people: new Map(),
  slides: new Map(),
});

/** What is said to go only into some spaces is put into those; all else into a case and a place that is there. */
type Case = readonly [what: string, unit: LengthUnit, filling: string, piece: Piece];
const CASES = (['mm', 'in'] as const).flatMap((unit) => {
  const frame: [string, Piece] = ['a frame', newFrame(unit, 'thick')];
  const boxes: [string, Piece][] = [
    ['a case', newCase(unit, 'thick', { kind: 'sizes' })],
    ['a place that is there', newInPlace(unit, 'thick', PLACE)],
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

test('drawers are put on the longest slide on hand that goes in, or on wooden runners where none does', () => {
  const piece = newInPlace('mm', 'thick', PLACE);
  const slide = (...lengths: number[]): { id: string; data: Slide } => ({
    id: 'ball',
    data: { name: 'Ball', lengths: lengths.map(mm), side: mm(12.7), height: mm(45), setback: mm(0), extension: 1 },
  });
  const runner = (slides: readonly { id: string; data: Slide }[]) => {
    const edit = fillEdit(piece, 'inside', 'drawers', means('mm', piece, slides));
    return edit.kind === 'fill' && edit.split?.making?.kind === 'drawers' ? edit.split.making.runner : null;
  };
  // 520 deep, 18 for the front, 10 behind: 492 is free.
  expect(runner([slide(400, 450, 500)])).toEqual({ kind: 'slide', slide: 'ball', length: mm(450) });
  expect(runner([slide(500, 600)])?.kind).toBe('wooden');
  expect(runner([])?.kind).toBe('wooden');
});

test('how many drawers, and which slide they run on, is asked: the first that goes in stands there, another or wood is taken', () => {
  const piece = newInPlace('mm', 'thick', PLACE);
  const slide = (id: string, ...lengths: number[]): { id: string; data: Slide } => ({
    id,
    data: { name: id, lengths: lengths.map(mm), side: mm(12.7), height: mm(45), setback: mm(0), extension: 1 },
  });
  const with_ = means('mm', piece, [slide('long', 500), slide('ball', 450), slide('plain', 300, 400)]);
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
  const piece = newInPlace('mm', 'thick', { ...PLACE, depth: [1040, 40] });
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

test('compartments in a lane take its boards, as high, and go into channels of them', () => {
  const tray = newInPlace('mm', 'thick', PLACE);
  const lanes = applyEdit(tray, fillEdit(tray, 'inside', 'lanes', means('mm', tray)));
  const [lane] = lanes.interior.split?.spaces ?? [];
  const edit = fillEdit(lanes, lane?.id as string, 'compartments', means('mm', lanes));
  const [outer, inner] = [lanes.interior.split?.making, edit.kind === 'fill' ? edit.split?.making : undefined];
  if (outer?.kind !== 'boards' || inner?.kind !== 'boards') throw new Error('both are of boards');
  expect([outer.ends, inner.ends, inner.high === outer.high, toMm(inner.fit)]).toEqual([true, false, true, 0]);
  // A quarter of boards of 12.
  expect([toMm(outer.channel), toMm(inner.channel)]).toEqual([0, 3]);
});

test('with nothing in the stockroom, or nothing to hold, it says what is missing', () => {
  const piece = newInPlace('mm', 'thick', PLACE);
  expect(() => fillEdit(piece, 'inside', 'drawers', { ...means('mm', piece), stock: [] })).toThrow(/put some into the stockroom/);
  expect(() => fillEdit(piece, 'inside', 'rack', { ...means('mm', piece), things: [] })).toThrow(/say what the cells are to hold/);
});

test('what it is made of is asked before it is put in: the nearest stands there, what is chosen is taken', () => {
  const piece = newInPlace('mm', 'thick', PLACE);
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
