import { partsCsv, readProject, reportSolution, workshopOf, type ProjectFile } from '../core/formats/index.js';
import { buildingFor, holesOf, jigsOf, stepsFor } from '../core/build/index.js';
import { workshopFor } from '../core/project/index.js';
import { solve } from '../core/solution/index.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { namedBy } from '../core/kinds/index.js';
import { seeded } from '../core/cutting/index.js';
import { mutated, oneOf } from './mutate.js';

/** The shed with one of its pieces and what that names, so that a change hits it more often than not. */
export function fileOfOne(id: string): ProjectFile {
  const kept = PRINT_SHED.pieces[id];
  if (!kept) throw new Error(`there is no piece ${id}`);
  const named = new Set(namedBy(kept.piece).map((n) => n.id));
  const some = <T>(all: Readonly<Record<string, T>> | undefined) =>
    Object.fromEntries(Object.entries(all ?? {}).filter(([key]) => named.has(key)));
  const own = <T extends { readonly piece: string }>(all: Readonly<Record<string, T>> | undefined) =>
    Object.fromEntries(Object.entries(all ?? {}).filter(([, { piece }]) => piece === id));
  return {
    format: PRINT_SHED.format,
    version: PRINT_SHED.version,
    project: PRINT_SHED.project,
    openings: some(PRINT_SHED.openings),
    things: some(PRINT_SHED.things),
    stock: some(PRINT_SHED.stock),
    slides: some(PRINT_SHED.slides),
    people: some(PRINT_SHED.people),
    pieces: { [id]: kept },
    buildings: own(PRINT_SHED.buildings),
    readings: own(PRINT_SHED.readings),
    made: own(PRINT_SHED.made),
  };
}

/** Figures in a report that are none. */
function figuresThatAreNone(value: unknown, path: string, found: string[]): void {
  if (typeof value === 'number' && !Number.isFinite(value)) found.push(path);
  if (value === null || typeof value !== 'object' || found.length > 3) return;
  for (const [key, inner] of Object.entries(value)) figuresThatAreNone(inner, `${path}/${key}`, found);
}

/** What is wrong with what was worked out, in words; nothing where it is right. */
export function faultOfFile(document: unknown): string | null {
  const reading = readProject(document);
  if (!reading.ok) {
    const unsaid = reading.faults.find((f) => f.message === '' || f.accepted === '');
    return unsaid ? `a fault without words at ${unsaid.path}` : null;
  }
  const { file } = reading;
  const workshop = workshopOf(file);
  for (const [id, { piece, letters }] of Object.entries(file.pieces)) {
    const shop = workshopFor(workshop, Object.values(file.readings ?? {}), id, Object.values(file.made ?? {}));
    const solution = solve(piece, shop, letters);
    const grid = (piece.rounding ?? file.project.settings.rounding).grid;
    const found: string[] = [];
    figuresThatAreNone(reportSolution(solution, grid), id, found);
    if (found.length > 0) return `no figure at ${found.join(', ')}`;
    const stops = solution.checks.some((c) => c.severity === 'stop');
    const without = solution.parts.find((p) => p.length.value <= 0 || p.width.value <= 0 || p.thickness.value <= 0);
    if (without && !stops) return `part ${without.letter} of no size, and nothing stops it`;
    partsCsv(solution.parts, file.project.settings);
    stepsFor(solution, buildingFor(Object.values(file.buildings ?? {}), id));
    holesOf(solution);
    jigsOf(solution, file.project.settings);
  }
  return null;
}

/** What came of one changed file. */
export interface FileTried {
  readonly seed: number;
  readonly piece: string;
  /** Whether it was read, or refused in words. */
  readonly read: boolean;
  /** What went wrong; null where nothing did. */
  readonly crashed: string | null;
  readonly ms: number;
}

const IDS = Object.keys(PRINT_SHED.pieces);
const FILES = new Map(IDS.map((id) => [id, fileOfOne(id)]));

/** A file of the shed changed at random; the same seed makes the same. */
export function fileOf(seed: number): { readonly piece: string; readonly document: unknown } {
  const random = seeded(seed);
  const piece = oneOf(IDS, random);
  return { piece, document: mutated(FILES.get(piece), random) };
}

/** Changes a file at random, reads it, and works out what can be read. */
export function tryFile(seed: number): FileTried {
  const { piece, document } = fileOf(seed);
  const start = performance.now();
  let read = false;
  let crashed: string | null;
  try {
    read = readProject(document).ok;
    crashed = faultOfFile(document);
  } catch (error) {
    crashed = error instanceof Error ? (error.stack ?? error.message).split('\n').slice(0, 4).join(' | ') : String(error);
  }
  return { seed, piece, read, crashed, ms: performance.now() - start };
}
