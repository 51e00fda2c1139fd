import type { Length } from '../length/index.js';

/** A rectangle of a sheet, from the corner that is measured from: x along its length, y across it. */
export interface Rect {
  readonly x: Length;
  readonly y: Length;
  readonly length: Length;
  readonly width: Length;
}

/** A rip runs along the sheet and parts its width; a crosscut parts its length. */
export type Way = 'rip' | 'crosscut';

/** What a piece of a sheet becomes: a part, something left over, or two by a cut. */
export type Sawn = Rect &
  (
    | { readonly kind: 'part'; readonly id: string; readonly turned: boolean }
    /** Something left over; a flaw is of no use to anyone. */
    | { readonly kind: 'left'; readonly flaw?: true }
    /** `at` is what the nearer of the two keeps, which the fence or the stop is set to. The other is null where the blade leaves nothing of it. */
    | { readonly kind: 'cut'; readonly way: Way; readonly at: Length; readonly near: Sawn; readonly far: Sawn | null }
  );

/** One sheet or board with what is sawn from it. */
export interface LaidSheet {
  /** The kind of sheet, and which of that kind, from 0. */
  readonly sheet: string;
  readonly copy: number;
  readonly length: Length;
  readonly width: Length;
  /** What is taken off each end and each edge first. */
  readonly trim: { readonly ends: Length; readonly edges: Length };
  readonly sawn: Sawn;
}

function all(sawn: Sawn): Sawn[] {
  return sawn.kind === 'cut' ? [...all(sawn.near), ...(sawn.far ? all(sawn.far) : [])] : [sawn];
}

/** The parts on a sheet, and where each lies. @example partsOn(LAID[0]).length // 5 */
export function partsOn(sheet: LaidSheet): Extract<Sawn, { kind: 'part' }>[] {
  return all(sheet.sawn).filter((s) => s.kind === 'part');
}

const restsIn = (sheet: LaidSheet) => all(sheet.sawn).filter((s) => s.kind === 'left');

/** What was cut round on a sheet: knots, splits. @example flawsOn(LAID[0]) // [] */
export function flawsOn(sheet: LaidSheet): Extract<Sawn, { kind: 'left' }>[] {
  return restsIn(sheet).filter((s) => s.flaw);
}

/** What is left of a sheet that can be used, the largest first. @example leftOn(LAID[0]).length // 5 */
export function leftOn(sheet: LaidSheet): Extract<Sawn, { kind: 'left' }>[] {
  return restsIn(sheet)
    .filter((s) => !s.flaw)
    .sort((a, b) => b.length * b.width - a.length * a.width);
}
