import { size, type Figure } from '../../figure/index.js';
import { ZERO, add, scale, sub, type Length } from '../../length/index.js';
import { recess } from '../../joints/index.js';
import {
  atX,
  boxOf,
  facingFrame,
  flatFrame,
  FLOOR,
  onEdgeFrame,
  rectangle,
  rectangular,
  uprightFrame,
  type Face,
  type Joint,
  type Member,
  type Role,
} from '../../piece/index.js';
import { asLid, lidMembers } from './lid.js';
import { NO_INSET, outlined } from './side-outline.js';
import type { Corner, PanelCase } from './spec.js';
import type { Wood } from '../../project/index.js';
import { takeOff } from '../overall.js';
import { standsOut, type Envelope, type Woods } from './envelope.js';
import { caseJoints } from './case-joints.js';
import { PANELS, goesIn, mitreCuts } from './corners.js';
import { inItsSheet } from '../in-its-sheet.js';
import { BASE_NODE, CASE, CASE_NODE } from './ids.js';

/** The two sides: to the floor over a toe, on the plinth, and short of a top or bottom that goes over them. */
function sides(piece: PanelCase, envelope: Envelope, woods: Woods): Member[] {
  const { baseHeight, height, width, depth, left, sidesDepth } = envelope;
  const panel = woods.sides.thickness;
  const onPlinth = piece.base.kind === 'plinth';
  let length = onPlinth ? height.minus(baseHeight) : height;
  if (piece.top === 'over') length = length.minus(woods.top.thickness.named('top over the sides'));
  if (piece.bottom === 'over') length = length.minus(woods.bottom.thickness.named('bottom under the sides'));
  const foot = add(onPlinth ? baseHeight.value : ZERO, piece.bottom === 'over' ? woods.bottom.thickness.value : ZERO);
  const z = sub(depth.value, sidesDepth.value);
  const side = (id: string, label: string, x: Length, inner: Face) => {
    const plain = rectangular({
      id,
      node: CASE_NODE,
      role: 'side',
      label,
      wood: woods.sides,
      length,
      width: sidesDepth,
      frame: uprightFrame({ x, y: foot, z }),
      edges: { v1: piece.edges.front },
      inner,
    });
    return outlined(piece, plain);
  };
  return [side(CASE.left, 'left side', left, 'up'), side(CASE.right, 'right side', sub(add(left, width.value), panel.value), 'down')];
}

/** How far top and bottom go into the sides where these are rebated. */
function rebateOf({ rebate }: PanelCase, { sides: { thickness } }: Woods): Figure {
  return size('rebate', rebate ?? scale(thickness.value, 0.5), { in: 'piece', field: 'rebate' });
}

/** The rebates or housings of the sides for a top and a bottom that go into them. */
function cornerRecesses(piece: PanelCase, woods: Woods, made: readonly Member[]): readonly Member[] {
  const depth = rebateOf(piece, woods).value;
  const going = new Map<string, 'housing' | 'rebate'>(
    PANELS.flatMap((p) => (goesIn(piece[p]) ? [[CASE[p], piece[p] === 'housed' ? 'housing' : 'rebate'] as const] : [])),
  );
  const panels = made.flatMap((m) => {
    const kind = going.get(m.id);
    return kind ? [{ panel: m, kind }] : [];
  });
  const faces = { [CASE.left]: 'up', [CASE.right]: 'down' } as const;
  return made.map((m) => {
    const face = faces[m.id as keyof typeof faces];
    return face
      ? { ...m, features: [...m.features, ...panels.map(({ panel, kind }) => recess(kind, m, face, panel.id, boxOf(panel), depth))] }
      : m;
  });
}

/** A panel that lies, only so deep from its rear. */
function ofDepth({ length, frame }: Member, deep: Figure, less: Length): Pick<Member, 'width' | 'outline' | 'frame'> {
  const { origin } = frame;
  return { width: deep, outline: rectangle(length.value, deep.value), frame: { ...frame, origin: { ...origin, z: sub(origin.z, less) } } };
}

/** A top that goes over the sides, as far out past them and in front of them as it is to stand. */
function pastSides(piece: PanelCase, top: Member): Member {
  const { sides, front } = standsOut(piece);
  if (sides.length + front.length === 0) return top;
  const length = sides.reduce((long, f) => long.plus(f.times(2).named('past both sides')), top.length);
  const width = front.reduce((deep, f) => deep.plus(f), top.width);
  const { origin } = top.frame;
  const [aside, ahead] = [add(...sides.map((f) => f.value)), add(...front.map((f) => f.value))];
  return {
    ...top,
    length,
    width,
    outline: rectangle(length.value, width.value),
    frame: { ...top.frame, origin: { ...origin, x: sub(origin.x, aside), z: add(origin.z, ahead) } },
  };
}

function panels(piece: PanelCase, envelope: Envelope, woods: Woods): Member[] {
  const { height, width, depth, left, sidesDepth, inside, start, baseHeight } = envelope;
  const rebate = rebateOf(piece, woods);
  const inset = piece.inset ?? NO_INSET;
  const standsIn = (['front', 'rear'] as const).flatMap((at) => (inset[at] > ZERO ? [size(`in from the ${at}`, inset[at])] : []));
  const panelDepth = takeOff(sidesDepth, standsIn);
  const panel = (id: string, role: Role, wood: Wood, corner: Corner, y: Length) => {
    const over = corner === 'over';
    // Mitred it reaches the outsides of the sides, with its long points.
    const whole = over || corner === 'mitred';
    const x = goesIn(corner) ? sub(start.x.value, rebate.value) : start.x.value;
    const into = corner === 'housed' ? 'into both housings' : 'into both rebates';
    const between = goesIn(corner) ? inside.width.plus(rebate.times(2).named(into)) : inside.width;
    return rectangular({
      id,
      node: CASE_NODE,
      role,
      label: role,
      wood,
      length: whole ? width : between,
      width: panelDepth,
      frame: flatFrame({ x: whole ? left : x, y, z: sub(depth.value, inset.front) }),
      purpose: { length: whole ? 'covers' : 'between', width: 'between' },
      edges: over ? { v0: piece.edges.front, u0: piece.edges.front, u1: piece.edges.front } : { v0: piece.edges.front },
    });
  };
  const top = panel(CASE.top, 'top', woods.top, piece.top, sub(sub(height.value, inset.top), woods.top.thickness.value));
  const deep =
    piece.topDeep === undefined || piece.topDeep >= panelDepth.value
      ? null
      : size('top, deep', piece.topDeep, { in: 'piece', field: 'topDeep' });
  const proud = pastSides(piece, top);
  const shallow = deep ? { ...top, ...ofDepth(top, deep, sub(panelDepth.value, deep.value)) } : proud;
  return [
    asLid(piece, shallow, envelope, woods),
    panel(CASE.bottom, 'bottom', woods.bottom, piece.bottom, add(baseHeight.value, inset.bottom)),
  ];
}

function back(piece: PanelCase, envelope: Envelope, woods: Woods): Member[] {
  const { back: rule } = piece;
  if (rule.kind === 'none') return [];
  const { width, height, depth, left, sidesDepth, baseHeight, inside, start } = envelope;
  const common = { id: CASE.back, node: CASE_NODE, role: 'back' as const, label: 'back', wood: woods.back };
  if (rule.kind === 'applied') {
    const air = rule.air === undefined ? null : size('left open for air', rule.air, { in: 'piece', field: 'back.air' });
    const inset = piece.inset ?? NO_INSET;
    const closed = inset.bottom > ZERO ? baseHeight.plus(size('in from the bottom', inset.bottom)) : baseHeight;
    const foot = air ? start.y.plus(air).named('under the back') : closed;
    const head = inset.top > ZERO ? height.minus(size('in from the top', inset.top)) : height;
    return [
      rectangular({
        ...common,
        ...inItsSheet(head.minus(foot), width, { x: left, y: foot.value, z: ZERO }, woods.back.stock),
        purpose: { length: 'covers', width: 'covers' },
      }),
    ];
  }
  const into = size(rule.kind, rule.depth, { in: 'piece', field: 'back.depth' }).times(2).named(`into both ${rule.kind}s`);
  const cut = (clear: Figure) => (rule.slack === ZERO ? clear.plus(into) : clear.plus(into).minus(size('fitting slack', rule.slack)));
  const half = (rule.slack / 2) as Length;
  const x = add(sub(start.x.value, rule.depth), half);
  const z = add(sub(depth.value, sidesDepth.value), piece.inset?.rear ?? ZERO, rule.kind === 'groove' ? rule.inset : ZERO);
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
  const { width, depth, left, sidesDepth, baseHeight, inside, start } = envelope;
  const wood = woods.base;
  const t = wood.thickness;
  const setback = size(rule.kind === 'toe' ? 'toe back from the front' : 'plinth back from the front', rule.setback, {
    in: 'piece',
    field: 'base.setback',
  });
  const front = sub(depth.value, add(rule.setback, t.value));
  const board = (id: string, role: Role, label: string, length: Figure, x: Length, z: Length) =>
    rectangular({ id, node: BASE_NODE, role, label, wood, length, width: baseHeight, frame: facingFrame({ x, y: ZERO, z }) });
  if (rule.kind === 'toe') {
    const behind = board(CASE.behind, 'bearer', 'rear bearer', inside.width, start.x.value, sub(depth.value, sidesDepth.value));
    return [board(CASE.toe, 'toe board', 'toe board', inside.width, start.x.value, front), ...(rule.rear ? [behind] : [])];
  }
  const between = sidesDepth.minus(setback).minus(t.times(2).named('two rails'));
  const rear = sub(depth.value, sidesDepth.value);
  const end = (which: string, x: Length) =>
    rectangular({
      id: `base/end/${which}`,
      node: BASE_NODE,
      role: 'plinth end',
      label: `plinth end, ${which}`,
      wood,
      length: between,
      width: baseHeight,
      frame: onEdgeFrame({ x, y: ZERO, z: add(rear, t.value) }),
    });
  return [
    board(CASE.front, 'plinth rail', 'plinth rail, front', width, left, front),
    board(CASE.rear, 'plinth rail', 'plinth rail, rear', width, left, rear),
    end('left', add(left, t.value)),
    end('right', add(left, width.value)),
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
  const setback = size('back from the front', rule.setback, { in: 'piece', field: 'base.setback' });
  const toeBehind = sidesDepth.minus(setback).minus(t.named('board in front'));
  const boardBehind = rule.kind === 'plinth' || rule.rear === true;
  const length = boardBehind ? toeBehind.minus(t.named('board behind')) : toeBehind;
  const z = add(sub(depth.value, sidesDepth.value), boardBehind ? t.value : ZERO);
  const members = dividers.map((d) => {
    const box = boxOf(d);
    const middle = (box.x0 + box.x1) / 2;
    return rectangular({
      id: `base/bearer/${d.node}`,
      node: BASE_NODE,
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
      { carried: CASE.bottom, carrier: m.id, how: 'bearing', on: atX(Math.round((box.x0 + box.x1) / 2) as Length) },
      { carried: m.id, carrier: FLOOR, how: 'bearing' },
    ];
  });
  return { members, joints };
}

/** The members of the case with the grooves or rebates for its back, and the way they carry. */
export function caseMembers(piece: PanelCase, envelope: Envelope, woods: Woods): { members: Member[]; joints: Joint[] } {
  const made = cornerRecesses(piece, woods, [
    ...sides(piece, envelope, woods),
    ...panels(piece, envelope, woods),
    ...back(piece, envelope, woods),
    ...base(piece, envelope, woods),
    ...lidMembers(piece, envelope, woods),
  ]);
  const cut = made.map((m) => {
    const ends = mitreCuts(piece, m, woods);
    return ends.length > 0 ? { ...m, ends: [...(m.ends ?? []), ...ends] } : m;
  });
  const panel = cut.find((m) => m.id === CASE.back);
  const rule = piece.back;
  const joints = caseJoints(piece, envelope, woods, cut);
  if (!panel || rule.kind === 'none' || rule.kind === 'applied') return { members: cut, joints };
  // Its recesses go as far as its slack lets it move, and meet in the corners.
  const half = Math.round(rule.slack / 2) as Length;
  const own = boxOf(panel);
  const box = { ...own, x0: sub(own.x0, half), x1: add(own.x1, half), y0: sub(own.y0, half), y1: add(own.y1, half) };
  const faces = { [CASE.left]: 'up', [CASE.right]: 'down', [CASE.bottom]: 'up', [CASE.top]: 'down' } as const;
  const members = cut.map((m) => {
    const face = faces[m.id as keyof typeof faces];
    return face ? { ...m, features: [...m.features, recess(rule.kind, m, face, panel.id, box, rule.depth)] } : m;
  });
  return { members, joints };
}
