import { faultsIn } from '../formats/index.js';
import { applyEdit, pieceSchema } from '../kinds/index.js';
import type { PieceEdit } from '../piece/index.js';
import { solve } from '../solution/index.js';
import { CASE, SHOP } from '../testing/examples.js';
import { divided, piece } from '../testing/samples.js';

/** A case of 1000 x 2000 x 300, all of 20, with a shelf half-way up: 960 are clear between its sides. */
const EMPTY = piece(divided('in', 'up', 2));
const [, UPPER] = EMPTY.interior.split?.spaces ?? [];

const after = (...edits: readonly PieceEdit[]) => solve(edits.reduce(applyEdit, EMPTY), SHOP, {});
const onShelf = (...edits: readonly PieceEdit[]) => after(...edits).carried.members.get('in-m1/shelf/1')?.standing ?? [];

const ALL: PieceEdit = { kind: 'piece', patch: { shelfLoad: 40 } };
const own = (load: number | null): PieceEdit => ({ kind: 'load', space: UPPER?.id ?? '', load });

test('a load entered for every shelf stands in place of what is assumed: 40 on a metre of 0.96', () => {
  expect(onShelf().map((s) => s.assumed)).toEqual(['stores']);
  expect(onShelf(ALL)).toMatchObject([{ kg: 38.4, from: 20, to: 980 }]);
  expect(onShelf(ALL)[0]).not.toHaveProperty('assumed');
});

test('a load of its own goes before that, none is none, and taken back all of the piece counts again', () => {
  expect(onShelf(ALL, own(100)).map((s) => s.kg)).toEqual([96]);
  expect(onShelf(ALL, own(0)).map((s) => s.kg)).toEqual([0]);
  expect(onShelf(ALL, own(100), own(null)).map((s) => s.kg)).toEqual([38.4]);
});

test('things in a space stand there besides its own load: two tins of 2 kg and 96', () => {
  const kg = (load: number) =>
    (solve(applyEdit(CASE, { kind: 'load', space: UPPER?.id ?? '', load }), SHOP, {}).carried.members.get('in-m1/shelf/1')?.standing ?? [])
      .map((s) => s.kg)
      .reduce((sum, one) => sum + one, 0);
  expect(kg(100)).toBe(100);
});

test('the sag is that of an even load: twice the load on a metre sags the shelf so much more', () => {
  const sag = (load: number) => after(own(load)).carried.members.get('in-m1/shelf/1')?.bending?.verdict.today.mm ?? 0;
  // What it weighs itself sags it too, so that differences count.
  expect((sag(60) - sag(40)) / (sag(40) - sag(20))).toBeCloseTo(1, 6);
});

test('it is kept by the schema, and refused where it is no load', () => {
  expect(faultsIn(pieceSchema(), applyEdit(applyEdit(EMPTY, ALL), own(12.5)))).toEqual([]);
  expect(faultsIn(pieceSchema(), applyEdit(EMPTY, own(-1)))).not.toEqual([]);
});
