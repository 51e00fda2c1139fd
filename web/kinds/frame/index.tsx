import { ZERO } from '../../../core/length/index.js';
import type { Frame } from '../../../core/shells/index.js';
import { newFrame } from '../../data/defaults.js';
import { fetched } from '../../shared/boundary.js';
import { DECK, RAIL, levelsFilling, usualLevel } from '../levels/filling.js';
import { woodFor, type FillingWay, type Means, type Use } from '../means.js';
import type { ShellPage } from '../page.js';

const FrameForm = fetched(() => import('./form.js').then((m) => m.FrameForm));

const POST = { use: 'post', label: 'Posts of', thick: [45, 1.75] } as const satisfies Use;

/** Levels, with what the posts are of. */
const framed: FillingWay = { ...levelsFilling, uses: () => [POST, RAIL, DECK] };

export const framePage: ShellPage = {
  kind: 'frame',
  Form: ({ piece }) => <FrameForm piece={piece as Frame} />,
  unmeasured: () => ({
    title: 'No opening yet',
    text: 'This frame stands free. Give its sizes at the left, of the outside or clear between its posts; or let what stands on it or in it decide them.',
  }),
  cards: [
    {
      id: 'frame',
      name: 'Frame',
      says: 'Posts, rails and decks',
      picture: [
        [8, 4, 4, 42],
        [48, 4, 4, 42],
        [12, 4, 36, 5],
        [12, 22, 36, 5],
        [4, 1, 52, 3],
      ],
      filling: framed,
      begin: (unit, stock) => newFrame(unit, stock),
      made: (piece, means: Means) => {
        const frame = piece as Frame;
        const level = usualLevel(means);
        const deck = { stock: woodFor(means, DECK), goes: 'over', gap: ZERO } as const;
        const posts = { ...frame.posts, stock: woodFor(means, POST) };
        return { ...frame, posts, top: { ...frame.top, level: { ...level, deck } } };
      },
    },
  ],
};
