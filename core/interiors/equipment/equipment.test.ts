import { writeExactly } from '../../figure/index.js';
import { mm, toMm, ZERO } from '../../length/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { piece, space, stock, thing, workshop } from '../../testing/samples.js';
import { faultsIn } from '../../formats/index.js';
import { pieceSchema } from '../../kinds/index.js';
import type { Equipment } from './spec.js';
import { asKg } from '../../measures/index.js';

const box = (width: number, height: number, depth: number) =>
  ({ kind: 'box', width: mm(width), height: mm(height), depth: mm(depth) }) as const;
const shop = workshop({
  stock: { ply: stock({ thickness: mm(18) }) },
  things: {
    lamp: thing({ name: 'lamp box', shape: box(540, 190, 365), mass: asKg(14) }),
    pack: thing({ name: 'power pack', shape: box(210, 95, 140), mass: asKg(3) }),
  },
});
const free = (size: number, why: Equipment['free']['left']['why']) => ({ size: mm(size), why });
const none = free(0, 'fit');

/** A lamp box with 6 at each side, 45 behind for cables and 70 above for heat. */
const lamp: Equipment = {
  kind: 'equipment',
  thing: 'lamp',
  count: 1,
  free: { left: free(6, 'fit'), right: free(6, 'fit'), front: none, rear: free(45, 'cables'), above: free(70, 'heat'), below: none },
  between: ZERO,
};
/** Two power packs with 30 all round each. */
const packs: Equipment = {
  ...lamp,
  thing: 'pack',
  count: 2,
  between: mm(30),
  free: { left: free(30, 'heat'), right: free(30, 'heat'), front: none, rear: free(30, 'cables'), above: free(30, 'heat'), below: none },
  heat: 120,
};

const contents = { from: 'contents' } as const;
const housing = (over: Equipment, under: Equipment): Solution =>
  solve(
    piece(
      space('in', {
        split: {
          axis: 'up',
          members: [{ id: 'floor', fix: 'butted' }],
          spaces: [
            space('low', { rule: { kind: 'fit', clearance: ZERO }, filling: under }),
            space('high', { rule: { kind: 'fit', clearance: ZERO }, filling: over }),
          ],
        },
      }),
      { width: contents, height: contents, depth: contents },
    ),
    shop,
    {},
  );

test('a lamp box over two power packs: 552 inside, 588 over all, as high and as deep as they need', () => {
  const s = housing(lamp, packs);
  const high = s.shape.spaces.get('high');
  expect(toMm(high?.clear.width.value ?? ZERO)).toBe(552);
  expect(toMm(s.shape.overall.width.value)).toBe(588);
  expect([toMm(high?.clear.height.value ?? ZERO), toMm(high?.clear.depth.value ?? ZERO)]).toEqual([260, 410]);
  const facts = s.shape.facts.get('low') ?? [];
  expect(toMm(facts.find((f) => f.name === 'needed across')?.figure?.value ?? ZERO)).toBe(510);
  expect(writeExactly(facts.find((f) => f.name === 'heat')?.remark ?? [])).toContain('240 W');
});

test('they stand on what is under them, each with all it weighs, what is spare shared at both ends', () => {
  const s = housing(lamp, packs);
  expect(s.carried.members.get('floor/shelf/1')?.standing.reduce((kg, x) => kg + x.kg, 0)).toBe(14);
  const [first, second] = s.shape.stands.get('low')?.filled?.places ?? [];
  // 552 clear, 510 needed: 21 more at each end.
  expect([toMm(first?.x ?? ZERO), toMm(second?.x ?? ZERO)]).toEqual([18 + 30 + 21, 18 + 30 + 21 + 240]);
});

test('controls that hang 26 want 34 under what they stand on, and are told where that is not there', () => {
  const hanging = { ...lamp, controls: { hang: mm(26), free: mm(8) } };
  const s = housing(hanging, packs);
  expect(toMm(s.shape.facts.get('high')?.find((f) => f.name === 'clear under what it stands on')?.figure?.value ?? ZERO)).toBe(34);
  expect(s.shape.problems).toEqual([]);
  const long = housing({ ...lamp, controls: { hang: mm(200), free: mm(8) } }, packs);
  const told = long.shape.problems.find((p) => p.id === 'controls-high');
  expect(writeExactly(told?.sentence ?? [])).toContain('take 208 mm');
  expect(told?.fixes).toHaveLength(1);
});

test('larger than its case it is told, along each axis, with what it needs', () => {
  const s = solve(
    piece(space('in', { filling: lamp }), {
      width: { from: 'given', size: mm(550), of: 'inside' },
      height: { from: 'given', size: mm(250), of: 'inside' },
      depth: { from: 'given', size: mm(400), of: 'inside' },
    }),
    shop,
    {},
  );
  expect(s.shape.problems.map((p) => p.id)).toEqual(['equipment-in-across', 'equipment-in-up', 'equipment-in-deep']);
  expect(writeExactly(s.shape.problems[0]?.sentence ?? [])).toBe(
    'lamp box in inside needs 552 mm across with what is kept free, and there is 550 mm.',
  );
});

test('it is taken in by its schema', () => {
  expect(faultsIn(pieceSchema(), piece(space('in', { filling: packs })))).toEqual([]);
});
