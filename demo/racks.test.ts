import { allScrews, clashesOf, rowBetween } from '../core/carry/index.js';
import { drawPiece } from '../core/drawing/index.js';
import { writeExactly } from '../core/figure/index.js';
import { workshopOf } from '../core/formats/index.js';
import { cellGrid, cellMembers, tiltedHeight } from '../core/interiors/cells/index.js';
import { slatCounts, slatGap, slatOverall, slatWidth } from '../core/interiors/slats/index.js';
import { ripYield } from '../core/joints/index.js';
import { mm, toMm, type Length } from '../core/length/index.js';
import { boxOf, type Member, type Space } from '../core/piece/index.js';
import { type Cells } from '../core/interiors/index.js';
import { rowsOf } from '../core/parts/index.js';
import { solve, type Solution } from '../core/solution/index.js';
import { PRINT_SHED } from './print-shed.js';
import { solved } from './solved.js';
import { asDegrees } from '../core/measures/index.js';

const workshop = workshopOf(PRINT_SHED);

const gaps = (s: Solution, run: string) =>
  s.shape.runs.get(run)?.run.lines.flatMap((l) => (l.line.kind === 'gap' ? [toMm(l.size.value)] : [])) ?? [];
const remarks = (s: Solution, space: string) => s.shape.facts.get(space)?.flatMap((f) => (f.remark ? [writeExactly(f.remark)] : [])) ?? [];

describe('the drying deck', () => {
  const deck = solved('drying-deck');

  test('what lies on it is drawn on its slats, not on the floor', () => {
    const place = deck.shape.spaces.get('ledge');
    const slat = deck.shape.members.find((m) => m.role === 'slat');
    expect(place?.standing).toBe(slat && boxOf(slat).y1);
    const [thing] = drawPiece(deck, 'front', 'ledge').shapes.filter((s) => s.of.kind === 'thing');
    expect(thing?.kind === 'rect' && thing.y).toBe(toMm(place?.standing as Length));
  });

  test('14 slats of 31 in 652: 16.769 exactly, set seven of 17 and six of 16.5', () => {
    const run = deck.shape.runs.get('ledge')?.run;
    expect(run?.lines.filter((l) => l.line.kind === 'gap').map((l) => toMm(l.exact.value))[0]).toBeCloseTo(16.76923, 4);
    expect(gaps(deck, 'ledge').sort()).toEqual([...Array(6).fill(16.5), ...Array(7).fill(17)]);
    expect(deck.shape.members.filter((m) => m.role === 'slat')).toHaveLength(14);
    expect(remarks(deck, 'ledge')[0]).toBe('14 slats; spacer blocks: 7 of 17 mm, 6 of 16.5 mm.');
  });

  test('any three of count, width, gap and overall give the fourth', () => {
    expect(toMm(slatOverall({ count: 14, width: mm(31), gap: mm(22), ends: 'flush' }))).toBe(720);
    expect(toMm(slatGap({ count: 14, width: mm(31), overall: mm(652), ends: 'flush' }))).toBeCloseTo(16.76923, 4);
    expect(toMm(slatWidth({ count: 14, gap: mm(22), overall: mm(720), ends: 'flush' }))).toBe(31);
    const nearest = slatCounts({ width: mm(31), gap: mm(17), overall: mm(652), ends: 'flush' });
    // 13 slats leave 249 over 12 gaps, 20.75; 14 leave 218 over 13.
    expect(nearest.map((n) => [n.count, +toMm(n.gap).toFixed(3), toMm(n.left)])).toEqual([
      [14, 16.769, -3],
      [13, 20.75, 45],
    ]);
  });

  test('supports are cut 20 over-length and trimmed flush', () => {
    const support = deck.parts.find((p) => p.member.role === 'slat support');
    expect(support && [support.length.value, support.cut.length.set].map(toMm)).toEqual([652, 672]);
  });

  test('from a board of 170 with a kerf of 2.6 come five strips of 31, 2 left after five cuts', () => {
    const { strips, left } = ripYield(mm(170), mm(31), mm(2.6));
    expect([strips, toMm(left)]).toEqual([5, 2]);
  });

  test('a slat carries its share of what lies on the deck down to the supports', () => {
    const slat = deck.carried.members.get('slat-5/slat/1');
    expect(slat?.standing.reduce((sum, s) => sum + s.kg, 0)).toBeCloseTo((4 * 0.5) / 14, 9);
    expect(slat?.supports.map((s) => s.carrier)).toEqual(['ledge/slat-support/1', 'ledge/slat-support/2', 'ledge/slat-support/3']);
    expect(slat?.supports.map((s) => s.on?.at)).toEqual([69, 450, 831]);
    // Over three supports as far apart the middle one takes 5/4 of a span, and it bends.
    expect(slat?.bending?.span).toBe(381);
    expect(slat?.bending?.verdict.today.mm).toBeGreaterThan(0);
    expect(slat?.state).toBe('fine');
  });

  test('a deck of 1884 dealt to two bodies: four gaps of 1, twelve of 9.333, set eight of 9.5 and four of 9', () => {
    const making = { kind: 'slats', stock: 'ash-18', wide: mm(104), ends: 'flush' } as const;
    const guide = (i: number) => [3, 4, 11, 12].includes(i);
    const bed: Space = {
      id: 'bed',
      rule: { kind: 'share', weight: 1 },
      things: [],
      split: {
        axis: 'deep',
        making: {
          ...making,
          supports: { stock: 'ash-18', count: 2, wide: mm(40), inset: mm(60), trim: mm(0) },
          deal: { pattern: 'fs', stroke: mm(420), shorter: mm(20) },
        },
        members: Array.from({ length: 15 }, (_, i) => ({ id: `b-${i + 2}` })),
        spaces: Array.from({ length: 16 }, (_, i): Space => ({
          id: `bg-${i + 1}`,
          rule: guide(i) ? { kind: 'fixed', size: mm(1) } : { kind: 'share', weight: 1 },
          things: [],
        })),
      },
    };
    const kept = PRINT_SHED.pieces['drying-deck'] as NonNullable<(typeof PRINT_SHED.pieces)[string]>;
    const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;
    const daybed = solve({ ...kept.piece, width: given(620), depth: given(1884), interior: bed }, workshop, {});
    const sizes = gaps(daybed, 'bed');
    expect([1, 9, 9.5].map((size) => sizes.filter((g) => g === size).length)).toEqual([4, 4, 8]);
    const [body] = daybed.shape.bodies;
    expect(body?.members).toHaveLength(8);
    expect(body?.motion.kind === 'slide' && toMm(body.motion.travel.value)).toBe(420);
    const lengths = daybed.shape.members.filter((m) => m.role === 'slat').map((m) => toMm(m.length.value));
    expect([620, 600].map((l) => lengths.filter((x) => x === l).length)).toEqual([9, 8]);
  });
});

describe('the tube rack', () => {
  const rack = solved('tube-rack');
  const gable = rack.shape.spaces.get('gable') as NonNullable<ReturnType<typeof rack.shape.spaces.get>>;
  const cells = gable.space.filling as Cells;
  const grid = (patch: Partial<Cells>) => cellGrid(gable, { ...cells, ...patch }, workshop);

  test('tubes of 76 + 7, uprights 21, supports 17: pitch 104 across and 100 up', () => {
    const g = grid({});
    expect([g?.pitch.across, g?.pitch.up].map((f) => f && toMm(f.value))).toEqual([104, 100]);
  });

  test('1325 x 1510 takes 12 columns, 1269 wide, and 15 rows under uprights of 1500: 180 cells', () => {
    const g = grid({ blocked: [], features: [] });
    expect([g?.columns, g?.rows, g?.capacity.amount]).toEqual([12, 15, 180]);
    expect([g?.width, g?.height].map((f) => f && toMm(f.value))).toEqual([1269, 1500]);
  });

  test('tubes of 420 tilted 12° need 168.5: two rows for one, twelve fewer', () => {
    expect(toMm(tiltedHeight(mm(420), mm(83), asDegrees(12)))).toBeCloseTo(168.509, 3);
    expect(grid({ blocked: [] })?.capacity.amount).toBe(168);
  });

  test('a column shown tilted takes two rows for one all the way up, and what is left over stays level', () => {
    const column = { column: 1, tilt: asDegrees(12), long: mm(420) };
    const g = grid({ blocked: [], features: [column] });
    // 15 rows: seven pairs and one over; seven cells go.
    expect(g?.cells.filter((c) => c.state === 'tilted').map((c) => [c.column + 1, c.row + 1])).toEqual(
      [1, 3, 5, 7, 9, 11, 13].map((row) => [1, row]),
    );
    expect(g?.capacity.amount).toBe(180 - 7);
  });

  test('where a tilted row crosses a tilted column the row stays, and the column goes on above it', () => {
    const g = grid({ blocked: [], features: [{ column: 1, tilt: asDegrees(12), long: mm(420) }, ...cells.features] });
    const first = g?.cells.filter((c) => c.column === 0 && c.state === 'tilted');
    expect(first?.map((c) => [c.row + 1, c.tilted?.label])).toEqual([
      [1, 'column 1'],
      [3, 'column 1'],
      [5, 'column 1'],
      [7, 'column 1'],
      [9, 'row 9'],
      [11, 'column 1'],
      [13, 'column 1'],
    ]);
  });

  test('the uppermost row cannot be tilted: it needs two', () => {
    const made = cellMembers({ ...cells, features: [{ row: 15, tilt: asDegrees(12), long: mm(420) }] }, { space: gable, workshop });
    expect(made.problems.map((p) => p.id)).toEqual(['cells-tilted-gable-row-15']);
  });

  test('the pipe box in the top right corner takes 3 x 2 cells: 162 are left, told as a sum', () => {
    const g = grid({});
    expect(g?.capacity.amount).toBe(162);
    expect(g?.cells.filter((c) => c.state === 'blocked').map((c) => [c.column + 1, c.row + 1])).toEqual([
      [10, 14],
      [11, 14],
      [12, 14],
      [10, 15],
      [11, 15],
      [12, 15],
    ]);
  });

  test('13 ladders with 300 plain and 24 sloping supports', () => {
    expect(rack.shape.members.filter((m) => m.role === 'ladder upright')).toHaveLength(13);
    const supports = rowsOf(rack.parts.filter((p) => p.member.role === 'ladder support'));
    expect(supports.map((r) => [r.count, toMm(r.first.length.value)])).toEqual([
      [300, 300],
      [24, 420],
    ]);
  });

  test('every tube reaches the floor: 162 of 0.45 kg and the rack itself', () => {
    const tubes = [...rack.carried.members.values()].reduce((sum, c) => sum + c.standing.reduce((s, x) => s + x.kg, 0), 0);
    expect(tubes).toBeCloseTo(72.9, 9);
    const self = [...rack.carried.members.values()].reduce((sum, c) => sum + c.selfKg, 0);
    expect(rack.carried.floor).toBeCloseTo((72.9 + self) * 9.81, 6);
  });

  const withMake = (patch: object, rest: Partial<Cells> = {}) =>
    solved('tube-rack', { kind: 'filling', space: 'gable', filling: { ...cells, ...rest, make: { ...cells.make, ...patch } } as Cells });
  const uprightsOf = (s: Solution) => s.shape.members.filter((m) => m.role === 'ladder upright').map((m) => boxOf(m));

  test('in two sections there are 14 ladders in 12 x 104 + 2 x 21 = 1290, each section 645; in four only 11 columns go in', () => {
    const two = withMake({ sections: 2 }, { blocked: [], features: [] });
    const at = uprightsOf(two).map((b) => toMm(b.x0));
    expect(at).toHaveLength(14);
    // The sixth column ends at 6 x 104 + 21 = 645, where the next section begins.
    expect([at[6], at[7], at[13]]).toEqual([624, 645, 1269]);
    expect(toMm(uprightsOf(two).at(-1)?.x1 as Length)).toBe(1290);
    const section = two.shape.facts.get('gable')?.find((f) => f.name.startsWith('section 2'))?.figure;
    expect(toMm(section?.value as Length)).toBe(645);
    expect(grid({ blocked: [], features: [], make: { ...cells.make, sections: 4 } as Cells['make'] })?.columns).toBe(11);
    // Twenty sections would want 20 x (104 + 21): as many columns as go in by themselves, ten.
    const alone = grid({ blocked: [], features: [], make: { ...cells.make, sections: 20 } as Cells['make'] });
    expect([alone?.columns, alone?.sections, toMm(alone?.width.value as Length)]).toEqual([10, 10, 1250]);
    // A support lies on the ladder of its own section: the seventh column begins on the eighth ladder.
    const support = two.shape.members.find((m) => m.id === 'gable/ladder-support/7-1-left');
    expect(toMm(boxOf(support as Member).x0)).toBe(666);
    expect(two.shape.joints.filter((j) => j.carried === support?.id).map((j) => j.carrier)).toEqual(['gable/ladder-upright/8']);
    expect(two.checks.filter((c) => c.severity === 'stop')).toEqual([]);
  });

  test('with uprights front and rear, and supports as long as the tubes of 420, ladders are 420 deep and stand out', () => {
    const long = workshop.things.get('proof-tube')?.shape;
    if (long?.kind !== 'cylinder') throw new Error('a tube is round');
    const s = withMake(
      {
        upright: { ...(cells.make as { upright: object }).upright, deep: mm(45), pair: true },
        support: { ...(cells.make as { support: object }).support, asThing: true },
      },
      { blocked: [], features: [] },
    );
    const [rear, front] = uprightsOf(s);
    expect([rear, front].map((b) => toMm(((b?.z1 as number) - (b?.z0 as number)) as Length))).toEqual([45, 45]);
    expect(front?.z1).toBe((rear?.z0 as number) + long.height);
    const support = s.shape.members.find((m) => m.id === 'gable/ladder-support/1-1-left');
    expect(support?.length.value).toBe(long.height);
    expect(s.shape.joints.filter((j) => j.carried === support?.id).map((j) => j.carrier)).toEqual([
      'gable/ladder-upright/1-rear',
      'gable/ladder-upright/1-front',
    ]);
    // What lies on a support is shared by both, half each.
    const handed = s.carried.members.get(support?.id as string)?.supports.map((x) => x.newtons);
    expect(handed?.[0]).toBeCloseTo(handed?.[1] as number, 3);
    expect(s.checks.filter((c) => c.id.startsWith('overlap-'))).toEqual([]);
  });

  test('two uprights that do not go behind each other are told, with one upright as the way out', () => {
    const s = withMake({ upright: { ...(cells.make as { upright: object }).upright, deep: mm(160), pair: true } });
    expect(s.checks.find((c) => c.id === 'ladders-deep-gable')?.severity).toBe('stop');
  });

  test('a tube of 0.45 stands on two supports, and those hang on the ladders: the first has them on one side only', () => {
    const supports = [...rack.carried.members.values()].filter((c) => c.member.role === 'ladder support');
    expect(supports).toHaveLength(2 * 162);
    for (const s of supports) expect(s.standing.map((t) => t.kg)).toEqual([expect.closeTo(0.225, 9)]);
    const handed = (ladder: number) => new Set(rack.carried.members.get(`gable/ladder-upright/${ladder}`)?.handed.map((h) => h.from)).size;
    // 15 rows less the one that two rows became: 14 cells in a column, 14 supports on the first ladder and 28 on the second.
    expect([handed(1), handed(2)]).toEqual([14, 28]);
  });

  test('150 tubes are listed: 12 of the 162 cells are to spare', () => {
    const found = rack.checks.find((c) => c.id === 'cells-room-gable');
    expect([found?.severity, writeExactly(found?.sentence ?? [])]).toEqual([
      'good',
      'All 150 Proof tube have a cell in rack; 12 are to spare.',
    ]);
  });

  test('a thing that is no longer there stops the build', () => {
    const gone = solved('tube-rack', { kind: 'filling', space: 'gable', filling: { ...cells, thing: 'gone' } });
    expect(gone.checks[0]).toMatchObject({ id: 'cells-thing-gable', severity: 'stop' });
  });
});

describe('the envelope case', () => {
  const holes = solved('envelope-case');

  test('pigeon-holes are equal and their boards slot into each other half-way', () => {
    // Inside 784.8; three holes of 235 + 12 and two boards of 9 take 759, a fourth would not go in.
    const uprights = holes.shape.members.filter((m) => m.id.startsWith('holes/divider'));
    expect(uprights).toHaveLength(2);
    const levels = holes.shape.members.filter((m) => m.id.startsWith('holes/shelf'));
    const [upright] = uprights;
    expect(upright?.features).toHaveLength(levels.length);
    expect(upright?.features.every((f) => f.kind === 'notch' && toMm(f.region.u1) - toMm(f.region.u0) === 9)).toBe(true);
    const half = toMm(upright?.width.value as Length) / 2;
    expect(upright?.features.every((f) => f.kind === 'notch' && Math.abs(toMm((f.region.v1 - f.region.v0) as Length) - half) < 0.01)).toBe(
      true,
    );
  });

  test('each row of packs of 1.2 stands on its own level board, the lowest on the shelf under them', () => {
    const kg = (id: string) => holes.carried.members.get(id)?.standing.reduce((sum, s) => sum + s.kg, 0);
    // Three columns in four rows: 3.6 kg a row.
    for (const id of ['holes/shelf/1', 'holes/shelf/2', 'holes/shelf/3', 'under-holes/shelf/1']) expect(kg(id)).toBeCloseTo(3.6, 9);
    // A level board lies on both uprights and is held at its ends: four supports, of which those in the middle carry most.
    const on = holes.carried.members.get('holes/shelf/1')?.supports.map((x) => x.newtons) ?? [];
    expect(on).toHaveLength(4);
    expect(on[1]).toBeGreaterThan(2 * (on[0] as number));
  });

  test('pitch across is what is inside and one board, shared by three', () => {
    const pitch = holes.shape.facts.get('holes')?.find((f) => f.name === 'pitch across')?.figure;
    expect(pitch && toMm(pitch.value)).toBeCloseTo((820 - 2 * 17.6 + 9) / 3, 4);
  });
});

test('a single column of cells loads what is below it', () => {
  const narrow = solved('envelope-case', { kind: 'piece', patch: { width: { from: 'given', size: mm(300), of: 'overall' } } });
  const standing = [...narrow.carried.members.values()].filter((c) => c.standing.some((s) => s.space === 'holes'));
  // Inside 264.8 one pack of 244 + 12 goes across, with level boards between them: those and the shelf under the holes share them all.
  const boards = narrow.shape.members.filter((m) => m.node === 'holes').map((m) => m.id);
  expect(standing.map((c) => c.member.id).sort()).toEqual([...boards, 'under-holes/shelf/1'].sort());
  const room = narrow.shape.facts.get('holes')?.find((f) => f.count)?.count?.amount ?? 0;
  expect(room).toBeGreaterThan(1);
  const kg = standing.map((c) => c.standing.find((s) => s.space === 'holes')?.kg ?? 0);
  expect(kg.reduce<number>((sum, one) => sum + one, 0)).toBeCloseTo(room * 1.2, 9);
});

test('short screws through supports into an upright from both sides pass each other', () => {
  const { shape } = solved('tube-rack');
  const of = (id: string) => shape.members.find((m) => m.id === id) as Member;
  const joint = shape.joints.find((j) => j.carried === 'gable/ladder-support/1-1-left');
  // Through a support of 20 into an upright of 21: 35 long is the longest that stays inside, 15 in the wood.
  expect(rowBetween(of(joint?.carrier ?? ''), of('gable/ladder-support/1-1-left'), 'mm')).toMatchObject({ length: 35, inside: 15 });
  expect(clashesOf(allScrews(solved('tube-rack').carried))).toEqual([]);
});
