/** The boards at the ends of a layout, by the space it divides. */
export function endBoardIds(owner: string) {
  return { before: `${owner}/board/first`, after: `${owner}/board/last` } as const;
}

const BOARD = /\/board\/(1|first|last)$/;

/** Whether what is beside a space is a board, into which channels can be cut. */
export function isBoard(memberId: string): boolean {
  return BOARD.test(memberId);
}
