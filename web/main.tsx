import { StrictMode, Suspense, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Link, Navigate, Outlet, Route, Routes, matchPath, useLocation, useParams } from 'react-router';
import '@fontsource-variable/archivo/wdth.css';
import { askAhead } from './data/ahead.js';
import { ProjectProvider, useProject, useSaverState } from './data/project.js';
import { Boundary, fetched } from './shared/boundary.js';
import { Laid } from './shared/laid.js';
import { NoticeBar } from './shared/notice-bar.js';
import { Page } from './shared/plain.js';
import { GlobalStyle } from './theme/global.js';

// What is shown first does not wait for the rest, and the workshop is asked for while its screen is fetched.
const Welcome = fetched(() => import('./shed/welcome.js').then((m) => m.Welcome));
const Shed = fetched(() => import('./shed/shed.js').then((m) => m.Shed));
const PiecePage = fetched(async () => {
  const { PiecePage, stationAhead } = await import('./stations/piece-page.js');
  stationAhead(matchPath('/p/:project/pieces/:piece/:station', window.location.pathname)?.params.station);
  return PiecePage;
});
const Stockroom = fetched(() => import('./stockroom/stockroom.js').then((m) => m.Stockroom));
const Things = fetched(() => import('./things/things.js').then((m) => m.Things));
const People = fetched(() => import('./people/people.js').then((m) => m.People));
const ProjectSettings = fetched(() => import('./settings/settings.js').then((m) => m.ProjectSettings));
const Handbook = fetched(() => import('./handbook/handbook.js').then((m) => m.Handbook));

/** What this address will show is fetched at once, beside the workshop that it shows. */
function fetchAhead(path: string): void {
  const project = matchPath('/p/:project/*', path)?.params.project;
  if (project) askAhead(project);
  if (matchPath('/p/:project/pieces/*', path)) PiecePage.ahead();
  else if (matchPath('/p/:project', path)) Shed.ahead();
  else if (matchPath('/', path)) Welcome.ahead();
}
fetchAhead(window.location.pathname);

const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });

function Missing({ children }: { children: ReactNode }) {
  return (
    <Page>
      <h1>{children}</h1>
      <Laid.p $above={10}>
        <Link to="/">To the first page</Link>
      </Laid.p>
    </Page>
  );
}

const Pair = fetched(() => import('./phone/pair.js').then((m) => m.Pair));
const BenchOnPhone = fetched(() => import('./phone/bench-page.js').then((m) => m.BenchOnPhone));

const TroubleDialog = fetched(() => import('./shared/trouble-dialog.js').then((m) => m.TroubleDialog));

/** What the saver has to tell. */
function Told() {
  const { saver } = useProject();
  const { trouble } = useSaverState(saver);
  return (
    <>
      {/* Here from the start: it tells that the server, which would give it, is away. */}
      <NoticeBar />
      <Suspense fallback={null}>{trouble ? <TroubleDialog /> : null}</Suspense>
    </>
  );
}

function ProjectRoute() {
  const { project = '' } = useParams();
  const { pathname } = useLocation();
  return (
    <ProjectProvider
      key={project}
      id={project}
      fallback={(error) => (error ? <Missing>{error.message}</Missing> : <Page role="status">Opening the shed…</Page>)}
    >
      <Boundary name="This page" showing={pathname} back={{ to: `/p/${project}`, label: 'To the shed' }}>
        <Suspense fallback={<Page role="status">Opening…</Page>}>
          <Outlet />
        </Suspense>
      </Boundary>
      <Told />
    </ProjectProvider>
  );
}

function App() {
  return (
    <Routes>
      <Route
        index
        element={
          <Suspense fallback={<Page role="status">Opening…</Page>}>
            <Welcome />
          </Suspense>
        }
      />
      <Route
        path="pair"
        element={
          <Suspense fallback={<Page role="status">Opening…</Page>}>
            <Pair />
          </Suspense>
        }
      />
      <Route path="p/:project" element={<ProjectRoute />}>
        <Route index element={<Shed />} />
        <Route path="stock" element={<Stockroom />} />
        <Route path="things" element={<Things />} />
        <Route path="people" element={<People />} />
        <Route path="settings" element={<ProjectSettings />} />
        <Route path="handbook" element={<Navigate to="first-piece" replace relative="path" />} />
        <Route path="handbook/:page" element={<Handbook />} />
        <Route path="pieces/:piece/bench" element={<BenchOnPhone />} />
        <Route path="pieces/:piece/:station?" element={<PiecePage />} />
      </Route>
      <Route path="*" element={<Missing>There is no such page.</Missing>} />
    </Routes>
  );
}

/** What fails outside a project ends here. */
function Whole() {
  const { pathname } = useLocation();
  return (
    <Boundary name="This page" showing={pathname} back={{ to: '/', label: 'To the first page' }}>
      <App />
    </Boundary>
  );
}

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <GlobalStyle />
        <Whole />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
