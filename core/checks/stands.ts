import { stopsBuild, type CarriedMember, type State } from '../carry/index.js';
import type { Check, Severity } from '../finding/index.js';

/** The checks of a solved piece never change, so that they are gone through once. */
const known = new WeakMap<readonly Check[], ReadonlySet<string>>();

/** Members whose ends do not hold what they give on, by their ids. @example weakEnds(SOLVED.checks).size // 0 */
export function weakEnds(checks: readonly Check[]): ReadonlySet<string> {
  let ids = known.get(checks);
  if (!ids) {
    ids = new Set(
      checks.flatMap(({ joint, state, about }) => (state === 'fails' && about.kind === 'member' && joint === 'ends' ? [about.id] : [])),
    );
    known.set(checks, ids);
  }
  return ids;
}

/**
 * How a member stands with its joints, and how much that weighs: what breaks or falls stops the build, what merely shows is for a look.
 * @example standsWithJoints([], CARRIED).state // 'fine'
 */
export function standsWithJoints(checks: readonly Check[], c: CarriedMember): { readonly state: State; readonly severity: Severity } {
  if (weakEnds(checks).has(c.member.id) || (c.state === 'fails' && stopsBuild(c))) return { state: 'fails', severity: 'stop' };
  return { state: c.state, severity: c.state === 'fine' ? 'good' : 'look' };
}
