import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  buildingFor,
  holesOf,
  hoursNow,
  jigsOf,
  paceIn,
  placedHole,
  planLeft,
  stepsFor,
  type Building,
  type Step,
} from '../core/build/index.js';
import { writeExactly } from '../core/figure/index.js';
import { fullSizesOf } from '../core/drawing/index.js';
import { calendarOf } from '../core/formats/calendar.js';
import { fileName } from '../core/formats/file-name.js';
import { fullSizeDxf, fullSizeSvg } from '../core/formats/full-size-files.js';
import type { ProjectFile } from '../core/formats/index.js';
import { toMm } from '../core/length/index.js';
import type { Solution } from '../core/solution/index.js';
import { laidFor } from '../print/laid.js';
import { shopSheets } from '../print/shop-sheets.js';
import { fullSizePages } from '../print/tiles.js';

/** One piece of a file, solved, with how it is built. */
export interface ToBuild {
  readonly id: string;
  readonly solution: Solution;
}

function stepsIn(file: ProjectFile, { id, solution }: ToBuild): { readonly building: Building; readonly steps: readonly Step[] } {
  const buildings = Object.values(file.buildings ?? {});
  const building = buildingFor(buildings, id);
  return { building, steps: stepsFor(solution, building, paceIn(buildings)) };
}

const rounded = (x: number) => Math.round(x * 1000) / 1000;

/** Steps, settings and holes of one piece as plain data, lengths in mm. */
function reportBuilding(file: ProjectFile, piece: ToBuild): object {
  const { solution } = piece;
  const { steps } = stepsIn(file, piece);
  const parts = new Map(solution.parts.map((p) => [p.id, p]));
  const letter = (id: string) => parts.get(id)?.letter ?? id;
  return {
    id: piece.id,
    name: solution.piece.name,
    steps: steps.map((s, i) => ({
      nth: i + 1,
      id: s.id,
      title: s.title,
      parts: s.parts.map(letter),
      needs: s.needs,
      minutes: Math.round(s.minutes),
      wait: s.wait,
      says: s.says.map(writeExactly),
      cautions: s.cautions,
      settings: s.setups.map((u) => ({ says: writeExactly(u.says), parts: u.parts.map(letter), count: u.count })),
    })),
    holes: holesOf(solution).flatMap((hole) => {
      const part = parts.get(hole.part);
      if (!part) return [];
      const { surface, ends, aside } = placedHole(hole, part);
      return [
        {
          part: part.letter,
          use: hole.use,
          in: surface,
          from: Object.fromEntries(ends.map(([name, mm]) => [name, rounded(mm)])),
          aside: { from: aside[0], mm: rounded(aside[1]) },
          diameter: hole.diameter,
          depth: rounded(hole.depth),
          through: hole.through,
        },
      ];
    }),
    jigs: jigsOf(solution, file.project.settings).map((j) => ({
      kind: j.kind,
      name: j.name,
      lengthMm: rounded(toMm(j.length)),
      ...('width' in j ? { widthMm: rounded(toMm(j.width)) } : {}),
      why: j.why,
    })),
  };
}

async function writeSheets(file: ProjectFile, piece: ToBuild, folder: string): Promise<void> {
  const { solution } = piece;
  const { settings } = file.project;
  mkdirSync(folder, { recursive: true });
  const base = join(folder, fileName(solution.piece.name));
  writeFileSync(`${base}.pdf`, await shopSheets({ solution, laid: await laidFor(file, piece.id, solution), ...stepsIn(file, piece) }));
  const drawings = fullSizesOf(solution, jigsOf(solution, settings), settings);
  if (drawings.length === 0) return;
  writeFileSync(`${base}-full-size.pdf`, await fullSizePages(solution.piece.name, drawings));
  writeFileSync(`${base}-full-size.dxf`, fullSizeDxf(drawings));
  drawings.forEach((d, i) => writeFileSync(`${base}-full-size-${i + 1}.svg`, fullSizeSvg(d)));
}

/** Writes the steps, settings and holes of pieces as JSON, and their sheets and full-size prints into a folder where one is named. */
export async function buildFile(
  file: ProjectFile,
  pieces: readonly ToBuild[],
  out: string | undefined,
  write: (text: string) => unknown,
): Promise<number> {
  if (out !== undefined) for (const piece of pieces) await writeSheets(file, piece, out);
  write(`${JSON.stringify({ project: file.project.name, pieces: pieces.map((p) => reportBuilding(file, p)) }, null, 2)}\n`);
  return 0;
}

/**
 * Writes when the steps of one piece are done, as iCalendar.
 * @throws NoHours where its week has none
 */
export function calendarFile(file: ProjectFile, piece: ToBuild, now: Date, write: (text: string) => unknown): number {
  const { building, steps } = stepsIn(file, piece);
  const planned = { project: file.project.name, piece: piece.id, name: piece.solution.piece.name };
  write(calendarOf(planned, planLeft(steps, building, now), steps, hoursNow(building, now).from));
  return 0;
}
