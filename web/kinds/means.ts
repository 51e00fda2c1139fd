import { inch, mm, type Length, type LengthUnit } from '../../core/length/index.js';
import type { PieceEdit, Piece, PlacedSpace } from '../../core/piece/index.js';
import type { Slide, Stock } from '../../core/stock/index.js';

/** What a filling is begun with: the units, what is on hand, and the room there is. */
export interface Means {
  readonly unit: LengthUnit;
  readonly stock: readonly { readonly id: string; readonly data: Stock }[];
  readonly slides: readonly { readonly id: string; readonly data: Slide }[];
  readonly things: readonly { readonly id: string }[];
  /** What was chosen to make it of, by its use; for the rest, what is nearest to the usual thickness. */
  readonly chosen?: Readonly<Record<string, string>> | undefined;
  readonly clear: { readonly width: Length; readonly height: Length; readonly depth: Length };
}

/** A use of stock in a filling, with the usual thickness in mm and in inches. */
export interface Use {
  readonly use: string;
  readonly label: string;
  readonly thick: readonly [metric: number, imperial: number];
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

/**
 * What to make something of: as chosen, or the stock on hand nearest to the usual thickness.
 * @throws Error when there is no stock
 */
export function woodFor({ stock, chosen, unit }: Means, { use, thick: [metric, imperial] }: Use): string {
  const wanted = sizes(unit)(metric, imperial);
  const [best] = [...stock].sort((a, b) => Math.abs(a.data.thickness - wanted) - Math.abs(b.data.thickness - wanted));
  if (!best) throw new Error('there is no stock to make it of; put some into the stockroom first');
  return chosen?.[use] ?? best.id;
}
