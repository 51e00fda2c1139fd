import { groovesIn, hasSides, type Grooves } from '../../../core/interiors/index.js';
import { sizes, thicknessFor, woodFor, type FillingWay, type Means, type Use } from '../means.js';

const SHELF = { use: 'shelf', label: 'Loose shelves of', thick: [5, 3 / 16], broad: [280, 11] } as const satisfies Use;

/** Shelves to begin with go up so far of the height, so that they still lie in grooves where a piece that is begun turns out a little lower. */
const FILLED = 0.8;

/** Grooves as wide as the shelves are thick, with a shelf in every third. */
function usualGrooves(means: Means): Grooves {
  const s = sizes(means.unit);
  const stock = woodFor(means, SHELF);
  const wide = thicknessFor(means, SHELF);
  const made = { wide, deep: s(5, 3 / 16), first: s(48, 2), pitch: s(32, 1.25), last: s(48, 2), slack: s(1, 1 / 32) };
  const count = groovesIn(means.clear.height, made);
  const shelves = Array.from({ length: Math.ceil((count * FILLED) / 3) }, (_, i) => 1 + i * 3);
  return { kind: 'grooves', stock, ...made, shelves };
}

export const grooved: FillingWay = {
  id: 'grooves',
  label: 'Grooves with loose shelves',
  uses: () => [SHELF],
  // Between the sides of a case, or dividers: grooves are cut into them.
  goesInto: hasSides,
  fill: (_, space, means) => ({ kind: 'fill', space, filling: usualGrooves(means) }),
};
