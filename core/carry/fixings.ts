import { fine, force, len, say, type Sentence } from '../figure/index.js';
import { mm, toMm } from '../length/index.js';
import { PIN } from '../joints/index.js';
import { boxOf, type Member } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { DENSITY_PER_G, propertiesOf, type StockProperties } from '../stock/index.js';
import type { Support } from './bend.js';
import { ALONG, type BuiltUp } from './built-up.js';
import type { CarriedMember } from './carry.js';
import {
  FULL_PENETRATION as FULL,
  KEEP,
  LEAST_PENETRATION as LEAST,
  WOOD_SCREWS,
  lateral,
  screwsFor,
  shankOf,
  type ScrewJoint,
  type WoodScrew,
} from './screws.js';
import { bearingStrength } from './strength.js';
import { stateOf, type State } from './verdict.js';

/** How one end of a member is held, and whether that holds what it gives on. */
export interface Fixing {
  readonly support: Support;
  readonly state: State;
  readonly sentence: Sentence;
  /** Screws that it takes, where it is screwed. */
  readonly screws?: { readonly count: number; readonly screw: WoodScrew; readonly length: number };
}

/** Lengths that wood screws are sold in, mm. */
const LENGTHS = [25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 120];

/** The usual screw for butt joints of boards and sheets. */
const USUAL_SCREW = WOOD_SCREWS[1] as WoodScrew;

/** Plywood as screws see it: G 0.42, as for plywood that is not graded (NDS table 12.3.3B). */
const PLYWOOD_GRAVITY = 0.42;

/** Specific gravity as screws see it; undefined for boards of chips and fibres, which have no published values. */
export function gravityOf({ material, density }: StockProperties): number | undefined {
  if (material.form === 'solid') return density / DENSITY_PER_G;
  return material.creep === 'plywood' ? PLYWOOD_GRAVITY : undefined;
}

/** A screw through one member into the end of another, long enough to hold fully, and no longer. */
export function screwInto(through: Member, into: Member, screw = USUAL_SCREW): ScrewJoint {
  const side = toMm(through.thickness.value);
  const wood = (m: Member, endGrain: boolean) => {
    const gravity = gravityOf(propertiesOf(m.stock));
    return gravity === undefined ? { endGrain } : { gravity, endGrain };
  };
  const wanted = side + 10 * shankOf(screw);
  const length = LENGTHS.find((l) => l >= wanted) ?? (LENGTHS.at(-1) as number);
  return {
    screw,
    length,
    side: { thickness: side, wood: wood(through, false) },
    main: { thickness: toMm(into.length.value), wood: wood(into, true) },
  };
}

/** How many screws go across a joint with the usual distances to edges and to each other. */
export function mostAcross(width: number, screw: WoodScrew): number {
  const D = shankOf(screw);
  const room = width - 2 * KEEP.edge * D;
  return room < 0 ? 0 : 1 + Math.floor(room / (KEEP.between * D));
}

/** The usual screw, or a thinner one where the end is too narrow for it; undefined where it is for both. */
function screwThatGoes(width: number): WoodScrew | undefined {
  return [USUAL_SCREW, ...WOOD_SCREWS.filter((s) => s.shank < USUAL_SCREW.shank)].find((screw) => mostAcross(width, screw) > 0);
}

function screwed(support: Support, into: Member, through: Member): Fixing {
  const width = toMm(into.width.value);
  const screw = screwThatGoes(width);
  if (!screw) return { support, state: 'not judged', sentence: say`Its end is too narrow for screws: not judged.` };
  const joint = screwInto(through, into, screw);
  const value = lateral(joint);
  if (!value.judged) return { support, state: 'not judged', sentence: say`Screws are not judged here: ${value.reason}.` };
  const most = mostAcross(width, joint.screw);
  // Two keep an end from turning, where there is room for two.
  const count = Math.max(Math.min(2, most), screwsFor(support.newtons, value.newtons) ?? Infinity);
  const size = say`${joint.screw.name} x ${len(mm(joint.length))}`;
  const each = say`${force(value.newtons)} each in its end`;
  if (count > most) {
    return {
      support,
      state: 'fails',
      sentence: say`It would take ${count} screws ${size}, ${each}, and ${most} go across it. House it, or put a ledge under it.`,
    };
  }
  const used = support.newtons / (most * value.newtons);
  return {
    support,
    state: stateOf(used, 1),
    screws: { count, screw: joint.screw, length: joint.length },
    sentence: say`Takes ${count} ${count === 1 ? 'screw' : 'screws'} ${size}, ${each} (${value.basis}); ${most} would go across it, ${fine(KEEP.edge * shankOf(screw), 1)} from its edges and ${fine(KEEP.between * shankOf(screw), 1)} apart.`,
  };
}

/** How far an area that bears is taken to reach past itself at each side, at most, mm (EN 1995-1-1 6.1.5). */
const SPREAD = 30;

/** The area that bears under something so long along the grain and so wide: it spreads by as much as it is long, up to 30 mm, at each side. */
export function bearingArea(long: number, wide: number): number {
  return (long + 2 * Math.min(SPREAD, long)) * wide;
}

/** How far a shelf lies over its pins, mm, typical. */
const PIN_REACH = 9;
const PINS_AT_AN_END = 2;

function bears(support: Support, member: Member, area: number, what: Sentence, settings: Settings): Fixing {
  const { material, density } = propertiesOf(member.stock);
  const strength = bearingStrength(material, density, settings.serviceClass);
  if (!strength.judged) return { support, state: 'not judged', sentence: say`${what}: bearing is not judged, since ${strength.reason}.` };
  const holds = strength.allowed * area;
  return {
    support,
    state: stateOf(support.newtons, holds),
    sentence: say`${what}: bears up to ${force(holds)} (${strength.basis}).`,
  };
}

/** The longest screw sold that leaves its own thickness of wood before its point, mm; undefined for none. */
function longestInside(room: number, screw: WoodScrew): number | undefined {
  return LENGTHS.findLast((l) => l <= room - shankOf(screw));
}

/** The screws along a strip or a layer: how many, how long, and that none pokes through. */
export interface ScrewsAlong {
  readonly member: Member;
  readonly count: number;
  readonly screw: WoodScrew;
  /** Null where none that holds stays inside. */
  readonly length: number | null;
  readonly state: State;
  readonly sentence: Sentence;
}

/** What holds the screwed parts of a section to its base, from the thinner part into the other. */
export function screwsAlong({ parts }: BuiltUp): readonly ScrewsAlong[] {
  const [base] = parts;
  return parts.flatMap((part): ScrewsAlong[] => {
    if (!base || part.how !== 'screwed along') return [];
    const { member } = part;
    const screw = USUAL_SCREW;
    // Through the base into what is under it, or through what stands against its edge into that edge.
    const [own, under] = [boxOf(member), boxOf(base.member)];
    const against = own.z0 >= under.z1 || own.z1 <= under.z0;
    const [through, into] = against ? [part.layer.width, base.layer.width] : [base.layer.height, part.layer.height];
    const length = longestInside(Math.min(through + into, through + FULL * shankOf(screw) + shankOf(screw)), screw) ?? null;
    const count = Math.max(2, Math.ceil(toMm(member.length.value) / ALONG.spacing));
    const inside = length === null ? 0 : length - through;
    if (length === null || inside < LEAST * shankOf(screw)) {
      const sentence = say`No ${screw.name} holds ${member.label}: less than ${fine(LEAST * shankOf(screw), 1)} of it would be in the wood before it pokes through. Glue it.`;
      return [{ member, count, screw, length: null, state: 'fails', sentence }];
    }
    const left = through + into - length;
    const sentence = say`${member.label}: ${count} screws ${screw.name} x ${len(mm(length))}, one every ${len(mm(ALONG.spacing))}, ${fine(inside, 1)} in the wood and ${fine(left, 1)} left before the point; ${fine(KEEP.edge * shankOf(screw), 1)} from the edges.`;
    return [{ member, count, screw, length, state: 'fine', sentence }];
  });
}

/** How each end of a member is held, with what it would take; what lies along another one is not asked. */
export function fixingsOf(carried: CarriedMember, members: ReadonlyMap<string, Member>, settings: Settings): readonly Fixing[] {
  const { member } = carried;
  const width = toMm(member.width.value);
  return carried.supports.flatMap((support): Fixing[] => {
    const carrier = members.get(support.carrier);
    switch (support.how) {
      case 'screws':
        // What lies on its carrier stands on it, and the screws only keep it there.
        if (carrier && boxOf(carrier).y1 <= boxOf(member).y0) {
          return [bears(support, carrier, toMm(carrier.thickness.value) * width, say`Lies on ${carrier.label}`, settings)];
        }
        return carrier
          ? [screwed(support, member, carrier)]
          : [{ support, state: 'not judged', sentence: say`Screwed to what is there already: not judged.` }];
      case 'pins':
        return [
          bears(
            support,
            member,
            PINS_AT_AN_END * bearingArea(toMm(PIN.diameter), PIN_REACH),
            say`Two pins of ${len(PIN.diameter)} at this end`,
            settings,
          ),
        ];
      case 'housed': {
        const cut = carrier?.features.find((f) => f.kind !== 'hole' && f.mate === member.id);
        return cut ? [bears(support, member, toMm(cut.depth) * width, say`A ledge of ${len(cut.depth)} under it`, settings)] : [];
      }
      case 'bearing':
        return carrier
          ? [bears(support, carrier, toMm(member.thickness.value) * width, say`Its end stands on ${carrier.label}`, settings)]
          : [];
      case 'slide':
      case 'glued':
      case 'screwed along':
      case 'held along':
        return [];
    }
  });
}
