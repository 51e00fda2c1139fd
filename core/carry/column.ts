import { asNewtons, type Newtons } from '../measures/index.js';
import { asBefore } from '../figure/index.js';
import { fromUnits, toMm } from '../length/index.js';
import type { Joint, Member } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { propertiesOf } from '../stock/index.js';
import type { CarriedMember } from './carry.js';
import { extentsOf, reachAlong, type Extent } from './fixings/contact.js';
import { bearingStrength, inPlaneStrength, woodKind } from './strength.js';
import { stateOf, type State } from './verdict.js';

/** How far a column may be loaded before it bows out, as a part of what it bears when it is short. */
export interface Buckling {
  readonly slender: number;
  readonly part: number;
}

/**
 * Column stability factor CP of NDS 2018 3.7.1 for sawn wood (c = 0.8).
 * @param effective effective length Ke l, and `thick` the side that it bows across, in one unit
 * @param Emin and Fc adjusted modulus for stability, and compression along the grain, in one unit
 * @example ndsColumn({ effective: 1210, thick: 45, Emin: 510_000, Fc: 1190.25 }).part // 0.42451
 */
export function ndsColumn({ effective, thick, Emin, Fc }: Record<'effective' | 'thick' | 'Emin' | 'Fc', number>): Buckling {
  const c = 0.8;
  const slender = effective / thick;
  const ratio = (0.822 * Emin) / slender ** 2 / Fc;
  const half = (1 + ratio) / (2 * c);
  return { slender, part: half - Math.sqrt(half ** 2 - ratio / c) };
}

/**
 * kc of EN 1995-1-1 6.3.2 for solid timber (beta c = 0.2).
 * @param fc and E05 characteristic compression and modulus along the grain, MPa
 * @example enColumn({ effective: 1210, thick: 45, fc: 17, E05: 5400 }).part // 0.31585
 */
export function enColumn({ effective, thick, fc, E05 }: Record<'effective' | 'thick' | 'fc' | 'E05', number>): Buckling {
  const slender = effective / (thick / Math.sqrt(12));
  const relative = (slender / Math.PI) * Math.sqrt(fc / E05);
  // Shorter ones do not bow (6.3.2 (2)).
  if (relative <= 0.3) return { slender, part: 1 };
  const k = 0.5 * (1 + 0.2 * (relative - 0.3) + relative ** 2);
  return { slender, part: 1 / (k + Math.sqrt(k ** 2 - relative ** 2)) };
}

/** The least grades of softwood and hardwood, MPa: C16 and D18 (EN 338:2016 table 1). */
const GRADE = { softwood: { fc: 17, E05: 5400 }, hardwood: { fc: 18, E05: 8000 } } as const;

/** At least, where nothing keeps the head of a post from moving aside (NDS appendix G, EN 1995-1-1 5.4.4). */
export const UNBRACED = 2;

/** A post, a side or a leg under what it carries. */
export interface ColumnAnswer {
  /** The stretch that nothing holds where it is nearest to bowing out, mm, and how many times that counts. */
  readonly free: number;
  readonly times: number;
  readonly slender: number;
  /** What goes down through that stretch, and what it may carry for years, N. */
  readonly newtons: Newtons;
  readonly holds: Newtons;
  /** What it carries over what it may. */
  readonly used: number;
  readonly state: State;
}

/** What each member carries, by the joints of a piece, which never change. */
const carriedBy = new WeakMap<readonly Joint[], ReadonlyMap<string, readonly Joint[]>>();

function carriedIn(joints: readonly Joint[]): ReadonlyMap<string, readonly Joint[]> {
  let known = carriedBy.get(joints);
  if (!known) {
    const lists = new Map<string, Joint[]>();
    for (const joint of joints) {
      const list = lists.get(joint.carrier);
      if (list) list.push(joint);
      else lists.set(joint.carrier, [joint]);
    }
    known = lists;
    carriedBy.set(joints, known);
  }
  return known;
}

/** What is loose on a member, or moves by it, keeps it from nothing. */
const LOOSE: ReadonlySet<Joint['how']> = new Set(['pins', 'slide', 'hung', 'pivot']);

/** A stretch of a post that nothing holds, mm up. */
interface Free {
  readonly from: number;
  readonly to: number;
  readonly times: number;
}

/** Where nothing holds a post, up to the highest thing that it carries: what reaches over that carries nothing. */
function freeStretches(post: Member, met: readonly { readonly joint: Joint; readonly other: Member }[], times: number): readonly Free[] {
  const [from, to] = extentsOf(post)[1];
  if (met.length === 0) return [{ from, to, times }];
  const within = met.map(({ joint, other }) => {
    const [low, high] = extentsOf(other)[1];
    return { loose: LOOSE.has(joint.how), low: Math.max(from, low), high: Math.min(to, high) };
  });
  const free: Free[] = [];
  let at = from;
  for (const { low, high } of within.filter((w) => !w.loose).sort((a, b) => a.low - b.low)) {
    if (low > at) free.push({ from: at, to: low, times });
    at = Math.max(at, high);
  }
  // Over the last one that holds it its head may move aside.
  const top = Math.max(...within.map((w) => w.low));
  if (top > at) free.push({ from: at, to: top, times: Math.max(times, UNBRACED) });
  // Held all the way up, it is pressed and does not bow.
  return free.length > 0 ? free : [{ from, to: from, times }];
}

/** How broad a stretch is that what lies along `over` presses on, spread at 45° to the middle of the stretch, between the edges of the post, mm. */
function reached(thick: number, [low, high]: Extent, over: Extent, { from, to }: Free): number {
  const spread = (to - from) / 2;
  const within = (at: number) => Math.min(high, Math.max(low, at));
  // What is on an edge of it presses on a strip as broad as it is thick at least.
  return Math.max(thick, within(within(over[1]) + spread) - within(within(over[0]) - spread));
}

/** What is left of the section of a post where most is cut out of it, mm²: notches, housings, holes of bolts. */
function netSection({ features, width, thickness }: Member): number {
  const cuts = features.map((f) => {
    if (f.kind === 'hole') {
      const half = toMm(f.diameter) / 2;
      return { from: toMm(f.at.u) - half, to: toMm(f.at.u) + half, area: 2 * half * toMm(f.depth) };
    }
    const { u0, u1, v0, v1 } = f.region;
    return { from: toMm(u0), to: toMm(u1), area: toMm(fromUnits(v1 - v0)) * toMm(f.depth) };
  });
  const gone = cuts.map(({ from }) => cuts.reduce((sum, c) => (c.from <= from && c.to > from ? sum + c.area : sum), 0));
  const whole = toMm(width.value) * toMm(thickness.value);
  return Math.max(0, whole - Math.max(0, ...gone));
}

/** From so many times as broad as it is thick on, a load at one place is not taken to reach all of it. */
const SLAB = 4;

/** What a material bears along the length of a column, and how stiff it is at least, MPa; null for what no values are published for. */
function gradeOf({ stock, frame }: Member): { readonly fc: number; readonly E05: number } | null {
  const { material, elastic, elasticAcross } = propertiesOf(stock);
  if (material.form === 'solid') return GRADE[woodKind(material)];
  const fc = inPlaneStrength(material);
  // The least stiffness of a sheet is some 0.8 of its mean (EN 12369-1), typical.
  return fc === undefined ? null : { fc, E05: 800 * (frame.u[1] === 0 ? elasticAcross : elastic) };
}

/**
 * How a post, a side or a leg stands to what it carries, by EN 1995-1-1 6.3.2 with the least grade of its wood or what is published of
 * its sheet, across its thinner side, where it is nearest to bowing out: each stretch that nothing holds, under what goes down through
 * that, as broad as what lies on it reaches at 45°. Null for what no values are published for, which is not checked.
 * @param times how many times its free length counts: 2 where it may move aside at its head
 */
export function columnOf(
  of: OnColumn,
  joints: readonly Joint[],
  members: ReadonlyMap<string, Member>,
  settings: Settings,
  times = UNBRACED,
): ColumnAnswer | null {
  const met = (carriedIn(joints).get(of.member.id) ?? []).flatMap((joint): Met[] => {
    const other = members.get(joint.carried);
    return other ? [{ joint, other }] : [];
  });
  const same = [settings, ...met.map((m) => m.other)];
  return columnsAsBefore(of, { same, alike: [times, ...met.map((m) => m.joint.how)] }, () => newColumn(of, met, members, settings, times));
}

type OnColumn = Pick<CarriedMember, 'member' | 'total'> & Partial<Pick<CarriedMember, 'handed'>>;
interface Met {
  readonly joint: Joint;
  readonly other: Member;
}

const columnsAsBefore = asBefore<OnColumn, ColumnAnswer | null>();

function newColumn(
  { member, total, handed = [] }: OnColumn,
  met: readonly Met[],
  members: ReadonlyMap<string, Member>,
  settings: Settings,
  times: number,
): ColumnAnswer | null {
  const { material, density } = propertiesOf(member.stock);
  const strength = bearingStrength(material, density, settings.serviceClass, 'end');
  const grade = gradeOf(member);
  if (!grade || !strength.judged) return null;
  const [wide, thick] = [toMm(member.width.value), toMm(member.thickness.value)].sort((a, b) => b - a) as [number, number];
  const upright = member.frame.u[1] !== 0;
  const broad = upright ? wide : toMm(member.length.value);
  const across = upright ? member.frame.v : member.frame.u;
  const edges = reachAlong(member, across);
  const slab = broad >= SLAB * thick;
  const net = netSection(member);
  // Of what is not known where it is all of it counts, all over.
  const above = handed.map(({ from, newtons }) => {
    const other = members.get(from);
    const over = slab && other ? reachAlong(other, across) : edges;
    return { newtons, top: other ? extentsOf(other)[1][1] : Infinity, over, all: over[0] <= edges[0] && over[1] >= edges[1] };
  });
  const own = total - above.reduce((sum, h) => sum + h.newtons, 0);
  const answers = freeStretches(member, met, times).map((free): ColumnAnswer => {
    // Its own weight is on all of it.
    let [newtons, perMm] = [own, own / broad];
    for (const h of above) {
      if (h.top <= free.from) continue;
      newtons += h.newtons;
      perMm += h.newtons / (h.all ? broad : reached(thick, edges, h.over, free));
    }
    const long = free.to - free.from;
    const { slender, part } = enColumn({ effective: free.times * long, thick, ...grade });
    // What is cut out of it lies where something meets it, and not where it bows: the net section is crushed, the whole one bows
    // (NDS 2018 3.6.3).
    const reaches = perMm > 0 ? newtons / perMm : broad;
    const holds = strength.allowed * Math.min(part * reaches * thick, net);
    const used = holds > 0 ? newtons / holds : Infinity;
    return { free: long, times: free.times, slender, newtons: asNewtons(newtons), holds: asNewtons(holds), used, state: stateOf(used, 1) };
  });
  return answers.reduce<ColumnAnswer | null>((worst, a) => (worst && worst.used >= a.used ? worst : a), null);
}
