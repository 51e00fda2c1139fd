import { ZERO, formatLength, fromUnits, type Length, type Precision } from '../length/index.js';
import { lettersText, rowsOf } from '../parts/index.js';
import { isPlain } from '../piece/index.js';
import { marksOf } from '../run/index.js';
import type { Solution } from '../solution/index.js';
import { assemblyBoards, type AssemblyBoard } from './boards.js';

/** A place on a stick, from its datum. */
export interface StickMark {
  readonly at: Length;
  readonly label: string;
}

/** A thing that is made first, so that the rest comes out right or alike. */
export type Jig =
  /** A lath with every place marked on it, held against each part in turn. */
  | { readonly kind: 'stick'; readonly name: string; readonly length: Length; readonly marks: readonly StickMark[]; readonly why: string }
  /** A block as long as a gap, set between what is fastened. */
  | { readonly kind: 'spacer'; readonly name: string; readonly length: Length; readonly why: string }
  /** A block that parts are pushed against, so that all come out as long. */
  | { readonly kind: 'stop'; readonly name: string; readonly length: Length; readonly why: string }
  /** The outline of a part, or where it is drilled, from which others are traced; left and right where it is turned over. */
  | {
      readonly kind: 'template';
      readonly name: string;
      readonly part: string;
      readonly length: Length;
      readonly width: Length;
      readonly why: string;
    }
  | AssemblyBoard;

/** From so many alike on it is worth making something for them. */
const SEVERAL = 3;

const AXES = { up: 'upright', across: 'across', deep: 'from the rear' } as const;

function sticks({ shape, workshop, piece }: Solution, precision: Precision): Jig[] {
  const { grid } = piece.rounding ?? workshop.settings.rounding;
  return [...shape.runs.values()].flatMap(({ owner, axis, run }): Jig[] => {
    const marks = marksOf(run, grid);
    if (marks.length === 0) return [];
    const label = shape.spaces.get(owner)?.label ?? piece.name;
    const chained = Math.max(...marks.map((m) => m.chainedError));
    return [
      {
        kind: 'stick',
        name: `Stick, ${AXES[axis]}: ${label}`,
        length: run.total.value,
        marks: marks.flatMap((m): StickMark[] => [
          { at: m.near.value, label: m.label },
          { at: m.far.value, label: '' },
        ]),
        why: `${marks.length} ${marks.length === 1 ? 'place' : 'places'} from one end, held against every part that is marked; gap after gap the last could be ${formatLength(fromUnits(chained), precision)} off`,
      },
    ];
  });
}

function spacers({ shape }: Solution, precision: Precision): Jig[] {
  return [...shape.runs.values()].flatMap(({ owner, run }): Jig[] => {
    const gaps = new Map<number, number>();
    for (const l of run.lines) if (l.line.kind === 'gap' && l.size.value > ZERO) gaps.set(l.size.value, (gaps.get(l.size.value) ?? 0) + 1);
    const label = shape.spaces.get(owner)?.label ?? 'the piece';
    return [...gaps]
      .filter(([, count]) => count >= SEVERAL)
      .map(([length, count]) => ({
        kind: 'spacer' as const,
        name: `Spacer of ${formatLength(fromUnits(length), precision)}`,
        length: fromUnits(length),
        why: `${count} gaps alike in ${label}; make two, one for each end of what is set`,
      }));
  });
}

function stops({ parts }: Solution, precision: Precision): Jig[] {
  return rowsOf(parts)
    .filter((row) => row.count >= SEVERAL)
    .map((row) => ({
      kind: 'stop' as const,
      name: `Stop at ${formatLength(row.first.cut.length.set, precision)}`,
      length: row.first.cut.length.set,
      why: `${row.count} alike: ${lettersText(row.parts.map((p) => p.letter))}, cut one after the other without measuring`,
    }));
}

function templates({ parts }: Solution): Jig[] {
  const rows = rowsOf(parts);
  return rows.flatMap((row): Jig[] => {
    const { first } = row;
    const holes = first.features.filter((f) => f.kind === 'hole').length;
    const shaped = !isPlain(first.member);
    if (!shaped && holes < SEVERAL) return [];
    const letters = lettersText(row.parts.map((p) => p.letter));
    const handed = row.hand !== null;
    return [
      {
        kind: 'template',
        name: `Template of ${letters}, ${first.member.role}${handed ? `, ${row.hand}` : ''}`,
        part: first.id,
        length: first.length.value,
        width: first.width.value,
        why: `${shaped ? 'its outline' : `${holes} holes in it`}${row.count > 1 ? `, ${row.count} alike traced from one` : ''}${handed ? '; write left and right on its two faces' : ''}`,
      },
    ];
  });
}

/** What is worth making before a piece is built, sticks first. @example jigsOf(SOLVED, { unit: 'mm', step: mm(0.1) }).length > 0 // true */
export function jigsOf(solution: Solution, precision: Precision): readonly Jig[] {
  return [
    ...sticks(solution, precision),
    ...spacers(solution, precision),
    ...stops(solution, precision),
    ...assemblyBoards(solution, precision),
    ...templates(solution),
  ];
}
