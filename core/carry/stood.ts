import type { Joint, Member } from '../piece/index.js';
import { massMiddleOf } from '../piece/index.js';
import { asNewtons, type Kilograms, type Newtons } from '../measures/index.js';
import { toMm } from '../length/index.js';
import type { Workshop } from '../project/index.js';
import { dot } from '../solid/index.js';
import { bend, type BendingAnswer } from './bend.js';
import type { Attached } from './built-up.js';
import { lineOf } from './line.js';
import { isInReach } from './reach.js';
import type { Handed, Load, Standing } from './standing.js';
import type { Support } from './support.js';
import type { State } from './verdict.js';

/** A member with its loads, what carries it, and, for one that bends, its verdict. */
export interface CarriedMember {
  readonly member: Member;
  readonly selfKg: Kilograms;
  readonly standing: readonly Standing[];
  readonly handed: readonly Handed[];
  readonly supports: readonly Support[];
  /** All that it carries and weighs, N. */
  readonly total: Newtons;
  /** Carried along its whole length, so that nothing bends. */
  readonly throughout: boolean;
  readonly bending: BendingAnswer | null;
  readonly state: State;
  /** Why it is not checked, or why it falls. */
  readonly missing: string | null;
  /** Things without a mass that stand on it, or on what it carries. */
  readonly unknown: readonly string[];
  /** Nothing is said to stand on it or on what it carries. */
  readonly empty: boolean;
  /** What is to carry it does not hold it, so that it comes down. */
  readonly falls: boolean;
}

export function lies(member: Member): boolean {
  return member.frame.n[1] !== 0;
}

export const onEdge = ({ frame }: Member) => frame.n[1] === 0 && frame.u[1] === 0;
/** How far a member is off plumb and off level: 0 for one that is either. */
export const leansBy = ({ frame: { u } }: Member) => Math.abs(u[1]) * Math.hypot(u[0], u[2]);
const isPlaced = (j: Joint) => j.on !== undefined;

/** A rail or a runner board: on edge, level, and held at places along it. */
function spansOnEdge(member: Member, joints: readonly Joint[]): boolean {
  return onEdge(member) && joints.length > 1 && joints.every(isPlaced);
}

/** A board on edge that is held at one end alone, and stands on nothing. */
function hangsByOneEnd(member: Member, joints: readonly Joint[]): boolean {
  const [only] = joints;
  return onEdge(member) && joints.length === 1 && only !== undefined && isPlaced(only) && only.how !== 'bearing';
}

/** Whether all that holds a member along its span is at one place. */
const oneEnd = (joints: readonly Joint[]) => new Set(joints.flatMap(({ on }) => (on ? [`${on.along.join(' ')} ${on.at}`] : []))).size === 1;

/** What part of its load each joint of a member that leans takes: of two that it lies on, by where that is between them. */
function leantOn(member: Member, joints: readonly Joint[], { handed, self }: Load, byId: Carrying['byId']): readonly number[] | null {
  const [a, b, more] = joints.filter((j) => j.on !== undefined && j.part !== 0);
  // What carries nothing but itself is held evenly.
  if (!a?.on || !b?.on || more || handed.length === 0 || leansBy(member) === 0) return null;
  const way = a.on.along;
  const at = (m: Member) => dot(massMiddleOf(m).middle, way);
  const loads = [
    { newtons: self, at: at(member) },
    ...handed.flatMap(({ from, newtons }) => {
      const over = byId.get(from);
      return over ? [{ newtons, at: at(over) }] : [];
    }),
  ];
  const total = loads.reduce((sum, l) => sum + l.newtons, 0);
  if (total === 0) return null;
  const middle = loads.reduce((sum, l) => sum + l.newtons * l.at, 0) / total;
  const [from, to] = [toMm(a.on.at), toMm(b.on.at)];
  // What lies past either of them is on that alone: neither pulls.
  const onB = Math.min(1, Math.max(0, (middle - from) / (to - from)));
  return joints.map((j) => (j === a ? 1 - onB : j === b ? onB : 0));
}

/** A member that stands or leans: it passes on all it carries, evenly where several carry it and it does not lean on two of them. */
function passOn(joints: readonly Joint[], total: Newtons, parts?: readonly number[] | null): Support[] {
  // What ties it alone takes nothing of it.
  const sharing = joints.filter((j) => j.part !== 0).length;
  const evenly = (j: Joint) => (j.part === 0 ? 0 : total / sharing);
  return joints.map((j, i) => ({
    carrier: j.carrier,
    how: j.how,
    ...(j.on ? { on: lineOf(j.on) } : {}),
    ...(j.out === undefined ? {} : { out: toMm(j.out) }),
    newtons: asNewtons(parts ? total * (parts[i] as number) : evenly(j)),
    lifted: false,
  }));
}

/** What a member is carried with. */
export interface Carrying {
  readonly load: Load;
  /** Things without a mass that stand on what it carries. */
  readonly above: ReadonlySet<string>;
  readonly joints: readonly Joint[];
  readonly attached: readonly Attached[];
  readonly byId: ReadonlyMap<string, Member>;
  /** How much room is under what nobody sees, which it may sag into, mm; null for what is seen. */
  readonly room: number | null;
  readonly workshop: Workshop;
}

/** How a member stands: what it gives on, and its verdict. */
type Stands = Pick<CarriedMember, 'supports' | 'throughout' | 'bending' | 'state' | 'missing' | 'falls'>;

function comesDown(held: readonly Joint[], total: Newtons, missing: string): Stands {
  return { supports: passOn(held, total), throughout: false, bending: null, state: 'fails', missing, falls: true };
}

/** @param unweighed what is not known of the masses on it; `loaded` whether anything is said to stand on it */
export function stands(member: Member, carrying: Carrying, total: Newtons, unweighed: string | null, loaded: boolean): Stands {
  const { load, joints, attached, byId, room, workshop } = carrying;
  const held = joints.filter((j) => isInReach(member, byId.get(j.carrier), j));
  if (held.length === 0) return comesDown(held, total, 'nothing holds it');
  if (hangsByOneEnd(member, held)) return comesDown(held, total, 'only one end of it is held');
  const along = held.filter((j) => !isPlaced(j) && j.how !== 'held along');
  // A rail that carries nothing but itself is no beam to be judged.
  const spans = lies(member) || (loaded && spansOnEdge(member, held));
  if (!spans || along.length > 0) {
    const throughout = lies(member);
    const parts = throughout ? null : leantOn(member, held, load, byId);
    const supports = passOn(throughout ? along : held, total, parts);
    return { supports, throughout, bending: null, state: unweighed ? 'not checked' : 'fine', missing: unweighed, falls: false };
  }
  const bent = bend(member, load, held, attached, workshop, byId, room);
  if ('error' in bent) {
    if (bent.falls) return comesDown(held, total, oneEnd(held) ? 'only one end of it is held' : 'what holds it does not keep it');
    return { supports: passOn(held, total), throughout: false, bending: null, state: 'not checked', missing: bent.error, falls: false };
  }
  const { answer, supports } = bent;
  const missing = unweighed ?? (loaded ? answer.missing : 'nothing is said to stand on it');
  const known = unweighed === null && loaded;
  const state = known || answer.state === 'fails' ? answer.state : 'not checked';
  return { supports, throughout: false, bending: answer, state, missing, falls: false };
}
