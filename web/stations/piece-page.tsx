import { Suspense, useEffect, useMemo } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { cuttingWith } from '../data/cutting-with.js';
import { useHistory } from '../data/history.js';
import { useProject } from '../data/project.js';
import { Boundary } from '../shared/boundary.js';
import { Header, type HeaderPiece } from '../shared/header.js';
import { line, paper, phone } from '../theme/tokens.js';
import { BenchProvider, useBench } from '../bench/bench.js';
import { ChecksPanel } from '../bench/checks-panel.js';
import { Middle } from './middle.js';
import { MovedPanel } from '../bench/moved.js';
import { useLater } from '../bench/use-later.js';
import { NextStep } from './next-step.js';
import { Leading } from './leads.js';
import { STATIONS } from './index.js';
import type { Station } from './station.js';
import { Laid } from '../shared/laid.js';

export { stationAhead } from './index.js';

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
  /* Long forms that are not on the screen are laid out and painted once they come there, and not with every key. */
  section {
    content-visibility: auto;
    contain-intrinsic-size: auto 600px;
    /* What marks the focus stands out a little. */
    overflow-clip-margin: 8px;
    @media print {
      content-visibility: visible;
    }
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
      void navigate({ pathname: `/p/${project}/pieces/${piece}/${station.id}`, search });
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [navigate, project, piece]);
}

function BenchPage({ station, pieceId, version }: { station: Station; pieceId: string; version: number }) {
  const { id, bench } = useProject();
  const { piece, solution, selection } = useBench();
  const cutting = cuttingWith(bench, pieceId);
  // Taking a sheet off what is on hand changes its stock as well: both can be taken back here.
  const booked = [...new Set(cutting?.data.begun.flatMap((b) => (b.booked ? [b.stock] : [])))].join(' ');
  const cuttingId = cutting?.id;
  const buildingId = bench.records.buildings.find((b) => b.data.piece === pieceId)?.id;
  const opening = piece.opening;
  const scope = useMemo(
    () => [
      `pieces/${pieceId}`,
      ...(opening ? [`openings/${opening}`] : []),
      ...(cuttingId ? [`cuttings/${cuttingId}`] : []),
      ...(buildingId ? [`buildings/${buildingId}`] : []),
      ...(booked ? booked.split(' ').map((id) => `stock/${id}`) : []),
      // What things are sold for is typed where they are bought.
      ...(station.id === 'stock' ? ['hardware'] : []),
    ],
    [pieceId, opening, cuttingId, buildingId, booked, station.id],
  );
  const history = useHistory(scope);
  useStationKeys(id, pieceId);
  useEffect(() => {
    document.title = `${piece.name}, ${station.id} – Ruvok`;
  }, [piece.name, station]);
  const later = useLater(solution);
  const badges = useMemo(
    () => JSON.stringify(STATIONS.map(({ id: at, label, badge }) => ({ id: at, label, badge: badge(later) }))),
    [later],
  );
  const { name } = piece;
  // The bar along the top is drawn anew only where it says something else.
  const header = useMemo(
    () => ({ id: pieceId, name, station: station.id, stations: JSON.parse(badges) as HeaderPiece['stations'] }),
    [pieceId, name, station, badges],
  );
  const back = { to: `/p/${id}`, label: 'To the shed' };
  // An edit, another selection and another station try again what could not be shown.
  const showing = `${station.id} ${selection} ${version}`;
  const { Sheet, Stage, Answers } = station;
  return (
    <Layout>
      <Header piece={header} history={history} />
      <Side aria-label="Worksheet" data-screen-only>
        <Boundary name="The worksheet" showing={showing} back={back}>
          <Suspense fallback={null}>
            <Sheet />
            <NextStep station={station} />
          </Suspense>
        </Boundary>
      </Side>
      <Boundary name={station.shows} showing={showing} back={back}>
        <Middle>
          <Suspense fallback={null}>
            <Stage />
          </Suspense>
        </Middle>
      </Boundary>
      <Side aria-label="Sum and checks" data-screen-only>
        <Boundary name="The sum" showing={showing} back={back}>
          <MovedPanel />
          <Suspense fallback={null}>
            <Answers />
          </Suspense>
        </Boundary>
        <Laid.div $above={18}>
          <Boundary name="The checks" showing={showing} back={back}>
            <ChecksPanel />
          </Boundary>
        </Laid.div>
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
  const at = STATIONS.find((s) => s.id === station);
  if (!at) return <Navigate to={`/p/${project}/pieces/${piece}/divide`} replace />;
  return (
    <Boundary name="This piece" showing={`${piece} ${kept.version}`} back={{ to: `/p/${project}`, label: 'To the shed' }}>
      <BenchProvider pieceId={piece} key={piece}>
        <Leading>
          <BenchPage station={at} pieceId={piece} version={kept.version} />
        </Leading>
      </BenchProvider>
    </Boundary>
  );
}
