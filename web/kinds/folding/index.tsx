import type { Folding } from '../../../core/shells/index.js';
import { fetched } from '../../shared/boundary.js';
import type { ShellPage } from '../page.js';
import { newFolding } from './begin.js';

const FoldingForm = fetched(() => import('./form.js').then((m) => m.FoldingForm));

export const foldingPage: ShellPage = {
  kind: 'folding',
  Form: ({ piece }) => <FoldingForm piece={piece as Folding} />,
  unmeasured: () => ({
    title: 'A table of its own',
    text: 'Give its height and the size of its top at the left, or let what stands on it decide that: what it holds is said under Divide, and the least top for it is worked out.',
  }),
  outside: (piece) => {
    const { apart, degrees } = (piece as Folding).legs;
    return apart !== undefined && degrees !== undefined
      ? { height: { follows: 'It follows from how far the feet are apart and the angle of the legs, under Divide.' } }
      : {};
  },
  cards: [
    {
      id: 'folding',
      name: 'Folding table',
      says: 'Crossing legs under a top',
      picture: [
        [6, 6, 48, 4],
        [12, 10, 6, 3],
        [42, 10, 6, 3],
        [14, 14, 4, 8],
        [20, 22, 4, 6],
        [27, 25, 6, 6],
        [36, 22, 4, 6],
        [42, 14, 4, 8],
        [20, 30, 4, 6],
        [14, 36, 4, 8],
        [36, 30, 4, 6],
        [42, 36, 4, 8],
      ],
      filling: null,
      begin: newFolding,
      ideas: [{ name: 'Folding side table', words: 'camp tray TV picnic butler' }],
    },
  ],
};
