import { useMemo } from 'react';
import styled from 'styled-components';
import { buildingFor, holdsOf, onTheWall, sortsOfHolds, type Hold, type SortOfHold } from '../../../core/build/index.js';
import { sortOfKeep } from '../../../core/shells/index.js';
import { boughtText } from '../../../core/formats/bought-text.js';
import { writeSentence } from '../../../core/figure/index.js';
import { lettersText } from '../../../core/parts/index.js';
import { ON_THE_WALL, type Bought, type FastenWay } from '../../../core/piece/index.js';
import { useBench } from '../../bench/bench.js';
import { useProject } from '../../data/project.js';
import { Laid } from '../../shared/laid.js';
import { ghostEdge, paper } from '../../theme/tokens.js';
import { Term } from '../../shared/term.js';
import { Faint, Select, type Choice } from '../../shared/ui.js';

/** What is joined, with what, and how that is chosen, beside each other where there is room. */
const Joint = styled.li`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  align-items: center;
  gap: 4px 16px;
  padding: 8px;
  background: ${paper};
  border-bottom: 1px solid ${ghostEdge};
`;

const WAYS: Readonly<Record<FastenWay, string>> = {
  usual: 'as is usual',
  screws: 'by screws',
  nails: 'by brads and glue',
  bolts: 'by bolts',
  plates: 'by plates that let it move',
  brackets: 'by angle brackets',
  glue: 'by glue alone',
  rests: 'by its weight alone',
  studs: 'into studs',
  masonry: 'into masonry',
  hollow: 'into plaster board, where no stud is',
};

const choicesOf = (ways: readonly FastenWay[]): readonly Choice<FastenWay>[] => ways.map((id) => ({ id, label: WAYS[id] }));

/** How the piece on the bench is built. */
export function useBuildingHere() {
  const { bench } = useProject();
  const { pieceId } = useBench();
  return useMemo(
    () =>
      buildingFor(
        bench.records.buildings.map((b) => b.data),
        pieceId,
      ),
    [bench, pieceId],
  );
}

function useHolds(): readonly Hold[] {
  const { solution } = useBench();
  const building = useBuildingHere();
  return useMemo(() => holdsOf(solution, building), [solution, building]);
}

const keyOf = ({ held, by }: Hold) => `${held.id} on ${by.id}`;

/** Chooses what keeps some members where they lie: by each two of them where they were told apart before, else by their sorts. */
function useChoose() {
  const { piece, commit } = useBench();
  const fastened = piece.fastened ?? {};
  return {
    isApart: (hold: Hold) => Object.hasOwn(fastened, keyOf(hold)),
    choose: (keys: readonly string[], way: FastenWay, sort: string) => {
      const others = Object.entries(fastened).filter(([key]) => !keys.includes(key));
      // What is usual need not be said, but against what its sort is told.
      const own = way === 'usual' && !others.some(([key]) => key === sort) ? [] : keys.map((key) => [key, way] as const);
      commit({ kind: 'piece', patch: { fastened: Object.fromEntries([...others, ...own]) } }, `Changed how ${sort} is held`.slice(0, 150));
    },
  };
}

/** What is driven or put in, equal things together. */
function Taken({ takes }: { takes: readonly Bought[] }) {
  const { precision } = useProject();
  return takes.map((b) => <div key={`${b.what} ${b.length ?? ''}`}>{boughtText(b, precision).join(' ')}</div>);
}

function useLetters(holds: readonly Hold[]) {
  const { solution } = useBench();
  const of = (side: 'held' | 'by') => lettersText([...new Set(holds.flatMap((h) => solution.letters[h[side].id] ?? []))]);
  return `${of('held')} to ${of('by')}`;
}

function SortRow({ sort }: { sort: SortOfHold }) {
  const { precision } = useProject();
  const { isApart, choose } = useChoose();
  const letters = useLetters(sort.holds);
  const { chosen } = sort;
  const keys = sort.holds.every(isApart) ? sort.holds.map(keyOf) : [sort.sort];
  return (
    <Joint>
      <div>
        <Term>{sort.sort}</Term>
        <br />
        <Faint>{letters}</Faint>
      </div>
      <div>
        {writeSentence(sort.says, precision)}
        <Taken takes={sort.takes} />
      </div>
      <div>
        {chosen ? (
          <Select
            label={`How ${sort.sort} is held, ${letters}`}
            hideLabel
            value={chosen}
            choices={choicesOf(sort.choices)}
            onChange={(way) => choose(keys, way, sort.sort)}
          />
        ) : null}
      </div>
    </Joint>
  );
}

/** The piece on its wall. */
function WallRow() {
  const { solution } = useBench();
  const { choose } = useChoose();
  const wall = useMemo(() => onTheWall(solution), [solution]);
  if (!wall) return null;
  return (
    <Joint>
      <div>{ON_THE_WALL}</div>
      <div>
        {wall.takes.length === 0 ? 'not known what holds it' : null}
        <Taken takes={wall.takes} />
      </div>
      <div>
        <Select
          label="What it is fixed to"
          hideLabel
          value={wall.chosen}
          choices={choicesOf(wall.choices)}
          onChange={(way) => choose([ON_THE_WALL], way, ON_THE_WALL)}
        />
      </div>
    </Joint>
  );
}

/** Every joint of a piece by its sort: how it is held, with what, and where that is chosen. */
export function WhatHoldsIt() {
  const sorts = sortsOfHolds(useHolds());
  if (sorts.length === 0) return null;
  return (
    <Laid.section aria-label="What holds it" $above={14}>
      <h3>What holds it</h3>
      <ul>
        {sorts.map((sort) => (
          <SortRow key={sort.holds.map(keyOf).join()} sort={sort} />
        ))}
        <WallRow />
      </ul>
    </Laid.section>
  );
}

/** The joints of one part, each of which may be kept otherwise than its sort. */
export function HeldHere({ part }: { part: string }) {
  const { solution } = useBench();
  const { precision } = useProject();
  const { choose } = useChoose();
  const own = useHolds().filter((h) => h.held.id === part || h.by.id === part);
  if (own.length === 0) return null;
  return (
    <>
      <Laid.h3 $above={12}>Held</Laid.h3>
      <Laid.ul $size={13}>
        {own.map((hold) => {
          const other = hold.held.id === part ? hold.by : hold.held;
          const name = `${other.label} ${solution.letters[other.id] ?? ''}`.trim();
          return (
            <Laid.li key={keyOf(hold)} $pad="2px 0">
              {hold.held.id === part ? 'to' : 'holds'} {name}: {writeSentence(hold.says, precision)}
              <Taken takes={hold.takes} />
              {hold.chosen ? (
                <Select
                  label={`How it is held at ${name}`}
                  hideLabel
                  value={hold.chosen}
                  choices={choicesOf(hold.choices)}
                  onChange={(way) => choose([keyOf(hold)], way, sortOfKeep(hold.held.role, hold.by.role))}
                />
              ) : null}
            </Laid.li>
          );
        })}
      </Laid.ul>
    </>
  );
}
