import { useMemo, useState } from 'react';
import { TextField } from 'react-aria-components';
import { ZERO, inch, mm } from '../../../core/length/index.js';
import { sizesWithin, type InPlace } from '../../../core/shells/index.js';
import { drawersOf, withinOf } from '../../../core/solution/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { solvedPiece } from '../../data/solved.js';
import { LengthField } from '../../shared/length-field.js';
import { without } from '../../shared/without.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Button, Faint, FieldLabel, Grid, Row, Section, Select, TextInput, Wide, WideTick } from '../../shared/ui.js';
import { useSettledBench } from '../../bench/bench.js';
import { GridFields, EdgeFields, usePieceFields } from '../../bench/piece-fields.js';

/** The drawers of all other pieces, of which one is chosen: they are worked out once that is asked for. */
function DrawerChoice({ piece: { tied } }: { piece: InPlace }) {
  const { bench, workshopOf } = useProject();
  const { commit, pieceId } = useSettledBench();
  const others = bench.records.pieces;
  const drawers = useMemo(
    () =>
      others.flatMap((other) => {
        if (other.id === pieceId) return [];
        const solution = solvedPiece(other.id, other.data, workshopOf);
        return drawersOf(solution).map((d) => ({
          id: `${other.id} ${d.id}`,
          label: `${d.label} of ${solution.piece.name}`,
          tied: { piece: other.id, space: d.id },
          within: withinOf(solution, d.id),
        }));
      }),
    [others, pieceId, workshopOf],
  );
  if (drawers.length === 0) return <Faint>No other piece has a drawer.</Faint>;
  return (
    <Select
      label="Made to fit"
      value={tied ? `${tied.piece} ${tied.space}` : null}
      placeholder="Choose a drawer"
      choices={drawers}
      onChange={(id) => {
        const drawer = drawers.find((d) => d.id === id);
        if (!drawer?.within) return;
        commit(
          { kind: 'piece', patch: { tied: drawer.tied, ...sizesWithin(drawer.within) } },
          `Made it to fit ${drawer.label}`.slice(0, 150),
        );
      }}
    />
  );
}

/** Which drawer of another piece it is made to fit. */
function TiedTo({ piece }: { piece: InPlace }) {
  const { commit, workshop } = useSettledBench();
  const [asked, setAsked] = useState(false);
  const { tied } = piece;
  return (
    <Wide>
      {tied ? <p>Made to fit {workshop.within?.name ?? 'a drawer that is gone'}.</p> : null}
      {asked ? <DrawerChoice piece={piece} /> : null}
      <Row>
        {asked ? null : (
          <Button onPress={() => setAsked(true)}>{tied ? 'Another drawer' : 'Make it to fit a drawer of another piece'}</Button>
        )}
        {tied ? (
          <Button onPress={() => commit({ kind: 'piece', patch: {}, without: ['tied'] }, 'Made it to fit no drawer')}>
            Sizes of its own
          </Button>
        ) : null}
      </Row>
    </Wide>
  );
}

type Out = NonNullable<InPlace['out']>;

/** One thing that is taken out of the place first. */
function OneOut({ all, at, put }: { all: Out; at: number; put: (next: Out, done: string) => void }) {
  const one = all[at] as Out[number];
  const [typed, setTyped] = useState<string | null>(null);
  const with_ = (next: Out[number], done: string) =>
    put(
      all.map((o, i) => (i === at ? next : o)),
      done,
    );
  const name = () => {
    const what = typed?.trim().slice(0, 80);
    if (what && what !== one.what) with_({ ...one, what }, 'Named what is taken out');
    setTyped(null);
  };
  const nth = all.length > 1 ? `, ${at + 1}` : '';
  return (
    <>
      <Wide>
        <TextField value={typed ?? one.what} onChange={setTyped} onBlur={name} onKeyDown={(e) => e.key === 'Enter' && name()}>
          <FieldLabel>Taken out{nth}</FieldLabel>
          <TextInput />
        </TextField>
      </Wide>
      <WideTick
        isSelected={one.carries === true}
        onChange={(carries) => with_(carries ? { ...one, carries } : without(one, 'carries'), 'Changed what is taken out')}
      >
        {`Something lies on it${nth}`}
      </WideTick>
      <Wide>
        <Button
          data-quiet
          onPress={() =>
            put(
              all.filter((_, i) => i !== at),
              'Left it in',
            )
          }
        >
          Leave {one.what.slice(0, 1).toLowerCase() + one.what.slice(1)} in
        </Button>
      </Wide>
    </>
  );
}

/** What is taken out of the place before anything is put in. */
function TakenOut({ piece }: { piece: InPlace }) {
  const { commit } = useSettledBench();
  const { change } = usePieceFields();
  const all = piece.out ?? [];
  const put = (out: Out, done: string) =>
    out.length > 0 ? change({ out }, done) : commit({ kind: 'piece', patch: {}, without: ['out'] }, done);
  return (
    <>
      {all.map((_, at) => (
        <OneOut key={at} all={all} at={at} put={put} />
      ))}
      <Wide>
        <Button
          onPress={() => put([...all, { what: all.length > 0 ? 'Another part' : 'A part of it' }], 'Takes something out of it first')}
        >
          Something is taken out of it first
        </Button>
      </Wide>
    </>
  );
}

/** What the place is that is there already, and what is put behind its face frame. */
export function InPlaceForm({ piece }: { piece: InPlace }) {
  const { bench } = useProject();
  const precision = usePrecision();
  const { commit } = useSettledBench();
  const { change, length } = usePieceFields();
  const [place, setPlace] = useState<string | null>(null);
  const { packing } = piece;
  const rename = () => {
    if (place !== null && place.trim() && place.trim() !== piece.place) change({ place: place.trim().slice(0, 80) }, 'Named the place');
    setPlace(null);
  };
  const pack = (on: boolean) => {
    const usual = precision.unit === 'mm' ? { out: mm(24), wide: mm(80) } : { out: inch(1), wide: inch(3) };
    const stock = bench.records.stock.some((s) => s.id === piece.panels.stock.shelves)
      ? piece.panels.stock.shelves
      : bench.records.stock[0]?.id;
    if (!on) commit({ kind: 'piece', patch: {}, without: ['packing'] }, 'Took the packing out');
    else if (stock) commit({ kind: 'piece', patch: { packing: { ...usual, stock } } }, 'Packed the slides out');
  };
  return (
    <Section>
      <h2>What is there already</h2>
      <Grid>
        <Wide>
          <TextField value={place ?? piece.place} onChange={setPlace} onBlur={rename} onKeyDown={(e) => e.key === 'Enter' && rename()}>
            <FieldLabel>It goes into</FieldLabel>
            <TextInput />
          </TextField>
        </Wide>
        <TiedTo piece={piece} />
        <TakenOut piece={piece} />
        <LengthField
          label="Top stands out"
          optional
          least={ZERO}
          value={piece.cover ?? null}
          precision={precision}
          onCommit={(cover) => change({ cover: cover ?? ZERO }, 'Changed how far the top stands out')}
        />
        <WideTick isSelected={packing !== undefined} onChange={pack}>
          Slides packed out behind a face frame
        </WideTick>
        {packing ? (
          <>
            {length('Frame stands in', packing.out, (out) => ({ packing: { ...packing, out } }))}
            {length('Packing wide', packing.wide, (wide) => ({ packing: { ...packing, wide } }))}
            <StockSelect
              label="Packing made of"
              value={packing.stock}
              onChange={(stock) => change({ packing: { ...packing, stock } }, 'Changed the packing')}
            />
          </>
        ) : null}
        <EdgeFields />
        <GridFields />
      </Grid>
    </Section>
  );
}
