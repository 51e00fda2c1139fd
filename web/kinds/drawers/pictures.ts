import type { BoxBottom, Drawers, Front, Runner } from '../../../core/interiors/index.js';
import { both, type Picture, type Pictured } from '../../shared/picture-choice.js';

/** The sides of a case and a box between them, seen from above with the front at the foot. */
const between: Picture = { wood: both(4, 2, 6, 28), lines: 'M16 2V24H48V2M16 6H48' };

export const FRONTS: readonly Pictured<Front['kind']>[] = [
  {
    id: 'inset',
    label: 'Inset, a reveal all round',
    says: 'Looks finest. Every gap is seen: leave something to plane.',
    picture: { ...between, part: [[12, 24, 40, 6]] },
  },
  {
    id: 'overlay',
    label: 'In front, covering the case',
    says: 'Hides what is uneven behind it. It stands out in front of the case.',
    picture: { ...between, part: [[3, 31, 58, 6]] },
  },
  {
    id: 'lipped',
    label: 'Lipped over its opening',
    says: 'Covers the gap all round. The lip is thin, and breaks where it is knocked.',
    picture: { ...between, shape: 'M12 26H52V31H57V37H7V31H12Z' },
  },
  {
    id: 'none',
    label: 'None, the box is seen',
    says: 'Nothing more to make. The box and what it runs on are seen.',
    picture: { ...between, lines: 'M14 2V29H50V2M14 25H50' },
  },
];

/** A side of the case at the left, cut through from side to side, and the box beside it. */
const side: Picture = { wood: [[6, 2, 8, 36]] };

export const RUNNERS: readonly Pictured<Runner['kind']>[] = [
  {
    id: 'slide',
    label: 'Bought slides',
    says: 'Run easily, and carry what their maker rates them for. They take room at both sides, and money.',
    picture: { ...side, part: [[14, 13, 8, 10]], lines: 'M30 6V30M36 6V30M30 30H60M36 25H60M22 15H30V21H22' },
  },
  {
    id: 'wooden',
    label: 'Wooden runners',
    says: 'Cost next to nothing and last when waxed. They move with the wood, and want fitting.',
    picture: { ...side, part: [[14, 28, 16, 8]], lines: 'M20 4V28M26 4V28M20 28H60M26 23H60' },
  },
  {
    id: 'plain',
    label: 'Its opening alone',
    says: 'Nothing to make. For light drawers: the box wears where it runs.',
    picture: { wood: [[6, 2, 8, 30]], part: [[6, 32, 54, 6]], lines: 'M18 6V32M24 6V32M24 27H60' },
  },
];

/** The walls of a box, cut through from side to side. */
const walls: Picture = { wood: both(6, 4, 7, 30) };

export const BOTTOMS: readonly Pictured<BoxBottom['kind']>[] = [
  {
    id: 'groove',
    label: 'In grooves',
    says: 'Held on all sides, and free to move. The groove takes some of the height inside.',
    picture: { ...walls, part: [[10, 24, 44, 4]] },
  },
  {
    id: 'rebate',
    label: 'In rebates, from below',
    says: 'Goes in last. Glue and nails alone keep it from falling out.',
    picture: { ...walls, part: [[9, 30, 46, 4]] },
  },
  {
    id: 'applied',
    label: 'Under the box',
    says: 'The quickest, and all of the height is inside. It hangs on its screws, and its edges are seen.',
    picture: { ...walls, part: [[6, 34, 52, 4]] },
  },
  {
    id: 'tray',
    label: 'A tray: base with strips round it',
    says: 'Low, and quick to make. For light things: thin strips take the screws.',
    picture: { wood: both(6, 20, 7, 12), part: [[6, 32, 52, 5]] },
  },
];

/** A corner of the box seen from above. */
const corner: Picture = {
  wood: [
    [8, 6, 10, 30],
    [18, 6, 40, 10],
  ],
};

export const JOINS: readonly Pictured<Drawers['box']['join']>[] = [
  {
    id: 'pocket',
    label: 'Pocket screws, holes outside',
    says: 'Quick and strong with a jig. The holes are seen at the back, and under a front they are not.',
    picture: { ...corner, lines: 'M40 6L12 13M40 6l-3 -2M40 6l-1 4' },
  },
  {
    id: 'nailed',
    label: 'Nails and glue, along the plies',
    says: 'Only small heads are seen. It takes glue and clamps, and does not come apart again.',
    picture: { ...corner, lines: 'M6 9H28M6 13H28M6 7V15' },
  },
  {
    id: 'screwed',
    label: 'Screws, at half the thickness',
    says: 'Comes apart again. Screws hold least in an edge, and their heads are seen.',
    picture: { ...corner, lines: 'M8 11H34M8 8V14M20 9l2 4M24 9l2 4M28 9l2 4' },
  },
];

export const ORDERS: readonly Pictured<Drawers['box']['order']>[] = [
  {
    id: 'ends-between',
    label: 'Front and back between sides',
    says: 'A pull at the front goes across the screws. The ends of the sides are seen in front where no front covers them.',
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
    says: 'The front covers the ends of the sides. A pull at it goes straight at the screws.',
    picture: {
      wood: both(8, 10, 6, 20),
      part: [
        [8, 4, 48, 6],
        [8, 30, 48, 6],
      ],
    },
  },
];
