import { size, type Figure } from '../../figure/index.js';
import { ZERO, add, sub, type Length } from '../../length/index.js';
import { recess } from '../../joints/index.js';
import {
  FLOOR,
  boxOf,
  facingFrame,
  flatFrame,
  onEdgeFrame,
  uprightFrame,
  type Box,
  type Joint,
  type Member,
  rectangular,
  type PanelCase,
  type Place,
  type Role,
} from '../../piece/index.js';
import type { Stock } from '../../stock/index.js';
import type { Envelope, Woods } from './envelope.js';

/** The members of the case itself, without what divides it. */
export const CASE = {
  left: 'case/side/left',
  right: 'case/side/right',
  top: 'case/top/1',
  bottom: 'case/bottom/1',
  back: 'case/back/1',
  toe: 'base/toe-board/1',
  behind: 'base/rear-bearer/1',
  front: 'base/rail/front',
  rear: 'base/rail/rear',
} as const;

/** The two sides: to the floor over a toe, on the plinth, and short of a top or bottom that goes over them. */
function sides(piece: PanelCase, envelope: Envelope, woods: Woods): Member[] {
  const { baseHeight, height, width, depth, sidesDepth } = envelope;
  const panel = woods.sides.thickness;
  const onPlinth = piece.base.kind === 'plinth';
  let length = onPlinth ? height.minus(baseHeight) : height;
  if (piece.top === 'over') length = length.minus(panel.named('top over the sides'));
  if (piece.bottom === 'over') length = length.minus(panel.named('bottom under the sides'));
  const foot = add(onPlinth ? baseHeight.value : ZERO, piece.bottom === 'over' ? panel.value : ZERO);
  const z = sub(depth.value, sidesDepth.value);
  const side = (id: string, label: string, x: Length) =>
    rectangular({
      id,
      role: 'side',
      label,
      wood: woods.sides,
      length,
      width: sidesDepth,
      frame: uprightFrame({ x, y: foot, z }),
      edges: { v1: piece.edges.front },
    });
  return [side(CASE.left, 'left side', ZERO), side(CASE.right, 'right side', sub(width.value, panel.value))];
}

function panels(piece: PanelCase, envelope: Envelope, woods: Woods): Member[] {
  const { height, width, depth, sidesDepth, inside, start, baseHeight } = envelope;
  const t = woods.sides.thickness.value;
  const panel = (id: string, role: Role, over: boolean, y: Length) =>
    rectangular({
      id,
      role,
      label: role,
      wood: woods.sides,
      length: over ? width : inside.width,
      width: sidesDepth,
      frame: flatFrame({ x: over ? ZERO : start.x.value, y, z: depth.value }),
      purpose: { length: over ? 'covers' : 'between', width: 'between' },
      edges: over ? { v0: piece.edges.front, u0: piece.edges.front, u1: piece.edges.front } : { v0: piece.edges.front },
    });
  return [
    panel(CASE.top, 'top', piece.top === 'over', sub(height.value, t)),
    panel(CASE.bottom, 'bottom', piece.bottom === 'over', baseHeight.value),
  ];
}

/**
 * A back so high and so wide, its grain upright where its sheet is long enough for that, else across. It is
 * given by its lower left corner.
 */
function inItsSheet(high: Figure, wide: Figure, { x, y, z }: Place, sheet: Stock): Pick<Member, 'length' | 'width' | 'frame'> {
  const goes = (length: Figure, width: Figure) => length.value <= sheet.length && width.value <= sheet.width;
  if (!goes(high, wide) && goes(wide, high)) return { length: wide, width: high, frame: facingFrame({ x, y, z }) };
  return { length: high, width: wide, frame: { origin: { x: add(x, wide.value), y, z }, u: [0, 1, 0], v: [-1, 0, 0], n: [0, 0, 1] } };
}

function back(piece: PanelCase, envelope: Envelope, woods: Woods): Member[] {
  const { back: rule } = piece;
  if (rule.kind === 'none') return [];
  const { width, height, baseHeight, inside, start } = envelope;
  const common = { id: CASE.back, role: 'back' as const, label: 'back', wood: woods.back };
  if (rule.kind === 'applied') {
    return [
      rectangular({
        ...common,
        ...inItsSheet(height.minus(baseHeight), width, { x: ZERO, y: baseHeight.value, z: ZERO }, woods.back.stock),
        purpose: { length: 'covers', width: 'covers' },
      }),
    ];
  }
  const into = size(rule.kind, rule.depth, { kind: 'choice', ref: 'piece:back' }).times(2).named(`into both ${rule.kind}s`);
  const cut = (clear: Figure) => (rule.slack === ZERO ? clear.plus(into) : clear.plus(into).minus(size('fitting slack', rule.slack)));
  const half = (rule.slack / 2) as Length;
  const x = add(sub(start.x.value, rule.depth), half);
  const z = rule.kind === 'groove' ? rule.inset : ZERO;
  return [
    rectangular({
      ...common,
      ...inItsSheet(
        cut(inside.height),
        cut(inside.width),
        { x: Math.round(x) as Length, y: Math.round(start.y.value - rule.depth + half) as Length, z },
        woods.back.stock,
      ),
    }),
  ];
}

/** The base: a toe board between the sides, or the rails and ends of a plinth that stands alone. */
function base(piece: PanelCase, envelope: Envelope, woods: Woods): Member[] {
  const { base: rule } = piece;
  if (rule.kind === 'none') return [];
  const { width, depth, sidesDepth, baseHeight, inside, start } = envelope;
  const wood = woods.base;
  const t = wood.thickness;
  const setback = size(rule.kind === 'toe' ? 'toe back from the front' : 'plinth back from the front', rule.setback, {
    kind: 'choice',
    ref: 'piece:base',
  });
  const front = sub(depth.value, add(rule.setback, t.value));
  const board = (id: string, role: Role, label: string, length: Figure, x: Length, z: Length) =>
    rectangular({ id, role, label, wood, length, width: baseHeight, frame: facingFrame({ x, y: ZERO, z }) });
  if (rule.kind === 'toe') {
    const behind = board(CASE.behind, 'bearer', 'rear bearer', inside.width, start.x.value, sub(depth.value, sidesDepth.value));
    return [board(CASE.toe, 'toe board', 'toe board', inside.width, start.x.value, front), ...(rule.rear ? [behind] : [])];
  }
  const between = sidesDepth.minus(setback).minus(t.times(2).named('two rails'));
  const rear = sub(depth.value, sidesDepth.value);
  const end = (which: string, x: Length) =>
    rectangular({
      id: `base/end/${which}`,
      role: 'plinth end',
      label: `plinth end, ${which}`,
      wood,
      length: between,
      width: baseHeight,
      frame: onEdgeFrame({ x, y: ZERO, z: add(rear, t.value) }),
    });
  return [
    board(CASE.front, 'plinth rail', 'plinth rail, front', width, ZERO, front),
    board(CASE.rear, 'plinth rail', 'plinth rail, rear', width, ZERO, rear),
    end('left', t.value),
    end('right', width.value),
  ];
}

/** The bearers that carry dividers from the bottom panel to the floor, one under each. */
export function bearers(
  piece: PanelCase,
  envelope: Envelope,
  woods: Woods,
  dividers: readonly Member[],
): { members: Member[]; joints: Joint[] } {
  const { base: rule } = piece;
  if (rule.kind === 'none' || !rule.bearers) return { members: [], joints: [] };
  const { depth, sidesDepth, baseHeight } = envelope;
  const t = woods.base.thickness;
  const setback = size('back from the front', rule.setback, { kind: 'choice', ref: 'piece:base' });
  const toeBehind = sidesDepth.minus(setback).minus(t.named('board in front'));
  const boardBehind = rule.kind === 'plinth' || rule.rear === true;
  const length = boardBehind ? toeBehind.minus(t.named('board behind')) : toeBehind;
  const z = add(sub(depth.value, sidesDepth.value), boardBehind ? t.value : ZERO);
  const members = dividers.map((d) => {
    const box = boxOf(d);
    const middle = (box.x0 + box.x1) / 2;
    return rectangular({
      id: `base/bearer/${d.node}`,
      role: 'bearer',
      label: `bearer under ${d.label}`,
      wood: woods.base,
      length,
      width: baseHeight,
      frame: onEdgeFrame({ x: Math.round(middle + t.value / 2) as Length, y: ZERO, z }),
    });
  });
  const joints = members.flatMap((m): Joint[] => {
    const box = boxOf(m);
    return [
      { carried: CASE.bottom, carrier: m.id, how: 'bearing', x: Math.round((box.x0 + box.x1) / 2) as Length },
      { carried: m.id, carrier: FLOOR, how: 'bearing' },
    ];
  });
  return { members, joints };
}

function overlapsAcross(a: Box, b: Box): boolean {
  return a.x0 < b.x1 && b.x0 < a.x1;
}

const middleOf = (a: Length, b: Length) => Math.round((a + b) / 2) as Length;

/** What a panel lies on from its left to its right: a line of support under it, where that is. */
function alongUnder(carried: string, under: readonly Member[]): Joint[] {
  return under.map((m) => {
    const { z0, z1 } = boxOf(m);
    return { carried, carrier: m.id, how: 'bearing', z: middleOf(z0, z1) };
  });
}

/** Panels that the back is screwed to besides the sides; never a bottom that the sides stand on, which carries the back itself. */
function onBack(piece: PanelCase): Joint[] {
  const { back } = piece;
  if (back.kind !== 'applied' || !back.allRound) return [];
  const held = [CASE.top, ...(piece.bottom === 'between' && piece.base.kind !== 'none' ? [CASE.bottom] : [])];
  return held.map((carried) => ({ carried, carrier: CASE.back, how: 'held along' }));
}

/** How the bottom is carried: by the floor, or hung between the sides and on all that stands under it. */
function bottomJoints(piece: PanelCase, made: readonly Member[], ends: readonly Joint[]): Joint[] {
  const carried = CASE.bottom;
  const of = (...roles: readonly Role[]) => made.filter((m) => roles.includes(m.role));
  if (piece.base.kind === 'none') return [{ carried, carrier: FLOOR, how: 'bearing' }];
  if (piece.base.kind === 'toe') return [...ends, ...alongUnder(carried, of('toe board', 'bearer'))];
  const atEnds = of('plinth end').map((m): Joint => {
    const { x0, x1 } = boxOf(m);
    return { carried, carrier: m.id, how: 'bearing', x: middleOf(x0, x1) };
  });
  return [...(piece.bottom === 'over' ? atEnds : ends), ...alongUnder(carried, of('plinth rail'))];
}

/** How the case itself carries: what bears on what, down to the floor. */
function caseJoints(piece: PanelCase, envelope: Envelope, woods: Woods, made: readonly Member[]): Joint[] {
  const t = woods.sides.thickness.value;
  const [left, right] = [t, sub(envelope.width.value, t)];
  const ends = (carried: string, over: boolean): Joint[] => [
    { carried, carrier: CASE.left, how: over ? 'bearing' : 'screws', x: left },
    { carried, carrier: CASE.right, how: over ? 'bearing' : 'screws', x: right },
  ];
  const joints = ends(CASE.top, piece.top === 'over');
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
      { carried: CASE.left, carrier: CASE.bottom, how: 'bearing', x: left },
      { carried: CASE.right, carrier: CASE.bottom, how: 'bearing', x: right },
    );
  } else {
    joints.push(...onPlinth(CASE.left), ...onPlinth(CASE.right));
  }
  joints.push(...bottomJoints(piece, made, ends(CASE.bottom, false)));
  made
    .filter((m) => ['plinth rail', 'plinth end', 'toe board', 'bearer'].includes(m.role))
    .forEach((m) => joints.push({ carried: m.id, carrier: FLOOR, how: 'bearing' }));
  if (made.some((m) => m.id === CASE.back)) {
    const how = piece.back.kind === 'groove' ? 'housed' : 'screws';
    joints.push({ carried: CASE.back, carrier: CASE.left, how }, { carried: CASE.back, carrier: CASE.right, how }, ...onBack(piece));
  }
  return joints;
}

/** The members of the case with the grooves or rebates for its back, and the way they carry. */
export function caseMembers(piece: PanelCase, envelope: Envelope, woods: Woods): { members: Member[]; joints: Joint[] } {
  const made = [
    ...sides(piece, envelope, woods),
    ...panels(piece, envelope, woods),
    ...back(piece, envelope, woods),
    ...base(piece, envelope, woods),
  ];
  const panel = made.find((m) => m.id === CASE.back);
  const rule = piece.back;
  const joints = caseJoints(piece, envelope, woods, made);
  if (!panel || rule.kind === 'none' || rule.kind === 'applied') return { members: made, joints };
  const box = boxOf(panel);
  const faces = { [CASE.left]: 'up', [CASE.right]: 'down', [CASE.bottom]: 'up', [CASE.top]: 'down' } as const;
  const members = made.map((m) => {
    const face = faces[m.id as keyof typeof faces];
    return face ? { ...m, features: [recess(rule.kind, m, face, panel.id, box, rule.depth)] } : m;
  });
  return { members, joints };
}
