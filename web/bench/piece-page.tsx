import { useEffect, useState } from 'react';
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { Menu, MenuItem, Popover } from 'react-aria-components';
import type { View } from '../../core/drawing/index.js';
import type { TapeLine } from '../../core/solution/index.js';
import type { GapRule } from '../../core/run/index.js';
import { toMm } from '../../core/length/index.js';
import { useHistory } from '../data/history.js';
import { usePrecision, useProject } from '../data/project.js';
import { Header } from '../shared/header.js';
import { Faint, Row, Tick } from '../shared/ui.js';
import { Bends, CarrySheet } from '../stations/carry.js';
import { CarryAnswers } from '../stations/carry-answers.js';
import { CarryBelow } from '../stations/carry-below.js';
import { DivideSheet } from '../stations/divide.js';
import { MeasureSheet } from '../stations/measure-sheet.js';
import { MeasureStage } from '../stations/measure-stage.js';
import { PartDetail, PartsSheet, PartsStage } from '../stations/parts.js';
import { film, ink, line, paper, phone, tapePale } from '../theme/tokens.js';
import { BenchProvider, useBench } from './bench.js';
import { ChecksPanel } from './checks-panel.js';
import { PieceStage } from './drawing.js';
import { MovedPanel } from './moved.js';
import { OverallSums } from './overall-sums.js';
import { ruleOf } from './rule-form.js';
import { SpaceTable } from './space-table.js';
import { SumPanel } from './sum-panel.js';

export const STATIONS = ['measure', 'divide', 'carry', 'parts'] as const;
export type Station = (typeof STATIONS)[number];

const Layout = styled.div`
  display: grid;
  grid-template: auto minmax(0, 1fr) / 264px minmax(0, 1fr) 292px;
  height: 100vh;
  > header {
    grid-column: 1 / -1;
  }
  @media ${phone} {
    display: block;
    height: auto;
  }
  @media print {
    display: block;
    height: auto;
  }
`;

const Side = styled.aside`
  background: ${paper};
  position: relative;
  overflow-y: auto;
  padding: 16px;
  border-right: 1px solid ${line};
  &:last-child {
    border-right: 0;
    border-left: 1px solid ${line};
  }
  @media ${phone} {
    border: 0;
    border-bottom: 1px solid ${line};
    overflow: visible;
  }
`;

const Middle = styled.main`
  position: relative;
  background: ${film};
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  @media ${phone} {
    height: 560px;
    &[data-list] {
      height: auto;
    }
  }
`;

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 6px 12px;
  padding: 10px 16px 0;
`;

const ViewTab = styled.button`
  all: unset;
  cursor: pointer;
  padding: 4px 10px;
  font-weight: 600;
  font-size: 13px;
  &:focus-visible {
    outline: 3px solid #1b5aa8;
  }
  &[aria-pressed='true'] {
    background: ${ink};
    color: ${paper};
  }
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

type Shown = View | 'table';

const VIEWS: readonly { id: Shown; label: string }[] = [
  { id: 'front', label: 'Front' },
  { id: 'side', label: 'Side' },
  { id: 'top', label: 'Top' },
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

function DrawingMiddle({ station }: { station: Station }) {
  const { bench } = useProject();
  const { commit, solution } = useBench();
  const [params, setParams] = useSearchParams();
  const [contents, setContents] = useState(true);
  const [tapes, setTapes] = useState(true);
  const [person, setPerson] = useState(false);
  const [ruled, setRuled] = useState<TapeLine | null>(null);
  const carrying = station === 'carry';
  const view = carrying ? 'front' : ((VIEWS.find((v) => v.id === params.get('view'))?.id ?? 'front') as Shown);
  const [first] = bench.records.people;
  const setView = (next: Shown) =>
    setParams(
      (now) => {
        now.set('view', next);
        return now;
      },
      { replace: true },
    );
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
    <Middle>
      <Bar>
        {carrying ? (
          <Faint style={{ padding: '4px 0' }}>Bends are drawn larger than they are, by the number beside each.</Faint>
        ) : (
          <Row style={{ gap: 2 }} role="group" aria-label="View">
            {VIEWS.map((v) => (
              <ViewTab key={v.id} aria-pressed={view === v.id} onClick={() => setView(v.id)}>
                {v.label}
              </ViewTab>
            ))}
          </Row>
        )}
        <Row style={{ gap: 14 }}>
          <Tick isSelected={contents} onChange={setContents}>
            Contents
          </Tick>
          {carrying ? null : (
            <Tick isSelected={tapes} onChange={setTapes}>
              Tapes
            </Tick>
          )}
          {first && !carrying ? (
            <Tick isSelected={person} onChange={setPerson}>
              Person
            </Tick>
          ) : null}
        </Row>
      </Bar>
      {view === 'table' ? (
        <SpaceTable />
      ) : (
        <PieceStage
          view={view}
          contents={contents}
          tapes={tapes && !carrying}
          person={person && first && !carrying ? { name: first.data.name, height: toMm(first.data.height) } : null}
          onRules={setRuled}
          onDropThing={drop}
          {...(carrying ? { over: (at: Parameters<typeof Bends>[0]['at']) => <Bends at={at} /> } : {})}
        />
      )}
      {carrying ? <CarryBelow /> : null}
      {ruled ? <RulePicker line={ruled} onClose={() => setRuled(null)} /> : null}
    </Middle>
  );
}

/** Alt with a digit walks the stations; digits alone belong to the tape. */
function useStationKeys(project: string, piece: string) {
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!event.altKey || event.ctrlKey || event.metaKey) return;
      const station = STATIONS[Number(event.code.replace('Digit', '')) - 1];
      if (!station || !event.code.startsWith('Digit')) return;
      event.preventDefault();
      const search = new URLSearchParams(window.location.search).toString();
      void navigate({ pathname: `/p/${project}/pieces/${piece}/${station}`, search });
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [navigate, project, piece]);
}

function BenchPage({ station, pieceId }: { station: Station; pieceId: string }) {
  const { id } = useProject();
  const { piece, solution } = useBench();
  const opening = piece.opening;
  const [scope, setScope] = useState<readonly string[]>([]);
  useEffect(() => setScope([`pieces/${pieceId}`, ...(opening ? [`openings/${opening}`] : [])]), [pieceId, opening]);
  const history = useHistory(scope);
  useStationKeys(id, pieceId);
  useEffect(() => {
    document.title = `${piece.name}, ${station} – Ruvok`;
  }, [piece.name, station]);
  const fails = [...solution.carried.members.values()].filter((c) => c.state === 'fails').length;
  const stops = solution.checks.filter((c) => c.severity === 'stop').length;
  return (
    <Layout>
      <Header piece={{ id: pieceId, name: piece.name, station, fails, stops, parts: solution.parts.length }} history={history} />
      <Side aria-label="Worksheet" data-screen-only>
        {station === 'measure' ? (
          <MeasureSheet />
        ) : station === 'divide' ? (
          <DivideSheet />
        ) : station === 'carry' ? (
          <CarrySheet />
        ) : (
          <PartsSheet />
        )}
      </Side>
      {station === 'measure' ? (
        <Middle>
          <MeasureStage />
        </Middle>
      ) : station === 'parts' ? (
        <Middle data-list="">
          <PartsStage />
        </Middle>
      ) : (
        <DrawingMiddle station={station} />
      )}
      <Side aria-label="Sum and checks" data-screen-only>
        <MovedPanel />
        {station === 'carry' ? (
          <CarryAnswers />
        ) : station === 'parts' ? (
          <PartDetail />
        ) : station === 'measure' ? (
          <OverallSums />
        ) : (
          <SumPanel />
        )}
        <div style={{ marginTop: 18 }}>
          <ChecksPanel />
        </div>
      </Side>
    </Layout>
  );
}

/** A piece on the bench at one of its stations. */
export function PiecePage() {
  const { piece, station, project } = useParams();
  const { bench } = useProject();
  if (!piece || !bench.records.pieces.some((p) => p.id === piece)) return <Navigate to={`/p/${project}`} replace />;
  if (!STATIONS.includes(station as Station)) return <Navigate to={`/p/${project}/pieces/${piece}/divide`} replace />;
  return (
    <BenchProvider pieceId={piece} key={piece}>
      <BenchPage station={station as Station} pieceId={piece} />
    </BenchProvider>
  );
}
