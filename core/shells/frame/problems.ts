import { len, say, writeExactly, type Sentence } from '../../figure/index.js';
import { seamsOf } from '../../interiors/levels/index.js';
import { ZERO, add, scale, sub, type Length } from '../../length/index.js';
import type { PostPair, ShapeProblem } from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import type { Envelope } from './envelope.js';
import { letInProblems } from './let-in.js';
import type { Frame } from './spec.js';

/** Two posts that leave nothing between them. */
function thick(more: Sentence, are: boolean, post: Length, frame: Length): ShapeProblem[] {
  if (!are) return [];
  const sentence = say`Two posts of ${len(post)} are together as large as the frame, ${len(frame)}, or ${more}: nothing is left between them.`;
  return [{ id: `posts-${writeExactly(more)}`, about: 'posts', stops: true, sentence, fixes: [] }];
}

/** Seams of rails that are longer than their stock, and that no post is under. */
function seamsInMidAir(piece: Frame, { posts }: Envelope, workshop: Workshop): ShapeProblem[] {
  if (posts.joined === 'between') return [];
  const { ring, pairs, post } = posts;
  const { stock } = woodOf(workshop, piece.top.level.rails.stock);
  if (piece.through === 'deep') {
    const long = sub(ring.width.value, add(posts.rail.value, posts.rail.value));
    if (long <= stock.length) return [];
    const sentence = say`Rails across are ${len(long)} and boards ${len(stock.length)}: where those from the front to the rear run through, no post is under their seams.`;
    const fixes = [
      { label: say`Let the rails across run through`, edit: { kind: 'piece' as const, patch: { through: 'across' as const } } },
    ];
    return [{ id: 'seams', about: 'posts', stops: true, sentence, fixes }];
  }
  const levels = piece.interior.split?.members.length ?? 0;
  const ways = levels > 0 ? [false, true] : [false];
  const seams = ways.flatMap((fromRight) => seamsOf(ring.width.value, stock.length, fromRight)).map((x) => add(x, ring.x));
  const bare = [...new Set(seams)].filter((x) => !pairs.some((p) => p.rear.x0 < x && x < p.rear.x1)).sort((a, b) => a - b);
  const [first] = bare;
  if (first === undefined) return [];
  const under = bare.map((x) => sub(x, scale(post.across.value, 0.5)));
  return [
    {
      id: 'seams',
      about: 'posts',
      stops: true,
      sentence: say`Rails are made of boards of ${len(stock.length)}, and ${bare.length === 1 ? 'a seam is' : `${bare.length} seams are`} over no post, the first ${len(first)} from the left.`,
      fixes: [
        {
          label: bare.length === 1 ? say`Put posts under it` : say`Put posts under them`,
          edit: {
            kind: 'piece',
            patch: { posts: { ...piece.posts, middles: [...(piece.posts.middles ?? []), ...under].sort((a, b) => a - b) } },
          },
        },
      ],
    },
  ];
}

/** A pair of posts that stands in the one before it. */
function postsMeet(piece: Frame, pairs: readonly PostPair[], at: number): ShapeProblem[] {
  const pair = pairs[at];
  if (!pair) return [];
  const middles = pairs.slice(1, -1).map((p) => p.rear.x0);
  const kept = middles.filter((x) => x !== pair.rear.x0);
  return [
    {
      id: 'posts-meet',
      about: 'posts',
      stops: true,
      sentence: say`The posts ${len(pair.rear.x0)} from the left stand in those before them.`,
      fixes:
        kept.length < middles.length
          ? [{ label: say`Leave them out`, edit: { kind: 'piece', patch: { posts: { ...piece.posts, middles: kept } } } }]
          : [],
    },
  ];
}

/** What is wrong with a frame as it is said. */
export function frameProblems(piece: Frame, envelope: Envelope, workshop: Workshop): ShapeProblem[] {
  const { posts, clear } = envelope;
  const { middles = [] } = piece.posts;
  const lap = piece.joined === 'lapped' ? sub(posts.rail.value, posts.letIn) : ZERO;
  const free = sub(posts.ring.depth.value, add(lap, lap, posts.post.deep.value, posts.post.deep.value));
  const gone = middles.length - (posts.pairs.length - 2);
  const meet = posts.pairs.findIndex((p, i) => i > 0 && p.rear.x0 < (posts.pairs[i - 1] as PostPair).rear.x1);
  return [
    ...postsMeet(piece, posts.pairs, meet),
    ...letInProblems(piece, envelope),
    ...seamsInMidAir(piece, envelope, workshop),
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
