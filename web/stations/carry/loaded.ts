import { useMemo } from 'react';
import type { CarriedMember } from '../../../core/carry/index.js';
import type { Solution } from '../../../core/solution/index.js';
import { useBench } from '../../bench/bench.js';

const ORDER = { fails: 0, close: 1, 'not judged': 2, fine: 3 } as const;

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
        .filter((c) => c.bending || c.throughout)
        .sort((a, b) => ORDER[a.state] - ORDER[b.state] || share(b) - share(a)),
    [solution],
  );
}

/** What a state is called in a list. */
export const STATE_WORD = { fine: 'fine', close: 'close', fails: 'past the limit', 'not judged': 'not judged' } as const;

/** What a member is called in a list, with its letter. */
export function nameIn(solution: Solution, id: string): string {
  if (id === 'floor') return 'the floor';
  if (id === 'place') return 'what is there already';
  const role = solution.carried.members.get(id)?.member.role ?? id;
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
