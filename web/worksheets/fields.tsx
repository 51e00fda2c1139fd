import { ZERO, type Length } from '../../core/length/index.js';
import type { Cells, Making, PieceEdit } from '../../core/piece/index.js';
import { useSettledBench } from '../bench/bench.js';
import { usePrecision, useProject } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { Select } from '../shared/ui.js';

/** How the fields of a making are changed: at once, or for a length while it is typed. */
export function useMakingFields<M extends Making | Cells>(space: string, making: M) {
  const { commit, setDraft } = useSettledBench();
  const { bench } = useProject();
  const precision = usePrecision();
  const edit = (patch: Partial<M>): PieceEdit => {
    const next = { ...making, ...patch };
    return next.kind === 'cells' ? { kind: 'cells', space, cells: next as Cells } : { kind: 'making', space, making: next as Making };
  };
  const change = (patch: Partial<M>, label: string) => commit(edit(patch), label);
  const length = (label: string, value: Length, patch: (value: Length) => Partial<M>, zero = false) => (
    <LengthField
      label={label}
      value={value}
      precision={precision}
      {...(zero ? { least: ZERO } : {})}
      onCommit={(next) => next !== null && change(patch(next), `Changed ${label.toLowerCase()}`)}
      onDraft={(next) => setDraft(next === null ? null : { kind: 'edit', edit: edit(patch(next)) })}
    />
  );
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
