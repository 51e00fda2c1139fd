import fc from 'fast-check';
import { solve } from '../solution/index.js';
import { anyPiece, random } from '../testing/every-kind.js';
import { runs } from '../testing/runs.js';
import { dot } from '../solid/index.js';
import { FLOOR, PLACE } from '../piece/index.js';
import { allLoaded, type Carried, type CarriedMember } from './index.js';

const sum = (all: readonly number[]) => all.reduce((a, b) => a + b, 0);

/** Within a millionth of what there is. */
const alike = (a: number, b: number, of: number) => expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(of)));

/** What a member weighs, carries and is handed is what it gives on. */
function forcesOf(c: CarriedMember): void {
  const put = c.selfKg * 9.81 + sum(c.standing.map((s) => s.kg * 9.81)) + sum(c.handed.map((h) => h.newtons));
  alike(c.total, put, put);
  if (c.supports.length > 0 && !c.falls) alike(sum(c.supports.map((s) => s.newtons)), put, put);
}

/** About the beginning of a beam its loads turn as much as what holds it turns back. @returns whether it was asked */
function momentsOf(c: CarriedMember): boolean {
  const { bending } = c;
  // What is held beside its span gives some of its load there; what leans bends by what of its load is square to it.
  if (!bending || c.member.frame.u[1] !== 0 || bending.beside !== 'none' || bending.lines.length > 0 || c.supports.some((s) => !s.on))
    return false;
  const { lines, points } = allLoaded(bending.loads);
  const loads = [
    ...lines.map((l) => ({ x: (l.from + l.to) / 2, n: l.perMm * (l.to - l.from) })),
    ...points.map((p) => ({ x: p.x, n: p.newtons })),
  ];
  const held = c.supports.flatMap(({ on, newtons }) =>
    on ? [{ x: on.at * dot(on.along, bending.along) - bending.from, n: newtons }] : [],
  );
  alike(sum(held.map((h) => h.n)), sum(loads.map((l) => l.n)), c.total);
  alike(sum(held.map((h) => h.n * h.x)), sum(loads.map((l) => l.n * l.x)), c.total * bending.length);
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
        if (momentsOf(c)) asked += 1;
      }
      wholeOf(carried);
    }),
    random(60),
  );
  expect(asked).toBeGreaterThan(runs(60));
});
