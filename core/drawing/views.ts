import { toMm, type Length } from '../length/index.js';
import { boxOf, type Box, type Member, type PlacedSpace } from '../piece/index.js';
import type { Solution } from '../solution/index.js';
import { CASE } from '../shells/index.js';
import type { Block } from '../things/index.js';
import type { Drawing, PlainShape, ShapeOf, View } from './shapes.js';

interface Flat {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A box of the piece as it is seen in a view, mm. */
function flatten(box: Box, view: View): Flat {
  const span = (a: Length, b: Length) => ({ at: toMm(a), size: toMm((b - a) as Length) });
  const x = span(box.x0, box.x1);
  const y = span(box.y0, box.y1);
  const z = span(box.z0, box.z1);
  if (view === 'front') return { x: x.at, y: y.at, width: x.size, height: y.size };
  if (view === 'side') return { x: z.at, y: y.at, width: z.size, height: y.size };
  return { x: x.at, y: z.at, width: x.size, height: z.size };
}

function rect(flat: Flat, of: ShapeOf, hidden = false): PlainShape {
  return { kind: 'rect', ...flat, of, hidden };
}

function memberShape(member: Member, box: Box, view: View, hidden: boolean): PlainShape {
  return rect(flatten(box, view), { kind: 'member', id: member.id, label: member.label }, hidden);
}

/** Whether a member is met by the cut of a section, or lies behind it. */
function isCut(box: Box, view: View, cut: Length): boolean {
  return view === 'side' ? box.x0 <= cut && cut <= box.x1 : box.y0 <= cut && cut <= box.y1;
}

function membersIn(solution: Solution, view: View, cut: Length): PlainShape[] {
  const members = solution.shape.members.map((member) => ({ member, box: boxOf(member) }));
  if (view === 'front') {
    return [...members]
      .sort((a, b) => a.box.z1 - b.box.z1)
      .map(({ member, box }) => memberShape(member, box, view, member.role === 'bearer' || member.role === 'plinth end'));
  }
  const beyond = members.filter(({ box }) => !isCut(box, view, cut) && (view === 'side' ? box.x0 > cut : box.y1 < cut));
  const met = members.filter(({ box }) => isCut(box, view, cut));
  const side =
    view === 'side' ? beyond.filter(({ member }) => member.role === 'side') : beyond.filter(({ member }) => member.role === 'bottom');
  return [
    ...side.slice(-1).map(({ member, box }) => memberShape(member, box, view, true)),
    ...met.map(({ member, box }) => memberShape(member, box, view, false)),
  ];
}

const MOST_THINGS = 240;

/** One column of a block for each place across, with the spare width between the blocks. */
function blockBoxes(space: PlacedSpace, setback: Length): { block: Block; box: Box }[] {
  const used = space.blocks.reduce((sum, b) => sum + b.width, 0);
  const spare = Math.max(0, (space.box.x1 - space.box.x0 - used) / (space.blocks.length + 1));
  let x = space.box.x0 as number;
  return space.blocks.map((block) => {
    x += spare;
    const x0 = Math.round(x) as Length;
    x += block.width;
    const front = space.box.z1 - setback;
    return {
      block,
      box: {
        x0,
        x1: Math.round(x) as Length,
        y0: space.box.y0,
        y1: (space.box.y0 + block.height) as Length,
        z0: (front - block.depth) as Length,
        z1: front as Length,
      },
    };
  });
}

function thingShapes(space: PlacedSpace, view: View, setback: Length): PlainShape[] {
  return blockBoxes(space, setback).flatMap(({ block, box }): PlainShape[] => {
    const of: ShapeOf = { kind: 'thing', id: `${space.id}/${block.thingId}`, label: `${block.count} ${block.thing.name}` };
    const { columns, rows, layers, stance } = block;
    const whole = flatten(box, view);
    const across = view === 'side' ? rows : columns;
    const up = view === 'top' ? rows : layers;
    if (across * up > MOST_THINGS) return [rect(whole, of)];
    const size =
      view === 'front' ? [stance.width, stance.height] : view === 'side' ? [stance.depth, stance.height] : [stance.width, stance.depth];
    const [w, h] = size.map((l) => toMm(l)) as [number, number];
    return Array.from({ length: across * up }, (_, i): PlainShape => {
      const x = whole.x + (i % across) * w;
      const y = whole.y + Math.floor(i / across) * h;
      if (view === 'top' && stance.round) return { kind: 'circle', cx: x + w / 2, cy: y + h / 2, r: w / 2, of, hidden: false };
      return rect({ x, y, width: w, height: h }, of);
    }).slice(0, view === 'front' ? Math.ceil(block.count / rows) : view === 'top' ? Math.ceil(block.count / layers) : undefined);
  });
}

function spacesIn(solution: Solution, view: View, cut: Length): PlacedSpace[] {
  return [...solution.shape.spaces.values()].filter((s) => {
    if (s.space.split) return false;
    if (view === 'front') return true;
    return view === 'side' ? s.box.x0 <= cut && cut < s.box.x1 : s.box.y0 <= cut && cut < s.box.y1;
  });
}

/** Where the sections are cut: through the middle of a chosen space. */
export function cutThrough(solution: Solution, spaceId: string, view: View): Length {
  const space = solution.shape.spaces.get(spaceId) ?? solution.shape.spaces.get(solution.piece.interior.id);
  if (!space) return 0 as Length;
  const { box } = space;
  return Math.round(view === 'side' ? (box.x0 + box.x1) / 2 : (box.y0 + box.y1) / 2) as Length;
}

/**
 * Draws a piece from one side, in mm.
 * @param spaceId the space whose middle the side and top sections are cut through
 */
export function drawPiece(solution: Solution, view: View, spaceId: string): Drawing {
  const cut = cutThrough(solution, spaceId, view);
  const { overall } = solution.shape;
  const setback = solution.piece.shelves.setback;
  const spaces = spacesIn(solution, view, cut);
  const clear = spaces.map((s) => rect(flatten(s.box, view), { kind: 'space', id: s.id, label: s.label }));
  const things = spaces.flatMap((s) => thingShapes(s, view, setback));
  const members = membersIn(solution, view, cut);
  // Seen from the front the back lies behind what stands before it.
  const behind = view === 'front' ? members.filter((m) => m.of.id === CASE.back) : [];
  return {
    view,
    shapes: [...behind, ...clear, ...things, ...members.filter((m) => !behind.includes(m))],
    width: toMm(view === 'side' ? overall.depth.value : overall.width.value),
    height: toMm(view === 'top' ? overall.depth.value : overall.height.value),
  };
}
