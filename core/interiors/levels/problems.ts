import { len, say } from '../../figure/index.js';
import { ZERO, add, least } from '../../length/index.js';
import type { ShapeProblem } from '../../piece/index.js';
import type { LevelAt, Rails } from './level.js';

/** What is wrong with the rails of a level where they meet posts and each other. */
export function railProblems({ at, broad }: Rails): ShapeProblem[] {
  const { posts, level, label, node } = at;
  const { post, joined, rail } = posts;
  const problem = (id: string, sentence: ShapeProblem['sentence']): ShapeProblem => ({
    id: `${id}-${node}`,
    about: node,
    stops: true,
    sentence,
    fixes: [],
  });
  if (joined === 'lapped' && broad.value !== rail.value) {
    return [
      problem(
        'ring',
        say`Rails of ${label} are ${len(broad.value)} and those of the top ${len(rail.value)}: lapped round the same posts they have to be alike.`,
      ),
    ];
  }
  if (joined === 'end-on' && at.underside.value <= at.foot.y.value)
    return [
      problem(
        'inner-posts',
        say`${label.charAt(0).toUpperCase() + label.slice(1)} is ${len(at.underside.value)} over the floor, and what its inner posts stand on ${len(at.foot.y.value)}: put it higher.`,
      ),
    ];
  const { bar, flat } = level.rails;
  const { letIn } = posts;
  const atCorners = (level.rails.front || level.rails.rear) && (level.rails.left || level.rails.right);
  const deep = add(broad.value, letIn);
  if (joined === 'between' && letIn > ZERO && broad.value > least([post.across.value, post.deep.value]))
    return [
      problem(
        'let-in-broad',
        say`Rails of ${label} are ${len(broad.value)} broad and posts ${len(post.across.value)} by ${len(post.deep.value)}: they are not let into what is thinner than they are.`,
      ),
    ];
  if (joined === 'between' && letIn > ZERO && atCorners && deep > post.across.value && deep > post.deep.value)
    return [
      problem(
        'let-in-meet',
        say`Rails of ${label} are ${len(broad.value)} broad and let in ${len(letIn)}: in posts of ${len(post.across.value)} by ${len(post.deep.value)} two of them meet. Let them in less, or take thicker posts.`,
      ),
    ];
  if (bar && (joined !== 'between' || flat))
    return [problem('bar', say`Bars go along rails that stand on edge between posts, and those of ${label} do not: leave them out there.`)];
  if (bar && bar.high > level.rails.wide)
    return [problem('bar-high', say`A bar ${len(bar.high)} high is higher than the rails of ${label}, ${len(level.rails.wide)}.`)];
  if (joined === 'between' && atCorners && broad.value > Math.max(post.across.value, post.deep.value)) {
    return [
      problem(
        'rails-broad',
        say`Rails of ${label} are ${len(broad.value)} broad and posts ${len(post.across.value)} by ${len(post.deep.value)}: at the corners they run into each other. Stand them on edge, or take thicker posts.`,
      ),
    ];
  }
  return [];
}

/** A level without any rail. */
export function withoutRails({ label, node, posts, level }: LevelAt): ShapeProblem[] {
  const { rails } = level;
  if (rails.front || rails.rear || rails.left || rails.right) return [];
  return [
    {
      id: `no-rails-${node}`,
      about: node,
      stops: level.deck !== undefined,
      sentence: say`${label.charAt(0).toUpperCase() + label.slice(1)} has no rails${level.deck ? ', so that nothing holds its deck' : ''}: put some between the ${posts.pairs.length * 2} posts.`,
      fixes: [],
    },
  ];
}
