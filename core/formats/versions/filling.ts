import { isRaw, within, type Raw, type Step } from './step.js';

function renamed(space: Raw): Raw {
  const { cells, ...rest } = space;
  const kept: Raw = cells === undefined ? space : { ...rest, filling: cells };
  return within(kept, 'split', (split) =>
    Array.isArray(split['spaces']) ? { ...split, spaces: split['spaces'].map((s: unknown) => (isRaw(s) ? renamed(s) : s)) } : split,
  );
}

/** What fills a space as a whole may be other things than cells: it is its `filling`, whatever that is. */
export const filling: Step = {
  from: 1,
  records: { pieces: (kept) => within(kept, 'piece', (piece) => within(piece, 'interior', renamed)) },
};
