import { StrictMode, Suspense, lazy, type ComponentType, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Link, Navigate, Outlet, Route, Routes, useParams } from 'react-router';
import '@fontsource-variable/archivo/wdth.css';
import { PiecePage } from './bench/piece-page.js';
import { ProjectProvider } from './data/project.js';
import { Shed } from './shed/shed.js';
import { Welcome } from './shed/welcome.js';
import { TroubleDialog } from './shared/trouble-dialog.js';
import { Page } from './shared/ui.js';
import { GlobalStyle } from './theme/global.js';

/** A page whose script is fetched when it is first gone to, so that the bench and the shed need not wait for it. */
const page = (load: () => Promise<ComponentType>) => lazy(async () => ({ default: await load() }));

const Stockroom = page(() => import('./stockroom/stockroom.js').then((m) => m.Stockroom));
const Things = page(() => import('./things/things.js').then((m) => m.Things));
const People = page(() => import('./people/people.js').then((m) => m.People));
const ProjectSettings = page(() => import('./settings/settings.js').then((m) => m.ProjectSettings));
const Handbook = page(() => import('./handbook/handbook.js').then((m) => m.Handbook));

const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });

function Missing({ children }: { children: ReactNode }) {
  return (
    <Page>
      <h1>{children}</h1>
      <p style={{ marginTop: 10 }}>
        <Link to="/">To the first page</Link>
      </p>
    </Page>
  );
}

function ProjectRoute() {
  const { project = '' } = useParams();
  return (
    <ProjectProvider
      key={project}
      id={project}
      fallback={(error) => (error ? <Missing>{error.message}</Missing> : <Page role="status">Opening the shed…</Page>)}
    >
      <Suspense fallback={<Page role="status">Opening…</Page>}>
        <Outlet />
      </Suspense>
      <TroubleDialog />
    </ProjectProvider>
  );
}

function App() {
  return (
    <Routes>
      <Route index element={<Welcome />} />
      <Route path="p/:project" element={<ProjectRoute />}>
        <Route index element={<Shed />} />
        <Route path="stock" element={<Stockroom />} />
        <Route path="things" element={<Things />} />
        <Route path="people" element={<People />} />
        <Route path="settings" element={<ProjectSettings />} />
        <Route path="handbook" element={<Navigate to="sag" replace relative="path" />} />
        <Route path="handbook/:page" element={<Handbook />} />
        <Route path="pieces/:piece/:station?" element={<PiecePage />} />
      </Route>
      <Route path="*" element={<Missing>There is no such page.</Missing>} />
    </Routes>
  );
}

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <GlobalStyle />
        <App />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
