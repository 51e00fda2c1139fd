import type { InPlace } from '../../../core/shells/index.js';
import { fetched } from '../../shared/boundary.js';
import type { ShellPage } from '../page.js';

const InPlaceForm = fetched(() => import('./form.js').then((m) => m.InPlaceForm));

export const inPlacePage: ShellPage = {
  kind: 'in-place',
  Form: ({ piece }) => <InPlaceForm piece={piece as InPlace} />,
  unmeasured: (piece) => ({
    title: (piece as InPlace).place,
    text: 'Give what is clear in it at the left: width, height and depth as the tape says. Where it should be measured at several places, measure it as an opening, and let the sizes come from that.',
  }),
  cards: [],
};
