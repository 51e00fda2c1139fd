import { inch, least, mm, type Length, type LengthUnit } from '../../core/length/index.js';
import type { PieceEdit, Piece, PlacedSpace } from '../../core/piece/index.js';
import { hasGrain, materialOf, propertiesOf, type Slide, type Stock } from '../../core/stock/index.js';

/** What a piece may be made of. */
export interface OnHand {
  readonly unit: LengthUnit;
  readonly stock: readonly { readonly id: string; readonly data: Stock }[];
  /** What all of it that can be is to be made of; undefined for what suits each part. */
  readonly first?: string | undefined;
  /** What was chosen to make it of, by its use. */
  readonly chosen?: Readonly<Record<string, string>> | undefined;
  /** What is usual for some of its uses where that is not what is usual for the kind. */
  readonly usual?: UsualSizes | undefined;
}

/** Sizes that are usual for uses, by their names. */
export type UsualSizes = Readonly<Record<string, Partial<Pick<Use, 'thick' | 'wide' | 'broad'>>>>;

/** What a filling is begun with: what it may be made of, what goes into it, and the room there is. */
export interface Means extends OnHand {
  readonly slides: readonly { readonly id: string; readonly data: Slide }[];
  readonly things: readonly { readonly id: string }[];
  readonly clear: { readonly width: Length; readonly height: Length; readonly depth: Length };
}

/** A size in mm and in inches. */
export type Usual = readonly [metric: number, imperial: number];

/** A use of stock, with the sizes that are usual for it. */
export interface Use {
  readonly use: string;
  readonly label: string;
  readonly thick: Usual;
  /** Nothing thicker does. */
  readonly thickest?: Usual;
  /** Of what is cut out of boards as they are wide: a rail, a slat, a leg. */
  readonly wide?: Usual;
  /** Boards that are wider are ripped for it. */
  readonly widest?: Usual;
  /** Of what is cut out of a sheet, or of a board that is so wide at the least. */
  readonly broad?: Usual;
}

/** A question beside what it is made of. */
export interface Ask {
  readonly use: string;
  readonly label: string;
  readonly value: string;
  readonly choices: readonly { readonly id: string; readonly label: string }[];
}

/** A way of filling an open space, as it is offered. */
export interface FillingWay {
  readonly id: string;
  readonly label: string;
  /** What has to be said of its stock before it is put in. */
  readonly uses: (means: Means) => readonly Use[];
  /** What else is asked, out of what is on hand: its name in `chosen`, its choices, and what stands there. */
  readonly asks?: (means: Means) => readonly Ask[];
  /** Where it makes sense; in every open space where it is left out. */
  readonly goesInto?: (space: PlacedSpace) => boolean;
  /** It is for things, so that there must be one. */
  readonly needsThing?: true;
  /** @throws Error when something it is made of is not on hand */
  readonly fill: (piece: Piece, space: string, means: Means) => PieceEdit;
}

/** A round size in the unit of the project. */
export function sizes(unit: LengthUnit) {
  return (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
}

/** An overall size that is given. */
export const givenSize = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;

/** How much the parts of it count that a stock is thinner, narrower and wider than usual: a board is ripped sooner than it is joined. */
const COUNTS = { thinner: 2.5, narrower: 1.6, wider: 0.3 } as const;

/** How far a size is from what is usual, as a part of it. */
const off = (size: Length, usual: Length, less: number, more = 1) => Math.log(size / usual) * (size < usual ? -less : more);

/** How much strips of a sheet, boards that would have to be joined and boards that are broad enough are further from it than the usual. */
const [STRIPS, JOINED, WHOLE] = [0.6, 3, 0.3] as const;

/** What is as far from what a use takes as this is used where there is nothing else. */
const UNSUITED = 10;

/** How far a stock is from what a use takes, as parts of its sizes: 0 for the very thing. */
function apartFrom(stock: Stock, { thick, thickest, wide, broad }: Use, unit: LengthUnit): number {
  const s = sizes(unit);
  const { form, material, nominal, thickness, width } = stock;
  // Strips of chips and fibres break, and metal is not what wood is screwed together from.
  const isWood = hasGrain(stock) || (!wide && materialOf(material)?.form === 'sheet');
  if (!isWood || (thickest && thickness > s(...thickest))) return UNSUITED;
  const apart = Math.min(...[nominal, thickness].map((t) => off(t, s(...thick), COUNTS.thinner)));
  // Boards go before strips that are sawn out of a sheet.
  if (wide) return apart + (form === 'sheet' ? STRIPS : off(width, s(...wide), COUNTS.narrower, COUNTS.wider));
  if (form === 'sheet') return apart;
  return apart + (broad && width < s(...broad) ? JOINED : WHOLE);
}

/** What was chosen for all of a piece is used where it is no further from what is usual than this: twice as thick still is. */
const SUITS = 1;

/**
 * What to make something of: as chosen for it or, where it suits, for all of the piece; else the stock on hand that is nearest to what
 * is usual, the stiffest of those that are as near.
 * @throws Error when there is no stock
 */
export function woodFor({ stock, chosen, first, unit, usual }: OnHand, kinds: Use): string {
  const own = chosen?.[kinds.use];
  if (own !== undefined) return own;
  const use = { ...kinds, ...usual?.[kinds.use] };
  const near = stock.map(({ id, data }) => ({ id, apart: apartFrom(data, use, unit), stiff: propertiesOf(data).elastic }));
  if (near.some((n) => n.id === first && n.apart <= SUITS)) return first as string;
  const [best] = near.sort((a, b) => a.apart - b.apart || b.stiff - a.stiff);
  if (!best) throw new Error('there is no stock to make it of; put some into the stockroom first');
  return best.id;
}

const stockOf = ({ stock }: OnHand, id: string) => stock.find((s) => s.id === id)?.data;

/** A board is used as wide as it is sold where that is from so many to so many times the usual width. */
const AS_SOLD = [0.5, 2.4] as const;

/** How wide something is begun: as wide as its board, or ripped to the usual width out of a wider one. */
export function widthFor(onHand: OnHand, use: Use & { readonly wide: Usual }): Length {
  const usual = sizes(onHand.unit)(...(onHand.usual?.[use.use]?.wide ?? use.wide));
  const of = stockOf(onHand, woodFor(onHand, use));
  if (of?.form !== 'board') return usual;
  const [from, to] = AS_SOLD.map((times) => times * usual) as [number, number];
  const widest = use.widest ? sizes(onHand.unit)(...use.widest) : to;
  return of.width < from || of.width > widest ? least([usual, of.width]) : of.width;
}

/** What a size is begun with: as usual, or as large as the stock of a use gives it. */
export function within(onHand: OnHand, use: Use, way: 'length' | 'width', usual: Usual): Length {
  const size = sizes(onHand.unit)(...usual);
  const of = stockOf(onHand, woodFor(onHand, use));
  return of ? least([size, of[way]]) : size;
}

/** How thick what a use takes is; as usual where that is not on hand. */
export const thicknessFor = (onHand: OnHand, use: Use): Length =>
  stockOf(onHand, woodFor(onHand, use))?.thickness ?? sizes(onHand.unit)(...use.thick);
