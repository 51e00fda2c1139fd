import fc from 'fast-check';
import { allScrews, extentsOf, isSquare, reachAlong } from '../carry/index.js';
import { mm, negative, toMm, type Length } from '../length/index.js';
import {
  boxOf,
  posed,
  posesOf,
  shiftOf,
  solidOfMember,
  type Body,
  type Box,
  type Feature,
  type Member,
  type Shape,
} from '../piece/index.js';
import { sumOfLines } from '../run/index.js';
import { dot, overlapOf } from '../solid/index.js';
import { solve, type Solution } from '../solution/index.js';
import { anyPiece, isWhole, random } from '../testing/every-kind.js';
import { runs } from '../testing/runs.js';

/** How far two boxes lie inside each other on their least axis, units; negative for how far they are apart. */
function depthOfOverlap(a: Box, b: Box): number {
  return Math.min(
    Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0),
    Math.min(a.y1, b.y1) - Math.max(a.y0, b.y0),
    Math.min(a.z1, b.z1) - Math.max(a.z0, b.z0),
  );
}

const deepest = (list: readonly Feature[]) => Math.max(0, ...list.map((f) => f.depth));

/** One housing takes both layers of a shelf. */
function housedAs(id: string): string {
  return id.replace('/shelf-layer/', '/shelf/');
}

const stopped = ({ shape }: Solution) => shape.problems.some((p) => p.stops);

function runsClose({ shape }: Solution): void {
  for (const { run } of shape.runs.values()) if (run.conflicts.length === 0) expect(sumOfLines(run)).toBe(run.total.value);
}

function solidsApart({ shape, checks }: Solution): void {
  // Whether a front goes up under a top that stands out over it is told of them.
  const told = new Set(checks.map((c) => c.id));
  const isTold = (a: string, b: string) => told.has(`overlap-${a}-${b}`) || told.has(`overlap-${b}-${a}`);
  const boxes = shape.members.filter(isSquare).map((m) => ({ m, box: boxOf(m) }));
  boxes.forEach(({ m, box }, i) => {
    for (const other of boxes.slice(i + 1)) {
      const deep = depthOfOverlap(box, other.box);
      if (deep <= 0 || (m.role === 'top' && other.m.role === 'drawer front' && isTold(m.id, other.m.id))) continue;
      const cut = [...m.features, ...other.m.features].filter(
        (f) => f.kind !== 'hole' && [m, other.m].some((o) => f.mate === housedAs(o.id)),
      );
      // What is cut aslant is met by its true solid.
      const aslant = m.ends?.length || other.m.ends?.length;
      if (aslant && overlapOf(solidOfMember(m), solidOfMember(other.m)) < 0.02) continue;
      if (cut.length === 0 || deep > deepest(cut)) throw new Error(`${m.id} and ${other.m.id} lie ${toMm(deep as Length)} in each other`);
    }
    const touches = boxes.some((o) => o.m !== m && depthOfOverlap(box, o.box) >= negative(mm(15)));
    if (!touches && !isJointed(shape, m)) throw new Error(`${m.id} floats`);
  });
}

/** Members at an angle are in no other but where one is let into the other, or where that is told. */
function slantedApart({ shape, checks }: Solution): void {
  if (checks.some((c) => c.id.startsWith('overlap-'))) return;
  const slanted = shape.members.filter((m) => !isSquare(m));
  slanted.forEach((m, i) => {
    for (const other of shape.members.filter((o) => isSquare(o) || slanted.indexOf(o) > i)) {
      const cut = [...m.features, ...other.features].some((f) => [m, other].some((o) => f.mate === housedAs(o.id)));
      const deep = cut ? 0 : overlapOf(solidOfMember(m), solidOfMember(other));
      if (deep > 0.05) throw new Error(`${m.id} and ${other.id} lie ${deep} in each other`);
    }
  });
}

const isJointed = ({ joints }: Shape, { id }: Member) => joints.some((j) => j.carried === id || j.carrier === id);

function partsAreAsLargeAsPlaced({ shape }: Solution): void {
  for (const m of shape.members.filter(isSquare)) {
    const b = boxOf(m);
    const extents = [b.x1 - b.x0, b.y1 - b.y0, b.z1 - b.z0].sort((x, y) => x - y);
    const sizes = [m.length.amount, m.width.amount, m.thickness.amount].sort((x, y) => x - y);
    // The corners of what is cut aslant are whole units, of which there are 80,000 to the mm.
    if (m.ends?.length) sizes.forEach((size, i) => expect(Math.abs(size - (extents[i] as number))).toBeLessThanOrEqual(1));
    else expect(sizes).toEqual(extents);
  }
}

function thingsLieInTheirSpaces({ shape, checks }: Solution): void {
  for (const space of shape.spaces.values()) {
    if (checks.some((c) => 'id' in c.about && c.about.id === space.id && c.state === 'fails')) continue;
    for (const b of space.blocks) {
      expect(b.height + b.thing.clearance).toBeLessThanOrEqual(space.clear.height.value);
      expect(b.width).toBeLessThanOrEqual(space.clear.width.value);
    }
  }
}

/** As far in from each side of its box, the same size. */
function drawerSidesAreReflections({ shape: { members } }: Solution): void {
  for (const left of members.filter((m) => m.id.endsWith('/drawer-side/left'))) {
    const right = members.find((m) => m.id === left.id.replace(/left$/, 'right')) as Member;
    const bottom = members.find((m) => m.node === left.node && m.role === 'drawer bottom') as Member;
    expect([left.length.value, left.width.value]).toEqual([right.length.value, right.width.value]);
    const [l, r, b] = [boxOf(left), boxOf(right), boxOf(bottom)];
    expect(Math.abs(b.x0 - l.x0 - (r.x1 - b.x1))).toBeLessThanOrEqual(1);
    expect(left.features).toHaveLength(right.features.length);
  }
}

/** What turns stays as far from the others of its body as it was, at the same angle to them. */
function turnsWhole(body: Body, after: Member, still: readonly Member[], turned: readonly Member[]): void {
  const of = (all: readonly Member[], id: string | undefined) => all.find((m) => m.id === id) as Member;
  const first = body.members[0];
  const apart = (a: Member, b: Member) => {
    const [p, q] = [a.frame.origin, b.frame.origin];
    return Math.hypot(toMm((p.x - q.x) as Length), toMm((p.y - q.y) as Length), toMm((p.z - q.z) as Length));
  };
  const [before, lead, leadAfter] = [of(still, after.id), of(still, first), of(turned, first)];
  expect(apart(after, leadAfter)).toBeCloseTo(apart(before, lead), 3);
  expect(dot(after.frame.u, leadAfter.frame.u)).toBeCloseTo(dot(before.frame.u, lead.frame.u), 9);
}

/** In every pose members go just as far as their body, and shut is where they were. */
function membersGoWithTheirBody({ shape: { members, bodies } }: Solution): void {
  const owner = new Map(bodies.flatMap((b) => b.members.map((id) => [id, b] as const)));
  for (const { id, pose } of posesOf(bodies)) {
    posed(members, bodies, pose).forEach((m, i) => {
      const body = owner.get(m.id);
      const by = body ? shiftOf(body, pose) : { x: 0, y: 0, z: 0 };
      const before = (members[i] as Member).frame.origin;
      if (id === 'shut') expect(m.frame.origin).toEqual(before);
      if (body?.motion.kind === 'turn') return turnsWhole(body, m, members, posed(members, bodies, pose));
      expect([m.frame.origin.x - before.x, m.frame.origin.z - before.z]).toEqual([by.x + 0, by.z + 0]);
    });
  }
}

function allLoadsReachTheFloor({ carried, checks }: Solution): void {
  // What nothing holds takes its load nowhere, and stops the build.
  if (checks.some((c) => c.id.startsWith('falls-'))) return;
  const all = [...carried.members.values()].reduce((sum, c) => sum + c.selfKg + c.standing.reduce((k, x) => k + x.kg, 0), 0);
  expect(carried.floor / 9.81).toBeCloseTo(all, 4);
}

/** Nothing straightens with the years: what sags, or rises, later does so no less than today. */
function sagsNoLessLater({ carried }: Solution): void {
  for (const { bending } of carried.members.values()) {
    const later = bending?.verdict.later;
    if (bending && later) expect(Math.abs(later.mm)).toBeGreaterThanOrEqual(Math.abs(bending.verdict.today.mm));
  }
}

/** Every screw begins at the outside of one member and ends inside another, with wood before its point. @returns how many there are */
function screwsStayInside({ carried }: Solution): number {
  let driven = 0;
  for (const { row, screws } of allScrews(carried)) {
    const { normal } = row.contact;
    const through = reachAlong(row.through, normal);
    const into = extentsOf(row.into);
    for (const { head, point, across } of screws) {
      driven += 1;
      const at = dot(normal, head);
      // The end of a brace is fitted into a corner: its screws begin on its slope, somewhere within it.
      if (isSquare(row.through)) expect(Math.min(...through.map((end) => Math.abs(end - at)))).toBeLessThan(1e-6);
      else expect([at >= through[0] - 1e-6, at <= through[1] + 1e-6]).toEqual([true, true]);
      for (const k of [0, 1, 2] as const) {
        expect(point[k]).toBeGreaterThan(into[k][0]);
        expect(point[k]).toBeLessThan(into[k][1]);
      }
      expect(row.left).toBeGreaterThanOrEqual(across - 1e-6);
    }
  }
  return driven;
}

test(`${runs(100)} pieces of any kind, each solved once: runs close, solids do not overlap, nothing floats, things fit, loads reach the floor, nothing sags less later, screws stay inside`, () => {
  let [built, driven] = [0, 0];
  fc.assert(
    fc.property(anyPiece, ({ piece, shop }) => {
      const s = solve(piece, shop, {});
      runsClose(s);
      drawerSidesAreReflections(s);
      membersGoWithTheirBody(s);
      if (!isWhole(s)) return;
      allLoadsReachTheFloor(s);
      sagsNoLessLater(s);
      if (stopped(s)) return;
      built += 1;
      solidsApart(s);
      slantedApart(s);
      partsAreAsLargeAsPlaced(s);
      thingsLieInTheirSpaces(s);
      driven += screwsStayInside(s);
    }),
    random(100),
  );
  // Enough of them can be built for the rest to mean something.
  expect(built).toBeGreaterThan(runs(30));
  expect(driven).toBeGreaterThan(runs(100));
});
