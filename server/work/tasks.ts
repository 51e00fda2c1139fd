import type { Letters, Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import { shapeOf } from '../../core/shells/index.js';
import {
  partFaults,
  pieceFaults,
  readProject,
  reportSolution,
  solvedIn,
  workshopOf,
  type Fault,
  type FileReading,
  type KeptPiece,
  type ProjectFile,
} from '../../core/formats/index.js';
import { buildingFor, jigsOf, paceIn, stepsFor } from '../../core/build/index.js';
import { fullSizesOf } from '../../core/drawing/index.js';
import type { ToPrint } from '../../core/layout/index.js';
import { layoutPages, type PrintedWith } from '../../print/layouts.js';
import { fullSizePages } from '../../print/tiles.js';
import { laidFor } from '../../print/laid.js';
import { shopSheets } from '../../print/shop-sheets.js';
import { sidesOf, type Sides } from '../data/difference.js';
import { unpacked } from '../projects/archive.js';
import { lettersFor, lettersOf } from '../../core/solution/index.js';

/** Told how far some work is: so many of so many. */
export type Told = (done: number, of: number) => void;

const nobody: Told = () => undefined;

/** What is kept of a piece that was sent and of the edit that it is, or why it cannot be kept. */
export type Keeping =
  { readonly ok: true; readonly letters: Letters; readonly sides: Sides } | { readonly ok: false; readonly faults: readonly Fault[] };

/** Whether a piece can be kept, with the letters of its parts by the ledger of what it was before; null for a new one. */
export function keptOf(piece: Piece, workshop: Workshop, before: KeptPiece | null): Keeping {
  const faults = pieceFaults(piece, workshop, '/data');
  if (faults.length > 0) return { ok: false, faults };
  const shape = shapeOf(piece, workshop);
  const tooMany = partFaults(shape, '/data');
  if (tooMany.length > 0) return { ok: false, faults: tooMany };
  const letters = lettersFor(shape, before?.letters ?? {});
  return { ok: true, letters, sides: sidesOf('pieces', before, { piece, letters }) };
}

/** A project in which the parts of every piece have their letters, by the ledgers that came with it. */
export function lettered(file: ProjectFile, told: Told = nobody): ProjectFile {
  const workshop = workshopOf(file);
  const pieces = Object.entries(file.pieces).map(([id, { piece, letters }], i, { length }) => {
    told(i, length);
    return [id, { piece, letters: lettersOf(piece, workshop, letters) }];
  });
  return { ...file, pieces: Object.fromEntries(pieces) as ProjectFile['pieces'] };
}

/** What takes long enough to hold up every other request: each tells how far it is, is given plain data and gives plain data back. */
export const TASKS = {
  /** All that follows from one piece of a project; null where there is no such piece. */
  report(_told: Told, file: ProjectFile, id: string) {
    const solution = solvedIn(file, id);
    if (!solution) return null;
    const { grid } = solution.piece.rounding ?? file.project.settings.rounding;
    return reportSolution(solution, grid);
  },

  /** What is taken into the shop for one piece, as PDF; null where there is no such piece. */
  async sheets(told: Told, file: ProjectFile, id: string, address?: string): Promise<Uint8Array | null> {
    const solution = solvedIn(file, id);
    if (!solution) return null;
    const buildings = Object.values(file.buildings ?? {});
    const building = buildingFor(buildings, id);
    const steps = stepsFor(solution, building, paceIn(buildings));
    const laid = await laidFor(file, id, solution);
    return shopSheets({ solution, building, steps, laid, ...(address ? { address } : {}) }, (part) => told(Math.round(part * 100), 100));
  },

  /** Layouts with the order of their cuts, as PDF. */
  layouts(_told: Told, { title, stocks }: ToPrint, by: PrintedWith): Promise<Uint8Array> {
    const laid = stocks.map(({ marks, before = {}, ...rest }) => ({
      ...rest,
      marks: new Map(Object.entries(marks)),
      before: new Map(Object.entries(before)),
    }));
    return layoutPages(title, laid, by);
  },

  /** What is worth printing as large as it is of one piece, as PDF in pages; null where there is no such piece. */
  async fullSize(_told: Told, file: ProjectFile, id: string, only?: number): Promise<Uint8Array | null> {
    const solution = solvedIn(file, id);
    if (!solution) return null;
    const { settings } = file.project;
    const jigs = jigsOf(solution, settings).filter((_, i) => only === undefined || i === only);
    return fullSizePages(solution.piece.name, fullSizesOf(solution, jigs, settings));
  },

  /** Whether a large piece can be kept, with its letters and what is kept of the edit. */
  keep: (_told: Told, piece: Piece, workshop: Workshop, before: KeptPiece | null): Keeping => keptOf(piece, workshop, before),

  /** The same as of a project file, of one that is packed with its photos, by where the archive is. */
  async readPacked(told: Told, path: string): Promise<FileReading> {
    const found = await unpacked(path);
    return found.ok ? TASKS.read(told, found.document) : found;
  },

  /** A project file as it is kept, checked and with the letters of its parts, or every fault of it. */
  read(told: Told, document: unknown): FileReading {
    // Each piece is looked at twice: whether it can be kept, and for the letters of its parts.
    const reading = readProject(document, (done, of) => told(done, 2 * of));
    return reading.ok ? { ok: true, file: lettered(reading.file, (done, of) => told(of + done, 2 * of)) } : reading;
  },
};

export type Tasks = typeof TASKS;

/** What a task is given, beside whom it tells. */
export type Given<K extends keyof Tasks> = Parameters<Tasks[K]> extends [Told, ...infer G] ? G : never;

/** One task with what it is given. */
export type Asked = { readonly [K in keyof Tasks]: { readonly task: K; readonly given: Given<K> } }[keyof Tasks];

/** Does one task. */
export function doTask<K extends keyof Tasks>(task: K, told: Told, given: Given<K>): ReturnType<Tasks[K]> {
  return (TASKS[task] as (told: Told, ...given: readonly unknown[]) => ReturnType<Tasks[K]>)(told, ...given);
}
