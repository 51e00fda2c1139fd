import { writeExactly } from '../figure/index.js';
import { ZERO, mm } from '../length/index.js';
import { asKg } from '../measures/index.js';
import type { Frame } from '../shells/index.js';
import { solve } from '../solution/index.js';
import { NO_OVER, framePiece, given, level, shop } from '../testing/frame-samples.js';
import { space, thing, workshop } from '../testing/samples.js';
import { carriedWith, forceOfPerson, lastsShort, underPerson } from './index.js';

const deck = { stock: 'ash27', goes: 'over', gap: ZERO } as const;
const sat = { usedBy: { person: 'anna', how: 'sits on' } } as const;

/** A bench of 1400 x 450 x 400 with rails so deep. */
const bench = (deep: number, extra: Partial<Frame> = {}) =>
  solve(
    framePiece(space('in'), {
      width: given(1400),
      height: given(450),
      depth: given(400),
      top: { level: { ...level('deal21', deep), deck }, over: NO_OVER },
      ...sat,
      ...extra,
    }),
    shop,
    {},
  );

describe('a person is carried to the floor', () => {
  const found = (s: ReturnType<typeof bench>) => underPerson(s.piece, s.shape, s.carried, forceOfPerson(true), shop);

  test('shallow rails break under who sits over the middle of them: M = P L / 4 beside what they carry', () => {
    const s = bench(35);
    const rail = found(s).find((w) => w.how === 'breaks' && w.member.id === 'frame-top/rail/1');
    // Of 1300 N for a short while 0.7 / 0.9; on 21 x 35 of 1310 between posts, 50 wide: P (L / 4 - 50 / 8), and w L² / 8 of what it carries.
    const P = 1300 * (0.7 / 0.9);
    const moment = P * (1310 / 4 - 50 / 8) + ((s.carried.members.get('frame-top/rail/1')?.total ?? 0) * 1310) / 8;
    // C16: 16 x 0.7 / 1.3 / 1.5.
    expect(rail?.used).toBeCloseTo(moment / ((21 * 35 ** 2) / 6) / ((16 * 0.7) / 1.3 / 1.5), 2);
    const told = s.checks.find((c) => c.id === 'people-path');
    expect([told?.severity, told?.state]).toEqual(['stop', 'fails']);
    expect(writeExactly(told?.sentence ?? [])).toMatch(/^Under someone on .*, 1300 N, /);
    // The deck alone holds, and is not told as good while the rails are not.
    expect(s.checks.some((c) => c.id === 'people')).toBe(false);
  });

  test('deep ones hold, and so does all under them', () => {
    const top = { level: { ...level('deal45', 95), deck }, over: NO_OVER };
    const s = bench(95, { top, held: 'bolts', posts: { stock: 'deal45', wide: mm(95), turned: 'across' } });
    expect(found(s).filter((w) => w.how === 'breaks')).toEqual([]);
  });

  test('what is made to be sat on does not offer that no one will; what is merely low offers it beside what mends', () => {
    const offers = (extra: Partial<Frame>) =>
      solve(
        framePiece(space('in'), {
          width: given(1400),
          height: given(450),
          top: { level: { ...level('deal45', 95), deck: { ...deck, stock: 'ply12' } }, over: NO_OVER },
          ...extra,
        }),
        shop,
        {},
      )
        .checks.filter((c) => c.id === 'people')
        .flatMap((c) => c.fixes.map((f) => writeExactly(f.label)));
    expect(offers(sat)).not.toContain('No one will sit or step on it');
  });

  test('all of a load that is put on reaches the floor', () => {
    const s = bench(95);
    const kg = asKg(100);
    const standing = { space: 'in', kg, along: [1, 0, 0], from: 600, to: 650 } as const;
    const then = carriedWith(s.carried, s.shape, 'frame-top/rail/1', standing, shop);
    const onFloor = (members: readonly { supports: readonly { carrier: string; newtons: number }[] }[]) =>
      members.flatMap((m) => m.supports).reduce((sum, x) => sum + (x.carrier === 'floor' ? x.newtons : 0), 0);
    const ids = new Set(then.map((c) => c.member.id));
    const before = [...s.carried.members.values()].filter((c) => ids.has(c.member.id));
    expect(onFloor(then) - onFloor(before)).toBeCloseTo(100 * 9.81, 6);
  });

  test('for a short while wood holds 0.9 / 0.7 of what it does for years', () => expect(lastsShort(1)).toBeCloseTo(0.7 / 0.9, 12));
});

test('a deck that hangs 600 past its frame is a beam that does: 60 kg on its end lift the other one, and it comes down', () => {
  const bag = thing({ name: 'bag', shape: { kind: 'box', width: mm(200), height: mm(300), depth: mm(300) }, mass: asKg(60), count: 1 });
  const on = (left: number) =>
    solve(
      framePiece(space('in'), {
        width: given(1400),
        top: { level: { ...level('deal45', 95), deck }, over: { ...NO_OVER, left: mm(left) }, things: [{ thing: 'bag', count: 1 }] },
      }),
      workshop({ stock: Object.fromEntries(shop.stock), things: { bag } }),
      {},
    ).checks;
  expect(on(600).map((c) => c.id)).toContain('falls-frame-top/deck/1');
  expect(on(0).some((c) => c.id.startsWith('falls-'))).toBe(false);
});
