/** A stretch between two supports beside each other, mm. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/**
 * The stretches between supports, from the first to the last, mm.
 * @example spansOf([0, 400, 900]) // [{ from: 0, to: 400 }, { from: 400, to: 900 }]
 */
export function spansOf(places: readonly number[]): readonly Span[] {
  const sorted = [...places].sort((a, b) => a - b);
  return sorted.slice(1).map((to, i) => ({ from: sorted[i] as number, to }));
}

/**
 * The longest of some stretches; none from nowhere to nowhere.
 * @example longestOf([{ from: 0, to: 4 }, { from: 4, to: 9 }]) // { from: 4, to: 9 }
 */
export function longestOf(spans: readonly Span[]): Span {
  return spans.reduce((most, s) => (s.to - s.from > most.to - most.from ? s : most), { from: 0, to: 0 });
}

/**
 * How long the shortest stretch between supports is, mm; all of the beam where there is none.
 * @example shortestSpan({ supports: [{ x: 0 }, { x: 400 }, { x: 900 }], length: 900 }) // 400
 */
export function shortestSpan({
  supports,
  length,
}: {
  readonly supports: readonly { readonly x: number }[];
  readonly length: number;
}): number {
  return spansOf(supports.map((s) => s.x)).reduce((least, s) => Math.min(least, s.to - s.from), length);
}
