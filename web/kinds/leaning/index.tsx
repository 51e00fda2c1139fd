import type { Leaning } from '../../../core/shells/index.js';
import { fetched } from '../../shared/boundary.js';
import type { ShellPage } from '../page.js';
import { newLeaning } from './begin.js';

const LeaningForm = fetched(() => import('./form.js').then((m) => m.LeaningForm));

export const leaningPage: ShellPage = {
  kind: 'leaning',
  Form: ({ piece }) => <LeaningForm piece={piece as Leaning} />,
  unmeasured: (piece) => ({
    title: (piece as Leaning).legs ? 'It stands free, on rear legs' : 'It leans on a wall',
    text: 'Give its width and how deep its shelves are at the left. How its sides lean, and how long they are, is said under Divide.',
  }),
  outside: (piece) => {
    const { lean } = (piece as Leaning).sides;
    const decided = lean.by !== 'height' && lean.along !== undefined;
    return {
      depth: { of: 'Depth of the shelves' },
      ...(decided ? { height: { follows: 'It follows from how long the sides are and how they lean, under Divide.' } } : {}),
    };
  },
  cards: [
    {
      id: 'leaning',
      name: 'Leaning rack',
      says: 'Two sides at the wall',
      picture: [
        [14, 2, 4, 44],
        [42, 2, 4, 44],
        [18, 9, 24, 3],
        [18, 19, 24, 4],
        [18, 29, 24, 5],
        [18, 39, 24, 6],
      ],
      filling: null,
      begin: newLeaning,
      ideas: [{ name: 'Ladder shelf', words: 'leaning shelves plant towel' }],
    },
  ],
};
