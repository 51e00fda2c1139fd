import { asMPa, asNewtons, asDegrees, type Degrees } from '../../measures/index.js';
import {
  UNBRACED,
  bearingStrength,
  bendingStrength,
  columnOf,
  stateOf,
  unweighedIn,
  worse,
  type Carried,
  type State,
} from '../../carry/index.js';
import { fine, force, say, stress, type Sentence } from '../../figure/index.js';
import { pieceFix, severityOf, toWall, type Check } from '../../finding/index.js';
import { toMm } from '../../length/index.js';
import { uprightPart, type Member, type Shape, slopeOf } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { LEANING } from './ids.js';
import { legsCheck } from './on-legs.js';
import { leaningRacking } from './racking.js';
import type { Leaning } from './spec.js';
import { bentMost, standingOf, type Standing } from './statics.js';
import { asFix, braced, onRearLegs, steeper, widerSides } from './ways.js';

/** What a foot of wood holds by on a smooth floor, typical; a rubber pad holds more. */
const FRICTION = 0.25;

/** What a foot needs to hold by, and what the wall takes. */
function footCheck(piece: Leaning, shape: Shape, { weight, out, foot, high, wall }: Standing, degrees: Degrees): Check {
  const about = { kind: 'piece' } as const;
  const [, front] = foot;
  if (wall === 0) {
    const sentence = say`The middle of its weight is ${fine(out, 0)} from the wall and before its foot: it falls to the front, and only what holds it at the top keeps it.`;
    return {
      id: 'leans',
      severity: 'stop',
      state: 'fails',
      about,
      sentence,
      fixes: piece.fixedToWall ? [] : [toWall(), ...onRearLegs(piece).map(asFix)],
    };
  }
  const needs = wall / weight;
  const state = stateOf(needs, FRICTION);
  const leans = say`It leans on the wall with ${force(wall)} at most, ${fine(high, 0)} up; its foot needs to hold by ${needs.toFixed(2)} of what it stands with, and wood on a smooth floor does by ${FRICTION} (typical)`;
  if (piece.fixedToWall) {
    const down = (weight * (front - out)) / front;
    const sentence = say`${leans}. Fixed to the wall at the top it can't slide: that has to hold ${force(asNewtons(down))} down should the foot slip.`;
    return { id: 'leans', severity: 'good', state: 'fine', about, sentence, fixes: [] };
  }
  const others = [...steeper(piece, degrees, shape.overall.height.value), ...onRearLegs(piece)].map(asFix);
  const tail: Sentence =
    state === 'fails'
      ? say`: it slides away. Put something before its foot, or fix it at the top.`
      : say`. Fix it at the top all the same.`;
  return {
    id: 'leans',
    severity: severityOf(state),
    state,
    about,
    sentence: say`${leans}${tail}`,
    fixes: [toWall(), ...(state === 'fine' ? [] : others)],
  };
}

/** Whether a side breaks at a shelf, where its housing leaves less of it, or bows out under what it carries. */
function sideCheck(piece: Leaning, shape: Shape, carried: Carried, workshop: Workshop, standing: Standing, degrees: Degrees): Check[] {
  const side = shape.members.find((m) => m.id === LEANING.left);
  const own = side && carried.members.get(side.id);
  if (!side || !own) return [];
  const about = { kind: 'member', id: side.id } as const;
  const { moment, shelf } = bentMost(standing, degrees);
  const { settings } = workshop;
  const strength = bendingStrength(propertiesOf(side.stock).material, settings.serviceClass);
  const cut = shelf ? side.features.find((f) => f.mate === shelf.id && f.kind !== 'hole') : undefined;
  const thick = toMm(side.thickness.value) - (cut ? toMm(cut.depth) : 0);
  const bent = (6 * moment) / (thick * toMm(piece.sides.wide) ** 2);
  const times = piece.fixedToWall || piece.brace ? 1 : UNBRACED;
  const column = columnOf(own, [], new Map(), settings, times);
  if (!strength.judged) {
    const sentence = say`Whether the sides break is not checked, since ${strength.reason}.`;
    return [{ id: 'side-bends', severity: 'look', state: 'not checked', about, sentence, fixes: [] }];
  }
  const bends = stateOf(bent, strength.allowed);
  const state = column ? worse(bends, column.state) : bends;
  const where = shelf ? say` at ${shelf.label}, where ${fine(thick, 1)} is left of it,` : say``;
  const bows = column
    ? say` It carries ${force(own.total)}, and bows out from ${force(column.holds)} on (EN 1995-1-1 6.3.2, ${times === 1 ? 'its head held' : 'its head free'}).`
    : say` What it bows out under is not checked: no values are published for sheets.`;
  const sentence = say`A side is bent with ${stress(asMPa(bent))}${where} and may be with ${stress(strength.allowed)} (${strength.basis}).${bows}`;
  const fixes = state === 'fine' ? [] : [asFix(widerSides(piece)), ...(times === 1 ? [] : [toWall(), ...braced(piece).map(asFix)])];
  return [{ id: 'side-bends', severity: severityOf(state), state, about, sentence, fixes }];
}

interface Tilt {
  readonly shelf: Member;
  readonly state: State;
  readonly sentence: Sentence;
}

/** How a shelf that stands out behind the sides turns in its housings: what the middle of its load is behind them, by half of that load, over the length of a housing. */
function tiltOf(
  piece: Leaning,
  shape: Shape,
  workshop: Workshop,
  { foot }: Standing,
  degrees: Degrees,
  laid: Standing['laid'][number],
): Tilt {
  const { shelf, newtons, y, z } = laid;
  const slope = slopeOf({ degrees });
  const side = shape.members.find((m) => m.id === LEANING.left);
  const behind = Math.abs((foot[0] + foot[1]) / 2 - y * slope - z);
  const cut = side?.features.find((f) => f.mate === shelf.id && f.kind === 'housing');
  const long = toMm(piece.sides.wide) / uprightPart({ degrees });
  const what = say`${shelf.label}: the middle of its load is ${fine(behind, 0)} off the middle of the sides`;
  if (!cut)
    return { shelf, state: 'not checked', sentence: say`${what}, and screws alone keep it from tilting, which is not checked: house it.` };
  const { material, density } = propertiesOf(shelf.stock);
  const strength = bearingStrength(material, density, workshop.settings.serviceClass, 'face');
  if (!strength.judged)
    return {
      shelf,
      state: 'not checked',
      sentence: say`${what}; what it presses its housings with is not checked, since ${strength.reason}.`,
    };
  const [end, deep] = [newtons / 2, toMm(cut.depth)];
  const pressed = end / (deep * long) + (6 * end * behind) / (deep * long ** 2);
  return {
    shelf,
    state: stateOf(pressed, strength.allowed),
    sentence: say`${what}: it presses the ends of its housings with ${stress(asMPa(pressed))}, and may with ${stress(strength.allowed)} (${strength.basis}).`,
  };
}

const ORDER: readonly State[] = ['fails', 'close', 'not checked', 'fine'];

/** The shelf that tilts most in its joints. */
function tiltCheck(piece: Leaning, shape: Shape, workshop: Workshop, standing: Standing, degrees: Degrees): Check[] {
  const all = standing.laid.map((l) => tiltOf(piece, shape, workshop, standing, degrees, l));
  const [worst] = [...all].sort((a, b) => ORDER.indexOf(a.state) - ORDER.indexOf(b.state));
  if (!worst) return [];
  const { shelf, state, sentence } = worst;
  const { panels } = piece;
  const housed = pieceFix(say`House the shelves`, {
    kind: 'piece',
    patch: { panels: { ...panels, shelves: { ...panels.shelves, fix: 'housed' } } },
  });
  const fixes = state === 'fine' ? [] : state === 'not checked' && panels.shelves.fix !== 'housed' ? [housed] : [asFix(widerSides(piece))];
  return [{ id: 'shelf-tilts', severity: severityOf(state), state, about: { kind: 'member', id: shelf.id }, sentence, fixes }];
}

/** What only sides that lean are asked: foot and wall, bending and bowing out, shelves that tilt, and leaning over sideways. */
export function leaningChecks(piece: Leaning, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const degrees = shape.spaces.get(piece.interior.id)?.lean?.degrees ?? asDegrees(0);
  const racking = leaningRacking(piece, shape, carried, workshop);
  const unknown = unweighedIn(carried);
  if (unknown.length > 0) {
    const sentence = say`How it leans is not checked, since the mass of ${unknown.join(', ')} is not known.`;
    return [{ id: 'leans', severity: 'look', state: 'not checked', about: { kind: 'piece' }, sentence, fixes: [] }, ...racking];
  }
  const standing = standingOf(piece, shape, carried, { degrees });
  return [
    ...(piece.legs ? legsCheck(piece, shape, carried, workshop, standing) : [footCheck(piece, shape, standing, degrees)]),
    ...sideCheck(piece, shape, carried, workshop, standing, degrees),
    ...tiltCheck(piece, shape, workshop, standing, degrees),
    ...racking,
  ];
}
