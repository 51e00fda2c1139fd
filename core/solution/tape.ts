import { Figure } from '../figure/index.js';
import type { Axis, PlacedRun, PlacedSpace } from '../piece/index.js';
import type { GapRule } from '../run/index.js';
import { dividingMemberId } from '../interiors/divide.js';
import { CASE } from '../shells/panel-case/index.js';
import type { Solution } from './solve.js';

/** The three lines that a tape can be hooked on. */
export type TapeAxis = Axis | 'deep';

/** One length on a tape: wood in black, a gap in yellow. */
export interface TapeLine {
  readonly id: string;
  readonly kind: 'wood' | 'gap';
  readonly label: string;
  readonly size: Figure;
  readonly near: Figure;
  readonly far: Figure;
  /** For a gap of a run: its rule, so that it can be changed here. */
  readonly rule?: GapRule;
  /** The space of a gap, or the dividing node of a member; none for what belongs to the case. */
  readonly node?: string;
  /** For a gap that no run decides: the open space that a new member would divide. */
  readonly splits?: string;
  /** The space or the member that is selected with it. */
  readonly selects: string;
  /** For a dividing member: whether it is held in its place. */
  readonly held?: 'pinned' | 'aligned';
}

/** A tape through a piece: lines from the datum that add up to the overall size. */
export interface Tape {
  readonly axis: TapeAxis;
  readonly overall: Figure;
  readonly lines: readonly TapeLine[];
}

type Bare = Omit<TapeLine, 'near' | 'far'>;

function wood(solution: Solution, id: string, label: string, axis: TapeAxis): Bare[] {
  const member = solution.shape.members.find((m) => m.id === id);
  if (!member) return [];
  return [{ id, kind: 'wood', label, selects: id, size: axis === 'deep' || member.role !== 'toe board' ? member.thickness : member.width }];
}

/** The spaces from the whole interior down to one. */
function pathTo(solution: Solution, spaceId: string): readonly PlacedSpace[] {
  const path: PlacedSpace[] = [];
  for (
    let space = solution.shape.spaces.get(spaceId);
    space;
    space = space.within ? solution.shape.spaces.get(space.within.owner) : undefined
  ) {
    path.unshift(space);
  }
  return path;
}

function runLinesOf(solution: Solution, run: PlacedRun, inner: (spaceId: string) => readonly Bare[]): Bare[] {
  const owner = solution.shape.spaces.get(run.owner);
  const specs = new Map((owner?.space.split?.members ?? []).map((m) => [m.id, m]));
  return run.run.lines.flatMap((placed): readonly Bare[] => {
    const { line, size } = placed;
    if (line.kind === 'gap') return inner(line.id);
    const spec = specs.get(line.id);
    const held = spec?.at !== undefined ? 'pinned' : spec?.sameAs !== undefined ? 'aligned' : undefined;
    return [
      {
        id: line.id,
        kind: 'wood',
        label: line.label,
        size,
        node: line.id,
        selects: dividingMemberId(line.id, run.axis),
        ...(held ? { held } : {}),
      },
    ];
  });
}

/** The lines inside a space along an axis: its own run, or the run that the chosen space is in. */
function within(solution: Solution, space: PlacedSpace, axis: Axis, path: ReadonlySet<string>): readonly Bare[] {
  const split = space.space.split;
  if (split?.axis === axis) {
    const run = solution.shape.runs.get(space.id);
    return run ? runLinesOf(solution, run, (id) => within(solution, solution.shape.spaces.get(id) as PlacedSpace, axis, path)) : [];
  }
  const chosen = split?.spaces.find((s) => path.has(s.id)) ?? split?.spaces[0];
  const inner = chosen && solution.shape.spaces.get(chosen.id);
  // A part of a run along this axis is one line of it, unless it is itself divided along the axis further in.
  if (!inner || (space.within?.axis === axis && !hasRun(inner, axis))) return [gapOf(space, axis)];
  return within(solution, inner, axis, path);
}

function hasRun(space: PlacedSpace, axis: Axis): boolean {
  const visit = (s: PlacedSpace['space']): boolean => (s.split ? s.split.axis === axis || s.split.spaces.some(visit) : false);
  return visit(space.space);
}

function gapOf(space: PlacedSpace, axis: Axis): Bare {
  const size = axis === 'up' ? space.clear.height : space.clear.width;
  const own = space.within?.axis === axis ? { rule: space.space.rule, node: space.id } : space.space.split ? {} : { splits: space.id };
  return { id: space.id, kind: 'gap', label: space.label, selects: space.id, size, ...own };
}

function placed(lines: readonly Bare[]): readonly TapeLine[] {
  let at: Figure | null = null;
  return lines.map((line) => {
    const near: Figure = at ?? Figure.leaf('length', 0, 'datum');
    const far: Figure = at ? at.plus(line.size.named(line.label)) : line.size.named(line.label);
    at = far;
    return { ...line, near, far };
  });
}

function deepLines(solution: Solution): Bare[] {
  const root = solution.shape.spaces.get(solution.piece.interior.id);
  if (!root) return [];
  const rule = solution.piece.back;
  const back = wood(solution, CASE.back, 'back', 'deep');
  const inset: Bare[] =
    rule.kind === 'groove' && rule.inset > 0
      ? [
          {
            id: 'inset',
            kind: 'gap',
            label: 'behind the back',
            selects: CASE.back,
            size: Figure.leaf('length', rule.inset, 'behind the back'),
          },
        ]
      : [];
  return [...inset, ...back, { id: root.id, kind: 'gap', label: 'inside depth', selects: root.id, size: root.clear.depth }];
}

/**
 * The tape through a chosen space along an axis: from the floor, the outside left or the
 * rear, over everything on that line, to the other side.
 * @param spaceId the chosen space; the first space where it is not there
 */
export function tapeThrough(solution: Solution, spaceId: string, axis: TapeAxis): Tape {
  const { shape, piece } = solution;
  const root = shape.spaces.get(piece.interior.id);
  const overall = axis === 'up' ? shape.overall.height : axis === 'across' ? shape.overall.width : shape.overall.depth;
  if (!root) return { axis, overall, lines: [] };
  if (axis === 'deep') return { axis, overall, lines: placed(deepLines(solution)) };
  const path = new Set(pathTo(solution, spaceId).map((s) => s.id));
  const inside = within(solution, root, axis, path);
  if (axis === 'across') {
    return {
      axis,
      overall,
      lines: placed([...wood(solution, CASE.left, 'left side', axis), ...inside, ...wood(solution, CASE.right, 'right side', axis)]),
    };
  }
  const base: Bare[] =
    piece.base.kind === 'none'
      ? []
      : [
          {
            id: 'base',
            kind: 'wood',
            selects: piece.base.kind === 'toe' ? CASE.toe : CASE.front,
            label: piece.base.kind === 'toe' ? 'toe' : 'plinth',
            size: Figure.leaf('length', piece.base.height, piece.base.kind, { kind: 'choice', ref: 'piece:base' }),
          },
        ];
  return {
    axis,
    overall,
    lines: placed([...base, ...wood(solution, CASE.bottom, 'bottom', axis), ...inside, ...wood(solution, CASE.top, 'top', axis)]),
  };
}
