import { isRaw, within, type Found, type Raw, type Step } from './step.js';

/** A space without what the tape said of it, and that. */
function taken(space: Raw, piece: string): { readonly space: Raw; readonly found: readonly Raw[] } {
  const { measured, ...rest } = space;
  const own = isRaw(measured)
    ? ['width', 'height', 'depth'].flatMap((reach) =>
        measured[reach] === undefined ? [] : [{ piece, space: space['id'], reach, value: measured[reach] }],
      )
    : [];
  const found: Raw[] = [...own];
  const kept: Raw = measured === undefined ? space : rest;
  const divided = within(kept, 'split', (split) => {
    const { spaces } = split;
    if (!Array.isArray(spaces)) return split;
    const parts = spaces.map((s: unknown) => {
      if (!isRaw(s)) return s;
      const inner = taken(s, piece);
      found.push(...inner.found);
      return inner.space;
    });
    return { ...split, spaces: parts };
  });
  return { space: divided, found };
}

/** What the tape said of what was built stood in the plan; it is a reading of its own, which no edit of the plan takes along. */
export const asBuilt: Step = {
  from: 2,
  records: { pieces: (kept) => within(kept, 'piece', (piece) => within(piece, 'interior', (space) => taken(space, '').space)) },
  found: {
    pieces: (id, kept): readonly Found[] => {
      const piece = kept['piece'];
      const interior = isRaw(piece) ? piece['interior'] : undefined;
      return isRaw(interior) ? taken(interior, id).found.map((record) => ({ kind: 'readings', record })) : [];
    },
  },
};
