import type { LaidSheet, Sawn } from '../cutting/laid.js';
import type { Pin, Sheet } from '../cutting/sheets/index.js';
import { ZERO, fromUnits, mm, type Length } from '../length/index.js';
import type { Flaw } from '../stock/index.js';

/** What a board is crosscut into, from its end: clear lengths that parts are laid out on, each under an id of its own, and what is between them. */
interface Stretch {
  readonly from: Length;
  readonly to: Length;
  /** None of a stretch with a flaw in it. */
  readonly id: string | null;
}

/** A board with knots or splits in it. Plain data. */
export interface Flawed {
  readonly sheet: Sheet;
  readonly stretches: readonly Stretch[];
}

/** Nothing thinner than this is cut off between two cuts. */
const THINNEST = mm(1);

/**
 * What a board is cut into so that nothing has a flaw in it. Each cut lies within the flaw where that is as wide as the blade; of
 * two flaws with nothing between them the one goes on in the other.
 * @example stretchesOf({ id: 'a', length: mm(2000) }, [], mm(3)).length // 1
 */
export function stretchesOf({ id, length }: Sheet, flaws: readonly Flaw[], kerf: Length): readonly Stretch[] {
  const stretches: Stretch[] = [];
  let start: Length = ZERO;
  // One that was told from its far end is the same one.
  const inOrder = flaws
    .map((f) => ({ from: fromUnits(Math.min(f.from, f.to)), to: fromUnits(Math.max(f.from, f.to)) }))
    .filter((f) => f.to > f.from && f.from < length)
    .sort((a, b) => a.from - b.from);
  for (const { from, to } of inOrder) {
    if (to <= start) continue;
    if (from > start) {
      stretches.push({ from: start, to: from, id: `${id} clear ${stretches.length}` });
      start = fromUnits(from + kerf);
    }
    if (to <= start) continue;
    if (to >= length) return start < length ? [...stretches, { from: start, to: length, id: null }] : stretches;
    const end = fromUnits(Math.max(to - kerf, start + THINNEST));
    stretches.push({ from: start, to: end, id: null });
    start = fromUnits(end + kerf);
  }
  return start < length ? [...stretches, { from: start, to: length, id: `${id} clear ${stretches.length}` }] : stretches;
}

/** The clear lengths of boards with flaws in place of these; each costs its share of its board. @example clearSheets([]) // [] */
export function clearSheets(flawed: readonly Flawed[]): readonly Sheet[] {
  return flawed.flatMap(({ sheet, stretches }) =>
    stretches.flatMap(({ from, to, id }): Sheet[] => {
      if (id === null) return [];
      const length = fromUnits(to - from);
      return [{ ...sheet, id, length, count: Math.min(1, sheet.count), taken: [], cost: (sheet.cost * length) / sheet.length }];
    }),
  );
}

/**
 * A pin on a board with flaws as one on the clear length that it is in; where a flaw is in the way it stays as it is, and finds no sheet.
 * @example toMm(pinOnClear({ sheet: 's', x: mm(1200) }, [{ sheet: { id: 's' }, stretches: [{ id: 's 2', from: mm(1000), to: mm(2500) }] }]).x) // 200
 */
export function pinOnClear(pin: Pin, flawed: readonly Flawed[]): Pin {
  const stretches = flawed.find((f) => f.sheet.id === pin.sheet)?.stretches ?? [];
  const on = stretches.find((s) => s.id !== null && s.from <= pin.x && pin.x < s.to);
  return on?.id ? { ...pin, sheet: on.id, copy: 0, x: fromUnits(pin.x - on.from) } : pin;
}

function moved(sawn: Sawn, by: Length): Sawn {
  const x = fromUnits(sawn.x + by);
  if (sawn.kind !== 'cut') return { ...sawn, x };
  return { ...sawn, x, near: moved(sawn.near, by), far: sawn.far && moved(sawn.far, by) };
}

/** One board of what is laid out on its clear lengths: it is crosscut at its flaws first. */
function wholeBoard({ sheet: { id, length, width, trim }, stretches }: Flawed, laid: ReadonlyMap<string, LaidSheet>): LaidSheet {
  const box = { y: ZERO, width };
  const from = (nth: number): Sawn => {
    const stretch = stretches[nth] as Stretch;
    const own = { ...box, x: stretch.from, length: fromUnits(stretch.to - stretch.from) };
    const on = stretch.id === null ? undefined : laid.get(stretch.id);
    const near: Sawn = on ? moved(on.sawn, stretch.from) : { kind: 'left', ...own, ...(stretch.id === null ? { flaw: true } : {}) };
    const far = nth + 1 < stretches.length ? from(nth + 1) : null;
    // The blade may leave nothing of what is beyond it, where a flaw reaches to the end.
    if (!far && stretch.to >= length) return near;
    return {
      kind: 'cut',
      ...box,
      x: stretch.from,
      length: fromUnits(length - stretch.from),
      way: 'crosscut',
      at: own.length,
      near,
      far,
    };
  };
  return { sheet: id, copy: 0, length, width, trim, sawn: from(0) };
}

const boardsOf = (flawed: readonly Flawed[]) =>
  new Map(flawed.flatMap((f) => f.stretches.flatMap((s) => (s.id === null ? [] : [[s.id, f] as const]))));

/** The boards that are opened, of which several clear lengths may be one. @example wholeIds(['a'], []) // ['a'] */
export function wholeIds(ids: readonly string[], flawed: readonly Flawed[]): readonly string[] {
  const of = boardsOf(flawed);
  return [...new Set(ids.flatMap((id) => of.get(id)?.sheet.id ?? [])), ...ids.filter((id) => !of.has(id))];
}

/** An answer with boards whole again, in place of their clear lengths. */
export function boardsWhole<
  T extends { readonly laid: readonly LaidSheet[]; readonly bound: { readonly count: number; readonly cost: number } },
>(answer: T, flawed: readonly Flawed[]): T {
  if (flawed.length === 0) return answer;
  const of = boardsOf(flawed);
  const used = new Set(answer.laid.flatMap((l) => of.get(l.sheet) ?? []));
  const byId = new Map(answer.laid.map((l) => [l.sheet, l]));
  const whole = [...used].map((f) => wholeBoard(f, byId));
  // The bound counts clear lengths, of which one board may have several.
  const extra = flawed.reduce((sum, f) => sum + Math.max(0, f.stretches.filter((s) => s.id !== null).length - 1), 0);
  const count = answer.bound.count > 0 ? Math.max(1, answer.bound.count - extra) : 0;
  return { ...answer, laid: [...whole, ...answer.laid.filter((l) => !of.has(l.sheet))], bound: { ...answer.bound, count } };
}
