import { useState } from 'react';
import styled from 'styled-components';
import { FieldError, TextField } from 'react-aria-components';
import { Plus, Trash2 } from 'lucide-react';
import type { PlacedSpace } from '../../../core/piece/index.js';
import { MOST_GROOVES, groovesIn, type Grooves } from '../../../core/interiors/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision, useProject } from '../../data/project.js';
import { Button, FieldLabel, Grid, NumberInput, Section, Select, TextInput, Wide, WideTick } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { useMakingFields } from '../fields.js';
import { sizes } from '../means.js';

/** The groove nearest over the highest shelf that is free, or else the lowest that is. */
function nextFree({ shelves }: Grooves, count: number): number | null {
  const taken = new Set(shelves);
  const free = Array.from({ length: Math.min(count, MOST_GROOVES) }, (_, i) => i + 1).filter((n) => !taken.has(n));
  return free.find((n) => n > Math.max(0, ...shelves)) ?? free[0] ?? null;
}

/** A shelf with what stands over it, beside each other, and what takes it out. */
const ShelfRow = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 8px 10px;
  align-items: end;
  margin-bottom: 8px;
  > button {
    grid-column: 3;
  }
`;

/** Whole numbers as they are typed, one after the other; null where something else is there. */
function numbersIn(text: string): readonly number[] | null {
  const words = text.split(/[\s,;]+/).filter((w) => w !== '');
  const numbers = words.map(Number);
  return numbers.every((n) => Number.isInteger(n) && n >= 1 && n <= MOST_GROOVES) ? numbers : null;
}

/** In which grooves across a shelf uprights stand over it, by their numbers from the left. */
function UprightsOver({ space, grooves, shelf }: { space: PlacedSpace; grooves: Grooves; shelf: number }) {
  const { change } = useMakingFields(space.id, grooves);
  const [typed, setTyped] = useState<string | null>(null);
  const { uprights } = grooves;
  if (!uprights) return null;
  const own = uprights.over.find((o) => o.shelf === shelf)?.at ?? [];
  const numbers = typed === null ? own : numbersIn(typed);
  const keep = () => {
    if (typed !== null && numbers && numbers.join() !== own.join()) {
      const over = [...uprights.over.filter((o) => o.shelf !== shelf), ...(numbers.length > 0 ? [{ shelf, at: [...numbers] }] : [])];
      change({ uprights: { ...uprights, over } }, `Set uprights over the shelf in groove ${shelf}`);
    }
    if (numbers) setTyped(null);
  };
  return (
    <TextField
      value={typed ?? own.join(', ')}
      isInvalid={numbers === null}
      onChange={setTyped}
      onBlur={keep}
      onKeyDown={(e) => e.key === 'Enter' && keep()}
    >
      <FieldLabel>{`Uprights over groove ${shelf}, in`}</FieldLabel>
      <TextInput />
      <FieldError>Numbers of grooves from the left, such as 2, 4</FieldError>
    </TextField>
  );
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
        <ShelfRow key={i}>
          <NumberInput
            label={at === 0 ? 'Highest shelf in groove' : `Shelf ${at + 1} from the top in groove`}
            value={n}
            minValue={1}
            maxValue={MOST_GROOVES}
            onChange={(next) => Number.isFinite(next) && next !== n && put(i, next)}
          />
          {at > 0 ? <UprightsOver space={space} grooves={grooves} shelf={n} /> : null}
          <Button
            data-quiet
            aria-label={`Take the shelf out of groove ${n}`}
            onPress={() => change({ shelves: grooves.shelves.filter((_, k) => k !== i) }, `Took the shelf out of groove ${n}`)}
          >
            <Trash2 aria-hidden />
          </Button>
        </ShelfRow>
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
  const { fingers, uprights } = grooves;
  const s = sizes(unit);
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
            const notch = { wide: s(90, 3.5), deep: s(25, 1) };
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
        <WideTick
          isSelected={uprights !== undefined}
          onChange={(on) => {
            if (on)
              change(
                { uprights: { stock: grooves.stock, deep: s(2, 1 / 16), pitch: grooves.pitch, over: [] } },
                'Uprights between shelves',
              );
            else commit({ kind: 'filling', space: space.id, filling: without(grooves, 'uprights') }, 'No uprights between shelves');
          }}
        >
          Loose uprights between shelves, in grooves across them
        </WideTick>
        {uprights ? (
          <>
            {wood('Uprights of', uprights.stock, (stock) => ({ uprights: { ...uprights, stock } }))}
            {length('Their grooves deep', uprights.deep, (deep) => ({ uprights: { ...uprights, deep } }))}
            {length('A groove for them every', uprights.pitch, (pitch) => ({ uprights: { ...uprights, pitch } }))}
          </>
        ) : null}
        <ShelfList space={space} grooves={grooves} />
      </Grid>
    </Section>
  );
}
