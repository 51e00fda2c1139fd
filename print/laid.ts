import { cuttingsOf, layCutting, othersIn, solvedIn, type ProjectFile, type StockLaid } from '../core/formats/index.js';
import { solverOf, type Highs, type ProgramSolver } from '../core/cutting/program.js';
import type { Solution } from '../core/solution/index.js';
import { beforeCuts } from '../core/layout/index.js';
import type { Precision } from '../core/length/index.js';
import type { LaidStock } from './layouts.js';

/** The solver of programs as it is loaded outside of a browser. */
export async function programs(): Promise<ProgramSolver> {
  const module = (await import('highs')) as unknown as {
    readonly default: (() => Promise<Highs>) & { readonly default?: () => Promise<Highs> };
  };
  return solverOf(await (module.default.default ?? module.default)());
}

/** One stock that was laid out, as it is printed. */
export function laidStock({ stock, sheets, marks, blanks, asked }: StockLaid, precision: Precision): LaidStock {
  const offcuts = new Map(asked.sources.flatMap((s) => (s.from === 'offcut' ? [[s.sheet.id, s.name] as const] : [])));
  return { offcuts, name: stock.name, form: stock.form, sheets, marks, before: beforeCuts(sheets, blanks, marks, precision) };
}

/** How a piece is laid out on its stock, with the pieces that are cut together with it. @param solution of the piece itself */
export async function laidFor(file: ProjectFile, id: string, solution: Solution): Promise<readonly LaidStock[]> {
  const [cutting] = cuttingsOf(file, id, false);
  if (!cutting) return [];
  const pieces = cutting.pieces.flatMap((other) => {
    const found = other === id ? solution : solvedIn(file, other);
    return found ? [{ id: other, solution: found }] : [];
  });
  return layCutting(cutting, pieces, file.project.settings, await programs(), othersIn(file, cutting)).map((laid) =>
    laidStock(laid, file.project.settings),
  );
}
