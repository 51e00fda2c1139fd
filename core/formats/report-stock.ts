import { cutsOf, inOrder } from '../cutting/cuts.js';
import { leftOn, partsOn, type LaidSheet, type Rect } from '../cutting/laid.js';
import type { ProgramSolver } from '../cutting/program.js';
import {
  askedOf,
  blanksOf,
  cuttingOf,
  laidOut,
  markOf,
  moneyInAll,
  sheetOf,
  sumsOf,
  whyNot,
  woodToBuy,
  type Answer,
  type Asked,
  type Blank,
  type Cutting,
  type PieceToCut,
  type Sums,
} from '../layout/index.js';
import { toMm } from '../length/index.js';
import type { Settings } from '../project/index.js';
import type { Stock } from '../stock/index.js';
import type { ProjectFile } from './project-file.js';

/** One stock of a cutting, laid out to the end. */
export interface StockLaid {
  readonly id: string;
  readonly stock: Stock;
  readonly asked: Asked;
  readonly answer: Answer;
  readonly sums: Sums;
  /** Sheets that were begun, then those that are laid out. */
  readonly sheets: readonly LaidSheet[];
  readonly blanks: readonly Blank[];
  readonly marks: ReadonlyMap<string, string>;
}

/**
 * What of a file is laid out: one piece, all pieces together, or its cuttings and every piece that is in none.
 * @example cuttingsOf(FILE, 'case', false)[0].pieces // ['case']
 */
export function cuttingsOf(file: ProjectFile, piece: string | undefined, together: boolean): readonly Cutting[] {
  const alone = (id: string) => cuttingOf({ id, name: file.pieces[id]?.piece.name ?? id });
  const kept = Object.values(file.cuttings ?? {}).map((c) => ({ ...c, pieces: c.pieces.filter((id) => Object.hasOwn(file.pieces, id)) }));
  if (piece !== undefined) return [kept.find((c) => c.pieces.includes(piece)) ?? alone(piece)];
  const ids = Object.keys(file.pieces);
  if (together) return [{ ...cuttingOf({ id: '', name: file.project.name }), pieces: ids }];
  const taken = new Set(kept.flatMap((c) => c.pieces));
  return [...kept, ...ids.filter((id) => !taken.has(id)).map(alone)].filter((c) => c.pieces.length > 0);
}

/** What else a file plans to cut, beside one of its cuttings. @example othersIn(FILE, CUTTING) // [] */
export function othersIn(file: ProjectFile, { pieces }: Cutting): readonly Cutting[] {
  return Object.values(file.cuttings ?? {}).filter((c) => !c.pieces.some((id) => pieces.includes(id)));
}

/**
 * Lays out all that is cut together. @param solve solves linear and integer programs @param others what else is planned to be cut
 * @example layCutting(CUTTING, [TO_CUT], SHOP.settings, () => null).map((s) => s.sheets.length) // [1]
 */
export function layCutting(
  cutting: Cutting,
  pieces: readonly PieceToCut[],
  settings: Settings,
  solve: ProgramSolver,
  others: readonly Cutting[] = [],
): readonly StockLaid[] {
  return [...blanksOf(pieces, cutting.testLong)].map(([id, blanks]): StockLaid => {
    const { stock } = (blanks[0] as Blank).part.member;
    const asked = askedOf(id, stock, blanks, cutting, settings, others);
    const answer = laidOut(asked, solve);
    const begun = cutting.begun.filter((b) => b.stock === id);
    const marks = new Map(blanks.map((b) => [b.key, markOf(b, pieces)]));
    return {
      id,
      stock,
      asked,
      answer,
      sums: sumsOf(asked, answer, settings.tools, begun),
      sheets: [...begun.map(sheetOf), ...answer.laid],
      blanks,
      marks,
    };
  });
}

const rect = ({ x, y, length, width }: Rect) => ({ x: toMm(x), y: toMm(y), length: toMm(length), width: toMm(width) });

function sheetReport(laid: LaidSheet, { asked, marks }: StockLaid) {
  const source = asked.sources.find((s) => s.sheet.id === laid.sheet);
  return {
    from: source?.from ?? 'begun',
    name: source?.name ?? '',
    length: toMm(laid.length),
    width: toMm(laid.width),
    parts: partsOn(laid).map((p) => ({ part: p.id, mark: marks.get(p.id) ?? '', ...rect(p), turned: p.turned })),
    left: leftOn(laid).map(rect),
  };
}

function stockReport(laid: StockLaid) {
  const { stock, asked, answer, sums, sheets, blanks } = laid;
  const settings = inOrder(cutsOf(sheets));
  return {
    stock: laid.id,
    name: stock.name,
    sheets: sheets.map((s) => sheetReport(s, laid)),
    settings: settings.map(({ way, at, cuts }) => ({
      way,
      at: toMm(at),
      cuts: cuts.map((c) => ({ sheet: sheets.indexOf(c.sheet) + 1, ...rect(c.of) })),
    })),
    money: sums.money,
    atLeast: sums.atLeast,
    yield: sums.yield,
    fewest: sums.fewest,
    isFewest: sums.isFewest,
    proven: answer.proven,
    rests: sums.rests.map((r) => ({ length: toMm(r.length), width: toMm(r.width) })),
    missing: answer.missing.map((key) => {
      const blank = blanks.find((b) => b.key === key);
      return { part: key, why: blank ? whyNot(blank, asked) : 'no more' };
    }),
    unpinned: answer.unpinned,
  };
}

/** A cutting as JSON: layouts in mm from the corner that is measured from, settings in order, what to buy. */
export function reportCutting(cutting: Cutting, stocks: readonly StockLaid[]): object {
  const { money, atLeast } = moneyInAll(stocks.map((s) => s.sums));
  return {
    name: cutting.name,
    pieces: cutting.pieces,
    money,
    atLeast,
    wood: woodToBuy(stocks).map((w) => ({ ...w, length: toMm(w.length), width: toMm(w.width), thickness: toMm(w.thickness) })),
    stocks: stocks.map(stockReport),
  };
}
