import { len, say, size, type Figure } from '../../figure/index.js';
import { ZERO, add, sub } from '../../length/index.js';
import { lengthBetween, pinHoles, reachAtEnd, recess } from '../../joints/index.js';
import {
  atX,
  boxOf,
  flatFrame,
  frontAt,
  rectangular,
  slopeOf,
  uprightPart,
  type End,
  type Face,
  type Joint,
  type Lean,
  type Member,
  type ShapeProblem,
} from '../../piece/index.js';
import { NOTHING, type Made } from '../kind.js';
import { dividingMemberId } from '../ids.js';
import { HOW, allowanceOf, labelOf, type PanelMaking } from './making.js';
import { flushStrips, layerOf, stripsOf } from './stiffeners.js';

/** A strip that hangs below its shelf needs the space there in one piece. */
function inTheWay({ space, spec, line }: PanelMaking): readonly ShapeProblem[] {
  const { strip } = spec;
  const below = space.space.split?.spaces[space.space.split.members.findIndex((m) => m.id === spec.id)];
  if (!strip || (!below?.split && !below?.filling)) return [];
  const hangs = strip.top === 'under' ? strip.high : sub(strip.high, line.size.value);
  if (hangs <= ZERO) return [];
  return [
    {
      id: `strip-${spec.id}`,
      about: spec.id,
      stops: true,
      sentence: say`The strip of ${line.line.label} hangs ${len(hangs)} below it and has no room: what the space there is divided by reaches up to the shelf.`,
      fixes: [
        {
          label: say`Leave the strip away`,
          edit: { kind: 'stiffen', member: spec.id, strip: null, doubled: spec.doubled ?? null },
        },
      ],
    },
  ];
}

/** A shelf that is said to be deeper than there is room for. */
function tooDeep({ space, spec, line }: PanelMaking, full: Figure): readonly ShapeProblem[] {
  if (spec.deep === undefined || spec.deep <= full.value || space.lean) return [];
  return [
    {
      id: `deep-${spec.id}`,
      about: spec.id,
      stops: true,
      sentence: say`${line.line.label} is to be ${len(spec.deep)} deep, and there is room for ${len(full.value)}.`,
      fixes: [{ label: say`As deep as the others`, edit: { kind: 'own-depth', member: spec.id, deep: null } }],
    },
  ];
}

/** What is cut off the front of a level shelf so that it goes back with sides that lean. */
const frontBevel = (lean: Lean): End => ({ normal: [0, -uprightPart(lean), uprightPart(lean) * slopeOf(lean)], at: ZERO });

/** A shelf with its strips and its second layer, what it cuts into the sides, and what carries it. */
export function shelf(making: PanelMaking): Made {
  const { piece, space, line, spec, datum, wood } = making;
  const ends = allowanceOf(piece, spec, true);
  const length = lengthBetween(space.clear.width, ends);
  const setback = piece.panels.shelves.setback;
  const full =
    setback === ZERO || space.lean
      ? space.clear.depth
      : space.clear.depth.minus(size('back from the front', setback, { in: 'piece', field: 'panels.shelves.setback' }));
  const { lean } = space;
  const own = spec.deep !== undefined && (lean || spec.deep <= full.value) ? spec.deep : null;
  const back = own === null ? full : size('deep', own, { in: 'member', id: spec.id, field: 'deep' });
  const y = add(datum, line.near.value);
  const front = lean ? sub(frontAt(lean, size('its lower face, from the floor', y)).value, setback) : add(space.box.z0, back.value);
  const edge = flushStrips(making);
  const width = [edge.front, edge.back].reduce<Figure>((rest, strip) => (strip ? rest.minus(strip.thickness) : rest), back);
  const id = dividingMemberId(spec.id, 'shelf');
  const reach = reachAtEnd(ends);
  const origin = {
    x: sub(space.box.x0, reach),
    y,
    z: sub(front, edge.front?.thickness.value ?? ZERO),
  };
  const square = rectangular({
    id,
    node: spec.id,
    role: 'shelf',
    label: labelOf(space, line),
    wood,
    frame: flatFrame(origin),
    length,
    width,
    ...(edge.front ? {} : { edges: { v0: piece.edges.front } }),
  });
  // Its front edge is bevelled with the sides, its lower edge the long one.
  const member: Member = lean && !edge.front ? { ...square, ends: [frontBevel(lean)] } : square;
  const box = { ...boxOf(member), y1: add(datum, line.far.value) };
  const added = [...layerOf(making, member), ...stripsOf(making, member)];
  const { left, right } = space.neighbours;
  const { rows } = piece.panels.shelves;
  const cut = (face: Face) => (mate: Member) => {
    if (ends.fix === 'housed') return [recess('housing', mate, face, id, box, ends.housing)];
    return ends.fix === 'loose' ? pinHoles(mate, face, id, box, rows && { ...rows, from: space.box.y0, to: space.box.y1 }) : [];
  };
  return {
    ...NOTHING,
    members: [member, ...added.map((a) => a.member)],
    cuts: [
      { into: left, cut: cut('up') },
      { into: right, cut: cut('down') },
    ],
    joints: [
      { carried: id, carrier: left, how: HOW[ends.fix], on: atX(space.box.x0) },
      { carried: id, carrier: right, how: HOW[ends.fix], on: atX(space.box.x1) },
      ...added.map((a): Joint => ({ carried: a.member.id, carrier: id, how: a.held === 'glued' ? 'glued' : 'screwed along' })),
    ],
    problems: [...inTheWay(making), ...tooDeep(making, full)],
  };
}
