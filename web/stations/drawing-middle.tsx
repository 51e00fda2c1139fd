import { memo, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { Menu, MenuItem, Popover } from 'react-aria-components';
import type { View } from '../../core/drawing/index.js';
import { dividingKind, fillingKind } from '../../core/interiors/index.js';

import type { GapRule } from '../../core/run/index.js';
import { heldOutOf, type TapeLine } from '../../core/solution/index.js';
import { usePrecision, useProject } from '../data/project.js';
import { Assumed, Faint, Row, Select, Tick } from '../shared/ui.js';
import { Bends } from './carry/bends.js';
import { useDrawnOut } from './carry/in-pose.js';
import { SolidStage } from '../solid/solid-stage.js';
import { CarryBelow } from './carry/below.js';
import { ViewTab } from '../shared/view-tab.js';
import { ink, paper, tapePale } from '../theme/tokens.js';
import { SHUT, posesOf, type Piece } from '../../core/piece/index.js';
import { useBench, useSettledBench } from '../bench/bench.js';
import { PieceStage } from '../bench/drawing.js';
import { strokeOf } from '../bench/stroke-tape.js';
import { besideOf } from '../bench/person.js';
import { ruleOf } from '../bench/rule-form.js';
import { SpaceTable } from '../bench/space-table.js';
import { Laid } from '../shared/laid.js';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 6px 12px;
  padding: 10px 16px 0;
`;

const RuleMenu = styled(Popover)`
  background: ${paper};
  border: 1px solid ${ink};
  min-width: 210px;
  .react-aria-MenuItem {
    padding: 7px 12px;
    cursor: pointer;
    outline: none;
  }
  .react-aria-MenuItem[data-focused] {
    background: ${tapePale};
    box-shadow: inset 3px 0 0 ${ink};
  }
`;

const RULES: readonly { id: GapRule['kind']; label: string }[] = [
  { id: 'share', label: 'Share what is left' },
  { id: 'fixed', label: 'Fix it at this size' },
  { id: 'fit', label: 'Fit what stands in it' },
  { id: 'graded', label: 'A step from the one before' },
  { id: 'grid', label: 'Put it on a pitch' },
];

type Shown = View | 'solid' | 'table';

const VIEWS: readonly { id: Shown; label: string }[] = [
  { id: 'front', label: 'Front' },
  { id: 'side', label: 'Side' },
  { id: 'top', label: 'Top' },
  { id: 'solid', label: '3D' },
  { id: 'table', label: 'Table' },
];

/** The rules a gap may have, opened from the tape. */
function RulePicker({ line, onClose }: { line: TapeLine; onClose: () => void }) {
  const { commit } = useBench();
  const { unit } = usePrecision();
  const choose = (kind: GapRule['kind']) => {
    if (line.node)
      commit(
        { kind: 'rule', space: line.node, rule: ruleOf(kind, line.size.value, unit) },
        `Changed what decides ${line.label}`.slice(0, 150),
      );
    onClose();
  };
  const trigger = { current: document.querySelector<HTMLElement>(`[role="option"][aria-selected="true"]`) };
  return (
    <RuleMenu triggerRef={trigger} isOpen onOpenChange={(open) => !open && onClose()} placement="right">
      <Menu
        aria-label={`What decides ${line.label}`}
        autoFocus="first"
        onAction={(key) => choose(key as GapRule['kind'])}
        selectionMode="single"
        selectedKeys={line.rule ? [line.rule.kind] : []}
      >
        {RULES.map((r) => (
          <MenuItem key={r.id} id={r.id}>
            {r.label}
          </MenuItem>
        ))}
      </Menu>
    </RuleMenu>
  );
}

/** What is drawn with the piece. */
interface Shows {
  /** `shut`, `open` for all, or `open-` and the id of a body. */
  readonly pose: string;
  /** How far what is open there is, from 0 to 1. */
  readonly part: number;
  readonly contents: boolean;
  readonly tapes: boolean;
  readonly person: boolean;
}

const DrawnOutSelect = styled.div`
  min-width: 190px;
`;

/** Which view is drawn (none to choose from at Carry), and what with it. */
const StageBar = memo(function StageBar({
  shown,
  show,
  setShow,
  person,
}: {
  shown: Shown | null;
  show: Shows;
  setShow: (show: Shows) => void;
  person: boolean;
}) {
  const [, setParams] = useSearchParams();
  const { settled } = useSettledBench();
  const poses = posesOf(settled.shape.bodies);
  const heldOut = heldOutOf(settled);
  const [out, setOut] = useDrawnOut();
  const setView = (next: Shown) =>
    setParams(
      (now) => {
        now.set('view', next);
        return now;
      },
      { replace: true },
    );
  const tick = (what: 'contents' | 'tapes' | 'person', label: string) => (
    <Tick isSelected={show[what]} onChange={(on) => setShow({ ...show, [what]: on })}>
      {label}
    </Tick>
  );
  return (
    <Bar>
      {shown === null ? (
        <Faint $pad="4px 0">Bends are drawn larger than they are, by the number beside each.</Faint>
      ) : (
        <Row $gap={2} role="group" aria-label="View">
          {VIEWS.map((v) => (
            <ViewTab key={v.id} aria-pressed={shown === v.id} onClick={() => setView(v.id)}>
              {v.label}
            </ViewTab>
          ))}
        </Row>
      )}
      <Row $gap={14}>
        {settled.shape.assumed.length > 0 ? <Assumed>{settled.shape.assumed.join(', ')} assumed</Assumed> : null}
        {shown === null && heldOut.length > 0 ? (
          <DrawnOutSelect>
            <Select
              label="What is drawn out"
              hideLabel
              value={heldOut.some((b) => b.id === out) ? (out ?? '') : ''}
              choices={[{ id: '', label: 'all shut' }, ...heldOut.map((b) => ({ id: b.id, label: `${b.label} drawn out` }))]}
              onChange={(id) => setOut(id === '' ? null : id)}
            />
          </DrawnOutSelect>
        ) : null}
        {poses.length > 1 && shown !== null ? (
          <Laid.div $width={150}>
            <Select
              label="What is open"
              hideLabel
              value={show.pose}
              choices={poses.map((p) => ({ id: p.id, label: p.label }))}
              onChange={(pose) => setShow({ ...show, pose, part: 1 })}
            />
          </Laid.div>
        ) : null}
        {tick('contents', 'Contents')}
        {shown === null || shown === 'solid' ? null : tick('tapes', 'Tapes')}
        {shown === null || shown === 'solid' || !person ? null : tick('person', 'Person')}
      </Row>
    </Bar>
  );
});

/** The view that shows most of a piece: from above where it lies flat. */
function firstView({ interior }: Piece): View {
  const { split, filling } = interior;
  return filling ? fillingKind(filling).seenFrom : split ? dividingKind(split).seenFrom : 'front';
}

/** The drawing of the piece with its tapes, or at Carry with its members bent. */
export function DrawingMiddle({ carrying }: { carrying: boolean }) {
  const { bench } = useProject();
  const { commit, solution, selection } = useBench();
  const [params] = useSearchParams();
  const [show, setShow] = useState<Shows>({
    pose: 'shut',
    part: 1,
    contents: true,
    tapes: true,
    person: solution.piece.usedBy !== undefined,
  });
  const [ruled, setRuled] = useState<TapeLine | null>(null);
  const view = carrying ? 'front' : (VIEWS.find((v) => v.id === params.get('view'))?.id ?? firstView(solution.piece));
  const { usedBy } = solution.piece;
  const who = bench.records.people.find((p) => p.id === usedBy?.person) ?? bench.records.people[0];
  const pose = useMemo(() => {
    const named = posesOf(solution.shape.bodies).find((p) => p.id === show.pose)?.pose ?? SHUT;
    return show.part === 1 ? named : new Map([...named].map(([id, whole]) => [id, whole * show.part]));
  }, [solution, show.pose, show.part]);
  const sliding = strokeOf(solution.shape, solution.shape.bodies.find((b) => show.pose === `open-${b.id}`)?.id ?? null, selection);
  const stroke = sliding
    ? {
        body: sliding,
        part: pose.get(sliding.id) ?? 0,
        onPart: (part: number) => setShow({ ...show, pose: part === 0 ? 'shut' : `open-${sliding.id}`, part: part === 0 ? 1 : part }),
      }
    : null;
  const drop = (space: string, thing: string) => {
    const target = solution.shape.spaces.get(space);
    const record = bench.records.things.find((t) => t.id === thing);
    if (target && record)
      commit(
        { kind: 'things', space, things: [...target.space.things, { thing, count: 1 }] },
        `Put ${record.data.name} into ${target.label}`.slice(0, 150),
      );
  };
  return (
    <>
      <StageBar shown={carrying ? null : view} show={show} setShow={setShow} person={who !== undefined} />
      {view === 'table' ? (
        <SpaceTable />
      ) : view === 'solid' ? (
        <SolidStage pose={pose} contents={show.contents} />
      ) : (
        <PieceStage
          view={view}
          pose={pose}
          stroke={carrying ? null : stroke}
          contents={show.contents}
          tapes={show.tapes && !carrying}
          person={show.person && who && !carrying ? besideOf(who.data, usedBy) : null}
          onRules={setRuled}
          onDropThing={drop}
          {...(carrying ? { over: (at: Parameters<typeof Bends>[0]['at']) => <Bends at={at} /> } : {})}
        />
      )}
      {carrying ? <CarryBelow /> : null}
      {ruled ? <RulePicker line={ruled} onClose={() => setRuled(null)} /> : null}
    </>
  );
}

export const DividedMiddle = () => <DrawingMiddle carrying={false} />;
export const CarriedMiddle = () => <DrawingMiddle carrying />;
