/** The members of a leaning piece itself. */
export const LEANING = { left: 'leaning/side/left', right: 'leaning/side/right', brace: 'leaning/brace' } as const;

/** The node that they come from. */
export const LEANING_NODE = 'leaning';
