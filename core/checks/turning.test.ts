import { Figure, size } from '../figure/index.js';
import { ZERO, mm } from '../length/index.js';
import { facingFrame, flatFrame, rectangular, type Body, type Member, type Shape } from '../piece/index.js';
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
  if (hits)
    expect(checks[0]).toMatchObject({ severity: 'stop', sentence: ['the flap', ' runs into ', 'the rail', ' when it is drawn out.'] });
});
