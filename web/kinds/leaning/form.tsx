import { inch, mm, scale, toMm, type Length } from '../../../core/length/index.js';
import type { Leaning } from '../../../core/shells/index.js';
import type { PieceEdit } from '../../../core/piece/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { WayTick } from '../../bench/ways.js';
import { EdgeFields, GridFields, usePieceFields } from '../../bench/piece-fields.js';
import { usePrecision } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Grid, NumberInput, Section, Select, Wide, WideTick, type Choice } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { asDegrees, radians, type Degrees } from '../../../core/measures/index.js';

type Lean = Leaning['sides']['lean'];
type Known = 'angle-along' | 'angle-height' | 'foot-along' | 'foot-height' | 'height-along';

const KNOWN: readonly Choice<Known>[] = [
  { id: 'angle-along', label: 'Their angle and length' },
  { id: 'angle-height', label: 'Their angle and the height' },
  { id: 'foot-along', label: 'How far the foot is out, and their length' },
  { id: 'foot-height', label: 'How far the foot is out, and the height' },
  { id: 'height-along', label: 'The height and their length' },
];

const knownOf = (lean: Lean): Known =>
  lean.by === 'height' ? 'height-along' : `${lean.by}-${lean.along === undefined ? 'height' : 'along'}`;

/** What is known of the sides now, as it was reckoned. */
interface Now {
  readonly degrees: number;
  readonly along: Length;
  readonly out: Length;
}

/** The same lean said by other figures. */
function saidBy(known: Known, { degrees, along, out }: Now): Lean {
  switch (known) {
    case 'angle-along':
      return { by: 'angle', degrees: asDegrees(degrees), along };
    case 'angle-height':
      return { by: 'angle', degrees: asDegrees(degrees) };
    case 'foot-along':
      return { by: 'foot', out, along };
    case 'foot-height':
      return { by: 'foot', out };
    case 'height-along':
      return { by: 'height', along };
  }
}

/** How far the foot of sides of a length is out from under their head. */
const outOf = (along?: Length, degrees?: Degrees) =>
  along === undefined || degrees === undefined ? undefined : mm(toMm(along) * Math.sin(radians(degrees)));

/** How the sides lean: by two of their angle, their foot, their length and the height. */
function LeanFields({ piece }: { piece: Leaning }) {
  const { settled } = useSettledBench();
  const { change, length } = usePieceFields();
  const { sides } = piece;
  const { lean } = sides;
  const put = (next: Lean) => ({ sides: { ...sides, lean: next } });
  const root = settled.shape.spaces.get(piece.interior.id);
  const fact = (name: string) => settled.shape.facts.get(piece.interior.id)?.find((f) => f.name === name)?.figure?.value;
  const unit = usePrecision().unit;
  const now: Now = {
    degrees: Math.round((root?.lean?.degrees ?? (lean.by === 'angle' ? lean.degrees : 12)) * 100) / 100,
    along: fact('sides, along') ?? (unit === 'mm' ? mm(1800) : inch(72)),
    // Given of the sides it is from under their head, before a corner is cut off that.
    out:
      (sides.flat === undefined ? fact('foot, out') : outOf(fact('sides, along'), root?.lean?.degrees)) ??
      (unit === 'mm' ? mm(380) : inch(15)),
  };
  const byHeight = (next: Known) => next.endsWith('height') || next.startsWith('height');
  const know = (next: Known) =>
    change(
      {
        ...put(saidBy(next, now)),
        // The height that it has now stays when it is what decides.
        ...(byHeight(next) ? { height: { from: 'given', size: settled.shape.overall.height.value, of: 'overall' } as const } : {}),
      },
      'Gave how the sides lean another way',
    );
  return (
    <>
      <Wide>
        <Select label="What is given of the sides" value={knownOf(lean)} choices={KNOWN} onChange={know} />
      </Wide>
      {lean.by === 'angle' ? (
        <NumberInput
          label="Off plumb, degrees"
          value={lean.degrees}
          minValue={0}
          maxValue={90}
          step={0.01}
          onChange={(degrees) =>
            Number.isFinite(degrees) &&
            degrees !== lean.degrees &&
            change(put({ ...lean, degrees: asDegrees(degrees) }), 'Changed the lean')
          }
        />
      ) : null}
      {lean.by === 'foot' ? length('Foot out', lean.out, (out) => put({ ...lean, out })) : null}
      {lean.along === undefined ? null : length('Sides long, along', lean.along, (along) => put({ ...lean, along }))}
    </>
  );
}

/** A strip over the rear edges that keeps the sides from leaning over. */
function BraceFields({ piece }: { piece: Leaning }) {
  const { settled } = useSettledBench();
  const { change, length } = usePieceFields();
  const { brace, sides } = piece;
  const spaces = piece.interior.split?.spaces ?? [];
  const choices = spaces.map((s) => ({ id: s.id, label: settled.shape.spaces.get(s.id)?.label ?? s.id }));
  const usual = (spaces[1] ?? spaces[0])?.id;
  if (usual === undefined) return null;
  const put = (on: boolean): PieceEdit =>
    on
      ? { kind: 'piece', patch: { brace: { stock: sides.stock, wide: sides.wide, space: usual } } }
      : { kind: 'piece', patch: {}, without: ['brace'] };
  return (
    <>
      <WayTick
        label="A brace over the rear edges"
        is={brace !== undefined}
        says={{
          with: 'It keeps the sides from leaning over. It is seen from behind, and things do not go through there.',
          without: 'Open from behind. Only its joints keep it from leaning over.',
        }}
        edit={put}
        said={{ with: 'Put a brace in', without: 'Took the brace out' }}
      />
      {brace ? (
        <>
          <Select
            label="Brace in"
            value={brace.space}
            choices={choices}
            onChange={(space) => change({ brace: { ...brace, space } }, 'Moved the brace')}
          />
          <StockSelect
            label="Brace of"
            value={brace.stock}
            onChange={(stock) => change({ brace: { ...brace, stock } }, 'Changed the brace')}
          />
          {length('Brace wide', brace.wide, (wide) => ({ brace: { ...brace, wide } }))}
        </>
      ) : null}
    </>
  );
}

/** Legs and feet that it stands free on. */
function FreeFields({ piece }: { piece: Leaning }) {
  const { change, length } = usePieceFields();
  const { legs, sides } = piece;
  const put = (on: boolean): PieceEdit =>
    on
      ? { kind: 'piece', patch: { legs: { stock: sides.stock, wide: scale(sides.wide, 0.5) } } }
      : { kind: 'piece', patch: {}, without: ['legs'] };
  return (
    <>
      <WayTick
        label="Free of the wall, on rear legs and feet"
        is={legs !== undefined}
        says={{
          with: 'Stands anywhere, and nothing is drilled into the wall. It takes more floor, and can be tipped.',
          without: 'Light, and little of it on the floor. It is fixed to the wall at its head.',
        }}
        edit={put}
        said={{ with: 'Stood it free on rear legs', without: 'Leant it on the wall' }}
      />
      {legs ? (
        <>
          <StockSelect
            label="Rear legs and feet of"
            value={legs.stock}
            onChange={(stock) => change({ legs: { ...legs, stock } }, 'Changed the rear legs')}
          />
          {length('Rear legs and feet wide', legs.wide, (wide) => ({ legs: { ...legs, wide } }))}
        </>
      ) : null}
    </>
  );
}

/** How a leaning piece is made: its sides, how they lean, what covers the screws, and what keeps it square. */
export function LeaningForm({ piece }: { piece: Leaning }) {
  const { commit } = useSettledBench();
  const precision = usePrecision();
  const { change, length } = usePieceFields();
  const { sides, plugs } = piece;
  const plug = (on: boolean) => {
    const usual = precision.unit === 'mm' ? { across: mm(10), deep: mm(5) } : { across: inch(3 / 8), deep: inch(3 / 16) };
    if (on) change({ plugs: usual }, 'Covered the screws with plugs');
    else commit({ kind: 'piece', patch: {}, without: ['plugs'] }, 'Left the plugs out');
  };
  return (
    <Section>
      <h2>How it leans</h2>
      <Grid>
        <LeanFields piece={piece} />
        <StockSelect
          label="Sides of"
          value={sides.stock}
          onChange={(stock) => change({ sides: { ...sides, stock } }, 'Changed the sides')}
        />
        {length('Sides wide', sides.wide, (wide) => ({ sides: { ...sides, wide } }))}
        <LengthField
          label="Head cut plumb at the wall, high"
          optional
          of={{ in: 'piece', field: 'sides.flat' }}
          value={sides.flat ?? null}
          precision={precision}
          onCommit={(flat) =>
            change({ sides: flat === null ? without(sides, 'flat') : { ...sides, flat } }, 'Changed the heads of the sides')
          }
        />
        <WideTick isSelected={plugs !== undefined} onChange={plug}>
          Screws through the sides, under plugs
        </WideTick>
        {plugs ? (
          <>
            {length('Plugs across', plugs.across, (across) => ({ plugs: { ...plugs, across } }))}
            {length('Holes for plugs deep', plugs.deep, (deep) => ({ plugs: { ...plugs, deep } }))}
          </>
        ) : null}
        <FreeFields piece={piece} />
        <BraceFields piece={piece} />
        <EdgeFields />
        <GridFields />
      </Grid>
    </Section>
  );
}
