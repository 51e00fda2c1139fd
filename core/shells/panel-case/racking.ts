import type { Carried } from '../../carry/index.js';
import { force, say, type Sentence } from '../../figure/index.js';
import { leanCheck, toWall, type Check, type Fix } from '../../finding/index.js';
import { pieceFix } from '../../finding/index.js';
import { dividingMembersOf, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { rackingOf } from './back-racking.js';
import type { PanelCase } from './spec.js';
import { asNewtons } from '../../measures/index.js';

/** Whether shelves and dividers are all loose, so that not even what is not counted keeps it upright. */
function allLoose(piece: PanelCase): boolean {
  return [...dividingMembersOf(piece.interior)].every(({ owner, member }) => {
    if (owner.split?.making) return true;
    const fix = member.fix ?? (owner.split?.axis === 'up' ? piece.panels.shelves.fix : piece.panels.dividers.fix);
    return member.room !== undefined || fix === 'loose';
  });
}

/** Whether a push at the top leans a piece over sideways, and what keeps it from that; from the front to the rear its sides do. */
export function caseRacking(piece: PanelCase, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const { push, by, takes, state, reason } = rackingOf(piece, shape, carried, workshop.settings);
  const pushed = say`A push of ${force(push)} at its top`;
  const check = (severity: Check['severity'], sentence: Sentence, fixes: readonly Fix[] = []): Check[] => [
    leanCheck(severity, state, sentence, fixes),
  ];
  switch (by) {
    case 'wall':
      return check(
        'good',
        say`${pushed} is taken by the wall that it is fixed to at the top, and by its sides from the front to the rear.`,
      );
    case 'nothing': {
      const loose = allLoose(piece);
      const why = loose ? say`its shelves are loose` : say`shelves and dividers alone are not counted on`;
      return check(
        loose ? 'stop' : 'look',
        say`${pushed} leans it over sideways: it has no back, and ${why}. Fix it to the wall, or give it a back.`,
        [
          toWall(),
          ...(piece.stock.back === undefined
            ? []
            : [pieceFix(say`Screw a back over its rear edges`, { kind: 'piece', patch: { back: { kind: 'applied' } } })]),
        ],
      );
    }
    case 'loose back': {
      const glue =
        piece.back.kind === 'groove'
          ? [pieceFix(say`Glue the back into its grooves`, { kind: 'piece', patch: { back: { ...piece.back, glued: true } } })]
          : [];
      return check('look', say`${pushed}: not checked sideways, since its back is loose in its grooves.`, [...glue, toWall()]);
    }
    default: {
      const back = by === 'glued back' ? 'its glued back' : 'its back by its screws';
      if (takes === null)
        return check('look', say`${pushed}: not checked sideways, since ${reason ?? 'the back is not known'}.`, [toWall()]);
      const sentence = say`${pushed}: ${back} takes ${force(asNewtons(takes))} sideways, and its sides take it from the front to the rear.`;
      return check(state === 'fails' ? 'stop' : state === 'close' ? 'look' : 'good', sentence, state === 'fine' ? [] : [toWall()]);
    }
  }
}
