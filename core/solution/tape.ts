import { Figure, size } from '../figure/index.js';
import { ZERO, sub, type Length } from '../length/index.js';
import { alongOf, type Axis, type Inset, type PlacedRun, type PlacedSpace } from '../piece/index.js';
import { sumOfLines, type GapRule } from '../run/index.js';
import { dividingMemberId } from '../interiors/index.js';
import type { Solution } from './solve.js';

/** The three lines that a tape can be hooked on. */
export type TapeAxis = Axis;

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
  /** A gap that is a part of its own, such as a drawer, and can be taken out. */
  readonly part?: true;
  /** The space or the member that is selected with it. */
  readonly selects: string;
  /** How long it is along what leans beside it; left out where that stands upright. */
  readonly along?: Figure;
  /** For a dividing member: whether it is held in its place. */
  readonly held?: 'pinned' | 'aligned';
}

/** A tape through a piece: lines from the datum that add up to the overall size. */
export interface Tape {
  readonly axis: TapeAxis;
  readonly overall: Figure;
  readonly lines: readonly TapeLine[];
}

/** A line before it is placed: after the last one, or so much `back` where it reaches over it, with the next one so much back in turn. */
type Bare = Omit<TapeLine, 'near' | 'far'> & { readonly back?: Figure; readonly nextBack?: Figure };

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

const CLEAR = { up: 'height', across: 'width', deep: 'depth' } as const;

/** What no line of a run takes up, past its last one, as the drawing has it. */
function leftOver({ run, owner }: PlacedRun): readonly Bare[] {
  const left = sub(run.total.value, sumOfLines(run));
  if (left <= ZERO) return [];
  return [{ id: `${owner}-left-over`, kind: 'gap', label: 'left over', size: size('left over', left), selects: owner }];
}

function runLinesOf(solution: Solution, run: PlacedRun, inner: (space: PlacedSpace) => readonly Bare[]): Bare[] {
  const owner = solution.shape.spaces.get(run.owner);
  const specs = new Map((owner?.space.split?.members ?? []).map((m) => [m.id, m]));
  const lines = run.run.lines.flatMap((placed): readonly Bare[] => {
    const { line, size } = placed;
    if (line.kind === 'gap') {
      const space = solution.shape.spaces.get(line.id);
      if (!space) return [];
      // A part is one line of its run, as it is there, unless it is itself divided along the axis further in.
      return hasRun(space, run.axis)
        ? inner(space)
        : [{ ...gapOf(space, run.axis), size, ...(partsStandAlone(run) ? { part: true } : {}) }];
    }
    const spec = specs.get(line.id);
    const held = spec?.at !== undefined ? 'pinned' : spec?.sameAs !== undefined ? 'aligned' : undefined;
    const role = run.roles.get(line.id);
    const wood = role !== undefined && role !== 'room';
    return [
      {
        id: line.id,
        kind: wood || !spec ? 'wood' : 'gap',
        label: line.label,
        size,
        selects: wood
          ? dividingMemberId(line.id, role)
          : ((spec ? undefined : run.endIds?.[line.id.endsWith('-start') ? 'before' : 'after']) ?? run.owner),
        ...(spec && wood ? { node: line.id } : {}),
        ...(held ? { held } : {}),
      },
    ];
  });
  const { before, after } = run.over;
  const whole = [...lines, ...leftOver(run)];
  return whole.map((line, i) => ({
    ...line,
    ...(i === 0 && before ? { back: before } : {}),
    ...(i === whole.length - 1 && after ? { nextBack: after } : {}),
  }));
}

/**
 * Whether nothing but room lies between the parts of a run, so that each of them is what is made.
 * @example partsStandAlone(SOLVED.shape.runs.get('in')) // false
 */
export function partsStandAlone(run: PlacedRun): boolean {
  return [...run.roles.values()].every((role) => role === 'room') && (run.roles.size > 0 || run.run.lines.length > 1);
}

/** What lies round the clear inside of a part, as lines. */
function insetLines(space: PlacedSpace, list: readonly Inset[], end: 'before' | 'after'): Bare[] {
  return list.map((inset, i) => ({
    id: `${space.id}-${end}-${inset.label}-${i}`,
    kind: inset.member ? 'wood' : 'gap',
    label: inset.label,
    size: inset.size,
    selects: inset.member ?? space.id,
  }));
}

/** The lines inside a space along an axis: its own run, or the run that the chosen space is in. */
function within(solution: Solution, space: PlacedSpace, axis: Axis, path: ReadonlySet<string>): readonly Bare[] {
  const around = space.insets?.[axis];
  const lines = clearLines(solution, space, axis, path);
  if (!around) return lines;
  return [...insetLines(space, around.before, 'before'), ...lines, ...insetLines(space, around.after, 'after')];
}

function clearLines(solution: Solution, space: PlacedSpace, axis: Axis, path: ReadonlySet<string>): readonly Bare[] {
  const split = space.space.split;
  if (split?.axis === axis) {
    const run = solution.shape.runs.get(space.id);
    return run ? runLinesOf(solution, run, (part) => within(solution, part, axis, path)) : [];
  }
  const chosen = split?.spaces.find((s) => path.has(s.id)) ?? split?.spaces[0];
  const inner = chosen && solution.shape.spaces.get(chosen.id);
  if (!inner || (space.within?.axis === axis && !hasRun(inner, axis))) return [gapOf(space, axis)];
  return within(solution, inner, axis, path);
}

function hasRun(space: PlacedSpace, axis: Axis): boolean {
  const visit = (s: PlacedSpace['space']): boolean => (s.split ? s.split.axis === axis || s.split.spaces.some(visit) : false);
  return visit(space.space);
}

function gapOf(space: PlacedSpace, axis: Axis): Bare {
  const open = !space.space.split && !space.space.filling;
  const own =
    space.within?.axis === axis ? { rule: space.space.rule, node: space.id } : open && axis !== 'deep' ? { splits: space.id } : {};
  return { id: space.id, kind: 'gap', label: space.label, selects: space.id, size: space.clear[CLEAR[axis]], ...own };
}

function placed(lines: readonly Bare[]): readonly TapeLine[] {
  let at: Figure | null = null;
  return lines.map(({ back, nextBack, ...line }) => {
    const from = back ? (at ?? Figure.leaf('length', 0, 'datum')).minus(back) : at;
    const near: Figure = from ?? Figure.leaf('length', 0, 'datum');
    const far: Figure = from ? from.plus(line.size.named(line.label)) : line.size.named(line.label);
    at = nextBack ? far.minus(nextBack) : far;
    return { ...line, near, far };
  });
}

/** What lies behind and before a space over a shelf between sides that lean, from the wall to their foot. */
function roundShelf({ shape }: Solution, path: ReadonlySet<string>): { readonly before: readonly Bare[]; readonly after: readonly Bare[] } {
  const space = [...shape.spaces.values()].find((s) => path.has(s.id) && s.within && shape.spaces.get(s.within.owner)?.lean);
  const gap = (label: string, length: Length): Bare[] =>
    space && length > 0
      ? [{ id: `${space.id}-${label}`, kind: 'gap', label, selects: space.id, size: Figure.leaf('length', length, label) }]
      : [];
  if (!space) return { before: [], after: [] };
  return { before: gap('to the wall', space.box.z0), after: gap('to the front of the foot', sub(shape.overall.depth.value, space.box.z1)) };
}

/**
 * The tape through a chosen space along an axis: from the floor, the outside left or the
 * rear, over everything on that line, to the other side.
 * @param spaceId the chosen space; the first space where it is not there
 * @example tapeThrough(SOLVED, 'in-1', 'up').overall.value // mm(2000)
 */
export function tapeThrough(solution: Solution, spaceId: string, axis: TapeAxis): Tape {
  const { shape, piece } = solution;
  const root = shape.spaces.get(piece.interior.id);
  const overall = { up: shape.overall.height, across: shape.overall.width, deep: shape.overall.depth }[axis];
  if (!root) return { axis, overall, lines: [] };
  const path = new Set(pathTo(solution, spaceId).map((s) => s.id));
  const inside = within(solution, root, axis, path);
  const { before, after } = shape.outside.ends[axis];
  const { lean } = root;
  const about = lean && axis === 'deep' ? roundShelf(solution, path) : null;
  const lines = placed([...(about?.before ?? before), ...inside, ...(about?.after ?? after)]);
  return { axis, overall, lines: lean && axis === 'up' ? lines.map((l) => ({ ...l, along: alongOf(lean, l.size) })) : lines };
}
