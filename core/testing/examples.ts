import { buildingOf, stepsOf, usualHours } from '../build/index.js';
import { size } from '../figure/index.js';
import { VERSION, type ProjectFile } from '../formats/index.js';
import { askedOf, blanksOf, cuttingOf, layOut, type Blank } from '../layout/index.js';
import { mm } from '../length/index.js';
import { facingFrame, flatFrame, rectangular, solidOfBox, type Body, type Member } from '../piece/index.js';
import { woodOf } from '../project/index.js';
import { itemsOf, propose, type Room } from '../proposal/index.js';
import type { RunLine, RunSpec } from '../run/index.js';
import { propertiesOf } from '../stock/index.js';
import { solve } from '../solution/index.js';
import { box, divided, opening, piece, stock, thing, workshop } from './samples.js';

export { box };

/** Birch plywood of 20, in sheets of 2500 x 1250. */
export const PLY = stock();
/** What is known of that plywood. */
export const PROPERTIES = propertiesOf(PLY);
/** A tin of 100 x 100 x 100 and 2 kg, of which there are 100. */
export const TIN = thing();
/** 1000 wide, 2000 high and 400 deep, with no slack. */
export const ALCOVE = opening();
/** What these are in. */
export const SHOP = workshop();

const interior = divided('in', 'up', 2);
interior.split?.spaces[1]?.things.push({ thing: 'tin', count: 2, at: 'spread' });
/** A case of 1000 x 2000 x 300, all of 20, with a shelf half-way up and two tins on that. */
export const CASE = piece(interior);
export const SOLVED = solve(CASE, SHOP, {});

const board = { node: 'shelf', wood: woodOf(SHOP, 'ply'), length: size('long', mm(600)) };
/** The members of the case, and what its shelf carries: itself and the two tins. */
export const MEMBERS = new Map(SOLVED.shape.members.map((m) => [m.id, m]));
export const CARRIED = SOLVED.carried.members.get('in-m1/shelf/1');

/** The case as it is built, cut and kept in a file. */
export const BUILDING = buildingOf('case');
export const HOURS = usualHours('2026-11-02');
export const STEPS = stepsOf(SOLVED, BUILDING);
export const TO_CUT = { id: 'case', solution: SOLVED };
export const CUTTING = cuttingOf({ id: 'case', name: 'Case' });
export const BLANKS = blanksOf([TO_CUT]).get('ply') as readonly Blank[];
export const ASKED = askedOf('ply', PLY, BLANKS, CUTTING, SHOP.settings);
const noPrograms = () => {
  throw new Error('sheets are laid out without programs');
};
const [standing] = layOut(ASKED, noPrograms);
export const LAID = standing?.answer.laid ?? [];
export const FILE: ProjectFile = {
  format: 'ruvok-project',
  version: VERSION,
  project: { name: 'Shed', settings: SHOP.settings },
  openings: { gap: ALCOVE },
  things: { tin: TIN },
  stock: Object.fromEntries(SHOP.stock),
  people: {},
  pieces: { case: { piece: CASE, letters: SOLVED.letters } },
};

/** 600 x 300 x 20, lying 400 up and 20 from the left. */
export const SHELF: Member = rectangular({
  ...board,
  id: 'shelf',
  role: 'shelf',
  label: 'shelf',
  width: size('wide', mm(300)),
  frame: flatFrame({ x: mm(20), y: mm(400), z: mm(300) }),
});
/** 600 x 95 x 20, on edge with its face to the front, from the corner of everything. */
export const RAIL: Member = rectangular({
  ...board,
  id: 'rail',
  role: 'rail',
  label: 'front rail',
  width: size('wide', mm(95)),
  frame: facingFrame({ x: mm(0), y: mm(0), z: mm(0) }),
});
/** The part that the shelf of the case is cut from. */
export const PART = SOLVED.parts.find((p) => p.member.role === 'shelf');

/** A body that draws the shelf 250 out to the front, shut at 0. */
export const TRAY: Body = {
  id: 'tray',
  label: 'tray',
  members: ['shelf'],
  spaces: [],
  motion: { kind: 'slide', along: [0, 0, 1], travel: size('travel', mm(250)) },
  runsOn: { kind: 'plain', name: 'its runners', rating: null },
};

const part = (id: string): RunLine => ({ kind: 'gap', id, label: id, rule: { kind: 'share', weight: 1 } });
const wood = (id: string): RunLine => ({ kind: 'member', id, label: id, plural: 'shelves', extent: size('ply', mm(20)) });
/** Three equal spaces with two shelves of 20 between them, in 1000: 320 each. */
export const RUN: RunSpec = {
  lines: [part('a'), wood('one'), part('b'), wood('two'), part('c')],
  total: { kind: 'given', figure: size('inside', mm(1000)) },
  rounding: { grid: mm(1), set: 'gaps', leftover: 'last' },
};

/** What is to be shelved: two tins, in a room 960 wide and 300 deep with shelves of 20, the first 80 over the floor. */
export const WANTED = [{ id: 'tin', thing: TIN, count: 2 }];
export const BAY: Room = { width: mm(960), depth: mm(300), shelf: mm(20), foot: mm(80) };
export const TINS = itemsOf(WANTED, BAY).items;
export const SHELVED = propose(WANTED, BAY);

/** A cube of 10 mm from the corner of everything, and the same 4 mm further to the right. */
export const CUBE = solidOfBox(box(0, 10, 0, 10, 0, 10));
export const CUBE_ON = solidOfBox(box(4, 14, 0, 10, 0, 10));
