import { cutsOf } from '../../../core/cutting/cuts.js';
import { partsOn, type LaidSheet } from '../../../core/cutting/laid.js';
import type { Blank } from '../../../core/layout/blanks.js';
import type { Begun, Cutting } from '../../../core/layout/spec.js';
import type { Offcut, Stock } from '../../../core/stock/index.js';
import type { Rest, Sums } from '../../../core/layout/sums.js';

type Pin = Cutting['pins'][number];

/** A blank held where it lies, or somewhere else. */
export function pinned(cutting: Cutting, pin: Pin): Partial<Cutting> {
  return { pins: [...cutting.pins.filter((p) => p.part !== pin.part), pin] };
}

/** Everything on a sheet held where it lies. */
export function allPinned(cutting: Cutting, stock: string, laid: LaidSheet): Partial<Cutting> {
  const pins = partsOn(laid).map(({ id, x, y, turned }): Pin => ({ part: id, stock, sheet: laid.sheet, copy: laid.copy, x, y, turned }));
  const held = new Set(pins.map((p) => p.part));
  return { pins: [...cutting.pins.filter((p) => !held.has(p.part)), ...pins] };
}

/** A blank that may lie anywhere again. */
export function unpinned(cutting: Cutting, keys: ReadonlySet<string>): Partial<Cutting> {
  return { pins: cutting.pins.filter((p) => !keys.has(p.part)) };
}

/** A blank that may lie across the grain, or may no more. */
export function turnable(cutting: Cutting, { key }: Blank, may: boolean): Partial<Cutting> {
  const others = cutting.turns.filter((t) => t !== key);
  return { turns: may ? [...others, key] : others };
}

const isSame = (a: Pick<Begun, 'stock' | 'sheet' | 'copy'>, stock: string, laid: Pick<LaidSheet, 'sheet' | 'copy'>) =>
  a.stock === stock && a.sheet === laid.sheet && a.copy === laid.copy;

/**
 * A cut that is made, or that was not made after all. The first on a sheet begins it: from then on it stays as it was laid
 * out. A sheet with no cut made is no longer begun.
 */
export function cutMade(cutting: Cutting, stock: string, laid: LaidSheet, key: string, made: boolean): Partial<Cutting> {
  const begun = cutting.begun.find((b) => isSame(b, stock, laid) && !b.booked);
  const now: Begun = begun ?? { stock, ...laid, sawn: laid.sawn, done: [] };
  const done = made ? [...new Set([...now.done, key])] : now.done.filter((d) => d !== key);
  const others = cutting.begun.filter((b) => b !== begun);
  const keys = new Set(partsOn(laid).map((p) => p.id));
  return { begun: done.length > 0 ? [...others, { ...now, done }] : others, ...unpinned(cutting, keys) };
}

/** Whether every cut of a sheet that was begun is made. */
export function isDone(begun: Begun, laid: LaidSheet): boolean {
  const done = new Set(begun.done);
  return cutsOf([laid]).every((c) => done.has(c.key));
}

/** A part that went wrong: it is laid out anew. */
export function spoiled(cutting: Cutting, begun: Begun, key: string): Partial<Cutting> {
  return { begun: cutting.begun.map((b) => (b === begun ? { ...b, spoiled: [...(b.spoiled ?? []), key] } : b)) };
}

type Kept = NonNullable<Cutting['reserved']>;

/** A sheet that is done with is taken off what is on hand, and off what was reserved. */
export function booked(cutting: Cutting, begun: Begun): Partial<Cutting> {
  const { reserved } = cutting;
  const isIt = (r: Kept[number]) => r.stock === begun.stock && r.sheet === begun.sheet;
  const left = reserved?.flatMap((r) => (!isIt(r) ? [r] : r.count > 1 ? [{ ...r, count: r.count - 1 }] : []));
  return { begun: cutting.begun.map((b) => (b === begun ? { ...b, booked: true } : b)), ...(left ? { reserved: left } : {}) };
}

/** What layouts take of what is on hand, to be reserved. */
export function onHandUsed(stocks: readonly { readonly id: string; readonly sums: Sums }[]): Kept {
  return stocks.flatMap(({ id, sums }) =>
    sums.used
      .filter((u) => u.source.from !== 'to buy')
      .map(({ source, count }): Kept[number] => ({ stock: id, sheet: source.sheet.id, count })),
  );
}

/** Whether two reservations are the same, in whatever order. */
export function areSame(a: Kept, b: Kept): boolean {
  const text = (kept: Kept) => kept.map((r) => `${r.stock} ${r.sheet} ${r.count}`).sort();
  return text(a).join() === text(b).join();
}

/** The stock once a sheet of it is used up and its rests are kept. */
export function stockAfter(stock: Stock, { sheet }: Pick<Begun, 'sheet'>, rests: readonly Pick<Rest, 'length' | 'width'>[]): Stock {
  const offcuts = (stock.offcuts ?? []).flatMap((o): Offcut[] => {
    if (`offcut ${o.name}` !== sheet) return [o];
    return o.count > 1 ? [{ ...o, count: o.count - 1 }] : [];
  });
  const taken = new Set(offcuts.map((o) => o.name));
  const named = rests.map(({ length, width }): Offcut => {
    let n = 1;
    while (taken.has(`Offcut ${n}`)) n += 1;
    taken.add(`Offcut ${n}`);
    return { name: `Offcut ${n}`, length, width, count: 1 };
  });
  const less = <T extends { onHand?: number }>(one: T, i: number): T =>
    sheet === `have ${i}` ? { ...one, onHand: Math.max(0, (one.onHand ?? 0) - 1) } : one;
  const { sizes } = stock;
  return {
    ...less(stock, 0),
    ...(sizes ? { sizes: sizes.map((s, i) => less(s, i + 1)) } : {}),
    offcuts: [...offcuts, ...named],
  };
}
