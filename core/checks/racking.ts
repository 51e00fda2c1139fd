import { rackingOf, type Carried } from '../carry/index.js';
import { force, say, type Sentence } from '../figure/index.js';
import { dividingMembersOf, type Piece, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { pieceFix, type Check, type Fix } from './check.js';

const ID = 'racking';
const about = { kind: 'piece' } as const;

const toWall = () => pieceFix(say`It will be fixed to the wall`, { kind: 'piece', patch: { fixedToWall: true } });

/** Whether shelves and dividers are all loose, so that not even what is not counted keeps it upright. */
function allLoose(piece: Piece): boolean {
  return [...dividingMembersOf(piece.interior)].every(({ owner, member }) => {
    if (owner.split?.making) return true;
    const fix = member.fix ?? (owner.split?.axis === 'up' ? piece.shelves.fix : piece.dividers.fix);
    return member.room !== undefined || fix === 'loose';
  });
}

/** What stands in a place that is there already leans on that; a rack of ladders stands by itself. */
function inPlace(piece: Piece, shape: Shape): Check[] {
  if (piece.fixedToWall) return [];
  const ladders = shape.members.some((m) => m.role === 'ladder upright');
  const sentence: Sentence = ladders
    ? say`Nothing keeps the ladders from leaning over sideways: fix the rack to the wall, or brace it.`
    : say`Whether it leans over sideways goes by the place that it is put into: not judged.`;
  return [{ id: ID, severity: 'look', state: ladders ? 'fails' : 'not judged', about, sentence, fixes: [toWall()] }];
}

/** Whether a push at the top leans a piece over sideways, and what keeps it from that; from the front to the rear its sides do. */
export function rackingChecks(piece: Piece, shape: Shape, carried: Carried, workshop: Workshop): Check[] {
  if (shape.members.length === 0) return [];
  if (piece.shell !== 'panel-case') return inPlace(piece, shape);
  const { push, by, takes, state, reason } = rackingOf(piece, shape, carried, workshop.settings);
  const pushed = say`A push of ${force(push)} at its top`;
  const check = (severity: Check['severity'], sentence: Sentence, fixes: readonly Fix[] = []): Check[] => [
    { id: ID, severity, state, about, sentence, fixes },
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
      return check('look', say`${pushed}: not judged sideways, since its back is loose in its grooves.`, [...glue, toWall()]);
    }
    default: {
      const back = by === 'glued back' ? 'its glued back' : 'its back by its screws';
      if (takes === null)
        return check('look', say`${pushed}: not judged sideways, since ${reason ?? 'the back is not known'}.`, [toWall()]);
      const sentence = say`${pushed}: ${back} takes ${force(takes)} sideways, and its sides take it from the front to the rear.`;
      return check(state === 'fails' ? 'stop' : state === 'close' ? 'look' : 'good', sentence, state === 'fine' ? [] : [toWall()]);
    }
  }
}
