import type { Length } from '../length/index.js';
import type { Direction } from './member.js';

/** How one member bears on another, or on the floor. */
export type Bearing =
  | 'bearing'
  | 'housed'
  | 'pins'
  | 'screws'
  | 'bolts'
  | 'pocket screws'
  | 'nails'
  | 'slide'
  | 'glued'
  | 'screwed along'
  | 'held along'
  | 'hung'
  | 'pivot';

/** What holds the rear edge of a panel to a back. */
export type HeldTo = 'glue' | { readonly studs: number };

/** A level line that a load is given on: square to a level direction, so far along it. */
export interface OnLine {
  readonly along: Direction;
  readonly at: Length;
}

/** From the rear to the front, so far from the left. @example atX(mm(3)) // { along: [1, 0, 0], at: mm(3) } */
export const atX = (at: Length): OnLine => ({ along: [1, 0, 0], at });

/** From the left to the right, so far from the rear. @example atZ(mm(3)) // { along: [0, 0, 1], at: mm(3) } */
export const atZ = (at: Length): OnLine => ({ along: [0, 0, 1], at });

/** A place where a member gives its load to another. */
export interface Joint {
  readonly carried: string;
  /** A member, or the floor. */
  readonly carrier: string;
  readonly how: Bearing;
  /** Where the load is given; left out where the carrier holds it along its whole length. */
  readonly on?: OnLine;
  /** For what is held along its rear edge: glued there, or through the back into so many studs; screws into that edge where nothing is said. */
  readonly by?: HeldTo;
  /** How broad it bears there along what it carries, where that is more than a line. */
  readonly broad?: Length;
  /** What part of a line of support it is, where several carriers share one: evenly where nothing is said; 0 for what ties it alone. */
  readonly part?: number;
  /** How far out from the face that holds it its load lies, where that turns it off: its screws are pulled besides. */
  readonly out?: Length;
  /** How far apart the two may be and still be held, where it is more than a joint is slack. */
  readonly apart?: Length;
}

export const FLOOR = 'floor';

/** Where a space has nothing beside, under or over it but room. */
export const OPEN = 'open';

/** What carries a piece that is put into a place that is there already: its sides, its rails, another cabinet. */
export const PLACE = 'place';

/** The ways to keep a member where it lies: `plates` let solid wood move, `rests` for none, `usual` for what fits. */
export const KEEP_WAYS = ['usual', 'screws', 'plates', 'brackets', 'glue', 'rests'] as const;
export type KeepWay = (typeof KEEP_WAYS)[number];

/** The ways to hold a member that its shape leaves open: `usual` for what its kind says. */
export const HOLD_WAYS = ['usual', 'screws', 'nails', 'bolts'] as const;

/** What a piece is fixed to: `usual` for studs. */
export const WALL_WAYS = ['usual', 'studs', 'masonry', 'hollow'] as const;

/** What is told of the wall among what is told of joints. */
export const ON_THE_WALL = 'piece on the wall';

/** How joints of a piece are told to be held otherwise than is usual. */
export type FastenWay = KeepWay | (typeof HOLD_WAYS)[number] | (typeof WALL_WAYS)[number];

/** Two members that lie on each other, or only touch, and are kept so. */
export interface Keep {
  readonly held: string;
  readonly by: string;
  readonly way: KeepWay;
}

/** Joints that only let something lie, hang or run: it can be taken out again. */
export const LETS_GO: ReadonlySet<Bearing> = new Set(['bearing', 'pins', 'hung', 'slide']);
