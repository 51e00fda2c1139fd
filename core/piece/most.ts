/**
 * So many parts of one piece are worked out, spaces of one piece, and cells of one space. A workshop's largest pieces have
 * a few hundred; what has more than these is told so before it is worked out, since it would hold up whoever asked.
 */
export const MOST_PARTS = 3000;
export const MOST_SPACES = 2000;
export const MOST_CELLS = 2000;
