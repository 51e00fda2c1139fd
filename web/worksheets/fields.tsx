import type { Cells, Making, PieceEdit } from '../../core/piece/index.js';
import { useEditFields } from '../bench/edit-fields.js';
import { useProject } from '../data/project.js';
import { Select } from '../shared/ui.js';

/** How the fields of a making are changed: at once, or for a length while it is typed. */
export function useMakingFields<M extends Making | Cells>(space: string, making: M) {
  const { bench } = useProject();
  const edit = (patch: Partial<M>): PieceEdit => {
    const next = { ...making, ...patch };
    return next.kind === 'cells' ? { kind: 'cells', space, cells: next as Cells } : { kind: 'making', space, making: next as Making };
  };
  const { change, length } = useEditFields(edit);
  const wood = (label: string, value: string, patch: (id: string) => Partial<M>) => (
    <Select
      label={label}
      value={value}
      choices={bench.records.stock.map((s) => ({ id: s.id, label: s.data.name }))}
      onChange={(id) => change(patch(id), `Changed ${label.toLowerCase()}`)}
    />
  );
  return { change, length, wood };
}
