import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render } from '@testing-library/react';
import { Suspense, type ReactNode } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { applyEdit } from '../../core/kinds/index.js';
import { mm } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import { BenchProvider, useSettledBench } from '../bench/bench.js';
import type { Workbench } from '../data/api.js';
import { ProjectProvider } from '../data/project.js';
import { EdgeFields, GridFields } from '../bench/piece-fields.js';
import { MakingForm, ShellForm } from '../kinds/index.js';
import { PanelsForm } from '../kinds/panels/form.js';
import { differencesOf } from '../shared/differences.js';
import { benchKey } from '../data/told.js';
import type { Means } from '../kinds/means.js';
import { fillEdit, means, workshopOf } from './filled.js';

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

/** A piece on its bench: how it is kept now, and the way to put another in its place. */
interface OnBench {
  readonly kept: () => Piece;
  readonly put: (piece: Piece) => Promise<void>;
}

/** A worker that never answers. */
class Idle extends EventTarget {
  readonly postMessage = () => undefined;
  readonly terminate = () => undefined;
}

/** A part of the page with a piece on its bench; neither a server nor a worker is asked anything. */
export async function onBench(piece: Piece, shop: Workshop, shown: ReactNode): Promise<OnBench> {
  globalThis.fetch = () => new Promise(() => undefined);
  globalThis.Worker = Idle as unknown as typeof Worker;
  const client = await inProject(projectOf(piece, shop), 'divide', <BenchProvider pieceId="it">{shown}</BenchProvider>);
  return {
    kept: () => client.getQueryData<Workbench>(benchKey('shed'))?.records.pieces[0]?.data.piece as Piece,
    put: (other) => settled(() => client.setQueryData(benchKey('shed'), projectOf(other, shop))),
  };
}

/** What can be worked, by what it is in the page: looking each up by its role takes longer than all the rest. */
const CONTROLS = {
  field: 'input:not([type=checkbox]):not([type=radio]):not([type=file]):not([type=hidden])',
  tick: 'input[type=checkbox]',
  choice: 'input[type=radio], [role=radio]',
  chooser: 'button[aria-haspopup=listbox]',
  button: 'button:not([aria-haspopup]):not([role=radio]):not([disabled])',
};
interface Control {
  readonly is: keyof typeof CONTROLS;
  readonly nth: number;
  readonly label: string;
  /** Whether it is the one of its group that is chosen already. */
  readonly chosen: boolean;
}

const all = (is: Control['is']) => [...document.querySelectorAll<HTMLInputElement>(CONTROLS[is])];

function nameOf(element: Element): string {
  const by = element.getAttribute('aria-labelledby')?.split(' ') ?? [];
  const named = by.map((id) => document.getElementById(id)?.textContent ?? '').filter((text) => text !== '');
  return (element.getAttribute('aria-label') ?? named.at(-1) ?? element.closest('label')?.textContent ?? element.textContent ?? '').trim();
}

function controls(): readonly Control[] {
  return (Object.keys(CONTROLS) as Control['is'][]).flatMap((is) =>
    all(is).map((element, nth) => {
      const group = is === 'choice' ? element.closest('[role=radiogroup]') : null;
      const chosen = is === 'choice' && (element.checked || element.getAttribute('aria-checked') === 'true');
      return { is, nth, chosen, label: `${group ? `${nameOf(group)}: ` : ''}${nameOf(element)}` };
    }),
  );
}

/** Gives a control another value than it has. @returns what was typed, mm or how many; null where no number was */
async function work({ is, nth }: Control): Promise<number | null> {
  const element = all(is)[nth] as HTMLInputElement;
  if (is === 'field') {
    const number = element.value === '' ? 12 : Number(element.value) + 1;
    fireEvent.focus(element);
    fireEvent.change(element, { target: { value: Number.isNaN(number) ? `${element.value} too` : `${number}` } });
    fireEvent.keyDown(element, { key: 'Enter' });
    await settled(() => fireEvent.blur(element));
    return Number.isNaN(number) ? null : number;
  }
  await settled(() => element.click());
  if (is !== 'chooser') return null;
  const other = [...document.querySelectorAll<HTMLElement>('[role=listbox] [role=option]')].find(
    (o) => o.getAttribute('aria-selected') !== 'true' && !o.textContent?.startsWith('Another'),
  );
  await settled(() => other?.click());
  return null;
}

/** What of a piece is another now, and where a number is not the one that was typed. */
function changesOf(from: Piece, to: Piece, typed: number | null): readonly string[] {
  return differencesOf(from, to).map(({ path, mine: now }) => {
    const isOther = typeof now === 'number' && typed !== null && now !== typed && now !== mm(typed);
    return isOther ? `${path.join('.')}, but ${now}` : path.join('.');
  });
}

/** What of the piece each control changes that is not known yet; those that one of them shows are worked next, with it as it is then. */
async function worked(bench: OnBench, known: Set<string>, under: string): Promise<readonly string[]> {
  const told: string[] = [];
  const start = bench.kept();
  const shown = controls();
  const fresh = shown.filter(({ label, chosen }) => !known.has(label) && !chosen);
  for (const { label } of shown) known.add(label);
  for (const { is, label } of fresh) {
    const before = bench.kept();
    const control = controls().find((c) => c.is === is && c.label === label);
    if (!control) continue;
    const typed = await work(control);
    const refused = [...document.querySelectorAll('[role=alert]')].map((a) => a.textContent);
    told.push(`${under}${label} → ${[...changesOf(before, bench.kept(), typed), ...refused].join(', ') || 'nothing'}`);
    // A number that changed nothing else of the form may stay as it is.
    if (is === 'field' && controls().length === shown.length) continue;
    told.push(...(await worked(bench, known, `${under}  `)));
    await bench.put(start);
  }
  return told;
}

/** What of the piece each control of a form changes, by its label; what one of them shows stands under it, further in. Those of a name that is known are left. */
export async function wired(
  piece: Piece,
  shop: Workshop,
  shown: ReactNode,
  known: ReadonlySet<string> = new Set(),
): Promise<readonly string[]> {
  const told = await worked(await onBench(piece, shop, shown), new Set(known), '');
  cleanup();
  return told;
}

type Slides = Means['slides'];

export const shopOf = (piece: Piece, slides?: Slides) => workshopOf('mm', means('mm', piece, slides));

/** The names of what is asked in a form. */
export async function asked(piece: Piece, shown: ReactNode): Promise<readonly string[]> {
  await onBench(piece, shopOf(piece), shown);
  const labels = controls().map(({ label }) => label);
  cleanup();
  return [...new Set(labels)];
}

/** What is asked of pieces of every kind. */
export const OF_EVERY_PIECE = (
  <>
    <EdgeFields />
    <GridFields />
    <PanelsForm />
  </>
);

/** The same of how a piece in millimetres is made, but for what is asked of every kind. */
export const formWired = async (piece: Piece) => wired(piece, shopOf(piece), <ShellForm />, new Set(await asked(piece, OF_EVERY_PIECE)));

/** How what fills the whole inside is made. */
function InsideForm() {
  const { piece, settled } = useSettledBench();
  const space = settled.shape.spaces.get(piece.interior.id);
  return space ? <MakingForm space={space} /> : <p role="alert">There is no inside.</p>;
}

/** A piece in millimetres that is filled in one of the ways that are offered. */
export const filledWith = (piece: Piece, id: string, slides?: Slides): Piece =>
  applyEdit(piece, fillEdit(piece, piece.interior.id, id, means('mm', piece, slides)));

/** The same of what fills a whole piece in millimetres, and of that alone. */
export async function insideWired(piece: Piece, slides?: Slides): Promise<readonly string[]> {
  const told = await wired(piece, shopOf(piece, slides), <InsideForm />);
  return told.map((line) => line.replaceAll(/interior\.(split\.making|filling)\./g, ''));
}
