import { size } from '../figure/index.js';
import { ZERO, add, sub, type Length } from '../length/index.js';
import { lengthBetween, pinHoles, reachAtEnd, recess, type EndAllowance } from '../joints/index.js';
import {
  SQUARE_EDGES,
  boxOf,
  flatFrame,
  rectangle,
  uprightFrame,
  type DividingMember,
  type Face,
  type Feature,
  type Joint,
  type Member,
  type Piece,
  type PlacedRun,
  type PlacedSpace,
} from '../piece/index.js';
import { thicknessOf, type Workshop } from '../project/index.js';
import type { PlacedLine } from '../run/index.js';
import type { Stock } from '../stock/index.js';
import { dividingMemberId, type Divided } from './divide.js';

/** A shelf or divider with what it cuts into its mates and how it is carried. */
export interface DividingResult {
  readonly member: Member;
  /** What is cut into other members, by their id; worked out once those are known. */
  readonly cuts: readonly { readonly into: string; readonly cut: (mate: Member) => readonly Feature[] }[];
  readonly joints: readonly Joint[];
}

function allowanceOf(piece: Piece, member: DividingMember, up: boolean): EndAllowance {
  if (up) return { fix: member.fix ?? piece.shelves.fix, housing: piece.shelves.housing, looseEnd: piece.shelves.looseEnd };
  const fix = member.fix ?? piece.dividers.fix;
  return { fix: fix === 'loose' ? 'butted' : fix, housing: piece.dividers.housing, looseEnd: ZERO };
}

function labelOf(space: PlacedSpace, line: PlacedLine): string {
  return space.label === 'inside' ? line.line.label : `${space.label}, ${line.line.label}`;
}

const HOW = { housed: 'housed', loose: 'pins', butted: 'screws' } as const;

interface Making {
  readonly piece: Piece;
  readonly space: PlacedSpace;
  readonly line: PlacedLine;
  readonly spec: DividingMember;
  readonly datum: Length;
  readonly stockId: string;
  readonly stock: Stock;
}

function shelf({ piece, space, line, spec, datum, stockId, stock }: Making): DividingResult {
  const ends = allowanceOf(piece, spec, true);
  const length = lengthBetween(space.clear.width, ends);
  const setback = piece.shelves.setback;
  const width =
    setback === ZERO
      ? space.clear.depth
      : space.clear.depth.minus(size('back from the front', setback, { kind: 'choice', ref: 'piece:shelves' }));
  const id = dividingMemberId(spec.id, 'up');
  const reach = reachAtEnd(ends);
  const origin = { x: sub(space.box.x0, reach), y: add(datum, line.near.value), z: sub(space.box.z1, setback) };
  const member: Member = {
    id,
    node: spec.id,
    role: 'shelf',
    label: labelOf(space, line),
    stockId,
    stock,
    outline: rectangle(length.value, width.value),
    frame: flatFrame(origin),
    length,
    width,
    thickness: thicknessOf(stockId, stock),
    purpose: { length: 'between', width: 'between' },
    features: [],
    edges: { ...SQUARE_EDGES, v0: piece.edges.front },
  };
  const box = boxOf(member);
  const { left, right } = space.neighbours;
  const cut = (face: Face) => (mate: Member) => {
    if (ends.fix === 'housed') return [recess('housing', mate, face, id, box, ends.housing)];
    return ends.fix === 'loose' ? pinHoles(mate, face, id, box) : [];
  };
  return {
    member,
    cuts: [
      { into: left, cut: cut('up') },
      { into: right, cut: cut('down') },
    ],
    joints: [
      { carried: id, carrier: left, how: HOW[ends.fix], x: space.box.x0 },
      { carried: id, carrier: right, how: HOW[ends.fix], x: space.box.x1 },
    ],
  };
}

function divider({ piece, space, line, spec, datum, stockId, stock }: Making): DividingResult {
  const ends = allowanceOf(piece, spec, false);
  const length = lengthBetween(space.clear.height, ends);
  const id = dividingMemberId(spec.id, 'across');
  const x = add(datum, line.near.value);
  const shelved = space.neighbours.below.endsWith('/shelf/1') ? piece.shelves.setback : ZERO;
  const width = shelved === ZERO ? space.clear.depth : space.clear.depth.minus(size('back from the front', shelved));
  const member: Member = {
    id,
    node: spec.id,
    role: 'divider',
    label: labelOf(space, line),
    stockId,
    stock,
    outline: rectangle(length.value, width.value),
    frame: uprightFrame({ x, y: sub(space.box.y0, reachAtEnd(ends)), z: space.box.z0 }),
    length,
    width,
    thickness: thicknessOf(stockId, stock),
    purpose: { length: 'between', width: 'between' },
    features: [],
    edges: { ...SQUARE_EDGES, v1: piece.edges.front },
  };
  const box = boxOf(member);
  const middle = (x + stock.thickness / 2) as Length;
  const { below, above } = space.neighbours;
  const cut = (face: Face) => (mate: Member) => (ends.fix === 'housed' ? [recess('housing', mate, face, id, box, ends.housing)] : []);
  return {
    member,
    cuts: [
      { into: below, cut: cut('up') },
      { into: above, cut: cut('down') },
    ],
    joints: [
      { carried: id, carrier: below, how: ends.fix === 'housed' ? 'housed' : 'bearing', x: middle },
      { carried: above, carrier: id, how: ends.fix === 'housed' ? 'housed' : 'bearing', x: middle },
    ],
  };
}

function makingsOf(piece: Piece, workshop: Workshop, run: PlacedRun, space: PlacedSpace, fallback: Stock): readonly Making[] {
  const up = run.axis === 'up';
  const specs = new Map((space.space.split?.members ?? []).map((m) => [m.id, m]));
  return run.run.lines.flatMap((line): Making[] => {
    const spec = specs.get(line.line.id);
    if (!spec || line.line.kind !== 'member') return [];
    const stockId = spec.stock ?? (up ? piece.stock.shelves : piece.stock.dividers);
    return [{ piece, space, line, spec, datum: run.datum.value, stockId, stock: workshop.stock.get(stockId) ?? fallback }];
  });
}

/**
 * The shelves and dividers of a divided interior, each with its size after joints, what it
 * cuts into its mates, and what carries it.
 * @param fallback the stock that stands in for one that is missing
 */
export function dividingMembers(piece: Piece, workshop: Workshop, divided: Divided, fallback: Stock): readonly DividingResult[] {
  return [...divided.runs.values()].flatMap((run) => {
    const space = divided.spaces.get(run.owner);
    if (!space) return [];
    return makingsOf(piece, workshop, run, space, fallback).map((making) => (run.axis === 'up' ? shelf(making) : divider(making)));
  });
}
