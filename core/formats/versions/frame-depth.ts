import { isRaw, within, type Step } from './step.js';

/** The depth of the clear inside of a frame is between its posts, as its width is; what was called so was that of the frame without what stands out past it. */
export const frameDepth: Step = {
  from: 4,
  records: {
    pieces: (kept) =>
      within(kept, 'piece', (piece) => {
        const { shell, depth } = piece;
        return shell === 'frame' && isRaw(depth) && depth['of'] === 'inside' ? { ...piece, depth: { ...depth, of: 'sides' } } : piece;
      }),
  },
};
