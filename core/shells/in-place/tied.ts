import { len, say } from '../../figure/index.js';
import type { Length } from '../../length/index.js';
import type { PieceEdit, ShapeProblem } from '../../piece/index.js';
import type { Within, Workshop } from '../../project/index.js';
import type { InPlace } from './spec.js';

const AXES = ['width', 'height', 'depth'] as const;

/** The sizes of a piece that is made to fit a space of another. @example 824.6 x 84 x 470 clear in a drawer, all three given */
export function sizesWithin({ clear }: Within): Pick<InPlace, 'width' | 'height' | 'depth'> {
  const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
  return { width: given(clear.width), height: given(clear.height), depth: given(clear.depth) };
}

const untied: PieceEdit = { kind: 'piece', patch: {}, without: ['tied'] };

/** What is told of a piece that is made to fit a space of another which measures otherwise by now, or is gone. */
export function tieProblems(piece: InPlace, { within }: Workshop): readonly ShapeProblem[] {
  if (!piece.tied || within === undefined) return [];
  const untie = { label: say`Keep its sizes, and make it to fit nothing`, edit: untied };
  const problem = (id: string, sentence: ShapeProblem['sentence'], fixes: ShapeProblem['fixes']): ShapeProblem => ({
    id,
    about: piece.interior.id,
    stops: false,
    sentence,
    fixes,
  });
  if (within === null) return [problem('tied-gone', say`What it was made to fit is gone: it keeps the sizes that it has.`, [untie])];
  const off = AXES.filter((axis) => {
    const size = piece[axis];
    return size.from !== 'given' || size.size !== within.clear[axis];
  });
  if (off.length === 0) return [];
  const { clear } = within;
  return [
    problem(
      'tied-differs',
      say`What it is made to fit, ${within.name}, is ${len(clear.width)} by ${len(clear.height)} by ${len(clear.depth)} now, and this is not: its ${off.join(' and its ')} ${off.length > 1 ? 'differ' : 'differs'}.`,
      [{ label: say`Make it to fit again`, edit: { kind: 'piece', patch: sizesWithin(within) } }, untie],
    ),
  ];
}
