import { size, type Figure, type Source } from '../../figure/index.js';
import { ZERO, add, sub, type Length } from '../../length/index.js';
import {
  facingFrame,
  flatFrame,
  onEdgeFrame,
  rectangular,
  uprightFrame,
  type Frame,
  type Joint,
  type Member,
  type Place,
  type Posts,
  type Role,
} from '../../piece/index.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import type { Rounding } from '../../run/index.js';
import type { Level } from './spec.js';

/** How far a deck stands out past the ring of rails. */
export interface Overhang {
  readonly front: Length;
  readonly rear: Length;
  readonly left: Length;
  readonly right: Length;
}

export const NO_OVERHANG: Overhang = { front: ZERO, rear: ZERO, left: ZERO, right: ZERO };

/** How the slats of a deck are dealt to a level and to what is drawn out of it. */
export interface Dealt {
  /** Whether the nth slat goes with what is drawn out. */
  readonly slides: (n: number) => boolean;
  /** How large the gap after the nth slat is held; null where it shares what is left. */
  readonly held: (n: number) => Figure | null;
}

/** A level in its place. */
export interface LevelAt {
  readonly node: string;
  readonly label: string;
  readonly level: Level;
  /** The underside of its rails, from the floor. */
  readonly y: Length;
  readonly posts: Posts;
  readonly workshop: Workshop;
  /** How gaps between slats are brought to the grid of the shop. */
  readonly rounding: Rounding;
  readonly over?: Overhang;
  /** What is not its own of the slats of its deck, and gaps that are held so large; none where all of them are. */
  readonly dealt?: Dealt;
  /** What inner posts under it stand on, where rails are carried end-on: how high that is, and which member. */
  readonly foot: { readonly y: Figure; readonly on: (side: 'rear' | 'front', end: 'left' | 'right', x: Length) => string };
  /** How high it is above the floor, as the sum of what is under it. */
  readonly underside: Figure;
  /** Its seams are counted from the right, so that they are not in line with those of the level below. */
  readonly fromRight: boolean;
  /** The node of the level that has inner posts standing on its rails; null for none. */
  readonly above: string | null;
  /** The field that a size of it comes from. */
  readonly source: (field: string) => Source;
}

/** The members of a level, by its node. @example levelIds('low').deck // 'low/deck/1' */
export const levelIds = (node: string) => ({
  deck: `${node}/deck/1`,
  rail: (n: number | string) => `${node}/rail/${n}`,
  cross: (n: number) => `${node}/cross-piece/${n}`,
  slat: (n: number) => `${node}/slat/${n}`,
  bar: (rail: string) => `${rail}/bar`,
  corner: (side: string, end: string) => `${node}/corner-block/${side}-${end}`,
  splice: (side: string, n: number) => `${node}/splice/${side}-${n}`,
  inner: (side: string, n: number) => `${node}/inner-post/${side}-${n}`,
});

/**
 * How much of a rail is level, and how much is upright.
 * @example toMm(railSection({ rails: { wide: mm(95) } }, { thickness: size('ply', mm(20)) }, (field) => ({ in: 'piece', field })).high.value) // 95
 */
export function railSection({ rails }: Level, wood: Wood, source: LevelAt['source']): { readonly broad: Figure; readonly high: Figure } {
  const wide = size('rail', rails.wide, source('rails.wide'));
  const thick = wood.thickness.named('rail');
  return rails.flat ? { broad: wide, high: thick } : { broad: thick, high: wide };
}

/**
 * How high a level is: its rails, and the deck on them.
 * @example toMm(levelHeight({ rails: { stock: 'ply', wide: mm(95) }, deck: { stock: 'ply' } }, SHOP, () => undefined).value) // 115
 */
export function levelHeight(level: Level, workshop: Workshop, source: LevelAt['source']): Figure {
  const { high } = railSection(level, woodOf(workshop, level.rails.stock), source);
  return level.deck ? high.plus(woodOf(workshop, level.deck.stock).thickness.named('deck')).named('level') : high;
}

/** Half-way between two places. @example middle(mm(10), mm(31)) // mm(20.5) */
export const middle = (a: Length, b: Length) => Math.round((a + b) / 2) as Length;

/** What of a level is made once. */
export interface Rails {
  readonly at: LevelAt;
  readonly wood: Wood;
  readonly broad: Figure;
  readonly high: Figure;
}

/** Where a rail across lies, from the rear. */
export function acrossAt({ at: { posts }, broad }: Rails, side: 'rear' | 'front'): Length {
  const { z, depth } = posts.ring;
  return side === 'rear' ? z : sub(add(z, depth.value), broad.value);
}

/** Where a rail from the rear to the front lies, from the left. */
export function deepAt({ at: { posts }, broad }: Rails, side: 'left' | 'right'): Length {
  const { x, width } = posts.ring;
  return side === 'left' ? x : sub(add(x, width.value), broad.value);
}

function railMember({ at, wood }: Rails, id: string, label: string, role: Role, length: Figure, frame: Frame): Member {
  const { rails } = at.level;
  return rectangular({
    id,
    node: at.node,
    role,
    label: `${label} of ${at.label}`,
    wood,
    length,
    width: size('rail', rails.wide, at.source('rails.wide')),
    frame,
  });
}

/** A rail across, from an x on. */
export function across(rails: Rails, id: string, label: string, length: Figure, x: Length, side: 'rear' | 'front'): Member {
  const { y, level } = rails.at;
  const z = acrossAt(rails, side);
  const frame = level.rails.flat ? flatFrame({ x, y, z: add(z, rails.broad.value) }) : facingFrame({ x, y, z });
  return railMember(rails, id, label, 'rail', length, frame);
}

/** A rail, or a cross piece, from the rear to the front, from a z on. */
export function deep(rails: Rails, id: string, label: string, length: Figure, x: Length, z: Length, role: Role = 'rail'): Member {
  const { y, level } = rails.at;
  const frame: Frame = level.rails.flat
    ? { origin: { x, y, z }, u: [0, 0, 1], v: [1, 0, 0], n: [0, 1, 0] }
    : onEdgeFrame({ x: add(x, rails.broad.value), y, z });
  return railMember(rails, id, label, role, length, frame);
}

/** Members with what carries them. */
export interface Built {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
}

export const SIDES = ['front', 'rear'] as const;
export const ENDS = ['left', 'right'] as const;
export const NUMBER = { front: 1, rear: 2, left: 3, right: 4 } as const;

/**
 * A post with its wide side across, or from the rear to the front.
 * @example postFrame('across', { x: mm(0), y: mm(0), z: mm(0) }, mm(45)).u // [0, 1, 0]
 */
export function postFrame(wide: 'across' | 'deep', { x, y, z }: Place, thick: Length): Frame {
  if (wide === 'deep') return uprightFrame({ x, y, z });
  return { origin: { x, y, z: add(z, thick) }, u: [0, 1, 0], v: [1, 0, 0], n: [0, 0, -1] };
}
