import type { State } from '../../carry/index.js';
import { weakEnds } from '../../checks/index.js';
import type { Sentence } from '../../figure/index.js';
import { ZERO, greatest, type Length } from '../../length/index.js';
import { type Letters, type PieceEdit } from '../../piece/index.js';
import { applyEdit } from '../../kinds/index.js';
import type { Workshop } from '../../project/index.js';
import { compare, type Moved } from '../compare.js';
import { addedCost } from '../cost.js';
import { solve, type Solution } from '../solve.js';
import type { Candidate } from '../../remedies/index.js';
import { candidatesFor } from './candidates.js';
import { failing } from './failing.js';

export * from './choices.js';
export { failing } from './failing.js';
export * from './tried-fixes.js';

/** A change that makes a member pass, tried in the solver. */
export interface Remedy {
  readonly label: Sentence;
  readonly edit: PieceEdit;
  /** What one sees of it. */
  readonly looks: Sentence;
  /** Sag of the member after it, mm; null where it no longer bends, or is not judged. */
  readonly today: number | null;
  readonly later: number | null;
  readonly state: State;
  /** Its ends did not hold before, and do not after it. */
  readonly endsFail: boolean;
  /** By how much the piece gets heavier, kg, and dearer, in the project's money; null where a price is missing. */
  readonly addedKg: number;
  readonly addedCost: number | null;
  /** The most clear height that any space loses. */
  readonly lostHeight: Length;
  readonly moved: readonly Moved[];
  /** Members under it that carry more after it, by their ids, with N before and after. */
  readonly below: readonly { readonly id: string; readonly before: number; readonly after: number }[];
}

/** Whether a member itself is close to what it may. */
const isClose = ({ carried }: Solution, id: string) => carried.members.get(id)?.state === 'close';

function lostHeight(before: Solution, after: Solution, edit: PieceEdit): Length {
  const lost = [...before.shape.spaces.values()].map((space) => {
    const now = after.shape.spaces.get(space.id);
    return now && !space.space.split ? space.clear.height.value - now.clear.height.value : ZERO;
  });
  const under = edit.kind === 'stiffen' && edit.strip?.top === 'under' ? edit.strip.high : ZERO;
  return greatest([ZERO, under, ...(lost as Length[])]);
}

/** Every member that a member's load goes through on its way down. */
function below(solution: Solution, memberId: string): readonly string[] {
  const seen = new Set<string>();
  const queue = [memberId];
  for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
    for (const { carrier } of solution.carried.members.get(id)?.supports ?? []) {
      if (seen.has(carrier) || !solution.carried.members.has(carrier)) continue;
      seen.add(carrier);
      queue.push(carrier);
    }
  }
  return [...seen];
}

/** From this much more on, what a member below carries is told. */
const MORE = 1.01;

function moreBelow(before: Solution, after: Solution, memberId: string): Remedy['below'] {
  return below(after, memberId).flatMap((id) => {
    const [was, is] = [before, after].map((s) => s.carried.members.get(id)?.total ?? 0) as [number, number];
    return is > was * MORE ? [{ id, before: was, after: is }] : [];
  });
}

function tried(
  before: Solution,
  failedBefore: ReadonlySet<string>,
  workshop: Workshop,
  ledger: Letters,
  memberId: string,
  { label, edit, looks }: Candidate,
): Remedy | null {
  const after = solve(applyEdit(before.piece, edit), workshop, ledger);
  const member = after.carried.members.get(memberId);
  if (!member || after.shape.runs.size < before.shape.runs.size) return null;
  // With nothing left on it there is nothing to judge.
  const relieved = member.empty && member.unknown.length === 0 && member.state === 'not judged';
  const passes = member.state === 'fine' || member.state === 'close' || relieved;
  const failsAfter = failing(after);
  const endsFail = weakEnds(after.checks).has(memberId);
  // One that bends well enough is mended at its ends; what mends it is not offered where it makes something else fail.
  const mends = passes && (failedBefore.has(memberId) || isClose(before, memberId) || !endsFail);
  if (!mends || [...failsAfter].some((id) => !failedBefore.has(id))) return null;
  return {
    label,
    edit,
    looks,
    today: member.bending?.verdict.today.mm ?? null,
    later: member.bending?.verdict.later?.mm ?? null,
    state: member.state,
    endsFail,
    addedKg: after.carried.massKg - before.carried.massKg,
    addedCost: addedCost(before, after, workshop),
    lostHeight: lostHeight(before, after, edit),
    moved: compare(before, after),
    below: moreBelow(before, after, memberId),
  };
}

/**
 * Changes that make a member pass in the long term, its joints too, found by trying them in the solver; one that
 * makes anything else fail is left out. Least change first: fewest sizes moved, then least height lost, then least weight.
 * @example remediesFor(SOLVED, SHOP, SOLVED.letters, 'in-m1/shelf/1')[0].label // ['Screw its ends']
 */
export function remediesFor(before: Solution, workshop: Workshop, ledger: Letters, memberId: string): readonly Remedy[] {
  const carried = before.carried.members.get(memberId);
  if (!carried) return [];
  const failedBefore = failing(before);
  const remedies = candidatesFor({ ...before, workshop, member: carried.member }).flatMap((candidate): Remedy[] => {
    const remedy = tried(before, failedBefore, workshop, ledger, memberId, candidate);
    return remedy ? [remedy] : [];
  });
  return remedies.sort((a, b) => a.moved.length - b.moved.length || a.lostHeight - b.lostHeight || a.addedKg - b.addedKg);
}
