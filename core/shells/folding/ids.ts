/** The members of a folding table. */
export const FOLDING = {
  top: 'folding/top',
  pivotBar: 'folding/bar/pivot',
  seatBar: 'folding/bar/seat',
  leg: (pair: 'inner' | 'outer', end: 'left' | 'right') => `folding/leg/${pair}-${end}`,
  stretcher: (pair: 'inner' | 'outer') => `folding/stretcher/${pair}`,
} as const;

/** The node that they come from. */
export const FOLDING_NODE = 'folding';

/** What folds: the inner legs on their pivot, and the outer ones on those. */
export const BODIES = { inner: 'inner-legs', outer: 'outer-legs' } as const;

/** The places that things have on the top. */
export const onTop = (n: number): string => `on-top-${n}`;
