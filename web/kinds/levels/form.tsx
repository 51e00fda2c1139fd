import { deckedAs, dividingMemberId, levelOf, kindOf, type Levels } from '../../../core/interiors/index.js';
import { ZERO, inch, mm } from '../../../core/length/index.js';
import type { PlacedSpace } from '../../../core/piece/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { Grid, Section, Select, WideTick } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { useMakingFields } from '../fields.js';
import { LevelFields } from './fields.js';

/** How the levels of a frame are made: all alike, but for those that are made otherwise, and what rolls in under them. */
export function LevelsForm({ space, making }: { space: PlacedSpace; making: Levels }) {
  const { commit, selection, select } = useSettledBench();
  const { unit } = usePrecision();
  const { change, length } = useMakingFields(space.id, making);
  const { split } = space.space;
  const members = split?.members ?? [];
  const spaces = split?.spaces ?? [];
  const kind = split && kindOf(split);
  const chosen = members.findIndex((m) => kind && dividingMemberId(m.id, kind.roleOf(m)) === selection);
  const id = members[chosen]?.id;
  const own = id === undefined ? undefined : making.own?.[id];
  const name = `level ${chosen + 1}`;
  const otherwise = (on: boolean) => {
    if (id === undefined) return;
    const rest = without(making.own ?? {}, id);
    change({ own: on ? { ...rest, [id]: levelOf(making, id) } : rest }, on ? `Made ${name} otherwise` : `Made ${name} like the others`);
  };
  // A level that is given a deck goes by that from then on, and stays the one that is selected.
  const keeping = (patch: Partial<Levels>, label: string) => {
    change(patch, label);
    if (id !== undefined) select(dividingMemberId(id, deckedAs(levelOf({ ...making, ...patch }, id))));
  };
  const fields = { change: keeping, length };
  const { rollsIn } = making;
  const rolls = (at: string) => {
    if (at === 'none') commit({ kind: 'making', space: space.id, making: without(making, 'rollsIn') }, 'Nothing rolls in');
    else change({ rollsIn: { aside: unit === 'mm' ? mm(30) : inch(1.25), out: ZERO, ...rollsIn, space: at } }, 'Changed what rolls in');
  };
  return (
    <Section>
      <h2>How the levels are made</h2>
      <Grid>
        <LevelFields level={making.level} as={(level) => ({ level })} fields={fields} of="Level" />
        {id !== undefined ? (
          <WideTick isSelected={own !== undefined} onChange={otherwise}>
            {`Make ${name} otherwise`}
          </WideTick>
        ) : null}
        {id !== undefined && own ? (
          <LevelFields level={own} as={(level) => ({ own: { ...making.own, [id]: level } })} fields={fields} of={`Level ${chosen + 1}`} />
        ) : null}
        <Select
          label="Rolls in under them"
          value={rollsIn?.space ?? 'none'}
          choices={[
            { id: 'none', label: 'Nothing' },
            ...spaces.map((s, i) => ({ id: s.id, label: s.name ?? `What stands in space ${i + 1}` })),
          ]}
          onChange={rolls}
        />
        {rollsIn ? (
          <>
            {length('Free at each side of it', rollsIn.aside, (aside) => ({ rollsIn: { ...rollsIn, aside } }), true)}
            {length('May stand out in front', rollsIn.out, (out) => ({ rollsIn: { ...rollsIn, out } }), true)}
          </>
        ) : null}
      </Grid>
    </Section>
  );
}
