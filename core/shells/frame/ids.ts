/** The nodes that members of a frame come from: its posts and sheets, and its highest level. */
export const FRAME_NODE = 'frame';
export const TOP_NODE = 'frame-top';

/** The node of what is drawn out of it, which is a body of that name. */
export const PULL_OUT = 'pull-out';
/** Its slats where they are hinged, a body that goes with it. */
export const HINGED = 'pull-out-slats';

export const FRAME = {
  post: (side: 'rear' | 'front', pair: number) => `${FRAME_NODE}/post/${side}-${pair + 1}`,
  rear: `${FRAME_NODE}/sheet/rear`,
  left: `${FRAME_NODE}/sheet/left`,
  right: `${FRAME_NODE}/sheet/right`,
  brace: (opening: string, n: number, part: number) => `${FRAME_NODE}/brace/${opening}-${n + 1}-${part}`,
  board: `${PULL_OUT}/board`,
  cleat: `${PULL_OUT}/rail`,
  leg: (n: number) => `${PULL_OUT}/leg/${n + 1}`,
  stop: (n: number) => `${PULL_OUT}/stop/${n + 1}`,
} as const;
