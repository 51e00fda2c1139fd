import { Figure, size, writeExactly } from '../figure/index.js';
import { ZERO, mm, toMm } from '../length/index.js';
import {
  SHUT,
  boxOf,
  facingFrame,
  flatFrame,
  posed,
  posesOf,
  rectangular,
  type Body,
  type Member,
  type Pose,
  type Shape,
} from '../piece/index.js';
import { woodOf } from '../project/index.js';
import { solve } from '../solution/index.js';
import { divided, piece, workshop } from '../testing/samples.js';
import { bodyChecks } from './bodies.js';

const shop = workshop();
const base = piece(divided('in', 'up', 1), { fixedToWall: true });
const { shape, carried } = solve(base, shop, {});
const wood = woodOf(shop, 'ply');

/** A flap of 400 x 300, hinged along its rear edge at 1000 up, that opens upwards by a quarter turn. */
const flap = rectangular({
  id: 'flap/shelf/1',
  node: 'flap',
  role: 'shelf',
  label: 'flap',
  wood,
  length: size('long', mm(400)),
  width: size('wide', mm(300)),
  frame: flatFrame({ x: mm(100), y: mm(1000), z: mm(300) }),
});
const turns: Body = {
  id: 'flap',
  label: 'the flap',
  members: [flap.id],
  spaces: [],
  motion: { kind: 'turn', at: { x: ZERO, y: mm(1000), z: ZERO }, axis: [1, 0, 0], angle: Figure.leaf('angle', -90, 'opens') },
  runsOn: { kind: 'plain', name: 'its hinges', rating: null },
};

/** A rail of 40 by 20 across the flap, its lower rear edge so far up from the hinge and out from it. */
const rail = (up: number, out: number): Member =>
  rectangular({
    id: 'rail/rail/1',
    node: 'rail',
    role: 'rail',
    label: 'the rail',
    wood,
    length: size('long', mm(400)),
    width: size('high', mm(40)),
    frame: facingFrame({ x: mm(100), y: mm(1000 + up), z: mm(out) }),
  });

const told = (other: Member) => {
  const with_: Shape = { ...shape, members: [flap, other], bodies: [turns] };
  return bodyChecks(base, with_, carried, shop).filter((c) => c.id.startsWith('hits'));
};

test.each([
  // √(150² + 150²) = 212 from the hinge, and the flap reaches 300.
  ['in its quarter circle', 150, 150, 1],
  // √(260² + 260²) = 368: its box is passed through, the flap itself never gets there.
  ['in the corner beyond it', 260, 260, 0],
  ['in front of it', 30, 310, 0],
])('a rail %s: %i up, %i out', (_, up, out, hits) => {
  const checks = told(rail(up, out));
  expect(checks).toHaveLength(hits);
  if (hits) {
    expect(checks[0]?.severity).toBe('stop');
    expect(writeExactly(checks[0]?.sentence ?? [])).toBe('the flap runs into the rail when it is opened.');
  }
});

describe('a flap on a tray that slides out by 500, opened wherever that has come to', () => {
  const tray = rectangular({ ...flap, wood, id: 'tray/shelf/1', label: 'tray', frame: flatFrame({ x: mm(100), y: mm(960), z: mm(300) }) });
  const slides: Body = {
    ...turns,
    id: 'tray',
    label: 'the tray',
    members: [tray.id],
    motion: { kind: 'slide', along: [0, 0, 1], travel: size('stroke', mm(500)) },
  };
  const lifts: Body = { ...turns, on: 'tray', byItself: true };
  const bodies = [slides, lifts];
  const at = (other: Member) =>
    bodyChecks(base, { ...shape, members: [flap, tray, other], bodies }, carried, shop)
      .filter((c) => c.id.startsWith('hits'))
      .map((c) => writeExactly(c.sentence));

  test('its poses: shut, drawn out, lifted, and both', () => {
    expect(posesOf(bodies).map((p) => [p.id, [...p.pose.keys()]])).toEqual([
      ['shut', []],
      ['open-tray', ['tray']],
      ['open-flap', ['flap']],
      ['open', ['tray', 'flap']],
    ]);
    // Lifted by itself, it stands up over its hinge; drawn out as well, 500 further out.
    const z = (pose: Pose) => posed([flap], bodies, pose).map((m) => toMm(boxOf(m).z1))[0];
    expect(z(SHUT)).toBe(300);
    expect(z(new Map([['tray', 1]]))).toBe(800);
    expect(z(new Map([['flap', 1]]))).toBeCloseTo(0, 6);
    expect(
      z(
        new Map([
          ['tray', 1],
          ['flap', 1],
        ]),
      ),
    ).toBeCloseTo(500, 6);
    expect(
      z(
        new Map([
          ['tray', 0.5],
          ['flap', 1],
        ]),
      ),
    ).toBeCloseTo(250, 6);
  });

  test.each([
    ['over it while it is shut', 150, 150, ['the flap runs into the rail when it is opened.']],
    // 150 up and out from its hinge as the tray is out.
    ['over where it is drawn out', 150, 650, ['the flap runs into the rail when it is opened and what it is on is drawn out.']],
    ['beyond both quarter circles', 310, 400, []],
    // At the height of the flap, before it: the tray takes it there.
    ['in the way of the tray', 0, 600, ['the tray runs into the rail when it is drawn out.']],
  ])('a rail %s', (_, up, out, said) => expect(at(rail(up, out))).toEqual(said));
});
