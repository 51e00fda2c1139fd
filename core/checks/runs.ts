import { len, say } from '../figure/index.js';
import type { Length } from '../length/index.js';
import { findSpace, type Piece, type PieceEdit, type PlacedRun, type Shape } from '../piece/index.js';
import { isFree, type RunChange } from '../run/index.js';
import { pieceFix, type Check } from '../finding/index.js';

/** The edit that makes a run's whole length another: the gap that holds it in an outer run the same way, else the piece itself. */
function resize(piece: Piece, run: PlacedRun, total: Length): PieceEdit {
  let path = findSpace(piece.interior, run.owner);
  while (path?.parent) {
    if (path.parent.axis === run.axis) return { kind: 'rule', space: path.space.id, rule: { kind: 'fixed', size: total } };
    path = findSpace(piece.interior, path.parent.space.id);
  }
  const reach = { up: 'height', across: 'width', deep: 'depth' }[run.axis];
  return { kind: 'piece', patch: { [reach]: { from: 'given', size: total, of: 'inside' } } };
}

/** The edit to a piece that a change to one of its runs means. */
export function editOf(piece: Piece, run: PlacedRun, change: RunChange): PieceEdit {
  switch (change.kind) {
    case 'rule':
      return { kind: 'rule', space: change.gap, rule: change.rule };
    case 'drop':
      return { kind: 'drop', member: change.member };
    case 'unpin':
      return { kind: 'pin', member: change.member, at: null };
    case 'unbound':
      return { kind: 'bounds', space: change.gap };
    case 'total':
      return resize(piece, run, change.total);
  }
}

/** What the lines of a run are called together. */
function nounsOf({ roles, axis }: PlacedRun): string {
  const [role] = roles.values();
  switch (role) {
    case 'shelf':
      return 'shelves and spaces';
    case 'slat':
      return 'slats and gaps';
    case 'board':
      return 'boards and what lies between them';
    case 'room':
      return axis === 'up' ? 'drawers and what lies between them' : 'parts and what lies between them';
    default:
      return 'dividers and spaces';
  }
}

/** Gaps that came out outside their bounds: of a given size, on a pitch, or between edges that were set. */
function outOfBounds(run: PlacedRun): Check[] {
  const shares = run.run.lines.some(({ line }) => line.kind === 'gap' && isFree(line));
  return run.run.lines.flatMap(({ line, size }): Check[] => {
    if (line.kind !== 'gap') return [];
    const { least, greatest, label } = line;
    const [bound, kind] =
      least !== undefined && size.value < least
        ? ([least, 'least'] as const)
        : greatest !== undefined && size.value > greatest
          ? ([greatest, 'greatest'] as const)
          : [];
    if (bound === undefined) return [];
    const fixed = { kind: 'rule', space: line.id, rule: { kind: 'fixed', size: bound } } as const;
    return [
      {
        id: `bounds-${line.id}`,
        severity: 'stop',
        state: 'fails',
        about: { kind: 'space', id: line.id },
        sentence: say`${label} is ${len(size.value)}, and may be ${len(bound)} at ${kind === 'least' ? 'least' : 'most'}.`,
        fixes: [
          ...(line.rule.kind === 'fixed' && shares ? [pieceFix(say`Make it ${len(bound)}`, fixed)] : []),
          pieceFix(say`Take its bounds away`, { kind: 'bounds', space: line.id }),
        ],
      },
    ];
  });
}

const MOST_WAYS = 4;

/** Runs that cannot be met, each with its ways out, and spaces that should fit what is not there. @example runChecks(CASE, SOLVED.shape) // [] */
export function runChecks(piece: Piece, shape: Shape): Check[] {
  return [...shape.runs.values()].flatMap((run) => {
    const owner = shape.spaces.get(run.owner);
    const where = owner && owner.label !== 'inside' ? `${owner.label}: ` : '';
    const conflicts = run.run.conflicts.map((conflict, i): Check => ({
      id: `run-${run.owner}-${i}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'space', id: run.owner },
      sentence:
        conflict.kind === 'over'
          ? say`${where}the ${nounsOf(run)} need ${len(conflict.by)} more than the ${len(run.run.total.value)} there is.`
          : say`${where}${conflict.sentence}`,
      fixes: conflict.ways.slice(0, MOST_WAYS).map((way) => pieceFix(way.label, editOf(piece, run, way.change))),
    }));
    const unfitted = run.run.unfitted.map((gap): Check => {
      const label = shape.spaces.get(gap)?.label ?? 'a space';
      return {
        id: `unfitted-${gap}`,
        severity: 'look',
        state: 'not checked',
        about: { kind: 'space', id: gap },
        sentence: say`${label} should fit what stands in it, but nothing does; it takes a share for now.`,
        fixes: [pieceFix(say`Let it share`, { kind: 'rule', space: gap, rule: { kind: 'share', weight: 1 } })],
      };
    });
    return [...conflicts, ...(conflicts.length > 0 ? [] : outOfBounds(run)), ...unfitted];
  });
}
