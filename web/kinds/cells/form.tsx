import { Plus, Trash2 } from 'lucide-react';
import { inch, least, mm, type Length, type LengthUnit } from '../../../core/length/index.js';
import type { PlacedSpace } from '../../../core/piece/index.js';
import type { Blocked, Cells, Tilted } from '../../../core/interiors/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { Button, Grid, NumberInput, Row, Section, Select, WideTick, Wide } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { useMakingFields } from '../fields.js';
import { sizes } from '../means.js';
import { asDegrees } from '../../../core/measures/index.js';

/** How deep one of two uprights is begun: no deeper than was said of one alone. */
function narrow(deep: Length, unit: LengthUnit): Length {
  return least([deep, sizes(unit)(45, 1.75)]);
}

function LadderFields({ space, cells }: { space: string; cells: Cells }) {
  const { unit } = usePrecision();
  const { change, length, wood } = useMakingFields(space, cells);
  const { make } = cells;
  if (make.kind === 'half-lapped') return wood('Boards of', make.stock, (stock) => ({ make: { ...make, stock } }));
  const { upright, support } = make;
  return (
    <>
      {wood('Uprights of', upright.stock, (stock) => ({ make: { ...make, upright: { ...upright, stock } } }))}
      {length('Uprights deep', upright.deep, (deep) => ({ make: { ...make, upright: { ...upright, deep } } }))}
      {wood('Supports of', support.stock, (stock) => ({ make: { ...make, support: { ...support, stock } } }))}
      {support.asThing ? null : length('Supports long', support.long, (long) => ({ make: { ...make, support: { ...support, long } } }))}
      {length('Supports wide', support.wide, (wide) => ({ make: { ...make, support: { ...support, wide } } }))}
      <NumberInput
        label="Spare supports"
        value={support.spares}
        minValue={0}
        maxValue={1000}
        onChange={(spares) =>
          Number.isFinite(spares) && change({ make: { ...make, support: { ...support, spares } } }, 'Changed the spares')
        }
      />
      <NumberInput
        label="Built in sections"
        value={make.sections ?? 1}
        minValue={1}
        maxValue={20}
        onChange={(sections) => Number.isInteger(sections) && change({ make: { ...make, sections } }, 'Built it in other sections')}
      />
      <WideTick
        isSelected={upright.pair === true}
        onChange={(pair) => {
          const one = without(upright, 'pair');
          change(
            { make: { ...make, upright: pair ? { ...one, deep: narrow(one.deep, unit), pair } : { ...one, deep: support.long } } },
            pair ? 'Put uprights at the front and the rear' : 'Made ladders of one upright',
          );
        }}
      >
        Uprights at the front and at the rear
      </WideTick>
      <WideTick
        isSelected={support.asThing === true}
        onChange={(asThing) => {
          const rest = without(support, 'asThing');
          change(
            { make: { ...make, support: asThing ? { ...rest, asThing } : rest } },
            asThing ? 'Made supports as long as the thing' : 'Gave supports a length',
          );
        }}
      >
        Supports as long as what lies on them
      </WideTick>
    </>
  );
}

/** Rectangles that the cells keep clear of, each from the lower left of the space. */
function BlockedList({ space, cells }: { space: string; cells: Cells }) {
  const precision = usePrecision();
  const { change } = useMakingFields(space, cells);
  const s = (metric: number, imperial: number) => (precision.unit === 'mm' ? mm(metric) : inch(imperial));
  const put = (index: number, patch: Partial<Blocked>) =>
    change({ blocked: cells.blocked.map((b, i) => (i === index ? { ...b, ...patch } : b)) }, 'Changed what is in the way');
  const fields = [
    ['From the left', 'x'],
    ['From the floor', 'y'],
    ['Wide', 'width'],
    ['High', 'height'],
  ] as const;
  return (
    <Wide>
      <h3>In the way</h3>
      {cells.blocked.map((b, i) => (
        <Grid key={i} $below={8}>
          {fields.map(([label, key]) => (
            <LengthField
              key={key}
              label={label}
              value={b[key]}
              precision={precision}
              {...(key === 'x' || key === 'y' ? { least: 0 as typeof b.x } : {})}
              onCommit={(value) => value !== null && put(i, { [key]: value })}
            />
          ))}
          <Button
            data-quiet
            aria-label={`Take ${b.name} away`}
            onPress={() => change({ blocked: cells.blocked.filter((_, k) => k !== i) }, `Took ${b.name} away`)}
          >
            <Trash2 aria-hidden /> {b.name}
          </Button>
        </Grid>
      ))}
      <Button
        onPress={() =>
          change(
            {
              blocked: [
                ...cells.blocked,
                { name: `Box ${cells.blocked.length + 1}`, x: s(0, 0), y: s(0, 0), width: s(200, 8), height: s(200, 8) },
              ],
            },
            'Something is in the way of the cells',
          )
        }
      >
        <Plus aria-hidden /> Something in the way
      </Button>
    </Wide>
  );
}

/** Rows and columns that are tilted to show what lies in them. */
function TiltedFields({ space, cells }: { space: string; cells: Cells }) {
  const precision = usePrecision();
  const { change } = useMakingFields(space, cells);
  const usual = { tilt: asDegrees(12), long: precision.unit === 'mm' ? mm(400) : inch(16) };
  const put = (index: number, next: Tilted) =>
    change({ features: cells.features.map((f, i) => (i === index ? next : f)) }, 'Changed what is tilted');
  const add = (tilted: Tilted, label: string) => change({ features: [...cells.features, tilted] }, label);
  return (
    <Wide>
      <h3>Tilted for show</h3>
      {cells.features.map((f, i) => {
        const [what, which] = 'row' in f ? (['row', f.row] as const) : (['column', f.column] as const);
        return (
          <Grid key={i} $below={8}>
            <NumberInput
              label={what === 'row' ? 'Row from below' : 'Column from the left'}
              value={which}
              minValue={1}
              maxValue={400}
              onChange={(n) => Number.isFinite(n) && put(i, what === 'row' ? { ...f, row: n } : { ...f, column: n })}
            />
            <NumberInput
              label="Degrees from level"
              value={f.tilt}
              minValue={1}
              maxValue={45}
              onChange={(tilt) => Number.isFinite(tilt) && put(i, { ...f, tilt: asDegrees(tilt) })}
            />
            <LengthField
              label="Things long"
              value={f.long}
              precision={precision}
              onCommit={(long) => long !== null && put(i, { ...f, long })}
            />
            <Button
              data-quiet
              aria-label={`Lay ${what} ${which} level`}
              onPress={() => change({ features: cells.features.filter((_, k) => k !== i) }, `Laid ${what} ${which} level`)}
            >
              <Trash2 aria-hidden /> Level again
            </Button>
          </Grid>
        );
      })}
      <Row>
        <Button onPress={() => add({ row: 2, ...usual }, 'Tilted a row')}>
          <Plus aria-hidden /> Tilt a row
        </Button>
        <Button onPress={() => add({ column: 1, ...usual }, 'Tilted a column')}>
          <Plus aria-hidden /> Tilt a column
        </Button>
      </Row>
    </Wide>
  );
}

/** What the cells of a space are for, and how they are made. */
export function CellsForm({ space, cells }: { space: PlacedSpace; cells: Cells }) {
  const { bench } = useProject();
  const { change, length } = useMakingFields(space.id, cells);
  return (
    <Section>
      <h2>How the cells are made</h2>
      <Grid>
        <Select
          label="Each holds one"
          value={cells.thing}
          choices={bench.records.things.map((t) => ({ id: t.id, label: t.data.name }))}
          onChange={(thing) => change({ thing }, 'Changed what the cells hold')}
        />
        {length('Free round it', cells.free, (free) => ({ free }), true)}
        <LadderFields space={space.id} cells={cells} />
        <BlockedList space={space.id} cells={cells} />
        {cells.make.kind === 'ladders' ? <TiltedFields space={space.id} cells={cells} /> : null}
      </Grid>
    </Section>
  );
}
