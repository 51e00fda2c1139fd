import { len, say } from '../../figure/index.js';
import { ZERO, greatest, least, sub, type Length } from '../../length/index.js';
import { recess } from '../../joints/index.js';
import { boxOf, notched, type Box, type Feature, type Member, type Posts, type ShapeProblem } from '../../piece/index.js';
import type { Envelope } from './envelope.js';
import type { Frame } from './spec.js';

/** What two boxes have in common; null where they only touch, or do not meet. */
function common(a: Box, b: Box): Box | null {
  const of = (low: 'x0' | 'y0' | 'z0', high: 'x1' | 'y1' | 'z1') => [greatest([a[low], b[low]]), least([a[high], b[high]])] as const;
  const [[x0, x1], [y0, y1], [z0, z1]] = [of('x0', 'x1'), of('y0', 'y1'), of('z0', 'z1')];
  return x0 < x1 && y0 < y1 && z0 < z1 ? { x0, x1, y0, y1, z0, z1 } : null;
}

/** What is cut into a post for a rail that lies in it: a housing in its face, or a notch from its edge. */
function cutFor(post: Member, rail: Member): Feature[] {
  const box = boxOf(post);
  const both = common(box, boxOf(rail));
  if (!both) return [];
  const across = rail.frame.u[0] !== 0;
  const depth = across ? sub(both.z1, both.z0) : sub(both.x1, both.x0);
  const out = across ? (both.z1 === box.z1 ? 1 : -1) : both.x1 === box.x1 ? 1 : -1;
  const through = post.frame.n[across ? 2 : 0];
  if (through !== 0) return [recess('housing', post, through * out > 0 ? 'up' : 'down', rail.id, both, depth)];
  const { region } = recess('housing', post, 'up', rail.id, both, depth) as Extract<Feature, { region: unknown }>;
  return [{ kind: 'notch', face: 'up', region, depth: post.thickness.value, mate: rail.id }];
}

/**
 * What is cut into a post for the end of a rail that goes between posts: a housing in the face that the rail is in line with, as
 * wide as it is let in, or in the face that it comes to, as wide as the rail.
 */
function cutForEnd(post: Member, rail: Member): Feature[] {
  const box = boxOf(post);
  const both = common(box, boxOf(rail));
  if (!both) return [];
  const facesX = post.frame.n[0] !== 0;
  const [depth, out] = facesX ? [sub(both.x1, both.x0), both.x1 === box.x1 ? 1 : -1] : [sub(both.z1, both.z0), both.z1 === box.z1 ? 1 : -1];
  const cut = recess('housing', post, post.frame.n[facesX ? 0 : 2] * out > 0 ? 'up' : 'down', rail.id, both, depth);
  // One as thick as its post is sawn out of the edge.
  return [depth >= post.thickness.value && cut.kind !== 'hole' ? { ...cut, kind: 'notch', face: 'up', depth: post.thickness.value } : cut];
}

/** Posts with what is cut into them for the rails that are let in, and for the pieces that lie in place of one. */
export function letIn(posts: readonly Member[], members: readonly Member[], { letIn: by, joined }: Posts): readonly Member[] {
  if (by === ZERO) return posts;
  const rails = members.filter((m) => m.role === 'rail' || m.role === 'cross piece');
  const cut = joined === 'lapped' ? cutFor : cutForEnd;
  return posts.map((post) => notched({ ...post, features: [...post.features, ...rails.flatMap((rail) => cut(post, rail))] }));
}

/** Posts that keep too little where rails are let in, or rails that would vanish in them. */
export function letInProblems(piece: Frame, { posts }: Envelope): ShapeProblem[] {
  const { letIn: by } = posts;
  const { across, deep } = posts.post;
  const thin = least([across.value, deep.value]);
  const edit = (size: Length) => ({ kind: 'piece' as const, patch: { posts: { ...piece.posts, letIn: size } } });
  const most = least([Math.floor(thin / 3) as Length, posts.rail.value]);
  const fixes = [{ label: say`Let them in ${len(most)}`, edit: edit(most) }];
  const problem = (sentence: ShapeProblem['sentence'], stops: boolean): ShapeProblem[] => [
    { id: 'let-in', about: 'posts', stops, sentence, fixes },
  ];
  if (posts.joined === 'lapped' && by > posts.rail.value)
    return problem(say`Rails of ${len(posts.rail.value)} cannot be let in ${len(by)}.`, true);
  if (by * 2 >= thin)
    return problem(
      say`Let in ${len(by)} from two sides, the rails leave nothing in the corner of posts of ${len(across.value)} by ${len(deep.value)}.`,
      true,
    );
  if (by * 3 > thin)
    return problem(
      say`Posts of ${len(across.value)} by ${len(deep.value)} keep less than two thirds where rails are let in ${len(by)}.`,
      false,
    );
  return [];
}
