import { say, type Sentence } from '../figure/index.js';
import { isBack, type Member } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import type { CarriedMember } from './carry.js';
import { fixingsOf } from './fixings/index.js';
import { saidOfAssumed } from './standing.js';

/**
 * Whether a member that fails comes down or may break, so that it stops the build; what merely shows is for a look.
 * @example stopsBuild(SOLVED.carried.members.get('in-m1/shelf/1')) // false
 */
export function stopsBuild({ falls, bending }: CarriedMember): boolean {
  return falls || bending?.strength.state === 'fails';
}

/** How its load was put on it, where that is not spread evenly. */
function asLoaded(c: CarriedMember): Sentence[] {
  const moves = c.standing.some((s) => s.row !== undefined);
  if (moves) return [say`What stands on it takes up less than its length and may stand anywhere on it: the worst place counts.`];
  const assumed = saidOfAssumed([c]);
  if (assumed) return [say`Nothing is entered for it: ${assumed}`];
  return c.standing.length > 0 ? [say`What stands on it is spread evenly, or stands where it is said to.`] : [];
}

/** What holds a member besides what was counted. */
function notCounted({ member, bending }: CarriedMember, members: ReadonlyMap<string, Member>): Sentence[] {
  const touches = [...members.values()].some(isBack);
  const level = member.role === 'bottom' || member.role === 'top' || member.role === 'shelf';
  if (!bending || !level || !touches || bending.beside !== 'none') return [];
  return [say`The back is not counted as a support, since it is not screwed or glued to it.`];
}

/** What the verdict on a member that bends leaves out, in plain sentences. @example leavesOut(CARRIED, MEMBERS, SHOP.settings).length // 3 */
export function leavesOut(c: CarriedMember, members: ReadonlyMap<string, Member>, settings: Settings): readonly Sentence[] {
  const { bending } = c;
  if (!bending) return [];
  const open = fixingsOf(c, members, settings).filter((f) => f.state === 'not checked').length;
  const { patterns, panel } = bending;
  return [
    ...asLoaded(c),
    say`What carries it is taken as stiff: how far that gives itself is not added.`,
    ...notCounted(c, members),
    ...(open > 0 ? [say`${open === 1 ? 'One of its joints is' : `${open} of its joints are`} not checked.`] : []),
    ...(patterns.every ? [] : [say`Its supports can lift, and not every way of loading it was tried: it may be some per cent worse.`]),
    ...(panel ? [say`It is taken as a thin plate, and loads as spread from its front to its back.`] : []),
    say`Shear in the wood, and across the plies of a sheet, is not checked.`,
  ];
}
