import { mm, type LengthUnit } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import type { Slide, Stock } from '../../core/stock/index.js';
import { newSettings, newStock, newThing } from '../data/defaults.js';
import { fillings } from '../kinds/kinds.js';
import { sizes, type FillingWay, type Means, type OnHand } from '../kinds/means.js';

/** The way of filling a space that is offered under a name. */
export const fillingOf = (id: string) => fillings().find((f) => f.id === id) as FillingWay;
/** The edit that fills a space of a piece in one of the ways. */
export const fillEdit = (piece: Piece, space: string, id: string, with_: Means) => fillingOf(id).fill(piece, space, with_);
/** A place as wide, high and deep as most cabinets, in millimetres and in inches. */
export const PLACE = { place: 'A cabinet', width: [800, 32], height: [600, 24], depth: [520, 20] } as const;

/** A slide of these lengths, mm. */
export const slideOf = (id: string, ...lengths: number[]): { id: string; data: Slide } => ({
  id,
  data: { name: id, lengths: lengths.map(mm), side: mm(12.7), height: mm(45), setback: mm(0), extension: 1 },
});

/** Three thicknesses of sheet, of which all is made that can be of the thick one. */
export function onHand(unit: LengthUnit): OnHand {
  const size = sizes(unit);
  const sheet = (name: string, thickness: Stock['thickness']): { id: string; data: Stock } => ({
    id: name,
    data: { ...newStock(unit), name, nominal: thickness, thickness },
  });
  return {
    unit,
    stock: [sheet('thick', size(18, 3 / 4)), sheet('middling', size(12, 1 / 2)), sheet('thin', size(6, 1 / 4))],
    first: 'thick',
  };
}

/** What fillings are begun with: three thicknesses of sheet, two things, and the slides that are given. */
export function means(unit: LengthUnit, piece: Piece, slides: readonly { id: string; data: Slide }[] = []): Means {
  const size = (o: Piece['width']) => (o.from === 'given' ? o.size : sizes(unit)(500, 20));
  return {
    unit,
    stock: onHand(unit).stock,
    slides,
    things: [{ id: 'thing' }, { id: 'other thing' }],
    clear: { width: size(piece.width), height: size(piece.height), depth: size(piece.depth) },
  };
}

/** The workshop that has what a filling was begun with. */
export const workshopOf = (unit: LengthUnit, with_: Means): Workshop => ({
  settings: newSettings(unit),
  openings: new Map(),
  things: new Map(with_.things.map(({ id }) => [id, { ...newThing(unit), name: id }])),
  stock: new Map(with_.stock.map((s) => [s.id, s.data])),
  people: new Map(),
  slides: new Map(with_.slides.map((slide) => [slide.id, slide.data])),
});
