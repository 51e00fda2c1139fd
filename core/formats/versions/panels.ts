import { isRaw, within, type Raw, type Step } from './step.js';

/** An object without the fields that are not there. */
const defined = (raw: Raw): Raw => Object.fromEntries(Object.entries(raw).filter(([, value]) => value !== undefined));
const hasSome = (raw: Raw): boolean => Object.keys(raw).length > 0;

function gathered(piece: Raw): Raw {
  const { stock, shelves, dividers, ...rest } = piece;
  if ('panels' in piece || !(isRaw(stock) || shelves || dividers)) return piece;
  const { shelves: ofShelves, dividers: ofDividers, ...others } = isRaw(stock) ? stock : {};
  const own = defined({ shelves: ofShelves, dividers: ofDividers });
  return {
    ...rest,
    // A place that is there already is made of nothing itself.
    ...(hasSome(others) ? { stock: others } : {}),
    panels: defined({ stock: hasSome(own) ? own : undefined, shelves, dividers }),
  };
}

/** How shelves and dividers are made stands together, with the stock that they are made of. */
export const panels: Step = {
  from: 3,
  records: { pieces: (kept) => within(kept, 'piece', gathered) },
};
