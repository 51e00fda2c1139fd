import { asNewtons, inDegrees, type Newtons } from '../measures/index.js';
import {
  WOOD_SCREWS,
  combined,
  gravityOf,
  lateral,
  longestSold,
  mostAcross,
  screwsFor,
  shareOfStud,
  studsCrossed,
  withdrawal,
  type ScrewJoint,
  type WoodScrew,
} from '../carry/index.js';
import { fine, force, len, say, type Sentence } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import { inch, mm, sub, toMm, type LengthUnit } from '../length/index.js';
import { boxOf, type Bought, type Member } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { propertiesOf } from '../stock/index.js';

/** Studs as they are usually spaced, where none were found. */
const SPACING = { mm: mm(450), in: inch(16) };
/** Plaster board over studs, which holds nothing, mm, typical. */
const PLASTER = 12.5;
/** Softwood studs, by the least grade, G. */
const STUD = { gravity: 0.38, thick: 80 };
const SCREW = WOOD_SCREWS[4] as WoodScrew;

/** The screws of what is held to a wall into a stud: through it and the plaster board, as long as is sold. */
function intoStud(thick: number, gravity: number, unit: LengthUnit): ScrewJoint {
  const length = longestSold(thick + PLASTER + STUD.thick, unit);
  // What is in the plaster board is in no wood.
  return {
    screw: SCREW,
    length: length - PLASTER,
    side: { thickness: thick, wood: { gravity, endGrain: false } },
    main: { thickness: STUD.thick, wood: { gravity: STUD.gravity, endGrain: false } },
  };
}

/** What is screwed to a wall, and what pulls at it there, N. */
export interface ScrewedToWall {
  readonly member: Member;
  /** What it is called. */
  readonly name: string;
  /** What of it weighs, and where, in a sentence without its full stop. */
  readonly loads: Sentence;
  readonly shear: Newtons;
  readonly pull: Newtons;
  /** What gives room for more screws, besides the usual. */
  readonly more: string;
  /** How many studs were found behind it; as many as it is sure to cross where none were. */
  readonly found: number;
}

/** Screws through what is held to a wall in each stud that it crosses: how many that takes of shear and pull together. */
export function screwedToStuds({ member, name, loads, shear, pull, more, found }: ScrewedToWall, workshop: Workshop): readonly Check[] {
  const about = { kind: 'member', id: member.id } as const;
  const { x0, x1, y0, y1 } = boxOf(member);
  const [long, high] = [sub(x1, x0), sub(y1, y0)];
  const spacing = SPACING[workshop.settings.unit];
  const studs = found === 0 ? studsCrossed(toMm(long), toMm(spacing)).sure : found;
  const check = (
    severity: Check['severity'],
    state: Check['state'],
    sentence: Sentence,
    takes: readonly Bought[] = [],
  ): readonly Check[] => [{ id: 'hung', severity, state, about, sentence, fixes: [], takes }];
  if (studs === 0) {
    const unsure = say`${loads}. The ${name}, ${len(long)} long, is not sure to cross a stud ${len(spacing)} apart: it must not hang on anchors in plaster board. Find the studs, or screw it into masonry.`;
    return check('stop', 'fails', unsure);
  }
  const gravity = gravityOf(propertiesOf(member.stock));
  const joint = gravity === undefined ? null : intoStud(toMm(member.thickness.value), gravity, workshop.settings.unit);
  const [z, w] = joint ? [lateral(joint), withdrawal(joint)] : [null, null];
  if (!joint || !z?.judged || !w?.judged) {
    const unknown = say`${loads}. What screws through a ${name} of ${member.stock.name} hold is not checked: no values are published for it.`;
    return check('look', 'not checked', unknown);
  }
  const each = combined(w.newtons, z.newtons, inDegrees(Math.atan2(pull, shear)));
  const count = screwsFor(asNewtons(shareOfStud(studs) * Math.hypot(shear, pull)), asNewtons(each)) ?? Infinity;
  const screw = say`${SCREW.name} x ${fine(joint.length + PLASTER, 0)}`;
  const what = say`${studs === 1 ? 'one stud' : `${studs} studs`}${found > 0 ? '' : say` at least, ${len(spacing)} apart`}`;
  // One over the other in a stud, as far apart as along its grain.
  const most = mostAcross(toMm(high), SCREW);
  if (count > most) {
    const full = say`${loads}. On ${what} it would take ${count} screws ${screw} in each, and no more than ${most} go in one over the other: find more studs, ${more}, make it lighter, or screw it into masonry.`;
    return check('stop', 'fails', full);
  }
  const turns = studs === 1 ? ' One stud alone lets it turn: find another.' : '';
  const sentence = say`${loads}. On ${what}: ${count} ${count === 1 ? 'screw' : 'screws'} ${screw} in each (${force(asNewtons(each))} each, NDS 2018 12.4.1, studs of softwood taken).${turns}`;
  const takes = [{ what: `wood screws ${SCREW.name}`, length: mm(joint.length + PLASTER), count: count * studs, each: 'piece' } as const];
  return check(studs === 1 ? 'look' : 'good', studs === 1 ? 'close' : 'fine', sentence, takes);
}
