import { asNewtons, type Newtons } from '../measures/index.js';
import { fromUnits, toMm } from '../length/index.js';
import type { Joint, Member } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { propertiesOf } from '../stock/index.js';
import type { CarriedMember } from './carry.js';
import { extentsOf } from './fixings/contact.js';
import { bearingStrength, woodKind } from './strength.js';
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

/** A post under what it carries. */
export interface ColumnAnswer {
  /** Its longest stretch that nothing holds, mm. */
  readonly free: number;
  readonly slender: number;
  /** What it may carry for years, N. */
  readonly holds: Newtons;
  readonly state: State;
}

/** What each member carries, by the joints of a piece, which never change. */
const carriedBy = new WeakMap<readonly Joint[], ReadonlyMap<string, readonly string[]>>();

function carriedIn(joints: readonly Joint[]): ReadonlyMap<string, readonly string[]> {
  let known = carriedBy.get(joints);
  if (!known) {
    const lists = new Map<string, string[]>();
    for (const { carrier, carried } of joints) {
      const list = lists.get(carrier);
      if (list) list.push(carried);
      else lists.set(carrier, [carried]);
    }
    known = lists;
    carriedBy.set(joints, known);
  }
  return known;
}

/** The longest stretch of a post that nothing meets, mm. */
function freeLength(post: Member, joints: readonly Joint[], members: ReadonlyMap<string, Member>): number {
  const [from, to] = extentsOf(post)[1];
  const met = (carriedIn(joints).get(post.id) ?? [])
    .flatMap((id) => {
      const other = members.get(id);
      return other ? [extentsOf(other)[1]] : [];
    })
    .map(([low, high]) => [Math.max(from, low), Math.min(to, high)] as const)
    .sort(([a], [b]) => a - b);
  let free = 0;
  let at = from;
  for (const [low, high] of met) {
    free = Math.max(free, low - at);
    at = Math.max(at, high);
  }
  // What reaches over its highest rail carries nothing.
  return met.length > 0 ? free : to - from;
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

/**
 * How a post stands to what it carries, by EN 1995-1-1 6.3.2 with the least grade of its wood, across its thinner side;
 * null for what is no solid wood, which is not judged.
 * @param times how many times its free length counts: 2 where it may move aside at its head
 */
export function columnOf(
  { member, total }: Pick<CarriedMember, 'member' | 'total'>,
  joints: readonly Joint[],
  members: ReadonlyMap<string, Member>,
  settings: Settings,
  times = UNBRACED,
): ColumnAnswer | null {
  const { material, density } = propertiesOf(member.stock);
  const strength = bearingStrength(material, density, settings.serviceClass, 'end');
  if (material.form !== 'solid' || !strength.judged) return null;
  const [wide, thick] = [toMm(member.width.value), toMm(member.thickness.value)];
  const free = freeLength(member, joints, members);
  const { slender, part } = enColumn({
    effective: times * free,
    thick: Math.min(wide, thick),
    ...GRADE[woodKind(material)],
  });
  // What is cut out of it lies where something meets it, and not where it bows: the net section is crushed, the whole one bows
  // (NDS 2018 3.6.3).
  const holds = strength.allowed * Math.min(part * wide * thick, netSection(member));
  return { free, slender, holds: asNewtons(holds), state: holds > 0 ? stateOf(total / holds, 1) : 'fails' };
}
