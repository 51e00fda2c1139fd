/** @jest-environment node */
import { faultsIn } from '../../core/formats/index.js';
import { applyEdit, pieceSchema } from '../../core/kinds/index.js';
import type { LengthUnit } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import { solve, type Solution } from '../../core/solution/index.js';
import { newSettings, newThing } from '../data/defaults.js';
import { stockroomOf } from '../data/yard.js';
import { begunAs, type Card, type Idea } from './card.js';
import { cards } from './kinds.js';
import { sizes, type Means } from './means.js';

/** What a yard has, with all of a piece of one stock of it where that suits. */
function meansOf(unit: LengthUnit, first?: string): Omit<Means, 'clear'> {
  const all = stockroomOf(unit, 'yard');
  return {
    unit,
    first,
    stock: all.flatMap((r) => (r.kind === 'stock' ? [r] : [])),
    slides: all.flatMap((r) => (r.kind === 'slides' ? [r] : [])),
    things: [{ id: 'thing' }],
  };
}

/** A piece of a kind as it is begun in the shed, or of what builders make of it. */
function begun(card: Card, onHand: Omit<Means, 'clear'>, idea: Idea | null = null): { readonly piece: Piece; readonly solution: Solution } {
  const { unit } = onHand;
  const bare = begunAs(card, idea, onHand);
  const size = (o: Piece['width']) => (o.from === 'given' ? o.size : sizes(unit)(500, 20));
  const clear = { width: size(bare.width), height: size(bare.height), depth: size(bare.depth) };
  const piece = card.filling ? applyEdit(bare, card.filling.fill(bare, bare.interior.id, { ...onHand, clear })) : bare;
  const workshop = {
    settings: newSettings(unit),
    openings: new Map(),
    things: new Map([['thing', newThing(unit)]]),
    people: new Map(),
    stock: new Map(onHand.stock.map((s) => [s.id, s.data])),
    slides: new Map(onHand.slides.map((s) => [s.id, s.data])),
  };
  return { piece, solution: solve(piece, workshop, {}) };
}

const EACH = (['mm', 'in'] as const).flatMap((unit) => cards().map((card) => [card.name, unit, card] as const));

test.each(EACH)('%s in %s: nothing is red before the first reading, whatever stock of a yard it is begun with', (_, unit, card) => {
  const red = [undefined, ...meansOf(unit).stock.map((s) => s.id)].flatMap((first) => {
    const { piece, solution } = begun(card, meansOf(unit, first));
    expect(faultsIn(pieceSchema(), piece)).toEqual([]);
    return solution.checks.filter((c) => c.severity === 'stop').map((c) => `${first ?? 'what suits'}: ${c.id}`);
  });
  expect(red).toEqual([]);
});

const IDEAS = (['mm', 'in'] as const).flatMap((unit) =>
  cards().flatMap((card) => card.ideas.map((idea) => [idea.name, unit, card, idea] as const)),
);

test.each(IDEAS)('%s in %s begins right by the schema, and nothing is red', (_, unit, card, idea) => {
  const { piece, solution } = begun(card, { ...meansOf(unit), usual: idea.usual }, idea);
  expect(faultsIn(pieceSchema(), piece)).toEqual([]);
  expect(solution.checks.filter((c) => c.severity === 'stop').map((c) => c.id)).toEqual([]);
});

/** The thickness and width of the first member that is called so, in inches. */
const inInches = ({ shape }: Solution, called: string) => {
  const of = shape.members.find((m) => m.label.includes(called));
  return of && [of.thickness.value, of.width.value].map((l) => l / 2_032_000);
};

test('a frame in inches has the sizes of its lumber: posts of 2 x 2, rails of 1 x 3; of 2 x 4 all of it is 1 1/2 by 3 1/2', () => {
  const frame = cards().find((c) => c.name === 'Frame') as Card;
  const usual = begun(frame, meansOf('in')).solution;
  expect([inInches(usual, 'post'), inInches(usual, 'rail')]).toEqual([
    [1.5, 1.5],
    [0.75, 2.5],
  ]);
  const heavy = begun(frame, meansOf('in', 'fir-2x4')).solution;
  expect([inInches(heavy, 'post'), inInches(heavy, 'rail')]).toEqual([
    [1.5, 3.5],
    [1.5, 3.5],
  ]);
});

test('a frame for which a sheet is chosen has its rails sawn out of that, and posts of what is thick enough', () => {
  const frame = cards().find((c) => c.name === 'Frame') as Card;
  const { piece } = begun(frame, meansOf('mm', 'ply-18'));
  expect(piece).toMatchObject({ posts: { stock: 'spruce-45x45' }, top: { level: { rails: { stock: 'ply-18', wide: 70 * 80_000 } } } });
});

test('slats of cedar are as wide as cedar is sold', () => {
  const deck = cards().find((c) => c.name === 'Deck') as Card;
  expect(inInches(begun(deck, meansOf('in', 'cedar-1x2')).solution, 'slat')).toEqual([0.75, 1.5]);
});

test('a case of boards is no deeper than they are wide', () => {
  const plain = cards().find((c) => c.name === 'Case') as Card;
  const { piece } = begun(plain, meansOf('in', 'pine-1x12'));
  expect(piece.depth).toMatchObject({ size: 11.25 * 2_032_000 });
});
