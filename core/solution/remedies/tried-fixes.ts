import { say, type Sentence } from '../../figure/index.js';
import { applyEdit } from '../../kinds/index.js';
import type { Letters } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { compare } from '../compare.js';
import { addedCost } from '../cost.js';
import { solve, type Solution } from '../solve.js';
import { failing, leavesUnchecked, newStops } from './failing.js';

/** A fix of a check, tried in the solver. */
export interface TriedFix {
  /** Which of the fixes of its check it is. */
  readonly at: number;
  /** After it the check fails no more, and nothing fails that did not before. */
  readonly mends: boolean;
  /** Something stops the build after it that did not before: it is not offered. */
  readonly stops: boolean;
  /** What is said where it does not: of the check as it is then, or of what else fails. */
  readonly why: Sentence | null;
  /** By how much the piece gets heavier, kg, and dearer, in the project's money; null where a price is missing. */
  readonly addedKg: number;
  readonly addedCost: number | null;
}

/** What is said of something that fails, a member or a check, by its id. @example saidOf(SOLVED, 'none') // ['none', ' fails then.'] */
export function saidOf({ checks, carried }: Solution, id: string): Sentence {
  const about =
    checks.find((c) => c.id === id) ?? checks.find((c) => c.state === 'fails' && c.about.kind === 'member' && c.about.id === id);
  return about?.sentence ?? say`${carried.members.get(id)?.member.label ?? id} fails then.`;
}

/**
 * Every fix of a check that changes the piece, each tried in the solver: those that mend it first, the least change first, as for
 * remedies of a member: fewest sizes moved, then least weight.
 * @param checkId the check; nothing where it is not there
 * @example triedFixes(SOLVED, SHOP, SOLVED.letters, 'none') // []
 */
export function triedFixes(before: Solution, workshop: Workshop, ledger: Letters, checkId: string): readonly TriedFix[] {
  const check = before.checks.find((c) => c.id === checkId);
  const failed = failing(before);
  const tried = (check?.fixes ?? []).flatMap(({ change }, at): (TriedFix & { readonly moves: number })[] => {
    if (change.target !== 'piece') return [];
    const after = solve(applyEdit(before.piece, change.edit), workshop, ledger);
    const still = after.checks.find((c) => c.id === checkId && c.state === 'fails');
    const more = [...failing(after)].find((id) => !failed.has(id));
    const open = leavesUnchecked(before, after) ? after.checks.find((c) => c.id === 'not-checked') : undefined;
    const why = more === undefined ? ((still ?? open)?.sentence ?? null) : saidOf(after, more);
    const stops = newStops(before, after).length > 0;
    const addedKg = after.carried.massKg - before.carried.massKg;
    const moves = compare(before, after).length;
    return [{ at, mends: why === null, stops, why, addedKg, addedCost: addedCost(before, after, workshop), moves }];
  });
  tried.sort((a, b) => Number(b.mends) - Number(a.mends) || a.moves - b.moves || a.addedKg - b.addedKg);
  return tried.map(({ moves: _, ...one }) => one);
}
