import { ZERO } from '../../length/index.js';
import { say } from '../../figure/index.js';
import type { ShapeProblem } from '../../piece/index.js';
import { standsOut } from './envelope.js';
import { patch } from './hung-problem.js';
import type { PanelCase } from './spec.js';

/** An overhang of a top that does not go over the sides, that opens, or that is less deep than the case. @example overhangProblems(CASE) // [] */
export function overhangProblems(piece: PanelCase): readonly ShapeProblem[] {
  const { overhang, lid, topDeep } = piece;
  const { sides, front } = standsOut(piece);
  if (!overhang || sides.length + front.length > 0 || (overhang.sides === ZERO && overhang.front === ZERO)) return [];
  const why = lid ? say`it is a lid` : topDeep !== undefined ? say`it is only so deep` : say`it does not go over them`;
  return [
    {
      id: 'overhang-idle',
      about: 'top',
      stops: false,
      sentence: say`The top is to stand out past the sides, and does not: ${why}.`,
      fixes: [
        ...(lid || topDeep !== undefined ? [] : [{ label: say`The top over the sides`, edit: patch({ top: 'over' }) }]),
        { label: say`No overhang`, edit: patch({ overhang: { sides: ZERO, front: ZERO } }) },
      ],
    },
  ];
}
