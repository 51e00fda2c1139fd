import type { Fact, Joint, Member, ShapeProblem } from '../../piece/index.js';

/** What a part that may be left out, such as a brace or rear legs, adds to a leaning piece. */
export interface Added {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly facts: readonly Fact[];
  readonly problems: readonly ShapeProblem[];
}

export const NOTHING: Added = { members: [], joints: [], facts: [], problems: [] };
