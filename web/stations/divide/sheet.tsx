import { memo } from 'react';
import styled from 'styled-components';
import { Plus, Equal, Magnet } from 'lucide-react';
import { add, sub } from '../../../core/length/index.js';
import { snapTotal } from '../../../core/run/index.js';
import type { PlacedRun, PlacedSpace } from '../../../core/piece/index.js';
import { partsStandAlone, type Solution } from '../../../core/solution/index.js';
import { dividingKind, dividingMemberId, fillingKind, kindOf } from '../../../core/interiors/index.js';
import { shellOf } from '../../../core/shells/index.js';
import { usePrecision } from '../../data/project.js';
import { useBench, useSettledBench } from '../../bench/bench.js';
import { MemberForm } from '../../bench/member-form.js';
import { newNodes, newNodesFor } from '../../bench/nodes.js';
import { LengthText } from '../../shared/length-text.js';
import { Button, Faint, Row } from '../../shared/ui.js';
import { inkSoft, line, link, tape, tapePale } from '../../theme/tokens.js';
import { AsBuilt } from './as-built.js';
import { MakingForm, ShellForm } from '../../kinds/index.js';
import { NotPlaced } from '../not-placed.js';
import { SpaceForm, SplitButtons, ThingsIn } from './space-form.js';
import { Laid } from '../../shared/laid.js';

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
    outline: 3px solid ${link};
  }
  strong {
    font-weight: 600;
    font-size: 15px;
    white-space: nowrap;
  }
  &[data-wood] {
    font-size: 12px;
    padding: 1px 0;
    color: ${inkSoft};
  }
`;

/** A line that is not wood of its own, such as a reveal. */
const Still = styled.div`
  display: flex;
  justify-content: space-between;
  font-size: 12px;
  color: ${inkSoft};
`;

const RULE_WORD = { fixed: 'a given size', fit: 'fits contents', share: 'equal share', graded: 'graded', grid: 'on a pitch' } as const;

/** The run that goes with the selection: the divided space the selected one is a part of. */
function runFor(solution: Solution, spaceId: string, selection: string): PlacedRun | null {
  const chosen = solution.shape.spaces.get(selection);
  if (chosen?.space.split) return solution.shape.runs.get(chosen.id) ?? null;
  for (const run of solution.shape.runs.values())
    if ([...run.roles].some(([node, role]) => dividingMemberId(node, role) === selection)) return run;
  const space = solution.shape.spaces.get(spaceId);
  return space?.within ? (solution.shape.runs.get(space.within.owner) ?? null) : null;
}

const FROM_TO = { up: 'bottom to top', across: 'left to right', deep: 'rear to front' } as const;

/** What the parts and members of a run are called on its worksheet. */
function wordsFor(run: PlacedRun, owner: PlacedSpace | undefined): { part: string; parts: string; one: string; even: string } {
  const { names } = kindOf(owner?.space.split ?? { axis: run.axis, members: [], spaces: [] });
  const one = partsStandAlone(run) ? names.part : names.one;
  return {
    part: names.part,
    parts: `${names.part}s`,
    one: one.charAt(0).toUpperCase() + one.slice(1),
    even: `Made the ${names.part}s equal`,
  };
}

function RunTitle({ run }: { run: PlacedRun }) {
  const { settled, select, selection } = useSettledBench();
  const owner = settled.shape.spaces.get(run.owner);
  const where = owner?.label === 'inside' ? 'The inside' : (owner?.label ?? '');
  const outer = owner?.within ? settled.shape.spaces.get(owner.within.owner) : undefined;
  const gaps = run.run.lines.filter((l) => l.line.kind === 'gap').length;
  return (
    <Laid.header $below={10}>
      <h1>
        {where.charAt(0).toUpperCase() + where.slice(1)}, {FROM_TO[run.axis]}
      </h1>
      <Faint>
        {gaps} {gaps === 1 ? wordsFor(run, owner).part : wordsFor(run, owner).parts}. Type a size, or say what decides it.
      </Faint>
      {outer ? (
        <div>
          <Button data-quiet onPress={() => select(outer.id)}>
            Out to {outer.label === 'inside' ? 'the whole piece' : outer.label}
          </Button>
        </div>
      ) : selection !== run.owner ? (
        <div>
          <Button data-quiet onPress={() => select(run.owner)}>
            All {wordsFor(run, owner).parts} at once
          </Button>
        </div>
      ) : null}
    </Laid.header>
  );
}

/** What a space is filled with, after what decides it. */
function filledWith({ space: { split, filling } }: PlacedSpace): string {
  if (filling) return `, ${fillingKind(filling).filled}`;
  return split ? `, ${dividingKind(split).filled(split.axis)}` : '';
}

/** The spaces and members of a run, as they lie: the upright ones from the top down. */
function RunList() {
  const { solution, space: spaceId, selection, select } = useBench();
  const precision = usePrecision();
  const run = runFor(solution, spaceId, selection);
  if (!run) return null;
  const lines = run.axis === 'up' ? [...run.run.lines].reverse() : run.run.lines;
  return (
    <List aria-label={{ up: 'From the top down', across: 'From left to right', deep: 'From the rear to the front' }[run.axis]}>
      {lines.map(({ line: l, size }) => {
        if (l.kind === 'member') {
          const role = run.roles.get(l.id);
          if (role === undefined || role === 'room') {
            return (
              <li key={l.id} data-wood="">
                <Still>
                  <span>{l.label}</span>
                  <LengthText value={size.value} precision={precision} />
                </Still>
              </li>
            );
          }
          const id = dividingMemberId(l.id, role);
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
                  {space ? filledWith(space) : ''}
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
        <Laid.header $below={10}>
          <h1>The inside</h1>
          <Faint>
            {root?.space.filling
              ? `Filled with ${fillingKind(root.space.filling).filled}.`
              : (shellOf(piece).keptFree ?? 'One open space so far. Divide it, fill it, or press + on a tape.')}
          </Faint>
        </Laid.header>
        {root ? (
          <>
            <SplitButtons space={root} />
            <MakingForm space={root} />
            <AsBuilt space={root} />
            <ThingsIn space={root} />
          </>
        ) : null}
        <NotPlaced />
        <ShellForm />
      </>
    );
  }
  const owner = settled.shape.spaces.get(run.owner);
  // A part that is filled itself is made in a way of its own.
  const chosen = settled.shape.spaces.get(spaceId);
  const words = wordsFor(run, owner);
  const making = owner?.space.split?.making;
  const target = run.run.lines.some((l) => l.line.id === spaceId)
    ? spaceId
    : (run.run.lines.findLast((l) => l.line.kind === 'gap')?.line.id as string);
  const addOne = () => {
    const { member, beyond } = newNodes(piece);
    commit({ kind: 'add', space: target, member, beyond }, `Added a ${words.one.toLowerCase()}`);
    select(beyond);
  };
  const even = () => commit({ kind: 'even', space: run.owner, members: run.roles.size, ...newNodesFor(piece, 0) }, words.even);
  return (
    <>
      <RunTitle run={run} />
      <RunList />
      <Row $above={10}>
        <Button data-main onPress={addOne}>
          <Plus aria-hidden /> {words.one}
        </Button>
        {run.roles.size > 0 ? (
          <Button onPress={even}>
            <Equal aria-hidden /> Even
          </Button>
        ) : null}
        {run.owner === piece.interior.id && !making ? <SnapHeight /> : null}
        {run.owner === piece.interior.id ? (
          <Button
            onPress={() => {
              commit({ kind: 'clear', space: run.owner }, `Removed the ${words.parts}`);
              select(run.owner);
            }}
          >
            Remove all {words.parts}
          </Button>
        ) : null}
      </Row>
      <Laid.div $above={18}>
        {chosen?.space.filling ? <MakingForm space={chosen} /> : null}
        {owner ? <MakingForm space={owner} /> : null}
        {owner && selection === run.owner ? <AsBuilt space={owner} /> : null}
        <NotPlaced />
        <ShellForm />
      </Laid.div>
    </>
  );
});
