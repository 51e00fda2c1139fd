/** The members of the case itself, without what divides it. */
export const CASE = {
  left: 'case/side/left',
  right: 'case/side/right',
  top: 'case/top/1',
  bottom: 'case/bottom/1',
  back: 'case/back/1',
  toe: 'base/toe-board/1',
  behind: 'base/rear-bearer/1',
  front: 'base/rail/front',
  rear: 'base/rail/rear',
} as const;

/** The nodes that they come from: the case, and what it stands on. */
export const CASE_NODE = 'case';
export const BASE_NODE = 'base';

/** What goes with a lid, and the lid as a body. */
export const LID = { node: 'lid', body: 'lid', left: 'lid/ledge/left', right: 'lid/ledge/right', rail: 'lid/rail/1' } as const;

/** Strips in its corners. */
export const BLOCKS = {
  node: 'corner-blocks',
  block: (panel: 'top' | 'bottom', hand: 'left' | 'right') => `corner-blocks/${panel}/${hand}`,
} as const;

/** A bar across the front that is lifted out, a body of its own, and the tabs behind it. */
export const BAR = { node: 'access-bar', bar: 'access-bar/rail/1', tab: (n: 1 | 2) => `access-bar/stop/${n}` } as const;

/** The members that a case hangs by. */
export const HUNG = {
  node: 'cleat',
  case: 'cleat/half/case',
  wall: 'cleat/half/wall',
  bumper: 'cleat/bumper',
  rail: 'cleat/rail',
} as const;
