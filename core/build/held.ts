import { allKept, type Kept } from '../carry/index.js';
import { say, sold, type Sentence } from '../figure/index.js';
import type { Bought, Fastener, Joint } from '../piece/index.js';
import { isGlued } from './glue-to-buy.js';
import { fastenersOf, oneOf, type Solution } from '../solution/index.js';

/** Two members, whichever is named first. @example pairOf('b', 'a') // 'a b' */
export const pairOf = (a: string, b: string): string => (a < b ? `${a} ${b}` : `${b} ${a}`);

/** What holds two members: how they are kept where only their weight would, and what is driven between them. */
export interface Held {
  between(a: string, b: string): { readonly way?: Kept['way']; readonly fasteners: readonly Fastener[] };
  /** Whether glue goes into a joint where any is used. */
  isGlued(joint: Joint): boolean;
  /** What is only kept, as joints; `bearing` where nothing else joins the two. */
  readonly kept: readonly Joint[];
}

const HOW: Readonly<Record<Joint['how'], Sentence>> = {
  housed: say`into its housing`,
  screws: say`screwed`,
  'pocket screws': say`by pocket screws`,
  bolts: say`bolted`,
  nails: say`glued and nailed`,
  glued: say`glued`,
  'screwed along': say`screwed all along`,
  'held along': say`held all along`,
  pivot: say`on its pivot`,
  bearing: say`lies on it`,
  pins: say`on pins`,
  hung: say`hung`,
  slide: say`on its slides`,
};

/** The same for what is only kept where it lies. */
const KEPT: Readonly<Record<Kept['way'], Sentence>> = {
  screws: say`screwed`,
  plates: say`by figure-eight plates, let in flush, so that it can move across its grain`,
  brackets: say`by angle brackets inside the corner`,
  glue: say`glued`,
  rests: say`lies on it`,
};

/** What is done instead where none was placed. */
const NONE_FITS: Readonly<Partial<Record<Joint['how'], Sentence>>> = {
  screws: say`glued, since no screw fits`,
  nails: say`glued, since no brad fits`,
  bolts: say`no bolt fits: hold it otherwise`,
};

/** Ways whose words say already whether glue goes in. */
const GLUE_SAID: ReadonlySet<Joint['how']> = new Set(['housed', 'nails', 'glued']);

/** How two members are held, in words. @example writeExactly(howHeld({ carried: 'a', carrier: 'b', how: 'bolts' }, heldIn(SOLVED), true)) // 'no bolt fits: hold it otherwise' */
export function howHeld(joint: Joint, held: Held, glues: boolean): Sentence {
  const { carried, carrier, how } = joint;
  const { way, fasteners } = held.between(carried, carrier);
  if (way) return KEPT[way];
  const none = fasteners.length === 0 ? NONE_FITS[how] : undefined;
  if (none) return none;
  return say`${HOW[how]}${glues && held.isGlued(joint) && !GLUE_SAID.has(how) ? ' and glued' : ''}`;
}

/** What holds each two members of a piece. @example heldIn(SOLVED).kept.length // 2 */
export function heldIn(solution: Solution): Held {
  const fasteners = new Map<string, Fastener[]>();
  for (const f of fastenersOf(solution)) {
    const pair = pairOf(...f.between);
    fasteners.set(pair, [...(fasteners.get(pair) ?? []), f]);
  }
  const kept = allKept(solution.carried);
  const members = new Map(solution.shape.members.map((m) => [m.id, m]));
  const ways = new Map(kept.map(({ held, by, way }) => [pairOf(held.id, by.id), way]));
  const joined = new Set(solution.shape.joints.map((j) => pairOf(j.carried, j.carrier)));
  return {
    between: (a, b) => {
      const pair = pairOf(a, b);
      const way = ways.get(pair);
      return { ...(way ? { way } : {}), fasteners: fasteners.get(pair) ?? [] };
    },
    isGlued: (joint) => isGlued(joint, members),
    kept: kept.flatMap(({ held, by }): Joint[] =>
      joined.has(pairOf(held.id, by.id)) ? [] : [{ carried: held.id, carrier: by.id, how: 'bearing' }],
    ),
  };
}

/** So many of it, and how long. @example writeExactly(takenSaid({ what: 'hinges', count: 2, each: 'piece' })) // '2 hinges' */
export const takenSaid = ({ what, count, length }: Bought): Sentence =>
  say`${count} ${count === 1 ? oneOf(what) : what}${length === undefined ? say`` : say`, ${sold(length)}`}`;
