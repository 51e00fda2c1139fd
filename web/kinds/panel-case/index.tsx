import type { PanelCase } from '../../../core/shells/index.js';
import { fetched } from '../../shared/boundary.js';
import { frame, rows } from '../card.js';
import type { ShellPage } from '../page.js';
import { cube, newCase, withoutBase } from './begin.js';

const PanelCaseForm = fetched(() => import('./form.js').then((m) => m.PanelCaseForm));

export const panelCasePage: ShellPage = {
  kind: 'panel-case',
  Form: ({ piece }) => <PanelCaseForm piece={piece as PanelCase} />,
  unmeasured: () => ({
    title: 'No opening yet',
    text: 'This piece stands free. Measure an opening at the left if it must fit a place; or put things into its spaces under Divide and let them decide its size.',
  }),
  cards: [
    {
      id: 'case',
      name: 'Case',
      says: 'Shelves and bays',
      picture: [...frame, ...rows(2, 9, 42, 2.5, 11, 15)],
      filling: null,
      begin: newCase,
      roundThings: (piece) => ({ ...piece, fixedToWall: false }),
      ideas: [
        { name: 'Bookcase', words: 'bookshelf shelves shelving' },
        { name: 'Closet shelves', words: 'wardrobe alcove built-in nook pantry linen long shelf', inOpening: true },
        {
          name: 'Wall cabinet',
          words: 'medicine kitchen bathroom cupboard hanging',
          sizes: [
            [600, 24],
            [700, 28],
            [250, 10],
          ],
          made: withoutBase,
        },
        {
          name: 'Cube',
          words: 'side table box crate plant',
          sizes: [
            [400, 16],
            [400, 16],
            [350, 14],
          ],
          made: cube,
        },
      ],
    },
  ],
};
