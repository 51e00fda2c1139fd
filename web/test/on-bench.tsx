import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render } from '@testing-library/react';
import { Suspense, type ReactNode } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { mm } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import { BenchProvider } from '../bench/bench.js';
import type { Workbench } from '../data/api.js';
import { ProjectProvider } from '../data/project.js';
import { ShellForm } from '../kinds/index.js';
import { differencesOf } from '../shared/differences.js';
import { benchKey } from '../data/told.js';
import { means, workshopOf } from './filled.js';

/** What is done, and what follows from it: queries tell of what changed a turn later. */
const settled = (work: () => unknown) =>
  act(async () => {
    work();
    await new Promise((resolve) => setTimeout(resolve));
  });

const records = <T,>(of: ReadonlyMap<string, T>) => [...of].map(([id, data]) => ({ id, version: 1, data }));

/** A project with one piece in it, and all that the piece rests on. */
function projectOf(piece: Piece, shop: Workshop): Workbench {
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
    },
    readings: [],
    made: [],
  };
}

/** A part of the page in a project, at one of the stations of its piece. @returns where it is kept */
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

/** A part of the page with a piece on its bench; nothing is asked of a server. @returns the piece as it is kept now, and the way back to how it was */
export async function onBench(piece: Piece, shop: Workshop, shown: ReactNode): Promise<{ kept: () => Piece; back: () => Promise<void> }> {
  globalThis.fetch = () => new Promise(() => undefined);
  const client = await inProject(projectOf(piece, shop), 'divide', <BenchProvider pieceId="it">{shown}</BenchProvider>);
  const back = () => client.setQueryData(benchKey('shed'), projectOf(piece, shop));
  return {
    kept: () => client.getQueryData<Workbench>(benchKey('shed'))?.records.pieces[0]?.data.piece as Piece,
    back: () => settled(back),
  };
}

/** What can be worked, by what it is in the page: looking each up by its role takes longer than all the rest. */
const CONTROLS = {
  field: 'input:not([type=checkbox]):not([type=radio]):not([type=file]):not([type=hidden])',
  tick: 'input[type=checkbox]',
  choice: 'input[type=radio], [role=radio]',
  chooser: 'button[aria-haspopup=listbox]',
};
interface Control {
  readonly is: keyof typeof CONTROLS;
  readonly nth: number;
  readonly label: string;
}

const all = (is: Control['is']) => [...document.querySelectorAll<HTMLInputElement>(CONTROLS[is])];

function nameOf(element: Element): string {
  const by = element.getAttribute('aria-labelledby')?.split(' ') ?? [];
  const named = by.map((id) => document.getElementById(id)?.textContent ?? '').filter((text) => text !== '');
  const label = element instanceof HTMLInputElement ? element.labels?.[0]?.textContent : undefined;
  return element.getAttribute('aria-label') ?? label ?? named.at(-1) ?? element.textContent ?? '';
}

function controls(): readonly Control[] {
  return (Object.keys(CONTROLS) as Control['is'][]).flatMap((is) =>
    all(is).flatMap((element, nth): Control[] => {
      if (is === 'choice' && (element.checked || element.getAttribute('aria-checked') === 'true')) return [];
      const group = element.closest('[role=radiogroup]');
      return [{ is, nth, label: `${group ? `${nameOf(group)}: ` : ''}${nameOf(element)}` }];
    }),
  );
}

/** Gives a control another value than it has. @returns what was typed, mm or how many */
async function work({ is, nth }: Control): Promise<number | null> {
  const element = all(is)[nth] as HTMLInputElement;
  if (is === 'field') {
    const value = element.value === '' ? '12' : `${Number(element.value) + 1}`;
    fireEvent.focus(element);
    fireEvent.change(element, { target: { value } });
    fireEvent.keyDown(element, { key: 'Enter' });
    await settled(() => fireEvent.blur(element));
    return Number(value);
  }
  await settled(() => element.click());
  if (is !== 'chooser') return null;
  const other = [...document.querySelectorAll<HTMLElement>('[role=listbox] [role=option]')].find(
    (o) => o.getAttribute('aria-selected') !== 'true' && !o.textContent?.startsWith('Another'),
  );
  await settled(() => other?.click());
  return null;
}

/** What of the piece each control of a form changes, by its label; each is worked alone, on the piece as it was. */
export async function wired(piece: Piece, shop: Workshop, shown: ReactNode): Promise<readonly string[]> {
  const { kept, back } = await onBench(piece, shop, shown);
  const told: string[] = [];
  for (const control of controls()) {
    const typed = await work(control);
    const refused = [...document.querySelectorAll('[role=alert]')].map((a) => a.textContent);
    const changed = differencesOf(piece, kept()).map(({ path, mine: now }) => {
      const isOther = typeof now === 'number' && typed !== null && now !== typed && now !== mm(typed);
      return isOther ? `${path.join('.')}, but ${now}` : path.join('.');
    });
    told.push(`${control.label} → ${[...changed, ...refused].join(', ') || 'nothing'}`);
    await back();
  }
  cleanup();
  return told;
}

/** The same of all that is asked of how a piece in millimetres is made. */
export const formWired = (piece: Piece) => wired(piece, workshopOf('mm', means('mm', piece)), <ShellForm />);
