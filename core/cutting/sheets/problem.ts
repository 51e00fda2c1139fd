import { type Length } from '../../length/index.js';

/** A sheet to saw from, so many of it as there are. */
export interface Sheet {
  readonly id: string;
  readonly length: Length;
  readonly width: Length;
  /** How many there are; Infinity for what can be bought. */
  readonly count: number;
  /** The copies of it that are in use already, by their numbers. */
  readonly taken?: readonly number[];
  /** What one costs that is opened: money for what is bought, next to nothing for what lies there. */
  readonly cost: number;
  /** What is taken off each end and each edge first; its own kerf is in it. Nothing of an offcut, whose edges are true. */
  readonly trim: { readonly ends: Length; readonly edges: Length };
}

/** A rectangle wanted. */
export interface RectWanted {
  readonly id: string;
  /** Along the length of the sheet, where it is not turned. */
  readonly length: Length;
  readonly width: Length;
  /** It may lie across. */
  readonly turns: boolean;
}

/** A place that a person chose: on the nth sheet opened of a kind, its near corner so far from the two edges that are measured from. */
export interface Pin {
  readonly part: string;
  readonly sheet: string;
  /** Which of the sheets of that kind, from 0. */
  readonly copy: number;
  readonly x: Length;
  readonly y: Length;
  readonly turned: boolean;
}

/** Which cuts go through the whole sheet first: along it, across it, or whichever is better. */
export type FirstCuts = 'rips' | 'crosscuts' | 'either';

/** Rectangles to be sawn from sheets, every cut from edge to edge. */
export interface SheetProblem {
  /** What every cut turns to dust. */
  readonly kerf: Length;
  readonly wanted: readonly RectWanted[];
  readonly sheets: readonly Sheet[];
  readonly first: FirstCuts;
  readonly pins: readonly Pin[];
}

/** What a kind of sheet is to the search: a kerf larger each way, and without its trim, so that cuts have no width. */
export interface Ground {
  readonly sheet: Sheet;
  readonly length: number;
  readonly width: number;
}

/** A rectangle as the search sees it, a kerf larger each way. */
export interface Item {
  readonly wanted: RectWanted;
  readonly length: number;
  readonly width: number;
  readonly turns: boolean;
  readonly area: number;
}

/** The problem with cuts of no width: a rectangle and a sheet are each a kerf larger, since what is left past the last cut may be less than one. */
export function groundsOf({ sheets, kerf }: SheetProblem): Ground[] {
  return sheets.map((sheet) => ({
    sheet,
    length: Math.max(0, sheet.length - 2 * sheet.trim.ends + kerf),
    width: Math.max(0, sheet.width - 2 * sheet.trim.edges + kerf),
  }));
}

/** The rectangles of a problem, in the same way. A square one need not turn. */
export function itemsOf({ wanted, kerf }: SheetProblem): Item[] {
  return wanted.map((w) => {
    const [length, width] = [w.length + kerf, w.width + kerf];
    return { wanted: w, length, width, turns: w.turns && length !== width, area: length * width };
  });
}
