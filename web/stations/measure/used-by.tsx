import type { Piece } from '../../../core/piece/index.js';
import { useBench } from '../../bench/bench.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { LengthField } from '../../shared/length-field.js';
import { usePrecision, useProject } from '../../data/project.js';
import { Faint, Grid, Section, Select } from '../../shared/ui.js';
import { without } from '../../shared/without.js';

type UsedBy = NonNullable<Piece['usedBy']>;

const HOW: readonly { readonly id: UsedBy['how']; readonly label: string }[] = [
  { id: 'stands at', label: 'Stands at it' },
  { id: 'sits at', label: 'Sits at it' },
  { id: 'sits on', label: 'Sits on it' },
];

/** Who uses a piece, and how: it is drawn beside them, and checked against them. */
export function UsedByFields() {
  const { piece, commit } = useBench();
  const { bench } = useProject();
  const precision = usePrecision();
  const { change } = usePieceFields();
  const { people } = bench.records;
  const { usedBy } = piece;
  if (people.length === 0) return null;
  const choose = (person: string) =>
    person === ''
      ? commit({ kind: 'piece', patch: {}, without: ['usedBy'] }, 'Nobody in particular uses it')
      : change({ usedBy: { how: 'stands at', ...usedBy, person } }, 'Chose who uses it');
  return (
    <Section>
      <h2>Who uses it</h2>
      <Grid>
        <Select
          label="Used by"
          value={usedBy?.person ?? ''}
          choices={[{ id: '', label: 'Nobody in particular' }, ...people.map((p) => ({ id: p.id, label: p.data.name }))]}
          onChange={choose}
        />
        {usedBy ? (
          <Select
            label="Who"
            value={usedBy.how}
            choices={HOW}
            onChange={(how) => change({ usedBy: { ...usedBy, how } }, 'Changed how it is used')}
          />
        ) : null}
        {usedBy?.how === 'sits on' ? (
          <LengthField
            label="Free over the floor there"
            optional
            value={usedBy.headroom ?? null}
            precision={precision}
            onCommit={(headroom) =>
              change({ usedBy: headroom === null ? without(usedBy, 'headroom') : { ...usedBy, headroom } }, 'Measured the headroom')
            }
          />
        ) : null}
      </Grid>
      {usedBy ? null : <Faint>It is then checked for their working height, knees, seat or head.</Faint>}
    </Section>
  );
}
