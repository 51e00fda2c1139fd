import { exactText, type Length } from '../length/index.js';
import { columnSum, writeExactly, type Figure } from '../figure/index.js';
import {
  NAMED_LIMITS,
  PlateError,
  axisOf,
  fixingsOf,
  leavesOut,
  getAwayWith,
  panelSpecOf,
  sagOfPanel,
  movedBy,
  saidOfFixing,
  spacedAlong,
  tippingCases,
  usedSo,
  type BendingAnswer,
  type ScrewedEnd,
  type Support,
} from '../carry/index.js';
import { marksOf } from '../run/index.js';
import { rowsOf } from '../parts/index.js';
import type { Fact } from '../piece/index.js';
import { boughtFor, type Solution } from '../solution/index.js';

/** A length in a report: decimal mm beside the exact count of 1/80 µm. */
export interface ReportedLength {
  readonly mm: number;
  readonly units: number;
}

function reported(length: Length): ReportedLength {
  return { mm: Number(exactText(length, 'mm')), units: length };
}

function sum(figure: Figure) {
  return columnSum(figure).map((l) => ({
    sign: l.sign,
    label: l.label,
    ...(l.figure.unit === 'length' ? { mm: reported(l.figure.amount as Length).mm } : { count: l.figure.amount }),
  }));
}

/** The checks of a solution, plain. @example reportChecks(SOLVED).length // SOLVED.checks.length */
export function reportChecks(solution: Solution) {
  return solution.checks.map((c) => ({
    id: c.id,
    severity: c.severity,
    state: c.state,
    about: c.about,
    sentence: writeExactly(c.sentence),
    fixes: c.fixes.map((f) => writeExactly(f.label)),
  }));
}

/** The parts of a solution, equal ones together, each size with its sum. @example reportParts(SOLVED).length // 4 */
export function reportParts(solution: Solution) {
  return rowsOf(solution.parts).map(({ parts, first, count, spares, hand }) => ({
    letters: parts.map((p) => p.letter),
    ids: parts.map((p) => p.id),
    name: first.member.role,
    count,
    spares,
    hand,
    stock: first.member.stock.name,
    length: { ...reported(first.length.value), sum: sum(first.length) },
    width: { ...reported(first.width.value), sum: sum(first.width) },
    thickness: reported(first.thickness.value),
    cut: { length: reported(first.cut.length.set), width: reported(first.cut.width.set) },
    edges: first.edges,
    machining: first.features.map((f) => ({ ...f })),
  }));
}

/**
 * The members that bend or carry, with loads in N and sags in mm. @param plates whether each is solved as a plate too
 * @example reportLoads(SOLVED).length // 5
 */
export function reportLoads(solution: Solution, plates = false) {
  const members = new Map(solution.shape.members.map((m) => [m.id, m]));
  return [...solution.carried.members.values()].map((c) => ({
    id: c.member.id,
    letter: solution.letters[c.member.id],
    state: c.state,
    missing: c.missing,
    falls: c.falls,
    withoutMass: c.unknown,
    leftOut: leavesOut(c, members, solution.workshop.settings).map(writeExactly),
    selfKg: c.selfKg,
    standingKg: c.standing.reduce((total, s) => total + s.kg, 0),
    supports: c.supports.map(reportSupport),
    ...(c.bending
      ? {
          span: c.bending.span,
          today: c.bending.verdict.today.mm,
          withShear: c.bending.sag.withShear().greatest.mm,
          later: c.bending.verdict.later?.mm ?? null,
          // Where nothing limits it there is no figure.
          allowed: Number.isFinite(c.bending.verdict.allowed) ? c.bending.verdict.allowed : null,
          limits: NAMED_LIMITS.map((l) => ({ over: l.over, mm: (c.bending?.span ?? 0) / l.over })),
          meets: c.bending.verdict.meets?.over ?? null,
          strengthUsed: c.bending.strength.used,
          couldBe: reportCouldBe(c.bending, solution),
          ...(c.bending.panel && c.bending.beside !== 'both' ? { front: c.bending.panel.front, back: c.bending.panel.back } : {}),
          ...(plates ? { plate: reportPlate(c.bending) } : {}),
        }
      : {}),
    fixings: fixingsOf(c, members, solution.workshop.settings).map((f) => ({
      carrier: f.support.carrier,
      newtons: f.support.newtons,
      state: f.state,
      sentence: writeExactly(saidOfFixing(f, c.member.id, solution.carried)),
      ...(f.screws ? { screws: reportScrews(f.screws, movedBy(solution.carried, c.member.id, f.screws.row)) } : {}),
    })),
  }));
}

/** What a member could be; a span that has no end is told as 'any'. */
function reportCouldBe(bending: BendingAnswer, { workshop }: Solution) {
  const most = getAwayWith(bending, workshop.settings);
  return { ...most, span: most.span === Infinity ? 'any' : most.span };
}

/** Where a support is: `x` across or `z` out, or along another level direction, mm. */
function reportSupport({ on, ...support }: Support) {
  if (!on) return support;
  const axis = axisOf(on.along);
  return { ...support, ...(axis === 0 ? { x: on.at } : axis === 2 ? { z: on.at } : { on }) };
}

/** A row of screws: how many, of what size, and where along an axis of the piece, or a direction in it, mm. */
function reportScrews({ row, count }: ScrewedEnd, moved: number) {
  const axis = axisOf(row.along);
  return {
    count,
    screw: row.screw.name,
    length: row.length,
    through: row.through.id,
    into: row.into.id,
    along: axis === undefined ? row.along : (['x', 'y', 'z'] as const)[axis],
    at: spacedAlong(row, count).map((at) => at + moved),
  };
}

/** A member as a plate, held as it is in the piece. */
function reportPlate(bending: BendingAnswer) {
  try {
    const { mm, front, back, result } = sagOfPanel(panelSpecOf(bending));
    return { today: mm, front, back, meshError: result.meshError() };
  } catch (error) {
    if (error instanceof PlateError) return { missing: error.message };
    throw error;
  }
}

/** What tips a free-standing piece, in every pose and filling; forces in N. @example reportTipping(SOLVED).length // 16 */
export function reportTipping({ piece, shape, carried }: Solution) {
  return tippingCases(shape, carried, usedSo(piece, shape)).map((t) => ({
    pose: t.pose.id,
    filling: t.filling,
    to: t.to,
    kg: t.kg,
    pull: t.tipping.pull,
    shouldPull: t.tipping.should,
    ...(t.tipping.down ? { edge: t.tipping.down.by.is, edgeStands: t.tipping.down.lifts, edgeShould: t.tipping.down.by.newtons } : {}),
    onDrawerKg: t.tipping.onDrawer,
    state: t.tipping.state,
  }));
}

/** A named figure of a space with its sum, a count, or a remark. */
function reportFact({ name, figure, count, remark }: Fact) {
  return {
    name,
    ...(figure ? { ...reported(figure.value), sum: sum(figure) } : {}),
    ...(count ? { count: count.amount } : {}),
    ...(remark ? { remark: writeExactly(remark) } : {}),
  };
}

/**
 * The whole of a solution as plain data: lengths in mm as decimals beside the exact units.
 * @example reportSolution(SOLVED, mm(1)).overall.width.mm // 1000
 */
export function reportSolution(solution: Solution, grid: Length, plates = false) {
  const { shape } = solution;
  return {
    name: solution.piece.name,
    overall: {
      width: reported(shape.overall.width.value),
      height: reported(shape.overall.height.value),
      depth: reported(shape.overall.depth.value),
    },
    spaces: [...shape.spaces.values()].map((s) => ({
      id: s.id,
      label: s.label,
      width: reported(s.clear.width.value),
      height: reported(s.clear.height.value),
      depth: reported(s.clear.depth.value),
      ...(s.within ? { exact: reported(s.within.line.exact.value), sum: sum(s.within.line.size) } : {}),
    })),
    runs: [...shape.runs.values()].map((r) => ({
      space: r.owner,
      axis: r.axis,
      total: reported(r.run.total.value),
      residues: r.run.residues.map((x) => ({ gap: x.gap, ...reported(x.amount) })),
      marks: marksOf(r.run, grid).map((m) => ({
        member: m.member,
        near: reported(m.near.value),
        far: reported(m.far.value),
        chainedError: reported(m.chainedError),
      })),
      conflicts: r.run.conflicts.map((c) => ({ kind: c.kind, by: reported(c.by), ways: c.ways.map((w) => writeExactly(w.label)) })),
    })),
    facts: [...shape.facts].map(([space, facts]) => ({ space, facts: facts.map(reportFact) })),
    bodies: shape.bodies.map(({ id, label, motion, members }) => ({
      id,
      label,
      ...(motion.kind === 'slide'
        ? { along: motion.along, travel: reported(motion.travel.value) }
        : { about: motion.axis, through: motion.at, degrees: motion.angle.amount }),
      members,
    })),
    bought: boughtFor(solution).map((b) => ({
      what: b.what,
      count: b.count,
      each: b.each,
      ...(b.length === undefined ? {} : { length: reported(b.length) }),
      ...(b.thick === undefined ? {} : { thick: reported(b.thick) }),
    })),
    loads: reportLoads(solution, plates),
    tipping: reportTipping(solution),
    massKg: solution.carried.massKg,
    checks: reportChecks(solution),
    times: solution.piece.times ?? 1,
    parts: reportParts(solution),
  };
}
