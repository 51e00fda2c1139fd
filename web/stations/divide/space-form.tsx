import { LineLoadField } from '../../shared/line-load-field.js';
import { memo, useState } from 'react';
import { Columns3, Minus, Plus, Rows3 } from 'lucide-react';
import { TextField } from 'react-aria-components';
import { ZERO, sub } from '../../../core/length/index.js';
import { fillingKind, holdsThings, kindOf } from '../../../core/interiors/index.js';
import type { PieceEdit, PlacedSpace } from '../../../core/piece/index.js';
import { idsWithin } from '../../../core/kinds/index.js';
import { freshIds, takenIds } from '../../../core/remedies/index.js';
import { shellOf } from '../../../core/shells/index.js';
import { partsStandAlone } from '../../../core/solution/index.js';
import { howMany, type Placement } from '../../../core/things/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { newNodes } from '../../bench/nodes.js';
import { RuleForm } from '../../bench/rule-form.js';
import { usePrecision, useProject } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { Propose } from '../../proposal/propose.js';
import { AsBuilt } from './as-built.js';
import { FillMenu } from '../../kinds/index.js';
import { Button, Faint, Row, Select, TextInput } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { Laid } from '../../shared/laid.js';

function NameField({ space }: { space: PlacedSpace }) {
  const { commit } = useSettledBench();
  const [text, setText] = useState<string | null>(null);
  const done = () => {
    if (text !== null && text.trim() !== (space.space.name ?? ''))
      commit({ kind: 'name', space: space.id, name: text.slice(0, 80) }, `Named a space`);
    setText(null);
  };
  return (
    <TextField
      aria-label="Name of this space"
      value={text ?? space.space.name ?? ''}
      onChange={setText}
      onBlur={done}
      onKeyDown={(e) => e.key === 'Enter' && done()}
    >
      <TextInput placeholder="Name it" />
    </TextField>
  );
}

/** How many of a thing the space would hold if nothing else stood in it. */
function RoomFor({ space, thing: id }: { space: PlacedSpace; thing: string }) {
  const { workshop } = useSettledBench();
  const thing = workshop.things.get(id);
  if (!thing) return null;
  const { width, height, depth } = space.clear;
  const { count } = howMany(thing, { width: width.value, height: height.value, depth: sub(depth.value, space.setback) });
  return <Faint>room for {count}</Faint>;
}

const STANDS = [
  { id: 'unsaid', label: 'Not said: spread if they fill it' },
  { id: 'anywhere', label: 'Anywhere: the worst place counts' },
  { id: 'spread', label: 'Spread evenly over it' },
  { id: 'place', label: 'At a place, from the left' },
] as const;

/** Where a thing stands along its shelf: what its load is judged by. */
function StandsAt({ space, placement, name }: { space: PlacedSpace; placement: Placement; name: string }) {
  const { commit } = useSettledBench();
  const precision = usePrecision();
  const { at } = placement;
  const stand = (next: Placement['at'], label: string) => {
    const things = space.space.things.map((t): Placement => {
      if (t.thing !== placement.thing) return t;
      const rest = without(t, 'at');
      return next === undefined ? rest : { ...rest, at: next };
    });
    commit({ kind: 'things', space: space.id, things }, label.slice(0, 150));
  };
  const kind = at === undefined ? 'unsaid' : typeof at === 'number' ? 'place' : at;
  return (
    <Laid.div $flex="0 1 100%">
      <Select
        label={`Where ${name} stands`}
        value={kind}
        choices={STANDS}
        onChange={(id) => stand(id === 'unsaid' ? undefined : id === 'place' ? ZERO : id, `Said where ${name} stands in ${space.label}`)}
      />
      {typeof at === 'number' ? (
        <LengthField
          label={`${name}, from the left`}
          value={at}
          precision={precision}
          least={ZERO}
          onCommit={(value) => value !== null && stand(value, `${name} stands elsewhere in ${space.label}`)}
        />
      ) : null}
    </Laid.div>
  );
}

/** What stands in the selected space, and things that could. */
export function ThingsIn({ space }: { space: PlacedSpace }) {
  const { commit, piece } = useSettledBench();
  const { bench } = useProject();
  const [adding, setAdding] = useState<string | null>(null);
  if (space.space.filling || (space.space.split && !holdsThings(space.space))) return null;
  const name = (id: string) => bench.records.things.find((t) => t.id === id)?.data.name ?? id;
  const set = (thing: string, count: number) => {
    // A thing stays in its place among the others, and where it stands along them.
    const known = space.space.things.some((t) => t.thing === thing);
    const kept = space.space.things.flatMap((t) => (t.thing === thing ? (count > 0 ? [{ ...t, count }] : []) : [t]));
    const things = known ? kept : [...kept, { thing, count }];
    commit(
      { kind: 'things', space: space.id, things },
      count > 0 ? `${count} ${name(thing)} in ${space.label}`.slice(0, 150) : `Took ${name(thing)} out of ${space.label}`.slice(0, 150),
    );
  };
  return (
    <Laid.div $above={10}>
      <h3>Stands here</h3>
      {space.space.split || shellOf(piece).keptFree !== undefined ? null : (
        <LineLoadField
          label="Load"
          value={space.space.load ?? null}
          onCommit={(load) => commit({ kind: 'load', space: space.id, load }, `Change the load in ${space.label}`.slice(0, 150))}
        />
      )}
      {space.space.things.map((t) => (
        <Row key={t.thing} $spread $above={4}>
          <span>
            {t.count} {name(t.thing)} <RoomFor space={space} thing={t.thing} />
          </span>
          <span>
            <Button data-quiet aria-label={`One fewer ${name(t.thing)}`} onPress={() => set(t.thing, t.count - 1)}>
              <Minus aria-hidden />
            </Button>
            <Button data-quiet aria-label={`One more ${name(t.thing)}`} onPress={() => set(t.thing, t.count + 1)}>
              <Plus aria-hidden />
            </Button>
          </span>
          <StandsAt space={space} placement={t} name={name(t.thing)} />
        </Row>
      ))}
      {bench.records.things.length > 0 ? (
        <Row $above={6} $wrap={false}>
          <Laid.div $flex={1} $least={0}>
            <Select
              label="A thing to put here"
              hideLabel
              value={adding}
              placeholder="Choose a thing"
              choices={bench.records.things.map((t) => ({ id: t.id, label: t.data.name }))}
              onChange={setAdding}
            />
          </Laid.div>
          <Button
            isDisabled={adding === null}
            onPress={() => adding && set(adding, (space.space.things.find((t) => t.thing === adding)?.count ?? 0) + 1)}
          >
            Put here
          </Button>
        </Row>
      ) : null}
    </Laid.div>
  );
}

/** Divides the space beside this one in the same way. */
function CopyLayout({ space }: { space: PlacedSpace }) {
  const { commit, piece, settled } = useSettledBench();
  const siblings = settled.shape.spaces.get(space.within?.owner ?? '')?.space.split?.spaces ?? [];
  const at = siblings.findIndex((s) => s.id === space.id);
  const beside = [siblings[at + 1], siblings[at - 1]].flatMap((s) => (s ? (settled.shape.spaces.get(s.id) ?? []) : []));
  return beside.map((to) => {
    const within = idsWithin(space.space);
    const copy = () => {
      const fresh = freshIds(takenIds(piece), 'c', within.length);
      const ids = Object.fromEntries(within.map((id, i) => [id, fresh[i] as string]));
      commit({ kind: 'copy-layout', from: space.id, to: to.id, ids }, `Divided ${to.label} like ${space.label}`.slice(0, 150));
    };
    return (
      <Button key={to.id} onPress={copy}>
        Divide {to.label} alike
      </Button>
    );
  });
}

/** Divides an open space up or across, or fills it; opens the run of one that is divided. */
export function SplitButtons({ space }: { space: PlacedSpace }) {
  const { commit, piece, select, settled } = useSettledBench();
  // Where what it holds decides the outside, that comes first.
  const fromThings = settled.shape.assumed.some((reach) => piece[reach].from !== 'opening');
  const { split, filling } = space.space;
  const clear = (what: string) => commit({ kind: 'clear', space: space.id }, `Took the ${what} out of ${space.label}`.slice(0, 150));
  if (filling) {
    const { filled } = fillingKind(filling);
    return (
      <Row $above={8}>
        <Button onPress={() => clear(filled)}>Remove the {filled}</Button>
      </Row>
    );
  }
  if (split) {
    const parts = `${kindOf(split).names.part}s`;
    return (
      <Row $above={8}>
        <Button onPress={() => select((split.spaces[0] as { id: string }).id)}>Into its {parts}</Button>
        {split.making ? <Button onPress={() => clear(parts)}>Remove them</Button> : null}
        <CopyLayout space={space} />
      </Row>
    );
  }
  if (shellOf(piece).keptFree !== undefined) return null;
  const divide = (axis: 'up' | 'across') => {
    const { member, first, beyond } = newNodes(piece);
    const edit: PieceEdit = { kind: 'split', space: space.id, axis, members: [member], spaces: [first, beyond] };
    commit(edit, `Divided ${space.label}`.slice(0, 150));
    select(first);
  };
  return (
    <>
      {fromThings ? <Propose space={space} /> : null}
      <Row $above={8}>
        {space.posts ? null : (
          <Button onPress={() => divide('up')}>
            <Rows3 aria-hidden /> Shelf in it
          </Button>
        )}
        <Button onPress={() => divide('across')}>
          <Columns3 aria-hidden /> Divider in it
        </Button>
      </Row>
      <FillMenu space={space} />
      {fromThings ? null : (
        <Laid.details $above={8}>
          <Laid.summary $pressed $size={13}>
            Propose shelves from the things
          </Laid.summary>
          <Propose space={space} />
        </Laid.details>
      )}
    </>
  );
}

/** Takes a part such as a drawer out of its run, where nothing but room lies between the parts. */
function TakePartOut({ space }: { space: PlacedSpace }) {
  const { commit, settled, select } = useSettledBench();
  const run = settled.shape.runs.get(space.within?.owner ?? '');
  if (!run || !partsStandAlone(run)) return null;
  return (
    <Row $above={8}>
      <Button
        onPress={() => {
          commit({ kind: 'drop-part', space: space.id }, `Took ${space.label} out`.slice(0, 150));
          select(run.owner);
        }}
      >
        Remove {space.label}
      </Button>
    </Row>
  );
}

/** What one space is called, what decides it, how it is divided on and what stands in it, as it is kept: not drawn anew per keystroke. */
export const SpaceForm = memo(function SpaceForm({ id }: { id: string }) {
  const { settled } = useSettledBench();
  const space = settled.shape.spaces.get(id);
  if (!space) return null;
  // A gap between slats is no place to put anything.
  const owner = settled.shape.spaces.get(space.within?.owner ?? '');
  const isGap = owner !== undefined && holdsThings(owner.space);
  return (
    <Laid.div $pad="0 0 8px">
      <NameField space={space} />
      <RuleForm space={space} />
      {isGap ? null : (
        <>
          <SplitButtons space={space} />
          <AsBuilt space={space} />
          <ThingsIn space={space} />
          <TakePartOut space={space} />
        </>
      )}
    </Laid.div>
  );
});
