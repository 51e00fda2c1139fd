import { standsWithJoints } from '../../core/checks/index.js';
import { useEffect, useMemo, useState } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { useHistory } from '../data/history.js';
import { useProject } from '../data/project.js';
import { Boundary } from '../shared/boundary.js';
import { Header } from '../shared/header.js';
import { CarrySheet } from '../stations/carry/sheet.js';
import { CarryAnswers } from '../stations/carry/answers.js';
import { DivideSheet } from '../stations/divide.js';
import { MeasureSheet } from '../stations/measure-sheet.js';
import { MeasureStage } from '../stations/measure-stage.js';
import { PartDetail, PartsSheet, PartsStage } from '../stations/parts.js';
import { line, paper, phone } from '../theme/tokens.js';
import { BenchProvider, useBench } from './bench.js';
import { ChecksPanel } from './checks-panel.js';
import { DrawingMiddle, Middle } from './drawing-middle.js';
import { MovedPanel } from './moved.js';
import { NextStep } from './next-step.js';
import { OverallSums } from './overall-sums.js';
import { STATIONS, type Station } from './stations.js';
import { SumPanel } from './sum-panel.js';

const Layout = styled.div`
  display: grid;
  grid-template: auto minmax(0, 1fr) / 264px minmax(0, 1fr) 292px;
  height: 100vh;
  > header {
    grid-column: 1 / -1;
  }
  @media ${phone} {
    display: flex;
    flex-direction: column;
    height: auto;
    /* The drawing and its tapes come first, what is typed beside them after. */
    > header {
      order: -2;
    }
    > main {
      order: -1;
    }
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

function BenchPage({ station, pieceId, version }: { station: Station; pieceId: string; version: number }) {
  const { id } = useProject();
  const { piece, solution, selection } = useBench();
  const opening = piece.opening;
  const [scope, setScope] = useState<readonly string[]>([]);
  useEffect(() => setScope([`pieces/${pieceId}`, ...(opening ? [`openings/${opening}`] : [])]), [pieceId, opening]);
  const history = useHistory(scope);
  useStationKeys(id, pieceId);
  useEffect(() => {
    document.title = `${piece.name}, ${station} – Ruvok`;
  }, [piece.name, station]);
  // A member that fails and one whose ends do not hold are each one of what does not carry.
  const failing = useMemo(
    () => [...solution.carried.members.values()].map((c) => standsWithJoints(solution.checks, c)).filter((c) => c.state === 'fails'),
    [solution],
  );
  const fails = failing.length;
  const breaks = failing.some((c) => c.severity === 'stop');
  const unjudged = solution.checks.filter((c) => c.state === 'not judged').length;
  const stops = solution.checks.filter((c) => c.severity === 'stop').length;
  const parts = solution.parts.length;
  const { name } = piece;
  const header = useMemo(
    () => ({ id: pieceId, name, station, fails, breaks, unjudged, stops, parts }),
    [pieceId, name, station, fails, breaks, unjudged, stops, parts],
  );
  const back = { to: `/p/${id}`, label: 'To the shed' };
  // An edit, another selection and another station try again what could not be shown.
  const showing = `${station} ${selection} ${version}`;
  return (
    <Layout>
      <Header piece={header} history={history} />
      <Side aria-label="Worksheet" data-screen-only>
        <Boundary name="The worksheet" showing={showing} back={back}>
          {station === 'measure' ? (
            <MeasureSheet />
          ) : station === 'divide' ? (
            <DivideSheet />
          ) : station === 'carry' ? (
            <CarrySheet />
          ) : (
            <PartsSheet />
          )}
          <NextStep station={station} />
        </Boundary>
      </Side>
      <Boundary name={station === 'parts' ? 'The list' : 'The drawing'} showing={showing} back={back}>
        {station === 'measure' ? (
          <Middle>
            <MeasureStage />
          </Middle>
        ) : station === 'parts' ? (
          <Middle>
            <PartsStage />
          </Middle>
        ) : (
          <DrawingMiddle carrying={station === 'carry'} />
        )}
      </Boundary>
      <Side aria-label="Sum and checks" data-screen-only>
        <Boundary name="The sum" showing={showing} back={back}>
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
        </Boundary>
        <div style={{ marginTop: 18 }}>
          <Boundary name="The checks" showing={showing} back={back}>
            <ChecksPanel />
          </Boundary>
        </div>
      </Side>
    </Layout>
  );
}

/** A piece on the bench at one of its stations. */
export function PiecePage() {
  const { piece, station, project } = useParams();
  const { bench } = useProject();
  const kept = bench.records.pieces.find((p) => p.id === piece);
  if (!piece || !kept) return <Navigate to={`/p/${project}`} replace />;
  if (!STATIONS.includes(station as Station)) return <Navigate to={`/p/${project}/pieces/${piece}/divide`} replace />;
  return (
    <Boundary name="This piece" showing={`${piece} ${kept.version}`} back={{ to: `/p/${project}`, label: 'To the shed' }}>
      <BenchProvider pieceId={piece} key={piece}>
        <BenchPage station={station as Station} pieceId={piece} version={kept.version} />
      </BenchProvider>
    </Boundary>
  );
}
