import fc from 'fast-check';
import { solve } from '../solution/index.js';
import { anyPiece, random } from '../testing/every-kind.js';
import { runs } from '../testing/runs.js';
import { dot, type Vector } from '../solid/index.js';
import { FLOOR, PLACE, massMiddleOf } from '../piece/index.js';
import { reachAlong } from './fixings/contact.js';
import type { Carried, CarriedMember } from './index.js';
import { stretchAlong, type Line } from './line.js';
import type { Standing } from './standing.js';

const sum = (all: readonly number[]) => all.reduce((a, b) => a + b, 0);

/** Within a millionth of what there is. */
const alike = (a: number, b: number, of: number) => expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(of)));

/** What a member weighs, carries and is handed is what it gives on. */
function forcesOf(c: CarriedMember): void {
  const put = c.selfKg * 9.81 + sum(c.standing.map((s) => s.kg * 9.81)) + sum(c.handed.map((h) => h.newtons));
  alike(c.total, put, put);
  if (c.supports.length > 0 && !c.falls) alike(sum(c.supports.map((s) => s.newtons)), put, put);
}

/** Where what lies across a beam, or along all of it, presses on it: nobody says where, so that it is spread over all of it. */
const SPREAD = null;

/**
 * What is put on a beam turns as much about any place as what holds it turns back, by where both are in the piece, whatever the
 * beam was taken to be on the way. @returns whether it was asked
 */
function momentsOf(c: CarriedMember, members: Carried['members']): boolean {
  const { bending, supports, member } = c;
  // What is held beside its span gives some of its load there.
  if (!bending || c.falls || bending.beside !== 'none' || bending.lines.length > 0 || supports.some((s) => !s.on)) return false;
  const along = supports[0]?.on?.along as Vector;
  const reach = reachAlong(member, along);
  // Down a slope a beam is longer than it is level.
  const level = Math.sqrt(1 - dot(member.frame.n, along) ** 2) || 1;
  const beam = [bending.from, bending.from + bending.length * level] as const;
  const middleOf = (a: number, b: number, [low, high]: readonly [number, number]) =>
    (Math.min(Math.max(a, low), high) + Math.min(Math.max(b, low), high)) / 2;
  const at = (line: Pick<Standing, 'along' | 'from' | 'to' | 'row'> | undefined) => {
    const stretch = line && stretchAlong(along, line.along, line.from, line.to);
    if (!stretch) return SPREAD;
    // What lies past its end presses on the last millimetre of it; a row that may stand anywhere does so over all of the beam.
    if (stretch[1] <= beam[0]) return beam[0] + 0.5;
    if (stretch[0] >= beam[1]) return beam[1] - 0.5;
    return middleOf(...stretch, line.row ? beam : reach);
  };
  // What presses at one place past the end of the beam presses on the breadth of what carries it there, and counts there.
  const pressesAt = (on: Line | undefined) => {
    const x = on && stretchAlong(along, on.along, on.at, on.at)?.[0];
    if (x === undefined) return SPREAD;
    const there = middleOf(x, x, beam);
    const broad = supports.flatMap(({ carrier }) =>
      members.has(carrier) ? [reachAlong((members.get(carrier) as CarriedMember).member, along)] : [],
    );
    expect(x === there || x < reach[0] || x > reach[1] || broad.some(([a, b]) => a - 0.1 < x && x < b + 0.1)).toBe(true);
    return there;
  };
  const loads = [
    { x: dot(massMiddleOf(member).middle, along), n: c.selfKg * 9.81 },
    ...c.standing.map((s) => ({ x: at(s), n: s.kg * 9.81 })),
    ...c.handed.map(({ on, over, newtons }) => ({ x: pressesAt(on) ?? at(over), n: newtons })),
  ];
  const middle = (beam[0] + beam[1]) / 2;
  const turned = sum(loads.map(({ x, n }) => (x ?? middle) * n));
  const back = sum(supports.map(({ on, newtons }) => (on ? on.at * dot(on.along, along) * newtons : 0)));
  alike(turned, back, c.total * bending.length);
  return true;
}

/** All that members give each other is given and taken once, and the floor and the place take the rest. */
function wholeOf({ members, floor }: Carried): void {
  const given = [...members.values()].flatMap((c) => c.supports.map((s) => ({ from: c.member.id, ...s })));
  for (const c of members.values()) {
    const to = given.filter((g) => g.carrier === c.member.id && g.newtons !== 0);
    alike(sum(c.handed.map((h) => h.newtons)), sum(to.map((g) => g.newtons)), c.total);
  }
  const out = sum(given.filter((g) => g.carrier === FLOOR || g.carrier === PLACE).map((g) => g.newtons));
  alike(floor, out, floor);
}

test(`${runs(60)} pieces of every kind are in balance: forces of every member and of the whole, moments of every beam`, () => {
  let asked = 0;
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      const { carried } = solve(piece, shop, {});
      for (const c of carried.members.values()) {
        forcesOf(c);
        if (momentsOf(c, carried.members)) asked += 1;
      }
      wholeOf(carried);
    }),
    random(60),
  );
  expect(asked).toBeGreaterThan(runs(60));
});
