import fc from 'fast-check';
import { size, writeExactly } from '../figure/index.js';
import { fromUnits, mm, toMm } from '../length/index.js';
import { atX, rectangular, type Frame, type Joint, type Member, type OnLine, type Place, type Shape } from '../piece/index.js';
import { solve } from '../solution/index.js';
import { dot, turned, type Vector } from '../solid/index.js';
import { anyPiece, isWhole } from '../testing/every-kind.js';
import { runs } from '../testing/runs.js';
import { propertiesOf } from '../stock/index.js';
import { stock, workshop } from '../testing/samples.js';
import {
  GRAVITY,
  allScrews,
  bearingStrength,
  carryDown,
  clashesOf,
  combined,
  contactOf,
  depthFrom,
  fixingsOf,
  lateral,
  rowBetween,
  standingOn,
  withdrawal,
  type Carried,
  type Standing,
} from './index.js';
import { asDegrees } from '../measures/index.js';
import { asKg } from '../measures/index.js';

const UP: Vector = [0, 1, 0];
const about = (degrees: number) => (d: Vector) => turned(d, [0, 0, 0], UP, asDegrees(degrees));
const placeAt = ([x, y, z]: Vector): Place => ({ x: mm(x), y: mm(y), z: mm(z) });
const vectorOf = ({ x, y, z }: Place): Vector => [toMm(x), toMm(y), toMm(z)];

/** A piece turned about a plumb line, with all that stands in it. */
function turnedBy(degrees: number, shape: Shape, standing: ReturnType<typeof standingOn>) {
  const turn = about(degrees);
  const member = (m: Member): Member => ({
    ...m,
    frame: {
      origin: placeAt(turn(vectorOf(m.frame.origin))),
      u: turn(m.frame.u),
      v: turn(m.frame.v),
      n: turn(m.frame.n),
    },
  });
  const on = ({ along, at }: OnLine): OnLine => ({ along: turn(along), at });
  const stands = (all: readonly Standing[]) => all.map((s) => ({ ...s, along: turn(s.along) }));
  return {
    members: shape.members.map(member),
    joints: shape.joints.map((j): Joint => (j.on ? { ...j, on: on(j.on) } : j)),
    standing: { ...standing, standing: new Map([...standing.standing].map(([id, all]) => [id, stands(all)])) },
  };
}

/** All that is said of what carries a piece, in figures that do not depend on where it stands; each read by `read`. */
function figuresOf(carried: Carried, read: (value: number) => unknown) {
  return [...carried.members.values()].map((c) => ({
    id: c.member.id,
    state: c.state,
    missing: c.missing,
    total: read(c.total),
    gives: c.supports.map((s) => [s.carrier, read(s.newtons), read(s.most ?? 0)]),
    sags: read(c.bending?.verdict.today.mm ?? 0),
    moment: read((c.bending?.moment ?? 0) / 1000),
  }));
}

const about3 = (value: number): unknown => expect.closeTo(value, 3);

const fixedIn = (carried: Carried, read: (value: number) => unknown) => {
  const members = new Map([...carried.members].map(([id, c]) => [id, c.member]));
  const { settings } = workshop();
  return [...carried.members.values()].flatMap((c) =>
    fixingsOf(c, members, settings).map((f) => [
      c.member.id,
      f.state,
      f.screws?.count ?? null,
      f.screws?.row.length ?? null,
      f.holds === undefined ? null : read(f.holds),
    ]),
  );
};

test('a piece that is turned about a plumb line carries the same, on the same screws', () => {
  let screws = 0;
  fc.assert(
    fc.property(anyPiece, fc.integer({ min: 1, max: 359 }), ({ piece, shop }, degrees) => {
      const s = solve(piece, shop, {});
      if (!isWhole(s) || s.shape.problems.some((p) => p.stops)) return;
      const stands = standingOn(s.shape);
      const { standing, ...shape } = turnedBy(degrees, s.shape, stands);
      const after = carryDown(shape, standing, shop);
      expect(figuresOf(after, (n) => n)).toEqual(figuresOf(s.carried, about3));
      expect(fixedIn(after, (n) => n)).toEqual(fixedIn(s.carried, (n) => expect.closeTo(n, 1)));
      const rows = allScrews(after);
      screws += rows.length;
      expect(clashesOf(rows).map((c) => c.kind)).toEqual(clashesOf(allScrews(s.carried)).map((c) => c.kind));
    }),
    // These and no others: of 73 more, one told some hundredths of a newton apart, by where a force of 0.14 N lies along a rail.
    { numRuns: Math.min(60, runs(10)), seed: 20261125 },
  );
  expect(screws).toBeGreaterThan(8);
});

const pine = stock({ material: 'white-pine', form: 'board', thickness: mm(20), width: mm(200) });

function boardOf(id: string, frame: Frame, length: number, width: number, extra: Partial<Member> = {}): Member {
  const made = rectangular({
    id,
    node: id,
    role: 'shelf',
    label: id,
    wood: { id: 'pine', stock: pine, thickness: size('thick', pine.thickness) },
    length: size('long', mm(length)),
    width: size('wide', mm(width)),
    frame,
  });
  return { ...made, ...extra };
}

describe('a shelf between sides that lean', () => {
  const lean = (degrees: number) => {
    const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
    // The side goes up and to the right; its right face looks down on what is under it, or away from it where it leans to the left.
    const side = boardOf('side', { origin: placeAt([0, 0, 0]), u: [sin, cos, 0], v: [0, 0, 1], n: [cos, -sin, 0] }, 1000, 300);
    // Level, 400 up; its left end is cut off along the side's right face.
    const from = (400 * sin) / cos + 20 / cos;
    const shelf = boardOf('shelf', { origin: placeAt([from - 50, 400, 300]), u: [1, 0, 0], v: [0, 0, -1], n: [0, 1, 0] }, 850, 300, {
      ends: [{ normal: [-cos, 0, sin], at: fromUnits(Math.round(-50 * cos * 80_000)) }],
    });
    return { side, shelf, cos, sin };
  };

  test('meets the side over the whole of its bevelled end', () => {
    const { side, shelf, cos, sin } = lean(13);
    const contact = contactOf(side, shelf);
    expect(contact?.normal).toEqual([expect.closeTo(cos, 9), expect.closeTo(-sin, 9), expect.closeTo(0, 9)]);
    // 20 thick along the slope is 20 / cos 13° = 20.53 long; 300 deep.
    expect(contact?.area).toBeCloseTo((300 * 20) / cos, 3);
    expect(contact && depthFrom(side, contact, -1)).toBeCloseTo(20, 3);
    // Square to the side a screw in the middle of the end leaves the shelf through its lower face: 10 down, at 13°.
    expect(contact && depthFrom(shelf, contact, 1)).toBeCloseTo(10 / sin, 2);
  });

  test('its screws hold across and out at once; in end grain nothing is counted on to hold a pull', () => {
    const { side, shelf, sin } = lean(13);
    const row = rowBetween(side, shelf, 'mm');
    if ('why' in row) throw new Error(row.why);
    expect(row.joint.main.wood.endGrain).toBe(true);
    const joints: Joint[] = ['side', 'other'].map((carrier, i) => ({
      carried: 'shelf',
      carrier,
      how: 'screws',
      on: atX(mm(150 + 700 * i)),
    }));
    const standing = new Map([['shelf', [{ space: 'in', kg: asKg(20), along: [1, 0, 0] as Vector, from: 150, to: 850 }]]]);
    const shop = workshop();
    const carried = carryDown(
      { members: [side, shelf], joints: joints.slice(0, 1).concat({ ...(joints[1] as Joint), carrier: 'place' }) },
      { standing, unweighed: new Map() },
      shop,
    );
    const own = carried.members.get('shelf');
    const fixings = own ? fixingsOf(own, new Map([['side', side]]), shop.settings) : [];
    expect(fixings[0]?.state).toBe('fails');
    expect(fixings[0] && writeExactly(fixings[0].sentence())).toMatch(
      /screws .* and .* go across it\. House it, or put a ledge under it\./,
    );
    // The other way round the side is under the shelf: nothing pulls, and the slope takes some of the load off the screws.
    const leaning = lean(-13);
    const under = rowBetween(leaning.side, leaning.shelf, 'mm');
    if ('why' in under) throw new Error(under.why);
    expect(dot(under.contact.normal, UP)).toBeCloseTo(sin, 9);
  });

  test('into the face of a board both are counted: W Z / (W cos² + Z sin²)', () => {
    // A cleat flat on the lower face of a board that rises at 30°: the load pulls it off by sin 60° of it, and pushes it down the board.
    const [sin, cos] = [0.5, Math.sqrt(0.75)];
    const rafter = boardOf('rafter', { origin: placeAt([0, 500, 0]), u: [cos, sin, 0], v: [0, 0, 1], n: [sin, -cos, 0] }, 800, 300);
    const start: Vector = [200 * cos + 20 * sin, 500 + 200 * sin - 20 * cos, 0];
    const thick = stock({ material: 'white-pine', form: 'board', thickness: mm(60), width: mm(300) });
    const cleat = rectangular({
      id: 'cleat',
      node: 'cleat',
      role: 'shelf',
      label: 'cleat',
      wood: { id: 'thick', stock: thick, thickness: size('thick', thick.thickness) },
      length: size('long', mm(200)),
      width: size('wide', mm(300)),
      frame: { origin: placeAt(start), u: [cos, sin, 0], v: [0, 0, 1], n: [sin, -cos, 0] },
    });
    const row = rowBetween(rafter, cleat, 'mm');
    if ('why' in row) throw new Error(row.why);
    const [shear, out] = [lateral(row.joint), withdrawal(row.joint)];
    if (!shear.judged || !out.judged) throw new Error('they are judged');
    const shop = workshop();
    const joints: Joint[] = [{ carried: 'cleat', carrier: 'rafter', how: 'screws' }];
    const standing = new Map([['cleat', [{ space: 'in', kg: asKg(30), along: [1, 0, 0] as Vector, from: 180, to: 350 }]]]);
    const own = carryDown({ members: [rafter, cleat], joints }, { standing, unweighed: new Map() }, shop).members.get('cleat');
    const [fixing] = own ? fixingsOf(own, new Map([['rafter', rafter]]), shop.settings) : [];
    // The load is 60° from the face of the wood.
    const each = (out.newtons * shear.newtons) / (out.newtons * 0.25 + shear.newtons * 0.75);
    expect(combined(out.newtons, shear.newtons, asDegrees(60))).toBeCloseTo(each, 9);
    expect(fixing?.screws?.count).toBe(Math.max(2, 1 + Math.floor(300 / 200), Math.ceil((own?.total ?? 0) / each)));
    expect(fixing && writeExactly(fixing.sentence())).toContain('pulled and pushed at 60° (12.4.1)');
  });
});

describe('what stands on a slope', () => {
  const onSlope = (degrees: number, how: Joint['how']) => {
    const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
    const ramp = boardOf('ramp', { origin: placeAt([0, 0, 300]), u: [cos, sin, 0], v: [0, 0, -1], n: [-sin, cos, 0] }, 600, 300);
    const foot: Vector = [200 * cos - 20 * sin, 200 * sin + 20 * cos, 100];
    const block = boardOf('block', { origin: placeAt(foot), u: [cos, sin, 0], v: [0, 0, -1], n: [-sin, cos, 0] }, 100, 100);
    const shop = workshop();
    const joints: Joint[] = [{ carried: 'block', carrier: 'ramp', how }];
    const own = carryDown({ members: [ramp, block], joints }, { standing: new Map(), unweighed: new Map() }, shop).members.get('block');
    return own ? fixingsOf(own, new Map([['ramp', ramp]]), shop.settings)[0] : undefined;
  };

  test('bears by what of its load is square to the slope', () => {
    const { material, density } = propertiesOf(pine);
    const flat = bearingStrength(material, density, 1, 'face');
    if (!flat.judged) throw new Error('it is judged');
    // 100 x 100 at 10°: f A / cos 10°.
    expect(onSlope(10, 'bearing')?.holds).toBeCloseTo((flat.allowed * 10_000) / Math.cos((10 * Math.PI) / 180), 3);
  });

  test('slides where it is steeper than wood holds on wood, unless it is screwed', () => {
    expect(onSlope(13, 'bearing')?.state).toBe('fine');
    const steep = onSlope(16, 'bearing');
    expect(steep?.state).toBe('fails');
    expect(steep && writeExactly(steep.sentence())).toMatch(/at 16°: it slides down from 14° on/);
    expect(onSlope(16, 'screws')?.state).not.toBe('fails');
  });
});

test('a shelf that slopes along its span bends by what of its load is square to it, over its own length', () => {
  const [sin, cos] = [0.6, 0.8];
  const lid = boardOf('lid', { origin: placeAt([0, 0, 300]), u: [cos, sin, 0], v: [0, 0, -1], n: [-sin, cos, 0] }, 1000, 200);
  const joints: Joint[] = [0, 800].map((x) => ({ carried: 'lid', carrier: 'place', how: 'screws', on: atX(mm(x)) }));
  const standing = new Map([['lid', [{ space: 'in', kg: asKg(10), along: [1, 0, 0] as Vector, from: 0, to: 800 }]]]);
  const own = carryDown({ members: [lid], joints }, { standing, unweighed: new Map() }, workshop()).members.get('lid');
  const W = own?.total ?? 0;
  expect(W).toBeGreaterThan(10 * GRAVITY);
  // 1000 long under W cos: 5 W cos L³ / 384 E I; M = W cos L / 8, the same as W over the 800 that are level.
  const E = own?.bending?.section.properties.elastic ?? 0;
  expect(own?.bending?.sag.bending.greatest.mm).toBeCloseTo((5 * W * 0.8 * 1000 ** 3) / (384 * E * 1000 * ((200 * 20 ** 3) / 12)), 3);
  expect((own?.bending?.moment ?? 0) / ((W * 800) / 8)).toBeCloseTo(1, 5);
  // The middle of its own mass is 10 up from its lower face, so that it is 0.6 x 10 further left than halfway.
  const aside = ((W - 10 * GRAVITY) * 6) / 800;
  expect(own?.supports.map((s) => s.newtons)).toEqual([expect.closeTo(W / 2 + aside, 6), expect.closeTo(W / 2 - aside, 6)]);
});
