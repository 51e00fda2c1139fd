import { NoHours } from '../core/build/index.js';
import { readFileSync, statSync } from 'node:fs';
import { parseArgs } from 'node:util';
import {
  LARGEST_FILE,
  partsCsv,
  pieceIn,
  readProjectFile,
  reportChecks,
  reportParts,
  reportSolution,
  solvedIn,
  type Fault,
  type ProjectFile,
} from '../core/formats/index.js';
import type { Solution } from '../core/solution/index.js';
import { layOutFile } from './stock.js';

/** Where the command writes. */
export interface Output {
  write(text: string): unknown;
}

const USAGE = `Usage: ruvok solve|check|parts|stock|build|calendar FILE [--piece ID] [--csv] [--plates] [--together] [--out FOLDER]

  solve   everything that follows from each piece: sizes, sums, marks, loads, checks, parts
  check   the checks alone
  parts   the parts alone; with --csv as a table
  stock   the parts laid out on stock, the order of cuts, what to buy
  build   the steps of building each piece, the settings of tools, every hole from both ends
  calendar  when the steps of one piece are done, as iCalendar; needs --piece where the file has several

  --piece ID   one piece of the file instead of all of them
  --csv        parts as CSV, lengths in the project's unit and in mm
  --plates     with solve: every member that bends as a plate too, which takes a while
  --together   with stock: all pieces cut together, instead of as the file has them
  --out FOLDER with stock: every layout at full size as SVG and DXF, as PDF with its order of cuts, cuts and what to buy as CSV;
               with build: what is taken into the shop as PDF, and sticks and templates at full size as PDF, SVG and DXF

Exit code: 0 when nothing stops the build, 1 when a check does or a part has no place on stock, 2 for a file or a call that
cannot be read or written, 3 when something is not checked, 70 for a fault of Ruvok's own.
`;

const VERBS = ['solve', 'check', 'parts', 'stock', 'build', 'calendar'] as const;
type Verb = (typeof VERBS)[number];

/** By the usual codes of commands (sysexits.h, EX_SOFTWARE). */
const FAULT_OF_OURS = 70;

/** A call or a file that cannot be used; the command ends with code 2. */
class Refused extends Error {}

interface Call {
  readonly verb: Verb;
  readonly path: string;
  readonly piece: string | undefined;
  readonly csv: boolean;
  readonly plates: boolean;
  readonly together: boolean;
  readonly out: string | undefined;
}

function readCall(args: readonly string[]): Call {
  let parsed;
  try {
    parsed = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        piece: { type: 'string' },
        csv: { type: 'boolean' },
        plates: { type: 'boolean' },
        together: { type: 'boolean' },
        out: { type: 'string' },
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw new Refused(`${error instanceof Error ? error.message : 'bad call'}\n\n${USAGE}`);
  }
  const [verb, path, ...rest] = parsed.positionals;
  if (parsed.values.help) throw new Refused(USAGE);
  if (!verb || !VERBS.includes(verb as Verb) || !path || rest.length > 0) throw new Refused(USAGE);
  if (parsed.values.plates && verb !== 'solve') throw new Refused(`--plates goes with solve\n\n${USAGE}`);
  if (parsed.values.csv && verb !== 'parts') throw new Refused(`--csv goes with parts\n\n${USAGE}`);
  const { piece, csv = false, plates = false, together = false, out } = parsed.values;
  if (together && verb !== 'stock') throw new Refused(`--together goes with stock\n\n${USAGE}`);
  if (out !== undefined && verb !== 'stock' && verb !== 'build') throw new Refused(`--out goes with stock and build\n\n${USAGE}`);
  return { verb: verb as Verb, path, piece, csv, plates, together, out };
}

function faultText(path: string, fault: Fault): string {
  const given = fault.given === undefined ? '' : `, given ${JSON.stringify(fault.given)}`;
  return `${path}: ${fault.path || '/'}: ${fault.message}${given}; accepted: ${fault.accepted}\n`;
}

function readFile(path: string): ProjectFile {
  let text: string;
  try {
    const bytes = statSync(path).size;
    if (bytes > 4 * LARGEST_FILE)
      throw new Refused(`${path}: /: this file is ${Math.round(bytes / 1e6)} MB; accepted: at most ${LARGEST_FILE / 1e6} MB\n`);
    text = readFileSync(path, 'utf8');
  } catch (error) {
    if (error instanceof Refused) throw error;
    throw new Refused(`${path}: ${(error as Error).message}\n`);
  }
  const reading = readProjectFile(text);
  if (reading.ok) return reading.file;
  throw new Refused(reading.faults.map((f) => faultText(path, f)).join(''));
}

function chosen(file: ProjectFile, id: string | undefined): readonly (readonly [string, ProjectFile['pieces'][string]])[] {
  if (id === undefined) return Object.entries(file.pieces);
  const piece = pieceIn(file, id);
  if (!piece) throw new Refused(`there is no piece ${id} in the file; there is: ${Object.keys(file.pieces).join(', ')}\n`);
  return [[id, piece]];
}

function report({ verb, plates }: Call, solution: Solution, file: ProjectFile): object {
  const { settings } = file.project;
  if (verb === 'check') return { checks: reportChecks(solution) };
  if (verb === 'parts') return { parts: reportParts(solution) };
  return reportSolution(solution, (solution.piece.rounding ?? settings.rounding).grid, plates);
}

/** What is not checked is not fine either, a joint as little as a shelf. */
function exitCode(solutions: readonly Solution[]): number {
  const checks = solutions.flatMap((s) => s.checks);
  if (checks.some((c) => c.severity === 'stop')) return 1;
  return checks.some((c) => c.state === 'not checked') ? 3 : 0;
}

/**
 * Runs the command.
 * @returns the exit code, at once but for what is laid out on stock: 0 when all is judged and nothing stops the build, 1 when a check stops it or a part has no place on stock, 3 when none does but something is not checked, 2 for a bad call or file, 70 for a fault of ours
 */
export function main(args: readonly string[], out: Output, err: Output): number | Promise<number> {
  const failed = (error: unknown) => {
    const { message, syscall } = error instanceof Error ? (error as NodeJS.ErrnoException) : { message: String(error), syscall: undefined };
    if (error instanceof Refused || error instanceof NoHours || syscall !== undefined) {
      err.write(
        error instanceof Refused ? message : `${syscall === undefined ? 'Could not be planned' : 'Could not be written'}: ${message}\n`,
      );
      return 2;
    }
    // Whatever else goes wrong is no fault of the file, and is told as what it is and not with a trace.
    err.write(`This is a fault of Ruvok and not of your file, which is as it was: ${message}. Please report it with the file.\n`);
    return FAULT_OF_OURS;
  };
  try {
    const call = readCall(args);
    const file = readFile(call.path);
    if (call.verb === 'stock') {
      chosen(file, call.piece);
      return layOutFile(file, call, (text) => out.write(text)).catch(failed);
    }
    const solutions = chosen(file, call.piece).flatMap(([id]) => {
      const solution = solvedIn(file, id);
      return solution ? [{ id, solution }] : [];
    });
    // Only those who print load what prints.
    if (call.verb === 'build')
      return import('./build.js').then(({ buildFile }) => buildFile(file, solutions, call.out, (text) => out.write(text))).catch(failed);
    if (call.verb === 'calendar') {
      const [piece, ...more] = solutions;
      if (!piece || more.length > 0) throw new Refused(`say which piece with --piece; there is: ${Object.keys(file.pieces).join(', ')}\n`);
      return import('./build.js')
        .then(({ calendarFile }) => calendarFile(file, piece, new Date(), (text) => out.write(text)))
        .catch(failed);
    }
    if (call.csv) {
      solutions.forEach(({ solution }) => out.write(partsCsv(solution.parts, file.project.settings, solution.piece.times)));
    } else {
      const pieces = solutions.map(({ id, solution }) => ({ id, ...report(call, solution, file) }));
      out.write(`${JSON.stringify({ project: file.project.name, pieces }, null, 2)}\n`);
    }
    return exitCode(solutions.map((s) => s.solution));
  } catch (error) {
    return failed(error);
  }
}
