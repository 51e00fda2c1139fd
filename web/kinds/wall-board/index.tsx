import type { WallBoard } from '../../../core/shells/index.js';
import { fetched } from '../../shared/boundary.js';
import type { ShellPage } from '../page.js';
import { newWallBoard } from './begin.js';

const WallBoardForm = fetched(() => import('./form.js').then((m) => m.WallBoardForm));

export const wallBoardPage: ShellPage = {
  kind: 'wall-board',
  Form: ({ piece }) => <WallBoardForm piece={piece as WallBoard} />,
  unmeasured: () => ({
    title: 'It hangs on a wall',
    text: 'Give how wide and high its board is and how far it stands out at the left. Choose a wall that was measured, with its studs, and each fin is told whether it stands on one.',
  }),
  outside: () => ({ width: { of: 'Width of the board' }, height: { of: 'Height of the board' } }),
  cards: [
    {
      id: 'wall-board',
      name: 'Wall board',
      says: 'Fins and shelves, no case',
      picture: [
        [4, 6, 52, 2],
        [4, 40, 52, 2],
        [4, 6, 2, 36],
        [54, 6, 2, 36],
        [10, 10, 3, 28],
        [28.5, 10, 3, 28],
        [47, 10, 3, 28],
        [13, 20, 15.5, 3],
        [13, 31, 15.5, 3],
        [31.5, 24, 15.5, 3],
      ],
      filling: null,
      begin: newWallBoard,
      ideas: [{ name: 'Tool wall', words: 'tools hanging board spice rack garage' }],
    },
  ],
};
