import { buildingFor, finishFor, glueFor, type Building } from '../build/index.js';
import { fittingLines, fittingsToBuy, slidesSold, type FittingLine, type PieceToCut } from '../layout/index.js';
import { together } from '../solution/index.js';
import type { Hardware, Slide } from '../stock/index.js';

/**
 * All that is bought for some pieces besides their wood, with what they are finished with, against what is sold and on hand.
 * @example fittingsFor([TO_CUT], { buildings: [], hardware: [], slides: [] }).length > 0 // true
 */
export function fittingsFor(
  pieces: readonly PieceToCut[],
  {
    buildings,
    hardware,
    slides,
  }: { readonly buildings: readonly Building[]; readonly hardware: readonly Hardware[]; readonly slides: readonly Slide[] },
): readonly FittingLine[] {
  const fluids = pieces.flatMap(({ id, solution }) => {
    const building = buildingFor(buildings, id);
    return [...glueFor(solution, building), ...finishFor(solution, building)];
  });
  return fittingLines(together([...fittingsToBuy(pieces), ...fluids]), [...hardware, ...slidesSold(slides)]);
}
