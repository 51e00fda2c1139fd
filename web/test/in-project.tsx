import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, render } from '@testing-library/react';
import { Suspense, type ReactNode } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import type { Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import type { Workbench } from '../data/api.js';
import { ProjectProvider } from '../data/project.js';
import { benchKey } from '../data/told.js';

const records = <T,>(of: ReadonlyMap<string, T>) => [...of].map(([id, data]) => ({ id, version: 1, data }));

/** A project with one piece in it, `it`, all that the piece rests on, and what else is said to be in it. */
export function projectOf(piece: Piece, shop: Workshop, more: Partial<Workbench['records']> = {}): Workbench {
  return {
    id: 'shed',
    version: 1,
    project: { name: 'Shed', settings: shop.settings },
    records: {
      openings: records(shop.openings),
      things: records(shop.things),
      stock: records(shop.stock),
      slides: records(shop.slides),
      people: records(shop.people),
      hardware: [],
      cuttings: [],
      buildings: [],
      log: [],
      pieces: [{ id: 'it', version: 1, data: { piece, letters: {} } }],
      ...more,
    },
    readings: [],
    made: [],
  };
}

/** A part of the page in a project, at one of the stations of its piece, with what is asked after `?` in its address. @returns where it is kept */
export async function inProject(project: Workbench, at: string, shown: ReactNode): Promise<QueryClient> {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(benchKey('shed'), project);
  await act(async () => {
    render(
      <QueryClientProvider client={client}>
        <MemoryRouter initialEntries={[`/p/shed/pieces/it/${at}`]}>
          <ProjectProvider id="shed" fallback={(error) => <p>{error?.message ?? 'not yet'}</p>}>
            <Suspense fallback={<p>not yet</p>}>
              <Routes>
                <Route path="p/:project/pieces/:piece/:station" element={shown} />
              </Routes>
            </Suspense>
          </ProjectProvider>
        </MemoryRouter>
      </QueryClientProvider>,
    );
    await Promise.resolve();
  });
  return client;
}
