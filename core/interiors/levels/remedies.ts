import { len, say } from '../../figure/index.js';
import { least, mm, type Length } from '../../length/index.js';
import type { Member } from '../../piece/index.js';
import type { PieceEdit } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import type { Candidate } from '../../remedies/index.js';
import { propertiesOf } from '../../stock/index.js';
import type { Level } from './spec.js';

/** So much deeper rails are tried. */
const DEEPER = mm(25);
/** Cross pieces are tried so close. */
const CLOSER = mm(400);

/** A bar or an angle of metal along the rails across, of each that is on hand. */
function bars(level: Level, workshop: Workshop, edit: (level: Level) => PieceEdit): readonly Candidate[] {
  const { rails } = level;
  const metal = [...workshop.stock].filter(([, s]) => propertiesOf(s).material.form === 'metal');
  return metal.map(([id, bar]) => {
    const high = least([rails.wide, bar.width]);
    return {
      label: say`${bar.name}, ${len(high)} high, along the rails across`,
      edit: edit({ ...level, rails: { ...rails, bar: { stock: id, high } } }),
      looks: say`on the inside of the rails, out of sight`,
    };
  });
}

/** What might make a rail, a cross piece or a deck of a level pass, besides other stock and less load. */
export function levelRemedies(
  level: Level,
  { role, stock }: Member,
  workshop: Workshop,
  edit: (level: Level) => PieceEdit,
): readonly Candidate[] {
  const { rails, deck, cross } = level;
  const found: Candidate[] = [];
  if (role === 'rail' || role === 'cross piece') {
    if (rails.flat) {
      const onEdge = { ...rails };
      delete onEdge.flat;
      found.push({
        label: say`Stand the rails on edge`,
        edit: edit({ ...level, rails: onEdge }),
        looks: say`rails ${len(rails.wide)} high`,
      });
    }
    const wide = least([(rails.wide + DEEPER) as Length, stock.width]);
    if (wide > rails.wide)
      found.push({
        label: say`Rails ${len(wide)} wide`,
        edit: edit({ ...level, rails: { ...rails, wide } }),
        looks: rails.flat ? say`rails are broader` : say`less room under it`,
      });
  }
  // Blocks in the corners are where bars would lie.
  if (role === 'rail' && !rails.flat && !rails.bar && !level.corners) found.push(...bars(level, workshop, edit));
  if (deck && !deck.slats && (role === 'deck' || role === 'cross piece')) {
    const most = cross ? (Math.round(cross.most / 2) as Length) : CLOSER;
    found.push({
      label: cross ? say`Cross pieces twice as close` : say`Cross pieces under it, ${len(CLOSER)} apart at most`,
      edit: edit({ ...level, cross: { most } }),
      looks: say`hidden under the deck`,
    });
  }
  return found;
}
