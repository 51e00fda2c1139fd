import { GRAVITY, carry, drawnOut, getAwayWith, wouldBe, type CarriedMember } from '../core/carry/index.js';
import { writeExactly } from '../core/figure/index.js';
import { toMm, type Length } from '../core/length/index.js';
import { boxOf, posed, type Member, type PieceEdit, type Pose } from '../core/piece/index.js';
import { drawPiece } from '../core/drawing/index.js';
import { measureOf } from '../core/project/index.js';
import { boughtFor, drawnOutOf, heldOutOf, type Solution } from '../core/solution/index.js';
import type { Frame } from '../core/shells/index.js';
import { PRINT_SHED } from './print-shed.js';
import { solved } from './solved.js';
import { asKg } from '../core/measures/index.js';

const patch = (change: Partial<Frame>): PieceEdit => ({ kind: 'piece', patch: change });
const memberOf = (s: Solution, id: string) => s.shape.members.find((m) => m.id === id) as Member;
const longs = (s: Solution, node: string) =>
  s.shape.members.filter((m) => m.role === 'slat' && m.id.startsWith(node)).map((m) => toMm(m.length.value));
const factOf = (s: Solution, name: string) => {
  const fact = [...s.shape.facts.values()].flat().find((f) => f.name === name);
  return fact?.figure ? toMm(fact.figure.value) : fact?.remark ? writeExactly(fact.remark) : undefined;
};
const said = (s: Solution, id: string) => s.checks.find((c) => c.id === id);
const stops = (s: Solution) => s.checks.filter((c) => c.severity === 'stop').map((c) => c.id);

const bed = PRINT_SHED.pieces['guest-bed']?.piece as Frame;

test('a daybed of 17 slats, dealt to the frame and to what is drawn out of it: four gaps of 1, twelve of 9.333', () => {
  const s = solved('guest-bed');
  expect([toMm(s.shape.overall.width.value), toMm(s.shape.overall.depth.value)]).toEqual([1884, 640]);
  // 1884 − 17 × 104 = 116, less four of 1: 112 over twelve.
  expect(factOf(s, 'a gap exactly')).toBeCloseTo(112 / 12, 4);
  expect(factOf(s, 'slats')).toBe('17 slats; spacer blocks: 8 of 9.5 mm, 4 of 9 mm, 4 of 1 mm.');
  const all = longs(s, 'frame-top/slat');
  expect([all.filter((l) => l === 620).length, all.filter((l) => l === 600).length]).toEqual([9, 8]);
  // 600 − 180 of overlap.
  expect(factOf(s, 'stroke of the pull-out')).toBe(420);
  expect(factOf(s, 'drawn out, deep')).toBe(1060);
  expect(stops(s)).toEqual([]);
});

test('drawn out, its stops meet the front rail, and each slat lies on that and on its own rail', () => {
  const s = solved('guest-bed');
  const [body] = s.shape.bodies;
  const out = body && drawnOut(s.shape, body);
  if (!out) throw new Error('nothing is drawn out');
  const box = (id: string) => boxOf(out.members.find((m) => m.id === id) as Member);
  expect(toMm(box('pull-out/stop/1').z1)).toBe(toMm(box('frame-top/rail/1').z0));
  // Of a slat from 440 to 1040: rail of the frame from 548 to 593, its own from 1013 to 1040.
  const carried = carry(out, s.workshop);
  const slat = carried.members.get('frame-top/slat/8') as CarriedMember;
  const [people, own] = [((200 + 12) / 17) * GRAVITY, 0.6 * 0.104 * 0.027 * 1120 * 0.6 * GRAVITY];
  const load = people + own;
  // What of it is over its rail at the front is no overhang: a beam from 440 to 1026.5, held at 570.5 and 1026.5. Its weight has its middle at 740.
  const front = (people * ((440 + 1026.5) / 2 - 570.5) + own * (740 - 570.5)) / (1026.5 - 570.5);
  const by = (carrier: string) => slat.supports.find((x) => x.carrier === carrier)?.newtons ?? 0;
  expect(by('pull-out/rail')).toBeCloseTo(front, 2);
  expect(by('frame-top/rail/1') + by('frame-top/rail/1-2')).toBeCloseTo(load - front, 2);
  // All of it comes to the floor in both states.
  const kg = carried.floor / GRAVITY;
  expect(kg).toBeCloseTo(s.carried.floor / GRAVITY, 6);
  expect(kg).toBeCloseTo(s.carried.massKg + 212, 6);
  expect(said(s, 'out-pull-out')).toMatchObject({ severity: 'good' });
  // The same as a solution of its own: its members moved, its loads and its checks those of that state.
  expect(heldOutOf(s).map((b) => b.id)).toEqual([body.id]);
  const posed = drawnOutOf(s, body);
  expect(posed.carried.members.get('frame-top/slat/8')?.supports).toEqual(slat.supports);
  expect(posed.shape.members).toEqual(out.members);
  expect(posed.checks.filter((c) => c.state !== 'fine')).toEqual([]);
  expect([posed.parts, posed.letters]).toEqual([s.parts, s.letters]);
});

test('its slats are hinged at the board: 600 of them lifted by 75° stand 579.6 over a deck of 360, shut or drawn out', () => {
  const s = solved('guest-bed');
  const [sin, cos] = [Math.sin((75 * Math.PI) / 180), Math.cos((75 * Math.PI) / 180)];
  expect(factOf(s, 'lifted, their rear ends are high')).toBeCloseTo(360 + 600 * sin, 3);
  // A slat of 27: √(600² + 27²) − 600 behind, of 20 that are free.
  expect(factOf(s, 'they swing out behind by')).toBeCloseTo(0.607, 3);
  const at = (pose: Pose) => {
    const slat = posed(s.shape.members, s.shape.bodies, pose).find((m) => m.id === 'frame-top/slat/8') as Member;
    return [toMm(boxOf(slat).y1), toMm(boxOf(slat).z0)].map((v) => Number(v.toFixed(2)));
  };
  const behind = 620 - 600 * cos - 27 * sin;
  expect(at(new Map([['pull-out-slats', 1]]))).toEqual([360 + 600 * sin, behind].map((v) => Number(v.toFixed(2))));
  expect(
    at(
      new Map([
        ['pull-out-slats', 1],
        ['pull-out', 1],
      ]),
    )[1],
  ).toBeCloseTo(behind + 420, 2);
  expect(s.checks.filter((c) => c.id.startsWith('hits') || c.id.startsWith('hinged'))).toEqual([]);
  expect(boughtFor(s).find((b) => b.what === 'hinges')?.count).toBe(8);
  // The mattress is taken off before they are lifted.
  const lying = (pose: Pose) => drawPiece(s, 'side', s.piece.interior.id, pose).shapes.some((shape) => shape.of.kind === 'thing');
  expect([lying(new Map()), lying(new Map([['pull-out-slats', 1]]))]).toEqual([true, false]);
  // With nothing free behind no finger gets in.
  const tight = solved('guest-bed', patch({ pullOut: { ...(bed.pullOut as NonNullable<Frame['pullOut']>), behind: 0 as Length } }));
  expect(said(tight, 'hinged-behind')?.fixes).toHaveLength(1);
});

test('made wrong, a pull-out says what is wrong with it, with ways out', () => {
  const pullOut = bed.pullOut as NonNullable<Frame['pullOut']>;
  const wrong = (change: Partial<typeof pullOut>, top?: Partial<Frame['top']>) =>
    solved('guest-bed', patch({ pullOut: { ...pullOut, ...change }, ...(top ? { top: { ...bed.top, ...top } } : {}) }));
  const far = wrong({ overlap: (640 * 80_000) as Length });
  expect(said(far, 'pull-out-stroke')).toMatchObject({ severity: 'stop' });
  expect(said(far, 'pull-out-stroke')?.fixes).toHaveLength(1);
  // 599 − 45 − stroke − 45 has to be past the rear rail of 45: an overlap of 130 leaves 84 − 45 = 39 and needs no more; of 100 it does.
  expect(said(wrong({ overlap: (100 * 80_000) as Length }), 'pull-out-stops')).toMatchObject({ severity: 'stop' });
  expect(said(wrong({ board: { ...pullOut.board, wide: (20 * 80_000) as Length } }), 'pull-out-board')?.fixes).toHaveLength(1);
  const tied = said(solved('guest-bed', patch({ joined: 'end-on' })), 'pull-out-posts');
  expect([tied?.severity, tied?.fixes.length]).toEqual(['stop', 1]);
  const { deck, ...bare } = bed.top.level;
  void deck;
  const sheet = wrong({}, { level: bare });
  const mended = said(sheet, 'pull-out-slats')?.fixes[0]?.change;
  expect(mended?.target === 'piece' && mended.edit.kind).toBe('piece');
});

test('rails of the bed hang on bolts that are bought by size; too low a rail has no room for one', () => {
  const s = solved('guest-bed');
  expect(
    boughtFor(s)
      .filter((b) => b.what.startsWith('bolts'))
      .map((b) => [b.what, toMm(b.length as Length)]),
  ).toEqual([['bolts M8 with barrel nuts', 110]]);
  // In 40 of height there is no room for one: 4 D and 1.5 D are 44, and bolts of rails that meet pass each other by 10.
  const low = solved(
    'guest-bed',
    patch({ top: { ...bed.top, level: { ...bed.top.level, rails: { ...bed.top.level.rails, wide: (40 * 80_000) as Length } } } }),
  );
  expect(stops(low).some((id) => id.startsWith('ends-frame-top/rail'))).toBe(true);
});

test('castors under a bed: shorter posts, what one carries against its rating with one of them clear of the floor', () => {
  const high = (60 * 80_000) as Length;
  const on = (rated: number) => solved('guest-bed', patch({ feet: { are: 'castors', high, rated: asKg(rated) } }));
  const s = on(80);
  expect([toMm(memberOf(s, 'frame/post/front-1').length.value), toMm(boxOf(memberOf(s, 'frame/post/front-1')).y0)]).toEqual([273, 60]);
  const most = Math.max(
    ...s.shape.members.filter((m) => m.id.startsWith('frame/post')).map((m) => (s.carried.members.get(m.id)?.total ?? 0) / GRAVITY),
  );
  // Six of them: the load times 6 / 5.
  expect(said(s, 'feet-rated')).toMatchObject({ state: (most * 6) / 5 / 80 > 0.9 ? 'close' : 'fine' });
  expect(said(on(Math.floor(most)), 'feet-rated')).toMatchObject({ severity: 'stop', state: 'fails' });
  expect(
    boughtFor(s)
      .filter((b) => b.what.startsWith('castors'))
      .map((b) => b.count),
  ).toEqual([6]);
});

test('a bench to sleep on: a tray of 1242.6 between legs of 21, 364 under its rails and 434 where none is', () => {
  const s = solved('sleeping-bench');
  expect(factOf(s, 'box, wide')).toBe(1242.6);
  expect(toMm(boxOf(memberOf(s, 'frame-top/rail/1')).y0)).toBe(364);
  expect(factOf(s, 'clear where no rail is, high')).toBe(434);
  expect(stops(s)).toEqual([]);
});

test('what a load on one part of it would tip up is still asked how much it may carry', () => {
  const s = solved('sleeping-bench');
  const bent = [...s.carried.members.values()].flatMap((c) => c.bending ?? []);
  // A thousand times its load on the end of the deck alone lifts it off all that it lies on.
  const comeDown = bent.filter((b) => wouldBe(b, s.workshop.settings, { load: 1000 }).mm === Infinity);
  expect(comeDown.length).toBeGreaterThan(0);
  for (const b of bent) expect(getAwayWith(b, s.workshop.settings).load).not.toBeNaN();
});

test('a steel bar along a rail takes its part by stiffness', () => {
  const s = solved('sleeping-bench');
  const answer = s.carried.members.get('frame-top/rail/1')?.bending;
  // Ash 12 GPa, 42 by 70; steel 200 GPa, 5 by 40, both about the same middle.
  const [wood, steel] = [(12_000 * 42 * 70 ** 3) / 12, (200_000 * 5 * 40 ** 3) / 12];
  expect((answer?.section as { EI?: number } | undefined)?.EI).toBeCloseTo(wood + steel, -3);
});

test('seats and heads against who sits there', () => {
  const s = solved('sleeping-bench');
  // Wren, 1680: hollow of the knee 0.25 × 1680 + 25 = 445; seat 455, and 873.6 + 50 over it: 1378.6.
  const wren = PRINT_SHED.people['wren'];
  expect(wren && toMm(measureOf(wren, 'hollow'))).toBe(445);
  expect(said(s, 'uses-height')).toMatchObject({ severity: 'good' });
  expect(writeExactly(said(s, 'uses-headroom')?.sentence ?? [])).toContain('1378.6 mm');
  const low = solved('sleeping-bench', patch({ usedBy: { person: 'wren', how: 'sits on', headroom: (1300 * 80_000) as Length } }));
  expect(said(low, 'uses-headroom')).toMatchObject({ severity: 'look', state: 'fails' });
  const at = solved('sleeping-bench', patch({ usedBy: { person: 'odo', how: 'sits at' } }));
  expect([said(at, 'uses-height')?.state, said(at, 'uses-knees')?.state]).toEqual(['fails', 'fails']);
});

test('crossing strips at the ends of the mat stand: 385.03 at 36.13°, halves of 177.8 on their middle line, met at 72.25°', () => {
  const s = solved('mat-stand');
  expect(factOf(s, 'brace at the left')).toBeCloseTo(385.03, 2);
  expect(factOf(s, 'it rises')).toContain('36.13°');
  expect(factOf(s, 'they meet')).toContain('72.25°');
  expect(factOf(s, 'half brace, on its middle line')).toBeCloseTo(177.8, 1);
  // The strips and the opening by area: a band 28 wide from corner to corner, less two triangles of p q / 2 at each end.
  const brace = memberOf(s, 'frame/brace/left-1-1');
  const [w, p, q] = [28, 14 / (227 / 385.0325), 14 / (311 / 385.0325)];
  const area = 311 * 227 - (311 - p) * (227 - q);
  const loop = [brace.outline.start, ...brace.outline.sides.map((x) => x.to)].map(({ u, v }) => [toMm(u), toMm(v)] as const);
  const within = loop.reduce((sum, [u, v], i) => {
    const [u1, v1] = loop[(i + 1) % loop.length] as readonly [number, number];
    return sum + (u * v1 - u1 * v) / 2;
  }, 0);
  expect(within).toBeCloseTo(area, 0);
  expect(toMm(brace.width.value)).toBe(w);
});

test('decks of a long run by yield: three strips of 414 on a frame of 416, 414.53 at most with a kerf of 3.2', () => {
  const s = solved('loft-shelf');
  expect(memberOf(s, 'loft-1/deck/1').width.value / 80_000).toBe(414);
  // (1250 − 2 × 2.6) / 3 = 414.93 here; with 3.2: 414.53.
  expect(factOf(s, 'strips')).toContain('3 of 414 mm');
  const plates = s.shape.members.filter((m) => m.role === 'splice plate');
  expect(plates).toHaveLength(8);
  // At the seam of 2400 the cross piece is as much shorter as two plates of 15.
  expect(toMm(memberOf(s, 'loft-1/cross-piece/5').length.value)).toBe(416 - 2 * 21 - 2 * 15);
});
