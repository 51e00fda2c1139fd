import { grouped, type Sentence, writeExactly } from '../figure/index.js';
import { FLOOR, HOLD_WAYS, KEEP_WAYS, PLACE, type Bought, type FastenWay, type Member } from '../piece/index.js';
import { sortOfKeep, toldOf } from '../shells/index.js';
import { isOnWall, together, wallFasteners, wallOf, wallWays, type Solution } from '../solution/index.js';
import { heldIn, howHeld, pairOf } from './held.js';
import type { Building } from './spec.js';

/** How two members are held to each other. */
export interface Hold {
  readonly held: Member;
  readonly by: Member;
  readonly says: Sentence;
  readonly takes: readonly Bought[];
  /** What was chosen, by this one or by its sort, and of what; null where its shape decides. */
  readonly chosen: FastenWay | null;
  readonly choices: readonly FastenWay[];
}

/** Joints between the same sorts of members, held alike. */
export interface SortOfHold {
  /** What it is chosen by. */
  readonly sort: string;
  readonly says: Sentence;
  readonly holds: readonly Hold[];
  readonly takes: readonly Bought[];
  readonly chosen: FastenWay | null;
  readonly choices: readonly FastenWay[];
}

/** What holds each two members of a piece that meet, each two once. @example holdsOf(SOLVED, BUILDING).length // 6 */
export function holdsOf(solution: Solution, { glue }: Pick<Building, 'glue'>): readonly Hold[] {
  const { shape } = solution;
  const held = heldIn(solution);
  const members = new Map(shape.members.map((m) => [m.id, m]));
  const ways = new Map((shape.keeps ?? []).map((k) => [pairOf(k.held, k.by), k.way]));
  const joints = [...shape.joints.filter((j) => j.carrier !== FLOOR && j.carrier !== PLACE), ...held.kept];
  return grouped(joints, (j) => pairOf(j.carried, j.carrier)).flatMap((some): Hold[] => {
    // What holds tells more than what only bears.
    const joint = some.find((j) => j.how !== 'bearing') ?? some[0];
    if (!joint) return [];
    const [own, by] = [members.get(joint.carried), members.get(joint.carrier)];
    if (!own || !by) return [];
    const { fasteners } = held.between(own.id, by.id);
    const kept = ways.get(pairOf(own.id, by.id));
    return [
      {
        held: own,
        by,
        says: howHeld(joint, held, glue !== 'none'),
        takes: fasteners,
        chosen: kept ?? toldOf(solution.piece, joint, members),
        choices: kept ? KEEP_WAYS : HOLD_WAYS,
      },
    ];
  });
}

/** What fixes a piece to its wall, and to what it may be told; null where it is fixed to none. @example onTheWall(SOLVED).chosen // 'usual' */
export function onTheWall(solution: Solution): Pick<SortOfHold, 'takes' | 'chosen' | 'choices'> | null {
  if (!isOnWall(solution)) return null;
  return { takes: together(wallFasteners(solution)), chosen: wallOf(solution), choices: wallWays(solution) };
}

/** The same by the sorts of members, those that are held alike together. @example sortsOfHolds([]) // [] */
export function sortsOfHolds(holds: readonly Hold[]): readonly SortOfHold[] {
  return grouped(holds, (h) => `${sortOfKeep(h.held.role, h.by.role)} ${writeExactly(h.says)} ${h.chosen ?? ''}`).map((some) => {
    const [first] = some as [Hold];
    const { says, chosen, choices } = first;
    return {
      sort: sortOfKeep(first.held.role, first.by.role),
      says,
      chosen,
      choices,
      holds: some,
      takes: together(some.flatMap((h) => h.takes)),
    };
  });
}
