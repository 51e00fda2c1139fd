import { workshopFor } from '../../core/project/index.js';
import { reportSolution, workshopOf, type ProjectFile } from '../../core/formats/index.js';
import type { Letters } from '../../core/piece/index.js';
import { lettersOf, solve } from '../../core/solution/index.js';

/** What takes long enough to hold up every other request: each is given plain data and gives plain data back. */
export const TASKS = {
  /** All that follows from one piece of a project; null where there is no such piece. */
  report(file: ProjectFile, id: string) {
    const kept = file.pieces[id];
    if (!kept) return null;
    const { grid } = kept.piece.rounding ?? file.project.settings.rounding;
    return reportSolution(solve(kept.piece, workshopFor(workshopOf(file), Object.values(file.readings ?? {}), id, Object.values(file.made ?? {})), kept.letters), grid);
  },

  /** The letters of the parts of every piece of a project, by the ledgers that came with it. */
  letters(file: ProjectFile): Readonly<Record<string, Letters>> {
    const workshop = workshopOf(file);
    return Object.fromEntries(Object.entries(file.pieces).map(([id, { piece, letters }]) => [id, lettersOf(piece, workshop, letters)]));
  },
};

export type Tasks = typeof TASKS;

/** One task with what it is given. */
export type Asked = { readonly [K in keyof Tasks]: { readonly task: K; readonly given: Parameters<Tasks[K]> } }[keyof Tasks];
