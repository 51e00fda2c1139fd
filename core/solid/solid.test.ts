import fc from 'fast-check';
import {
  apartOf,
  areaOf,
  chordsOf,
  circleOf,
  contactsOf,
  cross,
  dot,
  isIn,
  lengthOf,
  minus,
  overlapOf,
  placeOf,
  plus,
  reachOf,
  rectangleOf,
  scaled,
  sizeOf,
  solidAfter,
  solidOf,
  unit,
  volumeOf,
  type Contact,
  type Form,
  type Motion,
  type Placing,
  type Profile,
  type Solid,
  type Vector,
} from './index.js';
import { asDegrees } from '../measures/index.js';
import { runs } from '../testing/runs.js';

const SQUARE: Placing = { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] };
const board = (length: number, width: number, thickness: number, placing = SQUARE, cuts: Form['cuts'] = []): Solid =>
  solidOf({ profile: { outline: rectangleOf(length, width), holes: [] }, thickness, cuts, placing });

const spansOf = ({ over }: Contact) => over.map(([from, to]) => to - from);

/** Directions square to each other, turned by some angles. */
const placings = fc
  .tuple(
    fc.double({ min: 0, max: 360, noNaN: true }),
    fc.double({ min: 0, max: 360, noNaN: true }),
    fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: -500, max: 500 }))),
  )
  .map(([a, b, origin]): Placing => {
    const [p, q] = [(a * Math.PI) / 180, (b * Math.PI) / 180];
    const u: Vector = [Math.cos(p) * Math.cos(q), Math.sin(p) * Math.cos(q), Math.sin(q)];
    const v: Vector = [-Math.sin(p), Math.cos(p), 0];
    return { origin: origin as unknown as Vector, u, v, n: cross(u, v) };
  });

/** Rectangles with rounded corners and a hole, and stepped outlines that bulge inwards. */
const profiles: fc.Arbitrary<Profile> = fc.oneof(
  fc
    .record({
      l: fc.integer({ min: 80, max: 400 }),
      w: fc.integer({ min: 80, max: 300 }),
      r: fc.integer({ min: 0, max: 30 }),
      h: fc.integer({ min: 0, max: 20 }),
    })
    .map(({ l, w, r, h }) => ({ outline: rectangleOf(l, w, r), holes: h > 2 ? [circleOf([l / 2, w / 2], h)] : [] })),
  fc.array(fc.integer({ min: 20, max: 120 }), { minLength: 2, maxLength: 5 }).map((steps): Profile => {
    const sides = steps.flatMap((v, i) => [{ to: [i * 60, v] as const }, { to: [(i + 1) * 60, v] as const }]);
    const end = steps.length * 60;
    return { outline: { start: [0, 0], sides: [...sides, { to: [end, 0] }, { to: [0, 0] }] }, holes: [] };
  }),
);
const forms: fc.Arbitrary<Form> = fc
  .record({
    profile: profiles,
    thickness: fc.integer({ min: 6, max: 60 }),
    placing: placings,
    slant: fc.option(fc.integer({ min: 10, max: 80 })),
  })
  .map(({ profile, thickness, placing, slant }) => {
    // An end cut aslant through the thickness and the width, past the middle.
    const normal = unit([1, 0.3, Math.tan(((slant ?? 45) * Math.PI) / 180)]) as Vector;
    return { profile, thickness, placing, cuts: slant === null ? [] : [{ normal, at: dot(normal, [50, 20, 0]) }] };
  });
const motions: fc.Arbitrary<Motion> = fc.oneof(
  fc
    .record({ by: fc.integer({ min: -900, max: 900 }), placing: placings })
    .map(({ by, placing }): Motion => ({ kind: 'slide', along: placing.u, by })),
  fc
    .record({ degrees: fc.integer({ min: -180, max: 180 }), placing: placings })
    .map(({ degrees, placing }): Motion => ({ kind: 'turn', at: placing.origin, axis: placing.n, degrees: asDegrees(degrees) })),
);

/** A volume counted point by point, on a grid within the least box of a form. */
function counted(form: Form, across: number): number {
  const flat = solidOf({ ...form, placing: SQUARE });
  const [us, vs, ns] = [reachOf(flat, [1, 0, 0]), reachOf(flat, [0, 1, 0]), [0, form.thickness] as const];
  const at = ([a, b]: readonly [number, number], i: number, of: number) => a + ((b - a) * (i + 0.5)) / of;
  const deep = 20;
  let inside = 0;
  for (let i = 0; i < across; i += 1)
    for (let k = 0; k < across; k += 1)
      for (let m = 0; m < deep; m += 1) if (isIn(flat, [at(us, i, across), at(vs, k, across), at(ns, m, deep)])) inside += 1;
  return (inside / (across * across * deep)) * (us[1] - us[0]) * (vs[1] - vs[0]) * form.thickness;
}

describe('areas and volumes', () => {
  test('an outline 700 x 520 with corners of 60: 2336.99 round it, and 360909.7 mm² of area', () => {
    const outline = rectangleOf(700, 520, 60);
    // 2 x 580 + 2 x 400 + 2 pi 60.
    expect(lengthOf(outline)).toBeCloseTo(2336.99, 2);
    // 700 x 520 less the four corners, 60² (4 − pi).
    expect(areaOf({ outline, holes: [] })).toBeCloseTo(364000 - 3600 * (4 - Math.PI), 6);
    expect(areaOf({ outline, holes: [circleOf([350, 260], 50)] })).toBeCloseTo(364000 - 3600 * (4 - Math.PI) - Math.PI * 2500, 6);
  });

  test('a solid has the area of its profile times its thickness, whatever its shape', () => {
    fc.assert(
      fc.property(forms, (form) => {
        const whole = volumeOf(solidOf({ ...form, cuts: [] })).volume;
        // Chords lie within 0.1 mm of their arcs.
        expect(Math.abs(whole / (areaOf(form.profile) * form.thickness) - 1)).toBeLessThan(3e-3);
      }),
      { numRuns: runs(20) },
    );
  });

  test('with an end cut aslant it has the volume that is counted point by point', () => {
    fc.assert(
      fc.property(forms, (form) => {
        const { volume } = volumeOf(solidOf(form));
        const whole = areaOf(form.profile) * form.thickness;
        // A prime, so that the points of the grid do not all lie on the edges of steps of 60.
        expect(Math.abs(volume - counted(form, 37)) / whole).toBeLessThan(0.04);
      }),
      { numRuns: runs(3) },
    );
  });

  test('a wedge: half a box, its middle at a third', () => {
    const wedge = board(300, 60, 60, SQUARE, [{ normal: unit([0, 1, 1]) as Vector, at: 60 / Math.SQRT2 }]);
    const { volume, middle } = volumeOf(wedge);
    expect(volume).toBeCloseTo((300 * 60 * 60) / 2, 4);
    expect(middle.map((m) => Math.round(m * 1e6) / 1e6)).toEqual([150, 20, 20]);
  });
});

describe('ends as planes', () => {
  const lean = (13 * Math.PI) / 180;
  const [sin, cos] = [Math.sin(lean), Math.cos(lean)];
  // Leaning back to the wall: u up along it, v forward across it.
  const leaning: Placing = { origin: [0, 0, 0], u: [0, cos, -sin], v: [0, sin, cos], n: [1, 0, 0] };
  // Level ends: planes square to the plumb line, the lower one 1950 along the side from the upper.
  const level: Vector = [cos, sin, 0];
  // Cut from a board that begins 100 before the foot.
  const from = scaled(leaning.u, -100);
  const side = board(2200, 120, 20, { ...leaning, origin: from }, [
    { normal: level, at: cos * (1950 + 100) },
    { normal: scaled(level, -1), at: -cos * 100 },
  ]);

  test('a side of 1950 at 13 degrees with level ends stands 1900.0 high', () => {
    const [foot, top] = reachOf(side, [0, 1, 0]);
    expect([foot, top]).toEqual([expect.closeTo(0, 6), expect.closeTo(1950 * cos, 6)]);
    expect(top).toBeCloseTo(1900.0, 1);
    // Cut at both ends alike, it loses at one what it keeps at the other.
    expect(volumeOf(side).volume).toBeCloseTo(1950 * 120 * 20, 3);
  });

  test('its foot lies flat on a floor over its thickness and 123.16 of depth', () => {
    const floor = board(1000, 20, 1000, { origin: [-500, -20, -500], u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] });
    const [contact, ...more] = contactsOf(side, floor);
    expect(more).toEqual([]);
    // 120 across the side is 120 / cos 13° along the floor.
    expect(contact && spansOf(contact)).toEqual([expect.closeTo(120 / cos, 3), expect.closeTo(20, 3)]);
    expect(contact?.area).toBeCloseTo((120 / cos) * 20, 2);
    expect(contact?.normal).toEqual([expect.closeTo(0, 9), expect.closeTo(-1, 9), expect.closeTo(0, 9)]);
    expect(overlapOf(side, floor)).toBeLessThan(1e-6);
  });
});

describe('overlap', () => {
  test('two boards by the least of what they share', () => {
    const upright = board(500, 100, 20);
    expect(overlapOf(upright, board(500, 100, 20, { ...SQUARE, origin: [495, 10, 5] }))).toBeCloseTo(5, 9);
    expect(overlapOf(upright, board(500, 100, 20, { ...SQUARE, origin: [500, 0, 0] }))).toBe(0);
    expect(overlapOf(upright, board(500, 100, 20, { ...SQUARE, origin: [510, 0, 0] }))).toBe(0);
  });

  test('a leg that stands in a notch of a shelf is in nothing', () => {
    const notched: Profile = {
      outline: {
        start: [0, 0],
        sides: [
          [257, 0],
          [257, 43],
          [300, 43],
          [300, 200],
          [0, 200],
          [0, 0],
        ].map(([u, v]) => ({ to: [u as number, v as number] })),
      },
      holes: [],
    };
    const shelf = solidOf({ profile: notched, thickness: 18, cuts: [], placing: SQUARE });
    const leg = (at: number) => board(42, 42, 500, { ...SQUARE, origin: [at, 0, -100] });
    expect(overlapOf(shelf, leg(258))).toBe(0);
    expect(overlapOf(shelf, leg(250))).toBeCloseTo(7, 6);
  });

  test('the same from either side, and unchanged by moving both', () => {
    fc.assert(
      fc.property(forms, forms, motions, (f, g, motion) => {
        const [a, b] = [solidOf(f), solidOf(g)];
        const by = overlapOf(a, b);
        expect(overlapOf(b, a)).toBeCloseTo(by, 6);
        expect(overlapOf(solidAfter(motion, 1, a), solidAfter(motion, 1, b))).toBeCloseTo(by, 4);
      }),
      { numRuns: runs(8) },
    );
  });

  test('what is told to be apart has no point in common, and what is deep in another has', () => {
    fc.assert(
      fc.property(forms, forms, (f, g) => {
        const [a, b] = [solidOf(f), solidOf({ ...g, placing: { ...g.placing, origin: plus(f.placing.origin, [20, 20, 5]) } })];
        const points = a.bodies.flatMap(({ faces }) => faces.flatMap(({ corners }) => corners));
        if (overlapOf(a, b) === 0) expect(points.filter((p) => isIn(b, p, 0.01))).toEqual([]);
        // A corner that is deep in the other is told, by at least as much.
        const deep = points.some((p) => isIn(b, p, 2));
        if (deep) expect(overlapOf(a, b)).toBeGreaterThan(2 - 1e-6);
      }),
      { numRuns: runs(8) },
    );
  });
});

describe('contact', () => {
  test('a shelf of 500 x 300 on the middle of a rail on edge touches over 500 x 20', () => {
    const shelf = board(500, 300, 18, { origin: [0, 100, 300], u: [1, 0, 0], v: [0, 0, -1], n: [0, 1, 0] });
    const rail = board(800, 45, 20, { origin: [-100, 55, 140], u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] });
    const [contact] = contactsOf(shelf, rail);
    expect(contact?.area).toBeCloseTo(500 * 20, 4);
    expect(contact?.middle).toEqual([expect.closeTo(250, 6), expect.closeTo(100, 6), expect.closeTo(150, 6)]);
    expect(contact && spansOf(contact)).toEqual([expect.closeTo(500, 6), expect.closeTo(20, 6)]);
  });

  test('what meets along an edge alone does not touch', () => {
    expect(contactsOf(board(100, 100, 20), board(100, 100, 20, { ...SQUARE, origin: [100, 100, 0] }))).toEqual([]);
  });

  test('the same from either side, and turns with what it is between', () => {
    fc.assert(
      fc.property(forms, motions, fc.integer({ min: 0, max: 60 }), (form, motion, off) => {
        const lower = solidOf({ ...form, cuts: [] });
        // Another board on its upper face, aside by some.
        const origin = placeOf(form.placing, [off, off / 2, form.thickness]);
        const upper = board(90, 70, 15, { ...form.placing, origin });
        const [ab, ba] = [contactsOf(lower, upper)[0], contactsOf(upper, lower)[0]];
        expect(ba?.area ?? 0).toBeCloseTo(ab?.area ?? 0, 3);
        if (!ab || !ba) return;
        expect(sizeOf(minus(ab.middle, ba.middle))).toBeLessThan(1e-3);
        expect(dot(ab.normal, ba.normal)).toBeCloseTo(-1, 6);
        const moved = contactsOf(solidAfter(motion, 1, lower), solidAfter(motion, 1, upper))[0];
        expect(moved?.area).toBeCloseTo(ab.area, 2);
        expect(moved && spansOf(moved).map((s) => Math.round(s * 100))).toEqual(spansOf(ab).map((s) => Math.round(s * 100)));
      }),
      { numRuns: runs(8) },
    );
  });
});

test('a leg that turns by half a turn about its pivot stands on its head, and by none stays', () => {
  const leg = board(725, 45, 20);
  const turn = (degrees: number): Motion => ({ kind: 'turn', at: [0, 22.5, 0], axis: [0, 0, 1], degrees: asDegrees(degrees) });
  expect(reachOf(solidAfter(turn(180), 1, leg), [1, 0, 0])).toEqual([expect.closeTo(-725, 6), expect.closeTo(0, 6)]);
  // 53.13° from the floor: a leg of 725 reaches 580 up to its middle line.
  const up = solidAfter(turn(53.13010235415598), 1, leg);
  expect(placeOf(up.form.placing, [725, 22.5, 0])[1] - 22.5).toBeCloseTo(580, 6);
  expect(solidAfter(turn(90), 0, leg).form.placing).toEqual(leg.form.placing);
});

describe('a line through a solid, and how far two are apart', () => {
  test('a board with a hole is gone through twice; beside it not at all', () => {
    const holes = [circleOf([150, 50], 20)];
    const holed = solidOf({ profile: { outline: rectangleOf(300, 100), holes }, thickness: 20, cuts: [], placing: SQUARE });
    expect(chordsOf(holed, [0, 50, 10], [1, 0, 0])).toEqual([
      [expect.closeTo(0, 6), expect.closeTo(130, 1)],
      [expect.closeTo(170, 1), expect.closeTo(300, 6)],
    ]);
    expect(chordsOf(holed, [0, 120, 10], [1, 0, 0])).toEqual([]);
  });

  test('at 30° through 20 it is 40 long', () => {
    const [chord] = chordsOf(board(500, 500, 20), [250, 250, 0], [Math.sqrt(0.75), 0, 0.5]);
    expect(chord).toEqual([expect.closeTo(0, 6), expect.closeTo(40, 6)]);
  });

  test('the length of all lines through a solid, side by side, is its volume', () => {
    fc.assert(
      fc.property(profiles, (profile) => {
        const solid = solidOf({ profile, thickness: 20, cuts: [], placing: SQUARE });
        const [[x0, x1], [y0, y1]] = [reachOf(solid, [1, 0, 0]), reachOf(solid, [0, 1, 0])];
        const step = 0.97;
        let sum = 0;
        for (let y = y0 + step / 2; y < y1; y += step)
          for (const [from, to] of chordsOf(solid, [x0 - 10, y, 10], [1, 0, 0])) sum += (to - from) * step * 20;
        const { volume } = volumeOf(solid);
        expect(Math.abs(sum - volume)).toBeLessThan(0.03 * volume + 20 * step * (x1 - x0));
      }),
      { numRuns: runs(20), seed: 11 },
    );
  });

  test('boxes that are apart along one direction are so far apart, and as far after both are moved', () => {
    const one = board(100, 100, 20);
    fc.assert(
      fc.property(placings, fc.integer({ min: 0, max: 300 }), (placing, gap) => {
        const [here, there] = [
          board(100, 100, 20, placing),
          board(80, 60, 20, { ...placing, origin: placeOf(placing, [100 + gap, 10, 0]) }),
        ];
        expect(apartOf(here, there)).toBeCloseTo(gap, 6);
        expect(apartOf(there, here)).toBeCloseTo(gap, 6);
      }),
    );
    expect(apartOf(one, board(50, 50, 20, { ...SQUARE, origin: [50, 50, 0] }))).toBe(0);
  });
});
