import { len, say, writeExactly, type Sentence } from '../../figure/index.js';
import { ZERO, add, sub, type Length } from '../../length/index.js';
import type { ShapeProblem } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import type { Envelope } from './envelope.js';
import type { Frame } from './spec.js';

/** Two posts that leave nothing between them. */
function thick(more: Sentence, are: boolean, post: Length, frame: Length): ShapeProblem[] {
  if (!are) return [];
  const sentence = say`Two posts of ${len(post)} are together as large as the frame, ${len(frame)}, or ${more}: nothing is left between them.`;
  return [{ id: `posts-${writeExactly(more)}`, about: 'posts', stops: true, sentence, fixes: [] }];
}

/** What is wrong with a frame as it is said. */
export function frameProblems(piece: Frame, { posts, clear }: Envelope, _: Workshop): ShapeProblem[] {
  const { middles = [] } = piece.posts;
  const lap = piece.joined === 'lapped' ? posts.rail.value : ZERO;
  const free = sub(posts.ring.depth.value, add(lap, lap, posts.post.deep.value, posts.post.deep.value));
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
    ...(middles.length > 0 && piece.joined === 'end-on' && piece.through === 'deep'
      ? [
          {
            id: 'middles-tie',
            about: 'posts',
            stops: true,
            sentence: say`Posts between the ends carry rails that run across, and here those from the front to the rear run through.`,
            fixes: [
              { label: say`Let the rails across run through`, edit: { kind: 'piece' as const, patch: { through: 'across' as const } } },
            ],
          },
        ]
      : []),
    ...thick(say`wider`, clear.width.value <= ZERO, posts.post.across.value, posts.ring.width.value),
    ...thick(say`deeper`, free <= ZERO, posts.post.deep.value, posts.ring.depth.value),
  ];
}
