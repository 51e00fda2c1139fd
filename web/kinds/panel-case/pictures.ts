import type { Back, Base, PanelCase } from '../../../core/shells/index.js';
import { both, type Picture, type Pictured } from '../../shared/picture-choice.js';

/** A case on the floor, seen from the front: its sides so high, its bottom so far down. */
const onFloor = (high: number, bottom: number): Picture => ({
  wood: [...both(12, 2, 6, high), [18, bottom, 28, 5]],
  lines: 'M4 36H60',
});

export const BASES: readonly Pictured<Base['kind']>[] = [
  { id: 'toe', label: 'Sides to the floor, toe board', picture: { ...onFloor(34, 22), part: [[18, 27, 28, 9]] } },
  { id: 'plinth', label: 'Loose plinth', picture: { ...onFloor(24, 21), part: [[15, 26, 34, 10]] } },
  { id: 'none', label: 'None', picture: onFloor(34, 31) },
];

/** Both sides seen from above, the rear at the head. */
const sides: Picture = { wood: both(8, 8, 8, 30) };

export const BACKS: readonly Pictured<Back['kind']>[] = [
  { id: 'applied', label: 'Applied behind', picture: { ...sides, part: [[8, 3, 48, 5]] } },
  { id: 'groove', label: 'In grooves', picture: { ...sides, part: [[12, 15, 40, 5]] } },
  { id: 'rebate', label: 'In rebates', picture: { ...sides, part: [[12, 8, 40, 5]] } },
  { id: 'none', label: 'None', picture: sides },
];

export const TOPS: readonly Pictured<PanelCase['top']>[] = [
  { id: 'between', label: 'Between the sides', picture: { wood: both(12, 4, 7, 32), part: [[19, 4, 26, 6]] } },
  { id: 'rebated', label: 'In rebates', picture: { wood: both(12, 4, 7, 32), part: [[15, 4, 34, 6]] } },
  { id: 'housed', label: 'In housings', picture: { wood: both(12, 2, 7, 34), part: [[15, 9, 34, 6]] } },
  { id: 'mitred', label: 'Mitred', picture: { wood: both(12, 4, 7, 32), part: [[19, 4, 26, 6]], lines: 'M12 4L19 10M52 4L45 10' } },
  { id: 'over', label: 'Over the sides', picture: { wood: both(12, 10, 7, 26), part: [[12, 4, 40, 6]] } },
];

export const BOTTOMS: readonly Pictured<PanelCase['bottom']>[] = [
  { id: 'between', label: 'Between the sides', picture: { wood: both(12, 4, 7, 32), part: [[19, 30, 26, 6]] } },
  { id: 'rebated', label: 'In rebates', picture: { wood: both(12, 4, 7, 32), part: [[15, 30, 34, 6]] } },
  { id: 'housed', label: 'In housings', picture: { wood: both(12, 4, 7, 34), part: [[15, 25, 34, 6]] } },
  { id: 'mitred', label: 'Mitred', picture: { wood: both(12, 4, 7, 32), part: [[19, 30, 26, 6]], lines: 'M12 36L19 30M52 36L45 30' } },
  { id: 'over', label: 'Under the sides', picture: { wood: both(12, 4, 7, 26), part: [[12, 30, 40, 6]] } },
];
