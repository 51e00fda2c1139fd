import type { PanelCase } from '../../../core/shells/index.js';
import { fetched } from '../../shared/boundary.js';
import { frame, rows } from '../card.js';
import type { ShellPage } from '../page.js';
import { newCase } from './begin.js';

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
      begin: (onHand) => newCase(onHand, { kind: 'sizes' }),
    },
  ],
};
