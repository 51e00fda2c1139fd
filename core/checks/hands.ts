import {
  allScrews,
  axisOf,
  contactOf,
  extentsOf,
  fixingsOf,
  type AxisIndex,
  type Carried,
  type Extents,
  type PlacedRow,
} from '../carry/index.js';
import { asBefore, fine, grouped, say, type Sentence } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import type { Letters, Member, Role, Shape } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import type { Vector } from '../solid/index.js';
import { namesOf } from './holds.js';
import { manyOf, nameOf } from './names.js';

/** What a drill with a bit in it takes in line with a screw, and what one with an angled head does, mm, typical. */
const DRIVER = { straight: 220, angled: 100 };
/** How far round that line it takes room, mm, typical. */
const ROUND = 25;
/** What fingers take to put a nut in from the side, mm, typical. */
const FINGERS = 60;

/** What is put on last, from the outside. */
const LAST: ReadonlySet<Role> = new Set<Role>(['back', 'wall board', 'brace', 'gusset', 'drawer front', 'toe board']);

/** A way out of a place that something has to come in by, and how far that is free, mm. */
interface Way {
  readonly holds: string;
  readonly through: Member;
  readonly free: number;
  readonly by: Member;
}

interface There {
  readonly member: Member;
  readonly extents: Extents;
}

/** The axes that are square to one. */
const besideAxis = (axis: AxisIndex) => ([0, 1, 2] as const).filter((k) => k !== axis);

/** So many figures for each member: where it begins and ends along each axis. */
const ENDS = 6;

/** What stands for good, and where each of it begins and ends, one after the other, so that all of it is looked through quickly. */
class Standing {
  private readonly ends: Float64Array;

  constructor(private readonly all: readonly There[]) {
    this.ends = new Float64Array(all.length * ENDS);
    let at = 0;
    for (const { extents } of all) for (const [low, high] of extents) [this.ends[at++], this.ends[at++]] = [low, high];
  }

  /** What may be in the way out of some places along an axis of the piece: what is beside them no further than so much. */
  inTheWay(from: readonly Vector[], out: Vector, round: number): readonly There[] {
    const axis = axisOf(out);
    if (axis === undefined) return [];
    const [p, q] = besideAxis(axis) as [AxisIndex, AxisIndex];
    let [p0, p1, q0, q1] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const place of from) {
      [p0, p1] = [Math.min(p0, place[p] - round), Math.max(p1, place[p] + round)];
      [q0, q1] = [Math.min(q0, place[q] - round), Math.max(q1, place[q] + round)];
    }
    const { all, ends } = this;
    const [low, high] = [2 * p, 2 * q];
    const found: There[] = [];
    for (let at = 0; at < ends.length; at += ENDS) {
      const [a, b] = [at + low, at + high];
      if (ends[a]! < p1 && ends[a + 1]! > p0 && ends[b]! < q1 && ends[b + 1]! > q0) found.push(all[at / ENDS] as There);
    }
    return found;
  }
}

/** What is nearest in the way out of a place along an axis of the piece; null where nothing is. */
function nearest(from: Vector, out: Vector, all: readonly There[], round: number) {
  const axis = axisOf(out);
  if (axis === undefined) return null;
  const beside = besideAxis(axis);
  let found: { readonly member: Member; readonly free: number } | null = null;
  for (const { member, extents } of all) {
    if (!beside.every((k) => extents[k][0] < from[k] + round && extents[k][1] > from[k] - round)) continue;
    const free = out[axis] > 0 ? extents[axis][0] - from[axis] : from[axis] - extents[axis][1];
    if (free >= -1e-6 && (!found || free < found.free)) found = { member, free: Math.max(0, free) };
  }
  return found;
}

const waysAsBefore = asBefore<PlacedRow, readonly Way[]>();
const narrowAsBefore = asBefore<readonly PlacedRow[], readonly Way[]>();

/** The ways to the heads of a row of screws that are not free for a driver; the same as before where the same is in the way. */
function waysTo(placed: PlacedRow, standing: Standing): readonly Way[] {
  const { holds, row, screws } = placed;
  const out = row.contact.normal.map((c) => -c) as unknown as Vector;
  const heads = screws.map((s) => s.head);
  const others = standing.inTheWay(heads, out, ROUND).filter(({ member }) => member !== row.through && member !== row.into);
  return waysAsBefore(placed, { same: others.map((o) => o.member), alike: null }, () =>
    heads.flatMap((head): Way[] => {
      const met = nearest(head, out, others, ROUND);
      // What lies on the heads faces them, and is told as that.
      return met && met.free > 0 && met.free < DRIVER.straight ? [{ holds, through: row.through, free: met.free, by: met.member }] : [];
    }),
  );
}

/** The narrowest way for each that is held, what holds it and what is in the way; the narrowest of all first. */
function narrowest(ways: readonly Way[]): readonly Way[] {
  const byPair = new Map<string, Way>();
  for (const way of ways) {
    const key = `${way.holds} ${way.through.id} ${way.by.id}`;
    const known = byPair.get(key);
    if (!known || way.free < known.free) byPair.set(key, way);
  }
  return [...byPair.values()].sort((a, b) => a.free - b.free);
}

/**
 * Whether a driver reaches the heads of screws, and fingers the nuts of bolts, with what stands for good in the way. What
 * moves is screwed together on the bench, and what is put on last is not there yet.
 * @example handChecks(SOLVED.shape, SOLVED.carried, {}, SHOP.settings) // []
 */
export function handChecks(shape: Shape, carried: Carried, letters: Letters, settings: Settings): Check[] {
  const moves = new Set(shape.bodies.flatMap((b) => b.members));
  const stays = shape.members
    .filter((m) => !moves.has(m.id) && !LAST.has(m.role))
    .map((member) => ({ member, extents: extentsOf(member) }));
  const byId = new Map(shape.members.map((m) => [m.id, m]));
  const name = (id: string) => {
    const member = byId.get(id);
    return member ? nameOf(member, letters) : id;
  };
  const rows = allScrews(carried);
  const ways = narrowAsBefore(rows, { same: stays.map((s) => s.member), alike: null }, () => {
    const standing = new Standing(stays);
    const asked = rows.filter(
      ({ holds, row }) => !moves.has(holds) && !LAST.has(row.through.role) && axisOf(row.contact.normal) !== undefined,
    );
    return narrowest(asked.flatMap((placed) => waysTo(placed, standing)));
  });
  const told = (alike: readonly Way[]): Check => {
    const [way] = alike as [Way];
    const held = alike.map(({ holds }) => byId.get(holds)).filter((m) => m !== undefined);
    const no = way.free < DRIVER.angled;
    const who = held.length > 1 ? `${manyOf(held.length, (held[0] as Member).role)} (${namesOf(held, letters)})` : name(way.holds);
    const room: Sentence =
      held.length > 1
        ? say`${fine(way.free, 0)} is free in front of them`
        : say`there are ${fine(way.free, 0)} between ${name(way.through.id)} and ${name(way.by.id)}`;
    return {
      id: `driver-${way.holds}-${way.through.id}`,
      severity: 'look',
      state: no ? 'fails' : 'close',
      about: { kind: 'member', id: way.holds },
      sentence: no
        ? say`No driver gets to the screws of ${who}: ${room}. Screw it before that is in, or glue it.`
        : say`Only a driver with an angled head gets to the screws of ${who}: ${room}.`,
      fixes: [],
    };
  };
  const roleOf = (id: string) => byId.get(id)?.role ?? id;
  const together = grouped(ways, (w) => `${roleOf(w.holds)} ${roleOf(w.by.id)} ${w.free.toFixed(1)}`);
  return [...together.map(told), ...nuts(shape, carried, letters, settings, stays)];
}

/** Bolts whose nuts go into the end of a rail from its side: one of its broad faces has to be free there. */
function nuts(shape: Shape, carried: Carried, letters: Letters, settings: Settings, stays: readonly There[]): Check[] {
  if (!shape.joints.some((j) => j.how === 'bolts')) return [];
  const byId = new Map(shape.members.map((m) => [m.id, m]));
  return [...carried.members.values()].flatMap((c): Check[] => {
    if (!c.supports.some((s) => s.how === 'bolts')) return [];
    const { member } = c;
    const others = stays.filter((o) => o.member !== member);
    const covered = fixingsOf(c, byId, settings).some(({ bolts, support }) => {
      const carrier = byId.get(support.carrier);
      const met = carrier && bolts?.nut === 'barrel' ? contactOf(carrier, member) : null;
      if (!met) return false;
      const { n } = member.frame;
      const axis = axisOf(n);
      const along = axisOf(met.normal);
      if (axis === undefined || along === undefined) return false;
      const own = extentsOf(member);
      const end = own[along][met.normal[along] > 0 ? 0 : 1] + met.normal[along] * FINGERS;
      const middle = own.map(([low, high]) => (low + high) / 2) as unknown as [number, number, number];
      return ([0, 1] as const).every((side) => {
        const at: [number, number, number] = [...middle];
        at[along] = end;
        at[axis] = own[axis][side];
        const out: [number, number, number] = [0, 0, 0];
        out[axis] = side === 0 ? -1 : 1;
        const hit = nearest(at, out, others, 1);
        return hit !== null && hit.free < FINGERS;
      });
    });
    if (!covered) return [];
    return [
      {
        id: `nuts-${member.id}`,
        severity: 'look',
        state: 'fails',
        about: { kind: 'member', id: member.id },
        sentence: say`No hand gets to the nuts of ${nameOf(member, letters)}: both of its faces are covered within ${fine(FINGERS, 0)} of their ends. Put the nuts in before that is on, or use screws.`,
        fixes: [],
      },
    ];
  });
}
