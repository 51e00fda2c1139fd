import { assumedOn, type Carried } from '../carry/index.js';
import { mass, say } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import type { Letters } from '../piece/index.js';
import { namesOf } from './holds.js';

/** What is taken to stand on shelves and in drawers that nothing is entered for. @example assumedLoads(SOLVED.carried, {}) // [] */
export function assumedLoads({ members }: Carried, letters: Letters): Check[] {
  const on = [...members.values()].filter((c) => assumedOn([c]) > 0);
  const [first] = on;
  if (!first) return [];
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
      sentence: say`Nothing is entered for ${names}: ${mass(assumedOn(on))} in all is assumed there, as stores at home hold. Books weigh twice as much: enter them.`,
      fixes: [],
    },
  ];
}
