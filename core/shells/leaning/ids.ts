/** The members of a leaning piece itself. */
export const LEANING = {
  left: 'leaning/side/left',
  right: 'leaning/side/right',
  brace: 'leaning/brace',
  leg: (hand: 'left' | 'right') => `leaning/leg/${hand}`,
  foot: (hand: 'left' | 'right') => `leaning/foot/${hand}`,
} as const;

/** The node that they come from. */
export const LEANING_NODE = 'leaning';
