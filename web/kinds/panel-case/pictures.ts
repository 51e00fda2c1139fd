import type { Back, Base, PanelCase } from '../../../core/shells/index.js';
import { both, type Picture, type Pictured } from '../../shared/picture-choice.js';

/** A case on the floor, seen from the front: its sides so high, its bottom so far down. */
const onFloor = (high: number, bottom: number): Picture => ({
  wood: [...both(12, 2, 6, high), [18, bottom, 28, 5]],
  lines: 'M4 36H60',
});

export const BASES: readonly Pictured<Base['kind']>[] = [
  {
    id: 'toe',
    label: 'Sides to the floor, toe board',
    says: 'The sides carry straight to the floor. It is tipped up whole, and levelled by wedges under its sides.',
    picture: { ...onFloor(34, 22), part: [[18, 27, 28, 9]] },
  },
  {
    id: 'plinth',
    label: 'Loose plinth',
    says: 'Levelled by itself first, and the case stands up where the room is lower. One more frame to make.',
    picture: { ...onFloor(24, 21), part: [[15, 26, 34, 10]] },
  },
  {
    id: 'none',
    label: 'None',
    says: 'Nothing more to make. No room for toes, and the lowest panel is near the floor.',
    picture: onFloor(34, 31),
  },
];

/** Both sides seen from above, the rear at the head. */
const sides: Picture = { wood: both(8, 8, 8, 30) };

export const BACKS: readonly Pictured<Back['kind']>[] = [
  {
    id: 'applied',
    label: 'Applied behind',
    says: 'The quickest, put on last, and it pulls the case square. Its edges are seen from the side.',
    picture: { ...sides, part: [[8, 3, 48, 5]] },
  },
  {
    id: 'groove',
    label: 'In grooves',
    says: 'No edge is seen. It goes in before the case is closed, and keeps it square only where it is glued.',
    picture: { ...sides, part: [[12, 15, 40, 5]] },
  },
  {
    id: 'rebate',
    label: 'In rebates',
    says: 'No edge is seen, and it goes in last. Rebates are cut along all that it lies in.',
    picture: { ...sides, part: [[12, 8, 40, 5]] },
  },
  { id: 'none', label: 'None', says: 'Light, and open to both sides. Nothing but its corners keeps the case square.', picture: sides },
];

export const TOPS: readonly Pictured<PanelCase['top']>[] = [
  {
    id: 'between',
    label: 'Between the sides',
    says: 'The sides run through. Screws come through them, and carry all that is on it.',
    picture: { wood: both(12, 4, 7, 32), part: [[19, 4, 26, 6]] },
  },
  {
    id: 'rebated',
    label: 'In rebates',
    says: 'It lies on a shoulder and finds its place by itself. A rebate is cut at the end of each side.',
    picture: { wood: both(12, 4, 7, 32), part: [[15, 4, 34, 6]] },
  },
  {
    id: 'housed',
    label: 'In housings',
    says: 'Carried by the sides and locked between them. They go on past it, and a housing is cut in each.',
    picture: { wood: both(12, 2, 7, 34), part: [[15, 9, 34, 6]] },
  },
  {
    id: 'mitred',
    label: 'Mitred',
    says: 'No edge is seen. Glue alone holds it, and every cut has to be right.',
    picture: { wood: both(12, 4, 7, 32), part: [[19, 4, 26, 6]], lines: 'M12 4L19 10M52 4L45 10' },
  },
  {
    id: 'over',
    label: 'Over the sides',
    says: 'Its load goes straight down into the sides, and it may stand out. Its edges are seen.',
    picture: { wood: both(12, 10, 7, 26), part: [[12, 4, 40, 6]] },
  },
];

export const BOTTOMS: readonly Pictured<PanelCase['bottom']>[] = [
  {
    id: 'between',
    label: 'Between the sides',
    says: 'The sides run through. Screws come through them, and carry all that is on it.',
    picture: { wood: both(12, 4, 7, 32), part: [[19, 30, 26, 6]] },
  },
  {
    id: 'rebated',
    label: 'In rebates',
    says: 'It lies on a shoulder and finds its place by itself. A rebate is cut at the end of each side.',
    picture: { wood: both(12, 4, 7, 32), part: [[15, 30, 34, 6]] },
  },
  {
    id: 'housed',
    label: 'In housings',
    says: 'Carried by the sides and locked between them. They go on past it, and a housing is cut in each.',
    picture: { wood: both(12, 4, 7, 34), part: [[15, 25, 34, 6]] },
  },
  {
    id: 'mitred',
    label: 'Mitred',
    says: 'No edge is seen. Glue alone holds it, and every cut has to be right.',
    picture: { wood: both(12, 4, 7, 32), part: [[19, 30, 26, 6]], lines: 'M12 36L19 30M52 36L45 30' },
  },
  {
    id: 'over',
    label: 'Under the sides',
    says: 'The case stands on it, and its load goes nowhere else. Its edges are seen.',
    picture: { wood: both(12, 4, 7, 26), part: [[12, 30, 40, 6]] },
  },
];
