import { projectFileSchema, readProject, type ProjectFile } from '../core/formats/index.js';
import { numbersIn, outOfSense, type NumberIn } from '../core/sense/index.js';
import { workshopOf } from '../core/formats/index.js';
import { solve } from '../core/solution/index.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { faultOfFile, fileOfOne } from './files.js';

/** One field of a file that holds a number: the first of its kind in a piece of a shell. */
export interface NumberField extends NumberIn {
  readonly piece: string;
}

/** Every sort of number that the shed has, once for each shell that it is in. */
export function numberFields(): readonly NumberField[] {
  const seen = new Set<string>();
  return Object.entries(PRINT_SHED.pieces).flatMap(
    ([
      piece,
      {
        piece: { shell },
      },
    ]) =>
      numbersIn(projectFileSchema(), fileOfOne(piece)).flatMap((number): NumberField[] => {
        // Spaces lie in each other, and records under their ids: where is no matter.
        const sort = number.path
          .filter((_, i, all) => i !== 1 || all[0] === 'project')
          .map((key) => (/^\d+$/.test(key) ? '' : key))
          .join('/')
          .replaceAll(/(interior|split|spaces|\/)+/g, '/');
        const key = `${shell} ${sort}`;
        if (seen.has(key)) return [];
        seen.add(key);
        return [{ ...number, piece }];
      }),
  );
}

function withNumber(file: ProjectFile, path: readonly string[], value: number): unknown {
  const changed = structuredClone(file) as unknown;
  const holder = path.slice(0, -1).reduce((at, key) => (at as Record<string, unknown>)[key], changed) as Record<string, unknown>;
  holder[path.at(-1) ?? ''] = value;
  return changed;
}

/** What is wrong with how a file is taken in whose number is so; null where nothing is. */
export function faultOfNumber({ piece, path, taken: [least, most], meant }: NumberField, value: number): string | null {
  const document = withNumber(fileOfOne(piece), path, value);
  const reading = readProject(document);
  if (value < least || value > most) {
    const at = `/${path.join('/')}`;
    if (reading.ok) return 'it is taken, though it is past what is';
    return reading.faults.some((f) => f.path === at) ? null : `it is refused for ${reading.faults[0]?.path}, not for ${at}`;
  }
  // What it is held against beside, such as that a range has its ends in order, may refuse it; that is in words.
  const fault = faultOfFile(document);
  if (fault !== null || !reading.ok || (value >= meant[0] && value <= meant[1])) return fault;
  const { file } = reading;
  const kept = file.pieces[piece];
  if (!kept || outOfSense(projectFileSchema(), kept).length === 0) return null;
  const stops = solve(kept.piece, workshopOf(file), kept.letters).checks.filter((c) => c.id.startsWith('meant '));
  return stops.length > 0 ? null : 'nobody means it, and nothing stops the build';
}

/** The ends of what is taken and of what is meant of a number, and the next ones past them. */
export const endsOf = ({ taken, meant }: NumberField): readonly number[] =>
  [...new Set([taken, meant].flatMap(([least, most]) => [least - 1, least, most, most + 1]))].filter(Number.isSafeInteger);
