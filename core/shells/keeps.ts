import { contactOf } from '../carry/index.js';
import { grouped } from '../figure/index.js';
import { mm } from '../length/index.js';
import {
  HOLD_WAYS,
  KEEP_WAYS,
  LETS_GO,
  MAY_LIE,
  PLACE,
  boxOf,
  boxRound,
  type Body,
  type FastenWay,
  type Box,
  type Joint,
  type Keep,
  type KeepWay,
  type Member,
  type Piece,
  type Shape,
} from '../piece/index.js';

/** The two sorts of members that lie on each other. @example sortOfKeep('deck', 'rail') // 'deck on rail' */
export const sortOfKeep = (held: string, by: string): string => `${held} on ${by}`;

/** What two members were told to be held by: the two themselves, or else their sorts. */
function toldFor({ fastened = {} }: Piece, a: Member, b: Member): FastenWay {
  return fastened[`${a.id} on ${b.id}`] ?? fastened[sortOfKeep(a.role, b.role)] ?? 'usual';
}

const isOneOf = <T extends string>(all: readonly T[], one: string): one is T => all.some((a) => a === one);

/** Whether how a joint is held may be told otherwise: nothing is cut or drilled in its members for it. */
function isOpenToWays({ how }: Joint, a: Member, b: Member): boolean {
  const madeFor = (m: Member, mate: Member) => m.features.some((f) => f.mate === mate.id);
  return isOneOf(HOLD_WAYS, how) && !madeFor(a, b) && !madeFor(b, a);
}

/** What was told of a joint, `usual` where nothing was; null where its shape says how it is held. @example toldOf(CASE, { carried: 'case/top/1', carrier: 'case/side/left', how: 'housed' }, MEMBERS) // null */
export function toldOf(piece: Piece, joint: Joint, members: ReadonlyMap<string, Member>): (typeof HOLD_WAYS)[number] | null {
  const [own, by] = [members.get(joint.carried), members.get(joint.carrier)];
  if (!own || !by || !isOpenToWays(joint, own, by)) return null;
  const told = toldFor(piece, own, by);
  return isOneOf(HOLD_WAYS, told) ? told : 'usual';
}

/** The joints of a piece, held as it was told. @example toldJoints(CASE, SOLVED.shape.joints, MEMBERS) // SOLVED.shape.joints */
export function toldJoints(piece: Piece, joints: readonly Joint[], members: ReadonlyMap<string, Member>): readonly Joint[] {
  if (!piece.fastened) return joints;
  return joints.map((joint) => {
    const told = toldOf(piece, joint, members);
    return told === null || told === 'usual' ? joint : { ...joint, how: told };
  });
}

/** Members that hang together, by what joins them. */
class Clusters {
  private readonly roots = new Map<string, string>();

  of(id: string): string {
    const root = this.roots.get(id);
    return root === undefined || root === id ? id : this.of(root);
  }

  join(a: string, b: string) {
    this.roots.set(this.of(a), this.of(b));
  }
}

/** The body that each member moves with; what stays put has none. */
const bodiesByMember = (bodies: readonly Body[]) => new Map(bodies.flatMap((b) => b.members.map((id) => [id, b.id] as const)));

const LITTLE = mm(0.1);

/** Whether two boxes touch or have room in common. */
const meet = (a: Box, b: Box) => AXES.every(([low, high]) => a[low] <= b[high] + LITTLE && b[low] <= a[high] + LITTLE);

const AXES = [
  ['x0', 'x1'],
  ['y0', 'y1'],
  ['z0', 'z1'],
] as const;

/** Where members of two clusters touch. */
function touching(some: readonly Member[], others: readonly Member[]): readonly (readonly [Member, Member])[] {
  const round = boxRound(some.map(boxOf));
  const near = others.filter((b) => meet(boxOf(b), round));
  return some.flatMap((a) => near.filter((b) => meet(boxOf(a), boxOf(b)) && contactOf(a, b)).map((b) => [a, b] as const));
}

/**
 * What besides its weight keeps each member where it lies: a member that bears on another one and does not move against it, unless it
 * may lie loose; and what nothing joins to the rest is kept by all that it touches.
 * @example keepsOf(CASE, SOLVED.shape).length // 2
 */
export function keepsOf(piece: Piece, { members, joints, bodies }: Pick<Shape, 'members' | 'joints' | 'bodies'>): readonly Keep[] {
  const byId = new Map(members.map((m) => [m.id, m]));
  const bodyOf = bodiesByMember(bodies);
  const onWall = new Set(joints.flatMap((j) => (j.how === 'hung' && j.carrier === PLACE ? [j.carried] : [])));
  const inOne = (a: string, b: string) => byId.has(a) && byId.has(b) && bodyOf.get(a) === bodyOf.get(b);
  const within = joints.filter((j) => inOne(j.carried, j.carrier));
  const firm = within.filter((j) => !LETS_GO.has(j.how));
  const held = new Set(firm.flatMap((j) => [j.carried, j.carrier]));
  const carries = new Set(joints.map((j) => j.carrier));
  const lies = (m: Member | undefined) => m !== undefined && MAY_LIE.has(m.role) && (held.has(m.id) || !carries.has(m.id));
  const bearing = within.filter((j: Joint) => j.how === 'bearing' && !lies(byId.get(j.carried)));
  const wayOf = (a: Member, b: Member): KeepWay => {
    const told = toldFor(piece, a, b);
    return isOneOf(KEEP_WAYS, told) ? told : 'usual';
  };
  const keep = (a: Member, b: Member): Keep => ({ held: a.id, by: b.id, way: wayOf(a, b) });
  const keeps = bearing.map((j) => keep(byId.get(j.carried) as Member, byId.get(j.carrier) as Member));

  const clusters = new Clusters();
  for (const { carried, carrier } of [...firm, ...bearing]) clusters.join(carried, carrier);
  const joined = members.filter((m) => !onWall.has(m.id) && (!lies(m) || held.has(m.id)));
  for (const body of new Set(joined.map((m) => bodyOf.get(m.id)))) {
    const own = joined.filter((m) => bodyOf.get(m.id) === body);
    const groups = grouped(own, (m) => clusters.of(m.id)).sort((a, b) => a.length - b.length);
    // The least first, to all that it touches; what touches nothing stands by itself.
    for (const some of groups.slice(0, -1)) {
      const rest = own.filter((m) => !some.includes(m));
      const pairs = touching(some, rest);
      if (pairs.some(([a, b]) => clusters.of(a.id) === clusters.of(b.id))) continue;
      for (const [a, b] of pairs) {
        keeps.push(keep(a, b));
        clusters.join(a.id, b.id);
      }
    }
  }
  return [...new Map(keeps.map((k) => [[k.held, k.by].sort().join(' '), k])).values()];
}
