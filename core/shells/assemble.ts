import { Figure } from '../figure/index.js';
import { pinsApart } from '../joints/index.js';
import { hypot } from '../length/index.js';
import type { Divided, Made } from '../interiors/index.js';
import { OPEN, type Fact, type Feature, type Member, type Shape, type ShapeProblem } from '../piece/index.js';

/** Members with everything that others cut into them. */
function withCuts(members: readonly Member[], all: Made['cuts']): Member[] {
  const cuts = new Map<string, ((mate: Member) => readonly Feature[])[]>();
  for (const { into, cut } of all) {
    const others = cuts.get(into);
    if (others) others.push(cut);
    else cuts.set(into, [cut]);
  }
  return members.map((member) => {
    const own = cuts.get(member.id);
    return own ? pinsApart({ ...member, features: [...member.features, ...own.flatMap((cut) => cut(member))] }) : member;
  });
}

/** The facts of each space: of what it is itself, such as a drawer, and of what is laid out in it. */
function factsBySpace(all: Made['facts']): Shape['facts'] {
  const facts = new Map<string, readonly Fact[]>();
  for (const { space, facts: own } of all) facts.set(space, [...(facts.get(space) ?? []), ...own]);
  return facts;
}

/** The diagonal of a case seen from the side (Pythagoras). @example diagonalOf(SHELF.length, SHELF.width).value // hypot(mm(600), mm(300)) */
export function diagonalOf(height: Figure, depth: Figure): Figure {
  return Figure.formula('length', 'across the corners, √(height² + depth²)', [height, depth], hypot(height.value, depth.value));
}

/** What there is of a piece that leaves nothing inside. */
export const NO_SHAPE: Omit<Shape, 'overall' | 'outside' | 'assumed' | 'caseHeight' | 'diagonal' | 'problems' | 'feet'> = {
  spaces: new Map(),
  runs: new Map(),
  members: [],
  joints: [],
  bodies: [],
  bought: [],
  facts: new Map(),
  stands: new Map(),
};

/** Puts a shell and all that is made for it together, every cut in its member. */
export function assembled(
  divided: Divided,
  made: Made,
  outside: Pick<Shape, 'overall' | 'outside' | 'assumed' | 'caseHeight' | 'diagonal' | 'feet'>,
  problems: readonly ShapeProblem[],
): Shape {
  return {
    ...outside,
    spaces: divided.spaces,
    runs: divided.runs,
    members: withCuts(made.members, made.cuts),
    joints: made.joints.filter((j) => j.carrier !== OPEN && j.carried !== OPEN),
    bodies: made.bodies,
    bought: made.bought,
    facts: factsBySpace(made.facts),
    stands: new Map(made.stands.map((s) => [s.space, s])),
    problems: [...problems, ...divided.problems, ...made.problems],
  };
}
