import { amber, green, ink, link } from '../../theme/tokens.js';

/** Lines differ in colour and in their dashes. */
export const STROKES = [
  { stroke: ink, dash: '' },
  { stroke: link, dash: '7 3' },
  { stroke: green, dash: '2 3' },
  { stroke: amber, dash: '9 3 2 3' },
] as const;

/** How many stocks are drawn at once. */
export const MOST_LINES = STROKES.length;
