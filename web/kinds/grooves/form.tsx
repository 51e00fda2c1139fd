import { Input } from 'react-aria-components';
import { Plus, Trash2 } from 'lucide-react';
import { inch, mm } from '../../../core/length/index.js';
import type { PlacedSpace } from '../../../core/piece/index.js';
import { MOST_GROOVES, groovesIn, type Grooves } from '../../../core/interiors/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision, useProject } from '../../data/project.js';
import { Button, FieldLabel, Grid, NumberBox, Row, Section, Select, Wide, WideTick } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { useMakingFields } from '../fields.js';

/** The groove nearest over the highest shelf that is free, or else the lowest that is. */
function nextFree({ shelves }: Grooves, count: number): number | null {
  const taken = new Set(shelves);
  const free = Array.from({ length: Math.min(count, MOST_GROOVES) }, (_, i) => i + 1).filter((n) => !taken.has(n));
  return free.find((n) => n > Math.max(0, ...shelves)) ?? free[0] ?? null;
}

/** Which grooves shelves lie in, from the top down as they are seen. */
function ShelfList({ space, grooves }: { space: PlacedSpace; grooves: Grooves }) {
  const { change } = useMakingFields(space.id, grooves);
  const count = groovesIn(space.clear.height.value, grooves);
  const free = nextFree(grooves, count);
  const order = grooves.shelves.map((n, i) => ({ n, i })).sort((a, b) => b.n - a.n);
  const put = (index: number, n: number) =>
    change({ shelves: grooves.shelves.map((m, i) => (i === index ? n : m)) }, `Moved a shelf to groove ${n}`);
  return (
    <Wide>
      <h3>{`Shelves, in ${count} grooves from below`}</h3>
      {order.map(({ n, i }, at) => (
        <Row key={i}>
          <NumberBox
            value={n}
            minValue={1}
            maxValue={MOST_GROOVES}
            onChange={(next) => Number.isFinite(next) && next !== n && put(i, next)}
          >
            <FieldLabel>{at === 0 ? 'Highest shelf in groove' : `Shelf ${at + 1} from the top in groove`}</FieldLabel>
            <Input />
          </NumberBox>
          <Button
            data-quiet
            aria-label={`Take the shelf out of groove ${n}`}
            onPress={() => change({ shelves: grooves.shelves.filter((_, k) => k !== i) }, `Took the shelf out of groove ${n}`)}
          >
            <Trash2 aria-hidden />
          </Button>
        </Row>
      ))}
      <Button
        isDisabled={free === null}
        onPress={() => free !== null && change({ shelves: [...grooves.shelves, free] }, `Put a shelf into groove ${free}`)}
      >
        <Plus aria-hidden /> A shelf
      </Button>
    </Wide>
  );
}

/** The grooves of a space, and what lies in them. */
export function GroovesForm({ space, grooves }: { space: PlacedSpace; grooves: Grooves }) {
  const { unit } = usePrecision();
  const { change, length, wood } = useMakingFields(space.id, grooves);
  const { commit } = useSettledBench();
  const { bench } = useProject();
  const { fingers } = grooves;
  return (
    <Section>
      <h2>Grooves</h2>
      <Grid>
        {length('Grooves wide', grooves.wide, (wide) => ({ wide }))}
        {length('Grooves deep', grooves.deep, (deep) => ({ deep }))}
        {length('First groove, from below', grooves.first, (first) => ({ first }))}
        {length('One every', grooves.pitch, (pitch) => ({ pitch }))}
        {length('Left over the last, at least', grooves.last, (last) => ({ last }), true)}
        {wood('Loose shelves of', grooves.stock, (stock) => ({ stock }))}
        <Select
          label="On each lies one"
          value={grooves.thing ?? 'none'}
          choices={[{ id: 'none', label: 'Nothing' }, ...bench.records.things.map((t) => ({ id: t.id, label: t.data.name }))]}
          onChange={(thing) =>
            thing === 'none'
              ? commit({ kind: 'filling', space: space.id, filling: without(grooves, 'thing') }, 'Nothing lies on the shelves')
              : change({ thing }, 'Changed what lies on the shelves')
          }
        />
        {length('Shelves cut short by', grooves.slack, (slack) => ({ slack }), true)}
        <WideTick
          isSelected={fingers !== undefined}
          onChange={(on) => {
            const notch = unit === 'mm' ? { wide: mm(90), deep: mm(25) } : { wide: inch(3.5), deep: inch(1) };
            if (on) change({ fingers: notch }, 'Finger notches');
            else commit({ kind: 'filling', space: space.id, filling: without(grooves, 'fingers') }, 'No finger notches');
          }}
        >
          A notch for fingers in the front of each
        </WideTick>
        {fingers ? (
          <>
            {length('Notch wide', fingers.wide, (wide) => ({ fingers: { ...fingers, wide } }))}
            {length('Notch deep', fingers.deep, (deep) => ({ fingers: { ...fingers, deep } }))}
          </>
        ) : null}
        <ShelfList space={space} grooves={grooves} />
      </Grid>
    </Section>
  );
}
