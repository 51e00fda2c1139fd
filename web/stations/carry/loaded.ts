import { useMemo } from 'react';
import type { CarriedMember, State } from '../../../core/carry/index.js';
import { standsWithJoints, weakEnds, type Severity } from '../../../core/checks/index.js';
import type { Solution } from '../../../core/solution/index.js';
import { useBench } from '../../bench/bench.js';
import { inTerms, termsOf } from '../../../core/figure/index.js';

const ORDER = { fails: 0, close: 1, 'not checked': 2, fine: 3 } as const;

/** What stops the build first, then what is for a look, the worst state of each first. */
const weight = ({ state, severity }: { readonly state: State; readonly severity: Severity }) =>
  (severity === 'stop' ? 0 : 10) + ORDER[state];

/** How much of what is allowed a member sags in the end. */
function share(c: CarriedMember): number {
  const verdict = c.bending?.verdict;
  return verdict ? (verdict.later ?? verdict.today).mm / verdict.allowed : 0;
}

/** Members that bend or carry something, the worst first. */
export function useLoaded(): readonly CarriedMember[] {
  const { solution } = useBench();
  return useMemo(
    () =>
      [...solution.carried.members.values()]
        .filter((c) => c.bending || c.throughout || c.falls || weakEnds(solution.checks).has(c.member.id))
        .map((c) => ({ c, stands: standingOf(solution, c) }))
        .sort((a, b) => weight(a.stands) - weight(b.stands) || share(b.c) - share(a.c))
        .map(({ c }) => c),
    [solution],
  );
}

/** What a state is called in a list. */
export const STATE_WORD = { fine: 'fine', close: 'close', fails: 'past the limit', 'not checked': 'not checked' } as const;

/** How a member stands with its joints, and how much that weighs: the same mark and colour wherever it is shown. */
export function standingOf(
  solution: Solution,
  c: CarriedMember,
): { readonly state: State; readonly severity: Severity; readonly word: string } {
  const stands = standsWithJoints(solution.checks, c);
  if (weakEnds(solution.checks).has(c.member.id)) return { ...stands, word: 'its ends do not hold' };
  if (stands.severity === 'stop') return { ...stands, word: c.falls ? 'comes down' : 'may break' };
  return { ...stands, word: STATE_WORD[c.state] };
}

/** How much it weighs that something sags past what is seen: it is for a look. */
export const seen = (state: State): Severity => (state === 'fine' ? 'good' : 'look');

/** What a member is called in a list, with its letter. */
export function nameIn(solution: Solution, id: string): string {
  if (id === 'floor') return 'the floor';
  if (id === 'place') return 'what is there already';
  const role = inTerms(solution.carried.members.get(id)?.member.role ?? id, termsOf(solution.workshop.settings));
  return `${role} ${solution.letters[id] ?? ''}`.trim();
}

/** The member that is selected, or the first one that carries what stands in the selected space. */
export function useCarried(): CarriedMember | undefined {
  const { solution, selection } = useBench();
  return useMemo(() => {
    const { members } = solution.carried;
    return members.get(selection) ?? [...members.values()].find((c) => c.standing.some((s) => s.space === selection));
  }, [solution, selection]);
}
