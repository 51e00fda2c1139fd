import { len, say } from '../../figure/index.js';
import type { ShapeProblem } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import type { Envelope } from './envelope.js';
import type { Frame } from './spec.js';

/** What is wrong with a frame as it is said. */
export function frameProblems(piece: Frame, { posts, clear }: Envelope, _: Workshop): ShapeProblem[] {
  const { middles = [] } = piece.posts;
  const gone = middles.length - (posts.pairs.length - 2);
  return [
    ...(gone > 0
      ? [
          {
            id: 'middles',
            about: 'posts',
            stops: true,
            sentence: say`${gone === 1 ? 'A middle post stands' : `${gone} middle posts stand`} outside the frame, or in a post at its end.`,
            fixes: [
              {
                label: say`Leave ${gone === 1 ? 'it' : 'them'} out`,
                edit: {
                  kind: 'piece' as const,
                  patch: { posts: { ...piece.posts, middles: posts.pairs.slice(1, -1).map((p) => p.rear.x0) } },
                },
              },
            ],
          },
        ]
      : []),
    ...(clear.width.value <= 0
      ? [
          {
            id: 'posts-thick',
            about: 'posts',
            stops: true,
            sentence: say`Two posts of ${len(posts.post.across.value)} are wider than the frame, ${len(posts.ring.width.value)}.`,
            fixes: [],
          },
        ]
      : []),
  ];
}
