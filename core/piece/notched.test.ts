import fc from 'fast-check';
import { size } from '../figure/index.js';
import { mm, toMm, type Length } from '../length/index.js';
import { woodOf } from '../project/index.js';
import { workshop } from '../testing/samples.js';
import { flatFrame, massMiddleOf, notched, rectangular, type Feature, type Member } from './index.js';

const wood = woodOf(workshop(), 'ply');
type Cut = Exclude<Feature, { kind: 'hole' }>;
const notch = (u0: number, u1: number, v0: number, v1: number): Cut => ({
  kind: 'notch',
  face: 'up',
  region: { u0: mm(u0), u1: mm(u1), v0: mm(v0), v1: mm(v1) },
  depth: mm(20),
  mate: 'post',
});
const board = (features: readonly Feature[]): Member =>
  rectangular({
    id: 'b',
    node: 'b',
    role: 'deck',
    label: 'deck',
    wood,
    length: size('long', mm(455)),
    width: size('wide', mm(395)),
    frame: flatFrame({ x: mm(0), y: mm(0), z: mm(395) }),
    features,
  });
const corners = ({ outline }: Member) => outline.sides.map(({ to }) => `${toMm(to.u)} ${toMm(to.v)}`).sort();

test('a shelf with a notch of 43 in each corner is a cross of twelve corners', () => {
  const made = notched(board([notch(0, 43, 0, 43), notch(412, 455, 0, 43), notch(0, 43, 352, 395), notch(412, 455, 352, 395)]));
  const [us, vs] = [
    [43, 412],
    [43, 352],
  ] as const;
  const wanted = [...us.flatMap((u) => [0, 43, 352, 395].map((v) => `${u} ${v}`)), ...[0, 455].flatMap((u) => vs.map((v) => `${u} ${v}`))];
  expect(corners(made)).toEqual(wanted.sort());
  // 455 x 395 less four of 43 x 43, 20 thick.
  expect(massMiddleOf(made).volume).toBeCloseTo((455 * 395 - 4 * 43 * 43) * 20, 6);
});

test('notches along its edges and in its corners take just their area away, wherever they are', () => {
  const side = fc.record({ corner: fc.boolean(), middle: fc.boolean(), deep: fc.integer({ min: 5, max: 90 }) });
  fc.assert(
    fc.property(side, side, fc.integer({ min: 5, max: 80 }), (low, high, wide) => {
      const features = [
        ...(low.corner ? [notch(0, wide, 0, low.deep)] : []),
        ...(low.middle ? [notch(200, 200 + wide, 0, low.deep)] : []),
        ...(high.corner ? [notch(455 - wide, 455, 395 - high.deep, 395)] : []),
        ...(high.middle ? [notch(455 - high.deep, 455, 150, 150 + wide)] : []),
      ];
      const gone = features.reduce((sum, f) => {
        const { u0, u1, v0, v1 } = f.region;
        return sum + toMm((u1 - u0) as Length) * toMm((v1 - v0) as Length);
      }, 0);
      // The one in the upper corner and the one in the right edge are kept apart.
      fc.pre(!(high.corner && high.middle) || high.deep + 150 + wide < 395);
      expect(massMiddleOf(notched(board(features))).volume).toBeCloseTo((455 * 395 - gone) * 20, 4);
    }),
  );
});

test('one that meets no edge, or does not go through, leaves the outline as it is', () => {
  const plain = board([notch(100, 150, 100, 150), { ...notch(0, 40, 0, 40), depth: mm(10) }]);
  expect(corners(notched(plain))).toEqual(corners(plain));
});
