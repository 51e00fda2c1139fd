import { ZERO, type Length } from '../../core/length/index.js';
import type { PieceEdit } from '../../core/piece/index.js';
import { usePrecision, useTerms } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { useSettledBench } from './bench.js';
import { Ways, type OneWay } from './ways.js';

/** A length that no field holds, by which the place is found that a patch puts a length into. */
const NOWHERE = -987_654_321 as Length;

/** The path of a value in a patch: `front.between`; null where it is not in it as it is. */
function pathOf(patch: unknown, value: unknown): string | null {
  if (typeof patch !== 'object' || patch === null) return null;
  for (const [key, inner] of Object.entries(patch)) {
    if (inner === value) return key;
    const further = pathOf(inner, value);
    if (further !== null) return `${key}.${further}`;
  }
  return null;
}

/**
 * Fields that change some part of a piece: at once, for a length while it is typed, or by one of a few ways with what each of them costs.
 * `edit` makes an edit of a patch.
 * @param whose what the fields are of, so that figures lead to them
 */
export function useEditFields<P>(whose: 'piece' | 'making', edit: (patch: P) => PieceEdit) {
  const { commit, setDraft } = useSettledBench();
  const precision = usePrecision();
  const t = useTerms();
  const change = (patch: P, label: string) => commit(edit(patch), label);
  const length = (name: string, value: Length, patch: (value: Length) => P, zero = false) => (
    <LengthField
      label={t(name)}
      of={{ in: whose, field: pathOf(patch(NOWHERE), NOWHERE) ?? name }}
      value={value}
      precision={precision}
      {...(zero ? { least: ZERO } : {})}
      onCommit={(next) => next !== null && change(patch(next), `Changed ${t(name).toLowerCase()}`)}
      onDraft={(next) => setDraft(next === null ? null : { kind: 'edit', edit: edit(patch(next)) })}
    />
  );
  const way = <T extends string>(label: string, value: T, choices: readonly OneWay<T>[], patch: (way: T) => P, said: string) => (
    <Ways label={label} value={value} choices={choices} edit={(to) => edit(patch(to))} said={() => said} />
  );
  return { change, length, way };
}
