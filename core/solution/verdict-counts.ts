import { carry, type State } from '../carry/index.js';
import type { Settings, Workshop } from '../project/index.js';
import type { Solution } from './solve.js';

/** How many loaded members stand how. */
export type Counts = Readonly<Record<State, number>>;

/** How the loaded members of some pieces would stand under other settings. @example verdictsUnder([SOLVED], SHOP, {}).fine // 1 */
export function verdictsUnder(solutions: readonly Solution[], workshop: Workshop, settings: Partial<Settings>): Counts {
  const counts = { fine: 0, close: 0, fails: 0, 'not checked': 0 };
  const other = { ...workshop, settings: { ...workshop.settings, ...settings } };
  for (const { shape } of solutions) {
    for (const c of carry(shape, other).members.values()) {
      // Members that nothing stands on are not checked under any settings.
      if (c.bending && !c.empty) counts[c.state] += 1;
    }
  }
  return counts;
}
