import { FLOOR, OPEN, PLACE } from '../../../core/piece/index.js';
import type { Equipment } from '../../../core/interiors/index.js';
import { sizes, type FillingWay, type Means } from '../means.js';

/** One device with usual room round it: 6 to fit, 45 behind for cables, 70 above for heat. */
function usualEquipment(means: Means): Equipment {
  const s = sizes(means.unit);
  const thing = means.chosen?.['thing'] ?? means.things[0]?.id;
  if (thing === undefined) throw new Error('list the device under Things first, so that it can be said what stands there');
  const fit = { size: s(6, 1 / 4), why: 'fit' } as const;
  const none = { size: s(0, 0), why: 'fit' } as const;
  return {
    kind: 'equipment',
    thing,
    count: 1,
    free: {
      left: fit,
      right: fit,
      front: none,
      rear: { size: s(45, 1.75), why: 'cables' },
      above: { size: s(70, 2.75), why: 'heat' },
      below: none,
    },
    between: s(30, 1.25),
  };
}

export const equipped: FillingWay = {
  id: 'equipment',
  label: 'Equipment with room round it',
  uses: () => [],
  needsThing: true,
  // Where something that is built is under it.
  goesInto: ({ neighbours }) => ![PLACE, FLOOR, OPEN].includes(neighbours.below),
  fill: (_, space, means) => ({ kind: 'fill', space, filling: usualEquipment(means) }),
};
