import { ZERO, type Length } from '../../core/length/index.js';
import type { PieceEdit } from '../../core/piece/index.js';
import { usePrecision } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { useSettledBench } from './bench.js';

/** Fields that change some part of a piece: at once, or for a length while it is typed. `edit` makes an edit of a patch. */
export function useEditFields<P>(edit: (patch: P) => PieceEdit) {
  const { commit, setDraft } = useSettledBench();
  const precision = usePrecision();
  const change = (patch: P, label: string) => commit(edit(patch), label);
  const length = (label: string, value: Length, patch: (value: Length) => P, zero = false) => (
    <LengthField
      label={label}
      value={value}
      precision={precision}
      {...(zero ? { least: ZERO } : {})}
      onCommit={(next) => next !== null && change(patch(next), `Changed ${label.toLowerCase()}`)}
      onDraft={(next) => setDraft(next === null ? null : { kind: 'edit', edit: edit(patch(next)) })}
    />
  );
  return { change, length };
}
