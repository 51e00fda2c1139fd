import type { Figure } from '../figure/index.js';
import type { Length } from '../length/index.js';

/** A post seen from above. */
export interface Post {
  readonly id: string;
  readonly x0: Length;
  readonly x1: Length;
  readonly z0: Length;
  readonly z1: Length;
}

/** A rear and a front post that stand one before the other. */
export interface PostPair {
  readonly rear: Post;
  readonly front: Post;
}

/**
 * How rails meet posts: between them, on the outside of them, or over inner posts that carry them end-on while outer
 * posts only tie.
 */
export type RailsJoined = 'between' | 'lapped' | 'end-on';

/** What stands round a space that has posts in place of sides. */
export interface Posts {
  /** From the left to the right. */
  readonly pairs: readonly PostPair[];
  readonly joined: RailsJoined;
  /** What holds rails to posts, where they do not lie on them. */
  readonly held: 'screws' | 'bolts';
  /** How deep rails that are lapped on them are let in. */
  readonly letIn: Length;
  /** Which rails of a ring run through: those across, or those from the rear to the front. */
  readonly through: 'across' | 'deep';
  /** Where the ring of rails begins, and how large it is. */
  readonly ring: { readonly x: Length; readonly z: Length; readonly width: Figure; readonly depth: Figure };
  /** How broad the rails of the ring are. */
  readonly rail: Figure;
  /** The node of the level that lies on all of them. */
  readonly top: string;
  /** What they stand on, and how high that is; null for the floor. */
  readonly feet: Figure | null;
  /** What they are of, and which way their wide side lies. */
  readonly stock: string;
  readonly turned: 'across' | 'deep';
  /** How much of a post lies across, and from the rear to the front. */
  readonly post: { readonly across: Figure; readonly deep: Figure };
}
