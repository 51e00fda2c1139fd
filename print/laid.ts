import { cuttingsOf, layCutting, workshopOf, type ProjectFile } from '../core/formats/index.js';
import { solverOf, type Highs, type ProgramSolver } from '../core/cutting/program.js';
import { workshopFor } from '../core/project/index.js';
import { solve, type Solution } from '../core/solution/index.js';
import type { LaidStock } from './layouts.js';

/** The solver of programs as it is loaded outside of a browser. */
export async function programs(): Promise<ProgramSolver> {
  const module = (await import('highs')) as unknown as {
    readonly default: (() => Promise<Highs>) & { readonly default?: () => Promise<Highs> };
  };
  return solverOf(await (module.default.default ?? module.default)());
}

/** How a piece is laid out on its stock, with the pieces that are cut together with it. @param solution of the piece itself */
export async function laidFor(file: ProjectFile, id: string, solution: Solution): Promise<readonly LaidStock[]> {
  const [cutting] = cuttingsOf(file, id, false);
  if (!cutting) return [];
  const workshop = workshopOf(file);
  const solved = (other: string): Solution => {
    const { piece, letters } = file.pieces[other] as ProjectFile['pieces'][string];
    return solve(piece, workshopFor(workshop, Object.values(file.readings ?? {}), other, Object.values(file.made ?? {})), letters);
  };
  const pieces = cutting.pieces.map((other) => ({ id: other, solution: other === id ? solution : solved(other) }));
  return layCutting(cutting, pieces, file.project.settings, await programs()).map(({ stock, sheets, marks }) => ({
    name: stock.name,
    sheets,
    marks,
  }));
}
