import { StrictMode, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Link, Navigate, Outlet, Route, Routes, useParams } from 'react-router';
import '@fontsource-variable/archivo/wdth.css';
import { PiecePage } from './bench/piece-page.js';
import { ProjectProvider } from './data/project.js';
import { Handbook } from './handbook/handbook.js';
import { People } from './people/people.js';
import { ProjectSettings } from './settings/settings.js';
import { Shed } from './shed/shed.js';
import { Welcome } from './shed/welcome.js';
import { TroubleDialog } from './shared/trouble-dialog.js';
import { Page } from './shared/ui.js';
import { Stockroom } from './stockroom/stockroom.js';
import { GlobalStyle } from './theme/global.js';
import { Things } from './things/things.js';

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
      <Outlet />
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
