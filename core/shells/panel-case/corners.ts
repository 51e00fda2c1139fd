import { ZERO, type Length } from '../../length/index.js';
import { len, say } from '../../figure/index.js';
import type { Bearing, End, Member, ShapeProblem } from '../../piece/index.js';
import type { Woods } from './envelope.js';
import { CASE } from './ids.js';
import { patch } from './hung-problem.js';
import { NO_INSET } from './side-outline.js';
import type { Corner, PanelCase } from './spec.js';

export type Panel = 'top' | 'bottom';
export const PANELS = ['top', 'bottom'] as const;

/** How a panel is held at its ends: screwed through the sides, lying on them, let into them, or glued where both are cut aslant. */
export const HELD_AT: Readonly<Record<Corner, Bearing>> = {
  between: 'screws',
  over: 'bearing',
  rebated: 'screws',
  housed: 'housed',
  mitred: 'glued',
};

/** Whether a panel goes into its sides. @example goesIn('housed') // true */
export const goesIn = (corner: Corner): boolean => corner === 'rebated' || corner === 'housed';

/** A plane through an end that goes from one face to the other: so much of u for so much of n; what lies beyond it is cut off, never its long point. */
function slant(u: number, n: number, at: number): End {
  const long = Math.hypot(u, n);
  return { normal: [u / long, 0, n / long], at: Math.ceil(at / long) as Length };
}

/**
 * The cuts of a mitre, from the outer corner of a case to its inner one: over the thickness of the panel along the side, and of the
 * side along the panel, so that they are at 45° where both are as thick.
 */
export function mitreCuts(piece: PanelCase, { id, length }: Member, { sides, top, bottom }: Woods): readonly End[] {
  const t: number = sides.thickness.value;
  const thick: Readonly<Record<Panel, number>> = { top: top.thickness.value, bottom: bottom.thickness.value };
  const mitred = PANELS.filter((p) => piece[p] === 'mitred');
  if (id === CASE.left || id === CASE.right) {
    // The outside of the left one is its lower face, that of the right one its upper.
    const left = id === CASE.left;
    return mitred.map((panel) => {
      const p = thick[panel];
      const high: number = length.value;
      if (panel === 'top') return left ? slant(t, p, high * t) : slant(t, -p, (high - p) * t);
      return left ? slant(-t, p, 0) : slant(-t, -p, -p * t);
    });
  }
  const panel = mitred.find((p) => id === CASE[p]);
  if (!panel) return [];
  const [p, wide]: readonly [number, number] = [thick[panel], length.value];
  // The outside of a top is its upper face, that of a bottom its lower.
  return panel === 'top' ? [slant(-p, -t, -t * p), slant(p, -t, (wide - t) * p)] : [slant(-p, t, 0), slant(p, t, wide * p)];
}

const problem = (id: string, about: Panel, sentence: ShapeProblem['sentence'], fixes: ShapeProblem['fixes']): ShapeProblem => ({
  id: `corner-${about}-${id}`,
  about,
  stops: true,
  sentence,
  fixes,
});

const WHERE = { top: 'upper', bottom: 'lower' } as const;

/** A housing at the very end of a side, which has no shoulder there. */
function atTheEnd(piece: PanelCase, panel: Panel, thick: Length): ShapeProblem[] {
  const inset = piece.inset?.[panel] ?? ZERO;
  const goesOn = inset > ZERO || (panel === 'bottom' && piece.base.kind === 'toe');
  if (piece[panel] !== 'housed' || goesOn) return [];
  return [
    problem(
      'housed',
      panel,
      say`A housing at the very end of the sides has nothing beyond it that holds: set the ${panel} in from their ${WHERE[panel]} ends, by as much as it is thick or more, or rebate it.`,
      [
        { label: say`${len(thick)} in from the ends`, edit: patch({ inset: { ...NO_INSET, ...piece.inset, [panel]: thick } }) },
        { label: say`In rebates`, edit: patch({ [panel]: 'rebated' }) },
      ],
    ),
  ];
}

/** What keeps a corner from being mitred. */
function notMitred(piece: PanelCase, panel: Panel): ShapeProblem[] {
  if (piece[panel] !== 'mitred') return [];
  const between = { label: say`Between the sides`, edit: patch({ [panel]: 'between' }) };
  const corners = panel === 'top' ? (['frontTop', 'rearTop'] as const) : (['frontBottom', 'rearBottom'] as const);
  const inset = piece.inset?.[panel] ?? ZERO;
  if (inset > ZERO)
    return [
      problem('inset', panel, say`A mitred ${panel} ends with the sides, and this one stands ${len(inset)} in from them.`, [
        between,
        ...(piece.inset ? [{ label: say`Flush there`, edit: patch({ inset: { ...piece.inset, [panel]: ZERO } }) }] : []),
      ]),
    ];
  if (panel === 'bottom' && piece.base.kind === 'toe')
    return [
      problem('toe', panel, say`The sides run on to the floor beside the toe board, so that the bottom cannot be mitred with them.`, [
        between,
      ]),
    ];
  if (corners.some((at) => piece.outline?.corners?.[at]))
    return [problem('cut', panel, say`The ${WHERE[panel]} corners of the sides are cut, and a mitred ${panel} ends there.`, [between])];
  if (panel === 'top' && piece.topDeep !== undefined)
    return [problem('deep', panel, say`A mitred top is as deep as the sides that it is cut with.`, [between])];
  return [];
}

/** What keeps top and bottom from being joined to the sides as they are to be. */
export function cornerProblems(piece: PanelCase, { top, bottom }: Woods): readonly ShapeProblem[] {
  const thick = { top: top.thickness.value, bottom: bottom.thickness.value };
  return PANELS.flatMap((panel) => [...atTheEnd(piece, panel, thick[panel]), ...notMitred(piece, panel)]);
}
