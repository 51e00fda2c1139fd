/** The nodes that members of a frame come from: its posts and sheets, and its highest level. */
export const FRAME_NODE = 'frame';
export const TOP_NODE = 'frame-top';

export const FRAME = {
  post: (side: 'rear' | 'front', pair: number) => `${FRAME_NODE}/post/${side}-${pair + 1}`,
  rear: `${FRAME_NODE}/sheet/rear`,
  left: `${FRAME_NODE}/sheet/left`,
  right: `${FRAME_NODE}/sheet/right`,
} as const;
