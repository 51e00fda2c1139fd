import { saidOfAssumed, type Carried } from '../carry/index.js';
import { say } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import type { Letters } from '../piece/index.js';
import { namesOf } from './holds.js';

/** What is taken to stand on shelves and in drawers that nothing is entered for. @example assumedLoads(SOLVED.carried, {}) // [] */
export function assumedLoads({ members }: Carried, letters: Letters): Check[] {
  const on = [...members.values()].filter((c) => c.standing.some((s) => s.assumed));
  const [first] = on;
  const assumed = saidOfAssumed(on);
  if (!first || !assumed) return [];
  const names = namesOf(
    on.map((c) => c.member),
    letters,
  );
  return [
    {
      id: 'assumed',
      severity: 'good',
      state: 'fine',
      about: { kind: 'member', id: first.member.id },
      sentence: say`Nothing is entered for ${names}: in all ${assumed}`,
      fixes: [],
    },
  ];
}
