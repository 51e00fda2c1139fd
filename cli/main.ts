import { workshopFor } from '../core/project/index.js';
import { readFileSync, statSync } from 'node:fs';
import { parseArgs } from 'node:util';
import {
  LARGEST_FILE,
  partsCsv,
  readProjectFile,
  reportChecks,
  reportParts,
  reportSolution,
  workshopOf,
  type Fault,
  type ProjectFile,
} from '../core/formats/index.js';
import { solve, type Solution } from '../core/solution/index.js';

/** Where the command writes. */
export interface Output {
  write(text: string): unknown;
}

const USAGE = `Usage: ruvok solve|check|parts FILE [--piece ID] [--csv] [--plates]

  solve   everything that follows from each piece: sizes, sums, marks, loads, checks, parts
  check   the checks alone
  parts   the parts alone; with --csv as a table

  --piece ID   one piece of the file instead of all of them
  --csv        parts as CSV, lengths in the project's unit and in mm
  --plates     with solve: every member that bends as a plate too, which takes a while

Exit code: 0 when nothing stops the build, 1 when a check does, 2 for a file or a call that cannot be read.
`;

const VERBS = ['solve', 'check', 'parts'] as const;
type Verb = (typeof VERBS)[number];

/** A call or a file that cannot be used; the command ends with code 2. */
class Refused extends Error {}

interface Call {
  readonly verb: Verb;
  readonly path: string;
  readonly piece: string | undefined;
  readonly csv: boolean;
  readonly plates: boolean;
}

function readCall(args: readonly string[]): Call {
  let parsed;
  try {
    parsed = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: { piece: { type: 'string' }, csv: { type: 'boolean' }, plates: { type: 'boolean' }, help: { type: 'boolean', short: 'h' } },
    });
  } catch (error) {
    throw new Refused(`${error instanceof Error ? error.message : 'bad call'}\n\n${USAGE}`);
  }
  const [verb, path, ...rest] = parsed.positionals;
  if (parsed.values.help) throw new Refused(USAGE);
  if (!verb || !VERBS.includes(verb as Verb) || !path || rest.length > 0) throw new Refused(USAGE);
  if (parsed.values.plates && verb !== 'solve') throw new Refused(`--plates goes with solve\n\n${USAGE}`);
  if (parsed.values.csv && verb !== 'parts') throw new Refused(`--csv goes with parts\n\n${USAGE}`);
  return { verb: verb as Verb, path, piece: parsed.values.piece, csv: parsed.values.csv ?? false, plates: parsed.values.plates ?? false };
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
  const piece = file.pieces[id];
  if (!piece) throw new Refused(`there is no piece ${id} in the file; there is: ${Object.keys(file.pieces).join(', ')}\n`);
  return [[id, piece]];
}

function report({ verb, plates }: Call, solution: Solution, file: ProjectFile): object {
  const { settings } = file.project;
  if (verb === 'check') return { checks: reportChecks(solution) };
  if (verb === 'parts') return { parts: reportParts(solution) };
  return reportSolution(solution, (solution.piece.rounding ?? settings.rounding).grid, plates);
}

/** What is not judged is not fine either, a joint as little as a shelf. */
function exitCode(solutions: readonly Solution[]): number {
  const checks = solutions.flatMap((s) => s.checks);
  if (checks.some((c) => c.severity === 'stop')) return 1;
  return checks.some((c) => c.state === 'not judged') ? 3 : 0;
}

/**
 * Runs the command.
 * @returns the exit code: 0 when all is judged and nothing stops the build, 1 when a check stops it, 3 when none does but something is not judged, 2 for a bad call or file
 */
export function main(args: readonly string[], out: Output, err: Output): number {
  try {
    const call = readCall(args);
    const file = readFile(call.path);
    const workshop = workshopOf(file);
    const readings = Object.values(file.readings ?? {});
    const solutions = chosen(file, call.piece).map(([id, { piece, letters }]) => ({
      id,
      solution: solve(piece, workshopFor(workshop, readings, id), letters),
    }));
    if (call.csv) {
      solutions.forEach(({ solution }) => out.write(partsCsv(solution.parts, file.project.settings, solution.piece.times)));
    } else {
      const pieces = solutions.map(({ id, solution }) => ({ id, ...report(call, solution, file) }));
      out.write(`${JSON.stringify({ project: file.project.name, pieces }, null, 2)}\n`);
    }
    return exitCode(solutions.map((s) => s.solution));
  } catch (error) {
    // Whatever goes wrong, the command ends with what it was and not with a trace.
    err.write(
      error instanceof Refused ? error.message : `Could not be worked out: ${error instanceof Error ? error.message : String(error)}\n`,
    );
    return 2;
  }
}
