import type { BoxBottom, Drawers, Front, Runner } from '../../../core/interiors/index.js';
import { both, type Picture, type Pictured } from '../../shared/picture-choice.js';

/** The sides of a case and a box between them, seen from above with the front at the foot. */
const between: Picture = { wood: both(4, 2, 6, 28), lines: 'M16 2V24H48V2M16 6H48' };

export const FRONTS: readonly Pictured<Front['kind']>[] = [
  { id: 'inset', label: 'Inset, a reveal all round', picture: { ...between, part: [[12, 24, 40, 6]] } },
  { id: 'overlay', label: 'In front, covering the case', picture: { ...between, part: [[3, 31, 58, 6]] } },
  { id: 'lipped', label: 'Lipped over its opening', picture: { ...between, shape: 'M12 26H52V31H57V37H7V31H12Z' } },
  { id: 'none', label: 'None, the box is seen', picture: { ...between, lines: 'M14 2V29H50V2M14 25H50' } },
];

/** A side of the case at the left, cut through from side to side, and the box beside it. */
const side: Picture = { wood: [[6, 2, 8, 36]] };

export const RUNNERS: readonly Pictured<Runner['kind']>[] = [
  {
    id: 'slide',
    label: 'Bought slides',
    picture: { ...side, part: [[14, 13, 8, 10]], lines: 'M30 6V30M36 6V30M30 30H60M36 25H60M22 15H30V21H22' },
  },
  { id: 'wooden', label: 'Wooden runners', picture: { ...side, part: [[14, 28, 16, 8]], lines: 'M20 4V28M26 4V28M20 28H60M26 23H60' } },
  {
    id: 'plain',
    label: 'Its opening alone',
    picture: { wood: [[6, 2, 8, 30]], part: [[6, 32, 54, 6]], lines: 'M18 6V32M24 6V32M24 27H60' },
  },
];

/** The walls of a box, cut through from side to side. */
const walls: Picture = { wood: both(6, 4, 7, 30) };

export const BOTTOMS: readonly Pictured<BoxBottom['kind']>[] = [
  { id: 'groove', label: 'In grooves', picture: { ...walls, part: [[10, 24, 44, 4]] } },
  { id: 'rebate', label: 'In rebates, from below', picture: { ...walls, part: [[9, 30, 46, 4]] } },
  { id: 'applied', label: 'Under the box', picture: { ...walls, part: [[6, 34, 52, 4]] } },
  { id: 'tray', label: 'A tray: base with strips round it', picture: { wood: both(6, 20, 7, 12), part: [[6, 32, 52, 5]] } },
];

/** A corner of the box seen from above. */
const corner: Picture = {
  wood: [
    [8, 6, 10, 30],
    [18, 6, 40, 10],
  ],
};

export const JOINS: readonly Pictured<Drawers['box']['join']>[] = [
  { id: 'pocket', label: 'Pocket screws, holes outside', picture: { ...corner, lines: 'M40 6L12 13M40 6l-3 -2M40 6l-1 4' } },
  { id: 'nailed', label: 'Nails and glue, along the plies', picture: { ...corner, lines: 'M6 9H28M6 13H28M6 7V15' } },
  {
    id: 'screwed',
    label: 'Screws, at half the thickness',
    picture: { ...corner, lines: 'M8 11H34M8 8V14M20 9l2 4M24 9l2 4M28 9l2 4' },
  },
];

export const ORDERS: readonly Pictured<Drawers['box']['order']>[] = [
  {
    id: 'ends-between',
    label: 'Front and back between sides',
    picture: {
      wood: both(8, 4, 6, 32),
      part: [
        [14, 4, 36, 6],
        [14, 30, 36, 6],
      ],
    },
  },
  {
    id: 'sides-between',
    label: 'Sides between front and back',
    picture: {
      wood: both(8, 10, 6, 20),
      part: [
        [8, 4, 48, 6],
        [8, 30, 48, 6],
      ],
    },
  },
];
