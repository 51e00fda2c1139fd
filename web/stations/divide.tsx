import { useState, type DragEvent } from 'react';
import styled from 'styled-components';
import { Plus, Minus, Rows3, Columns3, Equal, Magnet } from 'lucide-react';
import { add, sub } from '../../core/length/index.js';
import { snapTotal } from '../../core/run/index.js';
import { howMany } from '../../core/things/index.js';
import type { PlacedSpace, PieceEdit } from '../../core/piece/index.js';
import { dividingMemberId } from '../../core/interiors/divide.js';
import { usePrecision, useProject } from '../data/project.js';
import { useBench } from '../bench/bench.js';
import { CaseForm } from '../bench/case-form.js';
import { MemberForm } from '../bench/member-form.js';
import { newNodes, newNodesFor } from '../bench/nodes.js';
import { RuleForm } from '../bench/rule-form.js';
import { LengthText } from '../shared/length-text.js';
import { Button, Faint, Row, Section, Select, TextInput } from '../shared/ui.js';
import { line, tape, tapePale } from '../theme/tokens.js';
import { TextField } from 'react-aria-components';

const List = styled.ol`
  border-top: 1px solid ${line};
  > li {
    border-bottom: 1px solid ${line};
    padding: 3px 8px;
  }
  > li[data-wood] {
    border-bottom-style: dashed;
    padding: 0 8px;
  }
  > li[data-on] {
    background: ${tapePale};
    outline: 2px solid ${tape};
    outline-offset: -1px;
  }
  > li[data-over] {
    outline: 3px dashed ${tape};
  }
`;

const Pick = styled.button`
  all: unset;
  box-sizing: border-box;
  display: flex;
  width: 100%;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  padding: 4px 0;
  cursor: pointer;
  &:focus-visible {
    outline: 3px solid #1b5aa8;
  }
  strong {
    font-weight: 600;
    font-size: 15px;
    white-space: nowrap;
  }
  &[data-wood] {
    font-size: 12px;
    padding: 1px 0;
    color: #4a564f;
  }
`;

const RULE_WORD = { fixed: 'a given size', fit: 'fits contents', share: 'equal share', graded: 'graded', grid: 'on a pitch' } as const;

function NameField({ space }: { space: PlacedSpace }) {
  const { commit } = useBench();
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
  const { workshop, piece } = useBench();
  const thing = workshop.things.get(id);
  if (!thing) return null;
  const { width, height, depth } = space.clear;
  const { count } = howMany(thing, { width: width.value, height: height.value, depth: sub(depth.value, piece.shelves.setback) });
  return <Faint>room for {count}</Faint>;
}

/** What stands in the selected space, and things that could. */
function ThingsIn({ space }: { space: PlacedSpace }) {
  const { commit } = useBench();
  const { bench } = useProject();
  const [adding, setAdding] = useState<string | null>(null);
  if (space.space.split) return null;
  const name = (id: string) => bench.records.things.find((t) => t.id === id)?.data.name ?? id;
  const set = (thing: string, count: number) => {
    const others = space.space.things.filter((t) => t.thing !== thing);
    const things = count > 0 ? [...others, { thing, count }] : others;
    commit(
      { kind: 'things', space: space.id, things },
      count > 0 ? `${count} ${name(thing)} in ${space.label}`.slice(0, 150) : `Took ${name(thing)} out of ${space.label}`.slice(0, 150),
    );
  };
  return (
    <div style={{ marginTop: 10 }}>
      <h3>Stands here</h3>
      {space.space.things.length === 0 ? <Faint>Nothing yet. What stands here decides the load.</Faint> : null}
      {space.space.things.map((t) => (
        <Row key={t.thing} style={{ justifyContent: 'space-between', marginTop: 4 }}>
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
        </Row>
      ))}
      {bench.records.things.length > 0 ? (
        <Row style={{ marginTop: 6, flexWrap: 'nowrap' }}>
          <div style={{ flex: 1, minWidth: 0 }}>
            <Select
              label="A thing to put here"
              hideLabel
              value={adding}
              placeholder="Choose a thing"
              choices={bench.records.things.map((t) => ({ id: t.id, label: t.data.name }))}
              onChange={setAdding}
            />
          </div>
          <Button
            isDisabled={adding === null}
            onPress={() => adding && set(adding, (space.space.things.find((t) => t.thing === adding)?.count ?? 0) + 1)}
          >
            Put here
          </Button>
        </Row>
      ) : null}
    </div>
  );
}

/** Things that exist more often than they stand anywhere in this piece. */
function NotPlaced() {
  const { bench } = useProject();
  const { solution, commit, space: spaceId } = useBench();
  const placed = new Map<string, number>();
  for (const record of bench.records.pieces) {
    const visit = (space: PlacedSpace['space']): void => {
      space.things.forEach((t) => placed.set(t.thing, (placed.get(t.thing) ?? 0) + t.count));
      space.split?.spaces.forEach(visit);
    };
    visit(record.data.piece.interior);
  }
  const waiting = bench.records.things.map((t) => ({ ...t, left: t.data.count - (placed.get(t.id) ?? 0) })).filter((t) => t.left > 0);
  const target = solution.shape.spaces.get(spaceId);
  if (waiting.length === 0) return null;
  return (
    <Section>
      <h3>Not placed yet</h3>
      <Faint>Drag one into a space, or put it into the selected one.</Faint>
      <ul>
        {waiting.map((t) => (
          <li
            key={t.id}
            draggable
            onDragStart={(e: DragEvent) => e.dataTransfer.setData('text/ruvok-thing', t.id)}
            style={{
              display: 'flex',
              justifyContent: 'space-between',
              alignItems: 'center',
              padding: '4px 0',
              cursor: 'grab',
              borderBottom: `1px solid ${line}`,
            }}
          >
            <span>
              <strong>{t.left}</strong> {t.data.name}
            </span>
            {target && !target.space.split ? (
              <Button
                data-quiet
                aria-label={`Put ${t.left} ${t.data.name} into ${target.label}`}
                onPress={() =>
                  commit(
                    { kind: 'things', space: target.id, things: [...target.space.things, { thing: t.id, count: t.left }] },
                    `${t.left} ${t.data.name} into ${target.label}`.slice(0, 150),
                  )
                }
              >
                Put here
              </Button>
            ) : null}
          </li>
        ))}
      </ul>
    </Section>
  );
}

/** The run that goes with the selection: the divided space the selected one is a part of. */
function useRun() {
  const { solution, space: spaceId, selection } = useBench();
  const chosen = solution.shape.spaces.get(selection);
  if (chosen?.space.split) return solution.shape.runs.get(chosen.id) ?? null;
  for (const run of solution.shape.runs.values())
    if (run.run.lines.some((l) => l.line.kind === 'member' && dividingMemberId(l.line.id, run.axis) === selection)) return run;
  const space = solution.shape.spaces.get(spaceId);
  return space?.within ? (solution.shape.runs.get(space.within.owner) ?? null) : null;
}

function RunTitle({ run }: { run: NonNullable<ReturnType<typeof useRun>> }) {
  const { solution, select } = useBench();
  const owner = solution.shape.spaces.get(run.owner);
  const where = owner?.label === 'inside' ? 'The inside' : (owner?.label ?? '');
  const outer = owner?.within ? solution.shape.spaces.get(owner.within.owner) : undefined;
  const gaps = run.run.lines.filter((l) => l.line.kind === 'gap').length;
  return (
    <header style={{ marginBottom: 10 }}>
      <h1>
        {where.charAt(0).toUpperCase() + where.slice(1)}, {run.axis === 'up' ? 'bottom to top' : 'left to right'}
      </h1>
      <Faint>
        {gaps} {run.axis === 'up' ? 'spaces' : 'bays'}. Type a size, or say what decides it.
      </Faint>
      {outer ? (
        <div>
          <Button data-quiet onPress={() => select(outer.id)}>
            Out to {outer.label === 'inside' ? 'the whole case' : outer.label}
          </Button>
        </div>
      ) : null}
    </header>
  );
}

/** The spaces and members of a run, as they lie: the upright ones from the top down. */
function RunList({ run }: { run: NonNullable<ReturnType<typeof useRun>> }) {
  const { solution, selection, select } = useBench();
  const precision = usePrecision();
  const lines = run.axis === 'up' ? [...run.run.lines].reverse() : run.run.lines;
  return (
    <List aria-label={run.axis === 'up' ? 'From the top down' : 'From left to right'}>
      {lines.map(({ line: l, size }) => {
        if (l.kind === 'member') {
          const id = dividingMemberId(l.id, run.axis);
          const on = selection === id;
          return (
            <li key={l.id} data-wood="" {...(on ? { 'data-on': '' } : {})}>
              <Pick data-wood="" onClick={() => select(id)} aria-pressed={on}>
                <span>
                  {l.label} {solution.letters[id]}
                  {l.at ? ' · held' : ''}
                </span>
                <LengthText value={size.value} precision={precision} />
              </Pick>
              {on ? <MemberForm node={l.id} memberId={id} /> : null}
            </li>
          );
        }
        const space = solution.shape.spaces.get(l.id);
        const on = selection === l.id;
        return (
          <li key={l.id} {...(on ? { 'data-on': '' } : {})}>
            <Pick onClick={() => select(l.id)} aria-pressed={on}>
              <span>
                {space?.label ?? l.label}
                <br />
                <Faint>
                  {RULE_WORD[l.rule.kind]}
                  {space?.space.split ? `, divided ${space.space.split.axis === 'up' ? 'by shelves' : 'by dividers'}` : ''}
                </Faint>
              </span>
              <strong>
                <LengthText value={size.value} precision={precision} stacked />
              </strong>
            </Pick>
            {on && space ? (
              <div style={{ paddingBottom: 8 }}>
                <NameField space={space} />
                <RuleForm space={space} />
                <SplitButtons space={space} />
                <ThingsIn space={space} />
              </div>
            ) : null}
          </li>
        );
      })}
    </List>
  );
}

/** Divides an open space up or across; opens the run of one that is divided. */
function SplitButtons({ space }: { space: PlacedSpace }) {
  const { commit, piece, select } = useBench();
  const split = space.space.split;
  if (split) {
    return (
      <Row style={{ marginTop: 8 }}>
        <Button onPress={() => select((split.spaces[0] as { id: string }).id)}>Into its {split.axis === 'up' ? 'shelves' : 'bays'}</Button>
      </Row>
    );
  }
  const divide = (axis: 'up' | 'across') => {
    const { member, first, beyond } = newNodes(piece);
    const edit: PieceEdit = { kind: 'split', space: space.id, axis, members: [member], spaces: [first, beyond] };
    commit(edit, `Divided ${space.label}`.slice(0, 150));
    select(first);
  };
  return (
    <Row style={{ marginTop: 8 }}>
      <Button onPress={() => divide('up')}>
        <Rows3 aria-hidden /> Shelf in it
      </Button>
      <Button onPress={() => divide('across')}>
        <Columns3 aria-hidden /> Divider in it
      </Button>
    </Row>
  );
}

/** Offers the overall height nearest to the present one at which every space lands on the grid. */
function SnapHeight() {
  const { solution, commit, piece } = useBench();
  const precision = usePrecision();
  const run = solution.shape.runs.get(piece.interior.id);
  if (run?.axis !== 'up' || run.run.conflicts.length > 0 || run.spec.rounding.set !== 'gaps') return null;
  const inside = run.run.total.value;
  const snapped = snapTotal(run.spec, inside);
  if (snapped === null || snapped === inside) return null;
  const height = add(sub(solution.shape.overall.height.value, inside), snapped);
  return (
    <Button
      onPress={() =>
        commit({ kind: 'piece', patch: { height: { from: 'given', size: height, of: 'overall' } } }, 'Snapped the height to the grid')
      }
    >
      <Magnet aria-hidden /> Snap the height to <LengthText value={height} precision={precision} />
    </Button>
  );
}

/** The worksheet of Divide: the run of the selection, and how the case is made. */
export function DivideSheet() {
  const { solution, commit, piece, space: spaceId, select } = useBench();
  const run = useRun();
  const root = solution.shape.spaces.get(piece.interior.id);
  if (!run) {
    return (
      <>
        <header style={{ marginBottom: 10 }}>
          <h1>The inside</h1>
          <Faint>One open space so far. Divide it, or press + on a tape.</Faint>
        </header>
        {root ? (
          <>
            <SplitButtons space={root} />
            <ThingsIn space={root} />
          </>
        ) : null}
        <NotPlaced />
        <CaseForm />
      </>
    );
  }
  const up = run.axis === 'up';
  const target = run.run.lines.some((l) => l.line.id === spaceId)
    ? spaceId
    : (run.run.lines.findLast((l) => l.line.kind === 'gap')?.line.id as string);
  const members = run.run.lines.filter((l) => l.line.kind === 'member').length;
  const addOne = () => {
    const { member, beyond } = newNodes(piece);
    commit({ kind: 'add', space: target, member, beyond }, up ? 'Added a shelf' : 'Added a divider');
    select(beyond);
  };
  const even = () =>
    commit({ kind: 'even', space: run.owner, members, ...newNodesFor(piece, 0) }, up ? 'Made the spaces equal' : 'Made the bays equal');
  return (
    <>
      <RunTitle run={run} />
      <RunList run={run} />
      <Row style={{ marginTop: 10 }}>
        <Button data-main onPress={addOne}>
          <Plus aria-hidden /> {up ? 'Shelf' : 'Divider'}
        </Button>
        <Button onPress={even}>
          <Equal aria-hidden /> Even
        </Button>
        {run.owner === piece.interior.id ? <SnapHeight /> : null}
      </Row>
      <div style={{ marginTop: 18 }}>
        <NotPlaced />
        <CaseForm />
      </div>
    </>
  );
}
