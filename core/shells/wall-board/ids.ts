/** The members of the board itself, without what divides it. */
export const WALL_BOARD = {
  node: 'wall-board',
  board: 'wall-board/board',
  left: 'wall-board/fin/left',
  right: 'wall-board/fin/right',
} as const;
