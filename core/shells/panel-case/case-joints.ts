import { ZERO, add, sub, type Length } from '../../length/index.js';
import { atX, atZ, boxOf, FLOOR, type Bearing, type Box, type Joint, type Member, type Role } from '../../piece/index.js';
import { type PanelCase } from './spec.js';
import type { Envelope, Woods } from './envelope.js';
import { HELD_AT } from './corners.js';
import { CASE } from './ids.js';
import { lidJoints } from './lid.js';

function overlapsAcross(a: Box, b: Box): boolean {
  return a.x0 < b.x1 && b.x0 < a.x1;
}

const middleOf = (a: Length, b: Length) => Math.round((a + b) / 2) as Length;

/** What a panel lies on from its left to its right: a line of support under it, where that is. */
function alongUnder(carried: string, under: readonly Member[]): Joint[] {
  return under.map((m) => {
    const { z0, z1 } = boxOf(m);
    return { carried, carrier: m.id, how: 'bearing', on: atZ(middleOf(z0, z1)) };
  });
}

/** Panels that the back is screwed to besides the sides; never a bottom that the sides stand on, which carries the back itself. */
function onBack(piece: PanelCase): Joint[] {
  const { back } = piece;
  if (back.kind !== 'applied' || !back.allRound) return [];
  // One that stops over the bottom for air holds nothing of that.
  const low = back.air === undefined && piece.base.kind !== 'none' && piece.bottom === 'between';
  // A lid opens.
  const held = [...(piece.lid ? [] : [CASE.top]), ...(low ? [CASE.bottom] : [])];
  return held.map((carried) => ({ carried, carrier: CASE.back, how: 'held along' }));
}

/** How the bottom is carried: by the floor, or hung between the sides and on all that stands under it. */
function bottomJoints(piece: PanelCase, made: readonly Member[], ends: readonly Joint[]): Joint[] {
  const carried = CASE.bottom;
  const of = (...roles: readonly Role[]) => made.filter((m) => roles.includes(m.role));
  if (piece.hung) return [...ends];
  if (piece.base.kind === 'none' && (piece.inset?.bottom ?? ZERO) > ZERO) return [...ends];
  if (piece.base.kind === 'none') return [{ carried, carrier: FLOOR, how: 'bearing' }];
  if (piece.base.kind === 'toe') return [...ends, ...alongUnder(carried, of('toe board', 'bearer'))];
  const atEnds = of('plinth end').map((m): Joint => {
    const { x0, x1 } = boxOf(m);
    return { carried, carrier: m.id, how: 'bearing', on: atX(middleOf(x0, x1)) };
  });
  return [...(piece.bottom === 'over' ? atEnds : ends), ...alongUnder(carried, of('plinth rail'))];
}

/** How the case itself carries: what bears on what, down to the floor. */
export function caseJoints(piece: PanelCase, envelope: Envelope, woods: Woods, made: readonly Member[]): Joint[] {
  const t = woods.sides.thickness.value;
  const [left, right] = [add(envelope.left, t), sub(add(envelope.left, envelope.width.value), t)];
  const ends = (carried: string, how: Bearing): Joint[] => [
    { carried, carrier: CASE.left, how, on: atX(left) },
    { carried, carrier: CASE.right, how, on: atX(right) },
  ];
  const joints = piece.lid ? lidJoints(piece, made, ends(CASE.top, 'bearing')) : ends(CASE.top, HELD_AT[piece.top]);
  const rails = made.filter((m) => m.role === 'plinth rail' || m.role === 'plinth end');
  const byId = new Map(made.map((m) => [m.id, m]));
  // On the floor, or on all of the plinth that is under it.
  const onPlinth = (carried: string): Joint[] => {
    const foot = byId.get(carried);
    const under = rails.filter((r) => foot && overlapsAcross(boxOf(foot), boxOf(r)));
    return (under.length > 0 ? under.map((r) => r.id) : [FLOOR]).map((carrier) => ({ carried, carrier, how: 'bearing' }));
  };
  if (piece.bottom === 'over') {
    joints.push(
      { carried: CASE.left, carrier: CASE.bottom, how: 'bearing', on: atX(left) },
      { carried: CASE.right, carrier: CASE.bottom, how: 'bearing', on: atX(right) },
    );
  } else if (!piece.hung) {
    joints.push(...onPlinth(CASE.left), ...onPlinth(CASE.right));
  }
  joints.push(...bottomJoints(piece, made, ends(CASE.bottom, piece.bottom === 'over' ? 'screws' : HELD_AT[piece.bottom])));
  made
    .filter((m) => ['plinth rail', 'plinth end', 'toe board', 'bearer'].includes(m.role))
    .forEach((m) => joints.push({ carried: m.id, carrier: FLOOR, how: 'bearing' }));
  if (made.some((m) => m.id === CASE.back)) {
    const how = piece.back.kind === 'groove' ? 'housed' : 'screws';
    joints.push({ carried: CASE.back, carrier: CASE.left, how }, { carried: CASE.back, carrier: CASE.right, how }, ...onBack(piece));
  }
  return joints;
}
