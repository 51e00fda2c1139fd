import { isFilling } from '../../core/interiors/index.js';
import type { Filling, Making, PieceEdit } from '../../core/piece/index.js';
import { useEditFields } from '../bench/edit-fields.js';
import { StockSelect } from '../shared/stock-select.js';

/** How the fields of a making are changed: at once, or for a length while it is typed. */
export function useMakingFields<M extends Making | Filling>(space: string, making: M) {
  const edit = (patch: Partial<M>): PieceEdit => {
    const next = { ...making, ...patch };
    return isFilling(next) ? { kind: 'filling', space, filling: next } : { kind: 'making', space, making: next as Making };
  };
  const { change, length, way } = useEditFields('making', edit);
  const wood = (label: string, value: string, patch: (id: string) => Partial<M>) => (
    <StockSelect label={label} value={value} onChange={(id) => change(patch(id), `Changed ${label.toLowerCase()}`)} />
  );
  return { change, length, way, wood };
}
