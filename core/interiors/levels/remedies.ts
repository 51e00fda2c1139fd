import { len, say } from '../../figure/index.js';
import { least, type Length } from '../../length/index.js';
import type { Member } from '../../piece/index.js';
import type { PieceEdit } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { STEPS, type Candidate } from '../../remedies/index.js';
import { propertiesOf } from '../../stock/index.js';
import type { Level } from './spec.js';

/** Rails are tried so many steps wider. */
const WIDER = 4;

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
  const { coarse, apart } = STEPS[workshop.settings.unit];
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
    const wider = Array.from({ length: WIDER }, (_, i) => least([(rails.wide + (i + 1) * coarse) as Length, stock.width]));
    for (const wide of new Set(wider.filter((w) => w > rails.wide)))
      found.push({
        label: say`Rails ${len(wide)} wide`,
        edit: edit({ ...level, rails: { ...rails, wide } }),
        looks: rails.flat ? say`rails are broader` : say`less room under it`,
        sort: 'wider rails',
      });
  }
  // Blocks in the corners are where bars would lie.
  if (role === 'rail' && !rails.flat && !rails.bar && !level.corners) found.push(...bars(level, workshop, edit));
  if (deck && !deck.slats && (role === 'deck' || role === 'cross piece')) {
    const closer = apart.filter((most) => !cross || most < cross.most);
    for (const most of closer)
      found.push({
        label: say`Cross pieces under it, ${len(most)} apart at most`,
        edit: edit({ ...level, cross: { most } }),
        looks: say`hidden under the deck`,
        sort: 'cross pieces',
      });
  }
  return found;
}
