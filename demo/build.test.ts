import { againstPlan } from '../core/checks/index.js';
import {
  arranged,
  buildingOf,
  holesOf,
  inOrder,
  movedBy,
  outOfOrder,
  partWorksOf,
  planOf,
  stepsOf,
  type Building,
  type Step,
} from '../core/build/index.js';
import { writeExactly } from '../core/figure/index.js';
import type { Bought } from '../core/piece/index.js';
import { fastenersOf, together } from '../core/solution/index.js';
import { mm } from '../core/length/index.js';
import { PRINT_SHED } from './print-shed.js';
import { solved } from './solved.js';

const IDS = Object.keys(PRINT_SHED.pieces);
const schools: readonly Partial<Building>[] = [
  {},
  { cut: 'as it goes', order: 'top down', stands: 'upside down', glue: 'none', finish: 'paint' },
];
const cases = IDS.flatMap((id) => schools.map((school, i) => [id, i === 0 ? 'cut first' : 'as it goes', school] as const));
const place = (steps: readonly Step[]) => new Map(steps.map((s, i) => [s.id, i]));

describe.each(cases)('%s, %s', (id, _, school) => {
  const solution = solved(id);
  const steps = stepsOf(solution, { ...buildingOf(id), ...school });
  const at = place(steps);

  test('every cut, machining, hole and joint is in exactly one step', () => {
    const works = steps.flatMap((s) => s.works.map((w) => w.id));
    expect(new Set(works).size).toBe(works.length);
    const wanted = [...partWorksOf(solution).values()].flat().map((w) => w.id);
    expect(wanted.filter((w) => !works.includes(w))).toEqual([]);
    const cut = new Set(solution.parts.map((p) => p.id));
    const between = solution.shape.joints.map((j) => [j.carried, j.carrier].sort().join(' '));
    const touching = (solution.shape.keeps ?? []).filter((k) => !between.includes([k.held, k.by].sort().join(' ')));
    const joints = [...solution.shape.joints, ...touching.map((k) => ({ carried: k.held, carrier: k.by }))].filter(
      (j) => cut.has(j.carried) && (cut.has(j.carrier) || ['floor', 'place'].includes(j.carrier)),
    );
    expect(steps.flatMap((s) => s.works).filter((w) => w.kind === 'join')).toHaveLength(joints.length);
  });

  test('what is driven and put in at the steps is what is bought', () => {
    const inAll = (all: readonly Bought[]) => Object.fromEntries(together(all).map((b) => [`${b.what} ${b.length ?? ''}`, b.count]));
    expect(inAll(steps.flatMap((s) => s.takes))).toEqual(inAll(fastenersOf(solution)));
  });

  test('it comes after what it needs, and before what closes it', () => {
    expect(outOfOrder(steps)).toEqual([]);
    expect(new Set(at.keys()).size).toBe(steps.length);
    const sawn = new Map<string, number>();
    const machined = new Map<string, number>();
    steps.forEach((s, i) =>
      s.works.forEach((w) => {
        if (w.kind === 'saw') sawn.set(w.part, i);
        else if (w.kind === 'hole' || w.kind === 'recess') machined.set(w.part, Math.max(i, machined.get(w.part) ?? 0));
      }),
    );
    steps.forEach((s, i) =>
      s.works.forEach((w) => {
        if (w.kind !== 'join') return expect(sawn.get(w.part)).toBeLessThanOrEqual(i);
        for (const part of [w.joint.carried, w.joint.carrier]) {
          expect(sawn.get(part) ?? -1).toBeLessThan(i);
          expect(machined.get(part) ?? -1).toBeLessThan(i);
        }
      }),
    );
  });

  test('with a part of every step done by itself nothing is lost, nothing done twice, and the order holds', () => {
    const apart = steps.filter((s) => s.parts.length > 1).map((s) => ({ step: s.id, parts: s.parts.slice(0, 1) }));
    const split = arranged(steps, { moved: [], apart }, solution);
    expect(split).toHaveLength(steps.length + apart.length);
    const works = (some: readonly Step[]) => some.flatMap((s) => s.works.map((w) => w.id)).sort();
    expect(works(split)).toEqual(works(steps));
    expect(outOfOrder(split)).toEqual([]);
    const minutes = (some: readonly Step[]) => some.reduce((sum, s) => sum + s.minutes, 0);
    expect(minutes(split)).toBeCloseTo(minutes(steps), 6);
  });

  test('both of what is joined stand there by then', () => {
    const parts = new Set<string>();
    for (const s of steps) {
      s.standing.forEach((p) => parts.add(p));
      s.parts.forEach((p) => parts.add(p));
      for (const w of s.works) {
        if (w.kind !== 'join') continue;
        expect(s.parts.concat(s.standing)).toContain(w.joint.carried);
      }
    }
    expect(parts.size).toBe(solution.parts.length);
  });

  test('every hole is in its part', () => {
    const parts = new Map(solution.parts.map((p) => [p.id, p]));
    for (const h of holesOf(solution)) {
      const p = parts.get(h.part);
      if (!p) throw new Error(`${h.part} is no part`);
      const [l, w, t] = [p.length.value, p.width.value, p.thickness.value].map((x) => x / mm(1)) as [number, number, number];
      const [long, wide] = h.on === 'up' || h.on === 'down' ? [l, w] : h.on === 'u0' || h.on === 'u1' ? [w, t] : [l, t];
      const off = `${h.id}: ${h.along} of ${long}, ${h.across} of ${wide}`;
      expect([off, h.along > 0 && h.along < long, h.across > 0 && h.across < wide, h.depth > 0]).toEqual([off, true, true, true]);
    }
  });

  test('the plan keeps to the hours, and to every wait', () => {
    const evening = [{ from: 1140, to: 1260 }];
    const hours = { from: '2026-05-04', week: [evening, [], evening, [], evening, [{ from: 540, to: 960 }], []], off: ['2026-05-09'] };
    const { sessions, ends, done } = planOf(steps, hours);
    for (const s of sessions) {
      const [day, from, to] = [Math.floor(s.from / 1440), s.from % 1440, (s.from % 1440) + (s.to - s.from)];
      expect(day).not.toBe(5);
      const open = hours.week[day % 7] ?? [];
      expect(open.some((o) => o.from <= from + 1e-6 && to <= o.to + 1e-6)).toBe(true);
      const step = steps.find((x) => x.id === s.step) as Step;
      for (const need of step.needs) expect(s.from).toBeGreaterThanOrEqual((ends.get(need)?.ready ?? Infinity) - 1e-6);
    }
    for (let i = 1; i < sessions.length; i += 1) expect(sessions[i]?.from).toBeGreaterThanOrEqual((sessions[i - 1]?.to ?? 0) - 1e-6);
    for (const step of steps) {
      const worked = sessions.filter((s) => s.step === step.id).reduce((sum, s) => sum + s.to - s.from, 0);
      expect(worked).toBeCloseTo(Math.max(1, step.minutes), 6);
    }
    expect(done).toBe(Math.max(...[...ends.values()].map((e) => e.ready)));
  });
});

test('a step that is put before one that it needs is told, with what it needs', () => {
  const steps = stepsOf(solved('ink-case'), buildingOf('ink-case'));
  const moved = inOrder(steps, { moved: [...movedBy(steps, 'drill', 1)] });
  expect(moved.map((s) => s.id).slice(3, 5)).toEqual(['sand', 'drill']);
  // Sanding takes up the parts that are drilled: it comes before them now.
  expect(outOfOrder(moved).map((o) => [o.step.id, o.before.map((b) => b.id)])).toEqual([['sand', ['drill']]]);
  const close = steps.findIndex((s) => s.phase === 'close');
  const [main, back] = [steps[close - 1], steps[close]] as [Step, Step];
  const early = inOrder(steps, { moved: [...movedBy(steps, back.id, -1)] });
  // The back is held to what the step before puts together.
  expect(main.phase).toBe('together');
  expect(outOfOrder(early).map((o) => [o.step.id, o.before.map((b) => b.id)])).toEqual([[back.id, [main.id]]]);
  // Names of steps that are gone change nothing.
  expect(inOrder(steps, { moved: ['gone', 'also gone'] })).toEqual(steps);
});

test('the sides of the tall case: their screws into the top are 8.8 from its faces, from both ends, and the housings are from one end', () => {
  const solution = solved('ink-case');
  const top = solution.parts.find((p) => p.member.role === 'top');
  const pilots = holesOf(solution).filter((h) => h.part === top?.id && h.use === 'pilot' && (h.on === 'u0' || h.on === 'u1'));
  expect(pilots).toHaveLength(4);
  // In the middle of 17.6.
  for (const p of pilots) expect(p.across).toBeCloseTo(8.8, 9);
  // No. 8 by 60 through 17.6: 42.4 in the end; root 0.131 in is 3.3 mm, so a bit of 3.
  expect(new Set(pilots.map((p) => [p.diameter, p.depth.toFixed(1)].join(' ')))).toEqual(new Set(['3 42.4']));
  const shanks = holesOf(solution).filter((h) => h.mate === top?.id && h.use === 'screw');
  // The shank of 4.17 passes 4.5; the top lies flush with the upper end of the sides: 2091 − 8.8.
  expect(new Set(shanks.map((h) => h.diameter))).toEqual(new Set([4.5]));
  const sides = shanks.filter((h) => h.part !== top?.id && solution.parts.find((p) => p.id === h.part)?.member.role === 'side');
  for (const h of sides) expect(h.along).toBeCloseTo(2082.2, 6);
});

test('a part that is cut short is told against the plan', () => {
  const [part] = solved('ink-case').parts;
  if (!part) throw new Error('no part');
  const planned = { length: part.cut.length.set, width: part.cut.width.set, thickness: part.thickness.value };
  const made = (off: number) => ({
    piece: 'ink-case',
    part: part.id,
    is: 'cut' as const,
    ...planned,
    length: (planned.length + mm(off)) as typeof planned.length,
    planned,
    at: '2026-05-04T18:00:00Z',
  });
  expect([0, 0.5, -0.5, 2, -2].map((off) => againstPlan(part, made(off)).is)).toEqual([
    'as planned',
    'as planned',
    'as planned',
    'too large',
    'too small',
  ]);
});

test('what the shed has built is of steps that there are: the display is finished, the table half', () => {
  const buildings = Object.values(PRINT_SHED.buildings ?? {});
  const left = buildings.map((b) => {
    const steps = stepsOf(solved(b.piece), b);
    const ids = new Set(steps.map((s) => s.id));
    expect(b.done.filter((d) => !ids.has(d.step))).toEqual([]);
    return [b.piece, steps.length - b.done.length];
  });
  expect(left.find(([piece]) => piece === 'proof-display')).toEqual(['proof-display', 0]);
  expect(left.find(([piece]) => piece === 'composing-table')?.[1]).toBeGreaterThan(5);
  // Cut by the plan, to within what a saw leaves: nothing about them is told.
  expect(solved('composing-table').checks.filter((c) => c.id.startsWith('made-'))).toEqual([]);
});

test('the middle post of the sink cabinet is out before anything is bought; one that carries is propped first', () => {
  const first = (extra: object) => {
    const piece = solved('sink-drawers', { kind: 'piece', patch: extra });
    return { checks: piece.checks, steps: stepsOf(piece, buildingOf('sink-drawers')) };
  };
  const { steps, checks } = first({});
  expect(steps.slice(0, 2).map((s) => [s.phase, s.cautions.length])).toEqual([
    ['take out', 0],
    ['buy', 0],
  ]);
  expect(checks.filter((c) => c.id.startsWith('taken-out'))).toEqual([]);
  const propped = first({ out: [{ what: 'The middle post', carries: true }, { what: 'Its shelf' }] });
  expect(propped.steps[0]?.title).toBe('Take out 2 things that are there');
  expect(propped.steps[0]?.cautions[0]).toContain('prop that first');
  expect(propped.checks.filter((c) => c.id.startsWith('taken-out')).map((c) => [c.id, c.severity])).toEqual([['taken-out-1', 'look']]);
  expect(stepsOf(solved('ink-case'), buildingOf('ink-case')).some((s) => s.phase === 'take out')).toBe(false);
});

test('what hangs is hung and not stood up: marked on the wall, into studs, pulled at before anything stands in it', () => {
  const last = (id: string) => stepsOf(solved(id), buildingOf(id)).find((s) => s.phase === 'stand') as Step;
  const said = (id: string) => last(id).says.map((s) => writeExactly(s));
  expect(last('brayer-board').title).toBe('Hang it on the wall');
  // Its lower edge is 1210 up and its left end 12 along; it is 640 high and 1560 wide.
  expect(said('brayer-board')).toContain('Mark on the wall: upper edge of the board, 1850 mm from the floor.');
  expect(said('brayer-board')).toContain('Mark on the wall: right end of the board, 1572 mm from the left of the wall.');
  expect(said('brayer-board').join(' ')).toMatch(/two people lift it.*never into wallboard alone.*Pull at it/);
  expect(said('roller-wall-case').filter((s) => s.startsWith('Mark on the wall: lower edge of the cleat'))).toHaveLength(1);
  expect(said('brayer-board').join(' ')).not.toMatch(/Tipped up|shim the other feet/);
  // What hangs goes through a door as well as what stands.
  for (const id of ['brayer-board', 'roller-wall-case', 'ink-case']) {
    const door = solved(id).checks.find((c) => c.id === 'passes-door');
    expect(said(id).filter((s) => /through the door/.test(s))).toEqual(door ? [writeExactly(door.sentence)] : []);
  }
  expect(last('ink-case').title).toBe('Move it, stand it up, fix it');
});
