import { len, say } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import { mm, sub } from '../length/index.js';
import { boxOf, type Shape } from '../piece/index.js';
import { feetOf } from '../things/index.js';

/** What lies so near to the height that a thing stands at is under it. */
const LEVEL = mm(1);

/** Machines that stand on feet, where one of them is over nothing. @example machineFeetChecks(SOLVED.shape) // [] */
export function machineFeetChecks({ spaces, members, stands }: Shape): Check[] {
  return [...spaces.values()].flatMap((space): Check[] => {
    if (space.neighbours.below === 'floor') return [];
    const isOpen = !space.space.split && !space.space.filling;
    if (!isOpen && !stands.has(space.id)) return [];
    return space.blocks.flatMap((block): Check[] => {
      const feet = feetOf(block, { ...space.box, setback: space.setback });
      if (!feet) return [];
      const under = members.map(boxOf).filter((b) => Math.abs(b.y1 - space.standing) <= LEVEL);
      const all = feet.xs.flatMap((x) => feet.zs.map((z) => ({ x, z })));
      const bare = all.filter(({ x, z }) => !under.some((b) => b.x0 <= x && x <= b.x1 && b.z0 <= z && z <= b.z1));
      const [first] = bare;
      if (!first) return [];
      const { name } = block.thing;
      return [
        {
          id: `foot-${space.id}-${block.thingId}`,
          severity: 'stop',
          state: 'fails',
          about: { kind: 'space', id: space.id },
          sentence: say`${bare.length === 1 ? 'One foot' : `${bare.length} of the four feet`} of ${name} ${bare.length === 1 ? 'is' : 'are'} over nothing, the first ${len(sub(first.x, space.box.x0))} from the left and ${len(sub(space.box.z1, first.z))} from the front: put a rail or a deck under it.`,
          fixes: [],
        },
      ];
    });
  });
}
