import { memo } from 'react';
import styled from 'styled-components';
import { Plus, Equal, Magnet } from 'lucide-react';
import { add, sub } from '../../core/length/index.js';
import { snapTotal } from '../../core/run/index.js';
import type { PlacedRun } from '../../core/piece/index.js';
import type { Solution } from '../../core/solution/index.js';
import { dividingMemberId } from '../../core/interiors/divide.js';
import { usePrecision } from '../data/project.js';
import { useBench, useSettledBench } from '../bench/bench.js';
import { CaseForm } from '../bench/case-form.js';
import { MemberForm } from '../bench/member-form.js';
import { newNodes, newNodesFor } from '../bench/nodes.js';
import { LengthText } from '../shared/length-text.js';
import { Button, Faint, Row } from '../shared/ui.js';
import { line, tape, tapePale } from '../theme/tokens.js';
import { NotPlaced } from './not-placed.js';
import { SpaceForm, SplitButtons, ThingsIn } from './space-form.js';

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

/** The run that goes with the selection: the divided space the selected one is a part of. */
function runFor(solution: Solution, spaceId: string, selection: string): PlacedRun | null {
  const chosen = solution.shape.spaces.get(selection);
  if (chosen?.space.split) return solution.shape.runs.get(chosen.id) ?? null;
  for (const run of solution.shape.runs.values())
    if (run.run.lines.some((l) => l.line.kind === 'member' && dividingMemberId(l.line.id, run.axis) === selection)) return run;
  const space = solution.shape.spaces.get(spaceId);
  return space?.within ? (solution.shape.runs.get(space.within.owner) ?? null) : null;
}

function RunTitle({ run }: { run: PlacedRun }) {
  const { settled, select } = useSettledBench();
  const owner = settled.shape.spaces.get(run.owner);
  const where = owner?.label === 'inside' ? 'The inside' : (owner?.label ?? '');
  const outer = owner?.within ? settled.shape.spaces.get(owner.within.owner) : undefined;
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
function RunList() {
  const { solution, space: spaceId, selection, select } = useBench();
  const precision = usePrecision();
  const run = runFor(solution, spaceId, selection);
  if (!run) return null;
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
            {on && space ? <SpaceForm id={space.id} /> : null}
          </li>
        );
      })}
    </List>
  );
}

/** Offers the overall height nearest to the present one at which every space lands on the grid. */
function SnapHeight() {
  const { settled, commit, piece } = useSettledBench();
  const precision = usePrecision();
  const run = settled.shape.runs.get(piece.interior.id);
  if (run?.axis !== 'up' || run.run.conflicts.length > 0 || run.spec.rounding.set !== 'gaps') return null;
  const inside = run.run.total.value;
  const snapped = snapTotal(run.spec, inside);
  if (snapped === null || snapped === inside) return null;
  const height = add(sub(settled.shape.overall.height.value, inside), snapped);
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
export const DivideSheet = memo(function DivideSheet() {
  const { settled, commit, piece, space: spaceId, selection, select } = useSettledBench();
  const run = runFor(settled, spaceId, selection);
  const root = settled.shape.spaces.get(piece.interior.id);
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
      <RunList />
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
});
