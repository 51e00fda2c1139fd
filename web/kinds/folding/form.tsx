import { Plus, Trash2 } from 'lucide-react';
import { scale } from '../../../core/length/index.js';
import type { Folding } from '../../../core/shells/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { EdgeFields, GridFields, usePieceFields } from '../../bench/piece-fields.js';
import type { OneWay } from '../../bench/ways.js';
import { useProject } from '../../data/project.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Button, Faint, Grid, NumberInput, Row, Section, Select, Wide, type Choice } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { asDegrees } from '../../../core/measures/index.js';

/** What stands on the top, and how much is left between and round it. */
function TopFields({ piece }: { piece: Folding }) {
  const { bench } = useProject();
  const { change, length } = usePieceFields();
  const { top } = piece;
  const things = top.things ?? [];
  const names = bench.records.things.map((t) => ({ id: t.id, label: t.data.name }));
  const put = (next: NonNullable<Folding['top']['things']>, label: string) =>
    change({ top: next.length > 0 ? { ...top, things: next } : without(top, 'things') }, label);
  const more = names.find((n) => !things.some((t) => t.thing === n.id)) ?? names[0];
  return (
    <>
      {things.map(({ thing, count }, i) => (
        <Wide key={i}>
          <Row>
            <Select
              label={`Stands on it, ${i + 1}`}
              value={thing}
              choices={names}
              onChange={(id) =>
                put(
                  things.map((t, k) => (k === i ? { ...t, thing: id } : t)),
                  'Put something else on top',
                )
              }
            />
            <NumberInput
              label="How many"
              value={count}
              minValue={1}
              maxValue={12}
              onChange={(n) =>
                Number.isFinite(n) &&
                n !== count &&
                put(
                  things.map((t, k) => (k === i ? { ...t, count: n } : t)),
                  'Changed how many stand on top',
                )
              }
            />
            <Button
              data-quiet
              aria-label={`Take ${names.find((n) => n.id === thing)?.label ?? thing} off the top`}
              onPress={() =>
                put(
                  things.filter((_, k) => k !== i),
                  'Took something off the top',
                )
              }
            >
              <Trash2 aria-hidden />
            </Button>
          </Row>
        </Wide>
      ))}
      <Wide>
        {more ? (
          <Button isDisabled={things.length >= 12} onPress={() => put([...things, { thing: more.id, count: 1 }], 'Put something on top')}>
            <Plus aria-hidden /> Something that stands on it
          </Button>
        ) : (
          <Faint>List what stands on it under Things first.</Faint>
        )}
      </Wide>
      {length('Left between them', top.between, (between) => ({ top: { ...top, between } }), true)}
      {length('Left round them', top.margin, (margin) => ({ top: { ...top, margin } }), true)}
      <StockSelect label="Top of" value={top.stock} onChange={(stock) => change({ top: { ...top, stock } }, 'Changed the top')} />
    </>
  );
}

type Known = 'apart' | 'angle' | 'both';

const KNOWN: readonly Choice<Known>[] = [
  { id: 'apart', label: 'The height, and how far the feet are apart' },
  { id: 'angle', label: 'The height and the angle' },
  { id: 'both', label: 'How far the feet are apart, and the angle' },
];

/** How the legs stand, by two of height, spread and angle. */
function LegFields({ piece }: { piece: Folding }) {
  const { settled } = useSettledBench();
  const { change, length } = usePieceFields();
  const { legs } = piece;
  const known: Known = legs.apart === undefined ? 'angle' : legs.degrees === undefined ? 'apart' : 'both';
  const fact = (name: string) => settled.shape.facts.get(piece.interior.id)?.find((f) => f.name === name)?.figure?.value;
  const up = fact('from hole to hole, up');
  const spread = fact('feet apart') ?? legs.apart ?? scale(piece.legs.over, 0.8);
  const angle = up === undefined ? 53 : Math.round((Math.atan2(up, spread) * 18_000) / Math.PI) / 100;
  const know = (next: Known) => {
    const { apart, degrees, ...rest } = legs;
    const kept: Folding['legs'] = {
      ...rest,
      ...(next === 'angle' ? {} : { apart: apart ?? spread }),
      ...(next === 'apart' ? {} : { degrees: asDegrees(degrees ?? angle) }),
    };
    const height = { height: { from: 'given', size: settled.shape.overall.height.value, of: 'overall' } as const };
    change({ legs: kept, ...(next === 'both' ? {} : height) }, 'Gave how the legs stand another way');
  };
  return (
    <>
      <Wide>
        <Select label="What is given of the legs" value={known} choices={KNOWN} onChange={know} />
      </Wide>
      {legs.apart === undefined ? null : length('Feet apart, hole to hole', legs.apart, (apart) => ({ legs: { ...legs, apart } }))}
      {legs.degrees === undefined ? null : (
        <NumberInput
          label="From the floor, degrees"
          value={legs.degrees}
          minValue={0}
          maxValue={90}
          step={0.01}
          onChange={(degrees) =>
            Number.isFinite(degrees) &&
            degrees !== legs.degrees &&
            change({ legs: { ...legs, degrees: asDegrees(degrees) } }, 'Changed the angle')
          }
        />
      )}
      {length('Legs wide', legs.wide, (wide) => ({ legs: { ...legs, wide } }))}
      {length('Ends past their holes', legs.round, (round) => ({ legs: { ...legs, round } }))}
      {length('Over both outer legs', legs.over, (over) => ({ legs: { ...legs, over } }))}
      {length('Spacer between legs', legs.spacer, (spacer) => ({ legs: { ...legs, spacer } }), true)}
      <StockSelect label="Legs of" value={legs.stock} onChange={(stock) => change({ legs: { ...legs, stock } }, 'Changed the legs')} />
    </>
  );
}

const BETWEEN: readonly OneWay<'board' | 'rod'>[] = [
  { id: 'board', label: 'A board', says: 'Wide at both ends, so that it keeps the legs from leaning aside.' },
  { id: 'rod', label: 'A rod', says: 'Thinner folded, and a drilled hole at each end is all it takes. It holds less sideways.' },
];

/** The pins, the bars under the top, and what joins the legs of a pair. */
function JoinFields({ piece }: { piece: Folding }) {
  const { change, length, way } = usePieceFields();
  const { pivot, bars, stretchers } = piece;
  return (
    <>
      {length('Pivot below the top', pivot.below, (below) => ({ pivot: { ...pivot, below } }))}
      {length('Pins', pivot.pin, (pin) => ({ pivot: { ...pivot, pin } }))}
      <StockSelect label="Bars of" value={bars.stock} onChange={(stock) => change({ bars: { ...bars, stock } }, 'Changed the bars')} />
      {length('Bars wide', bars.wide, (wide) => ({ bars: { ...bars, wide } }))}
      <StockSelect
        label="Stretchers of"
        value={stretchers.stock}
        onChange={(stock) => change({ stretchers: { ...stretchers, stock } }, 'Changed the stretchers')}
      />
      {length('Stretchers wide', stretchers.wide, (wide) => ({ stretchers: { ...stretchers, wide } }))}
      {length('Up the leg from its foot', stretchers.up, (up) => ({ stretchers: { ...stretchers, up } }))}
      {way(
        'Between the inner legs',
        stretchers.rod === undefined ? 'board' : 'rod',
        BETWEEN,
        (is) => ({ stretchers: is === 'rod' ? { ...stretchers, rod: scale(piece.legs.wide, 0.5) } : without(stretchers, 'rod') }),
        'Changed what is between the inner legs',
      )}
      {stretchers.rod === undefined ? null : length('Rod thick', stretchers.rod, (rod) => ({ stretchers: { ...stretchers, rod } }))}
    </>
  );
}

/** How a folding table is made: its top, its legs, and what they turn on. */
export function FoldingForm({ piece }: { piece: Folding }) {
  return (
    <>
      <Section>
        <h2>Its top</h2>
        <Grid>
          <TopFields piece={piece} />
        </Grid>
      </Section>
      <Section>
        <h2>Its legs</h2>
        <Grid>
          <LegFields piece={piece} />
        </Grid>
      </Section>
      <Section>
        <h2>Pins, bars and stretchers</h2>
        <Grid>
          <JoinFields piece={piece} />
          <EdgeFields />
          <GridFields asksWall={piece.fixedToWall} />
        </Grid>
      </Section>
    </>
  );
}
