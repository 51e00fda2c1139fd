import { act, cleanup, fireEvent } from '@testing-library/react';
import type { ReactNode } from 'react';
import { applyEdit } from '../../core/kinds/index.js';
import { mm } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import { BenchProvider, useSettledBench } from '../bench/bench.js';
import type { Workbench } from '../data/api.js';
import { EdgeFields, GridFields } from '../bench/piece-fields.js';
import { MakingForm, ShellForm } from '../kinds/index.js';
import { PanelsForm } from '../kinds/panels/form.js';
import { differencesOf } from '../shared/differences.js';
import { benchKey } from '../data/told.js';
import type { Means } from '../kinds/means.js';
import { fillEdit, means, workshopOf } from './filled.js';
import { inProject, projectOf } from './in-project.js';

/** What is done, and what follows from it: queries tell of what changed a turn later. */
const settled = (work: () => unknown) =>
  act(async () => {
    work();
    await new Promise((resolve) => setTimeout(resolve));
  });

/** A part of the page on a bench, and the station it is at, with what is asked in its address. */
interface Part {
  readonly shown: ReactNode;
  readonly at: string;
}

/** A worker that never answers. */
class Idle extends EventTarget {
  readonly postMessage = () => undefined;
  readonly terminate = () => undefined;
}

/** Tells of every box that it is this large, once. */
class Sized {
  constructor(private readonly tell: (entries: readonly { contentRect: { width: number; height: number } }[]) => void) {}
  readonly observe = () => this.tell([{ contentRect: { width: 600, height: 700 } }]);
  readonly unobserve = () => undefined;
  readonly disconnect = () => undefined;
}

/** A project that is worked on. */
interface Kept {
  readonly now: () => Workbench;
  /** Puts the project back as it was. */
  readonly back: (was: Workbench) => Promise<unknown>;
}

/** A part of the page with a piece of a project on its bench, all of it unfolded; neither a server nor a worker is asked anything. */
export async function onBench(project: Workbench, { shown, at }: Part): Promise<Kept> {
  cleanup();
  globalThis.fetch = () => new Promise(() => undefined);
  globalThis.Worker = Idle as unknown as typeof Worker;
  globalThis.ResizeObserver = Sized as unknown as typeof ResizeObserver;
  const client = await inProject(project, at, <BenchProvider pieceId="it">{shown}</BenchProvider>);
  await settled(() =>
    document.querySelectorAll('details').forEach((fold) => {
      fold.open = true;
      fireEvent(fold, new Event('toggle'));
    }),
  );
  return {
    now: () => client.getQueryData<Workbench>(benchKey('shed')) as Workbench,
    back: (was) => settled(() => client.setQueryData(benchKey('shed'), was)),
  };
}

/** What can be worked, by what it is in the page: looking each up by its role takes longer than all the rest. */
const CONTROLS = {
  field: 'textarea, input:not([type=checkbox]):not([type=radio]):not([type=file]):not([type=hidden])',
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

/** What is written in it, each piece of it apart from the next. */
export function textOf(element: Element | null): string {
  const walker = document.createTreeWalker(element ?? document.createElement('i'), NodeFilter.SHOW_TEXT);
  const said: string[] = [];
  while (walker.nextNode()) said.push(walker.currentNode.textContent?.trim() ?? '');
  return said
    .filter((text) => text !== '')
    .join(' ')
    .replaceAll(/ (?=[,:.])/g, '');
}

function nameOf(element: Element): string {
  const by = element.getAttribute('aria-labelledby')?.split(' ') ?? [];
  const named = by.map((id) => textOf(document.getElementById(id))).filter((text) => text !== '');
  return element.getAttribute('aria-label') ?? named.at(-1) ?? textOf(element.closest('label') ?? element);
}

function controlsOf(is: Control['is']): readonly Control[] {
  return all(is).map((element, nth) => {
    const group = is === 'choice' ? element.closest('[role=radiogroup]') : null;
    const chosen = is === 'choice' && (element.checked || element.getAttribute('aria-checked') === 'true');
    return { is, nth, chosen, label: `${group ? `${nameOf(group)}: ` : ''}${nameOf(element)}` };
  });
}

const KINDS = Object.keys(CONTROLS) as Control['is'][];
const controls = () => KINDS.flatMap(controlsOf);
const howMany = () => KINDS.reduce((sum, is) => sum + all(is).length, 0);

/** What is typed instead of what stands in a field: a day, a time, one more of what is counted or measured, or another word. */
function otherThan({ type, value }: HTMLInputElement, label: string): string {
  if (type === 'date') return '2026-12-24';
  if (/day (from|to)$/.test(label)) return '12:34';
  const number = value === '' ? 12 : Number(value) + 1;
  return Number.isNaN(number) ? `${value} too` : `${number}`;
}

/** Gives a control another value than it has. @returns what was typed, mm or how many; null where no number was */
async function work({ is, nth, label }: Control): Promise<number | null> {
  const element = all(is)[nth] as HTMLInputElement;
  if (is === 'field') {
    const value = otherThan(element, label);
    fireEvent.change(element, { target: { value } });
    await settled(() => fireEvent.blur(element));
    return Number.isNaN(Number(value)) ? null : Number(value);
  }
  if (is === 'chooser') {
    // What the browser itself fills in goes the same way as an option that is pressed, without the list being drawn.
    const own = element.parentElement?.querySelector('select') as HTMLSelectElement;
    const other = [...own.options].find((o) => o.text.trim() !== '' && o.value !== own.value && !o.text.startsWith('Another'));
    await settled(() => other && fireEvent.change(own, { target: { value: other.value } }));
  } else await settled(() => element.click());
  return null;
}

/** What may be changed from the bench: the piece itself, and what it rests on and is cut and built by. */
function factsOf({ records, readings }: Workbench): object {
  const { openings, cuttings, buildings, log } = records;
  const of = (all: readonly { readonly id: string; readonly data: unknown }[]) => Object.fromEntries(all.map(({ id, data }) => [id, data]));
  const piece = records.pieces[0]?.data.piece;
  return { ...piece, openings: of(openings), cuttings: of(cuttings), buildings: of(buildings), log: of(log), readings: of(readings) };
}

/** What is another now, and where a number is not the one that was typed. */
function changesOf(from: Workbench, to: Workbench, typed: number | null): readonly string[] {
  return differencesOf(factsOf(from), factsOf(to)).map(({ path, mine: now }) => {
    const isOther = typeof now === 'number' && typed !== null && now !== typed && now !== mm(typed);
    return isOther ? `${path.join('.')}, but ${now}` : path.join('.');
  });
}

/** All that can be worked, and what stands in it. */
const looks = () =>
  KINDS.flatMap((is) =>
    all(is).map((e) => `${nameOf(e)}: ${e.value} ${e.checked} ${e.getAttribute('aria-checked')} ${e.disabled} ${textOf(e)}`),
  )
    .concat([...document.querySelectorAll('[role=alert]')].map(textOf))
    .join('\n');

interface Walk {
  /** The project as it is drawn now. */
  kept: Kept;
  readonly known: Set<string>;
  /** How far in things are worked that others show. */
  readonly deep: number;
}

const find = ({ is, label }: Control) => controlsOf(is).find((c) => c.label === label);

/** What each control changes that is not known yet; those that one of them shows are worked next, with all as it is then. */
async function worked(walk: Walk, again: () => Promise<void>, under: string): Promise<readonly string[]> {
  const told: string[] = [];
  const [was, looked] = [walk.kept.now(), looks()];
  // Drawn anew only where putting the project back does not bring all that was to be seen: that takes several times as long.
  const asBegun = async () => {
    await walk.kept.back(was);
    if (looks() !== looked) await again();
  };
  const shown = controls();
  const fresh = shown.filter(({ label, chosen }) => !walk.known.has(label) && !chosen);
  for (const { label } of shown) walk.known.add(label);
  // A number that changed nothing else of the form may stay as it is while others are typed.
  let touched: 'no' | 'typed' | 'otherwise' = 'no';
  for (const one of fresh) {
    if (touched === 'otherwise' || (touched === 'typed' && one.is !== 'field')) await asBegun();
    const before = walk.kept.now();
    const control = find(one);
    const typed = control ? await work(control) : null;
    const refused = [...document.querySelectorAll('[role=alert]')].map((a) => a.textContent);
    const changed = control ? [...changesOf(before, walk.kept.now(), typed), ...refused].join(', ') : 'is gone';
    told.push(`${under}${one.label} → ${changed || 'nothing'}`);
    touched = one.is === 'field' && howMany() === shown.length ? 'typed' : 'otherwise';
    if (touched === 'typed' || walk.deep <= under.length / 2) continue;
    const opened = async () => {
      await again();
      const opener = find(one);
      if (opener) await work(opener);
    };
    told.push(...(await worked(walk, opened, `${under}  `)));
  }
  return told;
}

interface Worked extends Partial<Pick<Part, 'at'> & Pick<Walk, 'deep'>> {
  /** Names of controls that are left. */
  readonly known?: readonly string[];
}

/** What of a project each control of a part of the page changes, by its label; what one of them shows stands under it, further in. */
export async function wired(
  project: Workbench,
  shown: ReactNode,
  { at = 'divide', known = [], deep = Infinity }: Worked = {},
): Promise<readonly string[]> {
  const drawn = () => onBench(project, { shown, at });
  const walk: Walk = { kept: await drawn(), deep, known: new Set(known) };
  const again = async () => void (walk.kept = await drawn());
  const told = await worked(walk, again, '');
  cleanup();
  return told;
}

type Slides = Means['slides'];

/** A project with one piece in millimetres in it, and all that the ways of filling it are begun with. */
export const projectWith = (piece: Piece, slides?: Slides) => projectOf(piece, workshopOf('mm', means('mm', piece, slides)));

/** The names of what is asked in a part of the page. */
export async function asked(project: Workbench, shown: ReactNode): Promise<readonly string[]> {
  await onBench(project, { shown, at: 'divide' });
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
export const formWired = async (piece: Piece) =>
  wired(projectWith(piece), <ShellForm />, { known: await asked(projectWith(piece), OF_EVERY_PIECE) });

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
  const told = await wired(projectWith(piece, slides), <InsideForm />);
  return told.map((line) => line.replaceAll(/interior\.(split\.making|filling)\./g, ''));
}
