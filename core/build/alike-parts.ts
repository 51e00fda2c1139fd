import type { Precision } from '../length/index.js';
import { machiningText, type Part } from '../parts/index.js';
import type { Solution } from '../solution/index.js';
import { holesByPart, type Hole } from './holes.js';
import { holeRows, type HoleRow } from './places.js';

/** Parts that are machined and drilled alike, told once. */
export interface AlikeParts {
  readonly parts: readonly Part[];
  /** What is cut into each, a line each. */
  readonly lines: readonly string[];
  /** The holes of each, as they are set out. */
  readonly rows: readonly HoleRow[];
  readonly holes: readonly Hole[];
}

/**
 * The parts of a piece that anything is cut into, those that are set out alike together. @param only the ids of those that are asked for
 * @example alikeParts(SOLVED, { unit: 'mm', step: mm(0.5) }).length // 3
 */
export function alikeParts(solution: Solution, precision: Precision, only?: ReadonlySet<string>): readonly AlikeParts[] {
  const holes = holesByPart(solution);
  const found = new Map<string, AlikeParts & { parts: Part[] }>();
  for (const part of solution.parts) {
    if (only && !only.has(part.id)) continue;
    const own = holes.get(part.id) ?? [];
    const rows = holeRows(own, part, precision);
    const lines = [...new Set(part.features.filter((f) => f.kind !== 'hole').map((f) => machiningText(f, part, precision)))];
    const key = JSON.stringify([part.member.role, part.cut.length.set, part.cut.width.set, lines, rows]);
    const known = found.get(key);
    if (known) known.parts.push(part);
    else found.set(key, { parts: [part], lines, rows, holes: own });
  }
  return [...found.values()].filter((a) => a.lines.length > 0 || a.rows.length > 0);
}
