import { createContext, useContext, useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { DEFAULT_STEP, PRECISIONS, type Length, type LengthUnit, type Precision } from '../../core/length/index.js';
import { inTerms, termsOf, writeMoney } from '../../core/figure/index.js';
import { precisionOf, type Settings, type Workshop } from '../../core/project/index.js';
import { workshopFor } from '../../core/project/workshop.js';
import type { Kind, Records, Workbench } from './api.js';
import { BrowserErrands, NOWHERE, type ErrandBox } from './errands.js';
import { Saver } from './saver.js';
import { benchKey } from './told.js';

/** What every screen of a project works with. */
export interface ProjectContextValue {
  readonly id: string;
  readonly bench: Workbench;
  readonly workshop: Workshop;
  /** The same for one piece, with what the tape found in it once it stood there. */
  readonly workshopOf: (pieceId: string) => Workshop;
  readonly saver: Saver;
  /** How lengths are written: in the project's unit, but while one glances at the other. */
  readonly precision: Precision;
  /** The finest step that is written in this browser. */
  readonly setStep: (step: Length) => void;
  readonly glance: (isHeld: boolean) => void;
}

const ProjectContext = createContext<ProjectContextValue | null>(null);

/** The project of this screen. */
export function useProject(): ProjectContextValue {
  const value = useContext(ProjectContext);
  if (!value) throw new Error('useProject is used outside a project');
  return value;
}

/** How lengths are written here. */
export function usePrecision(): Precision {
  return useProject().precision;
}

/** Writes a text of the program's own in the shop's terms. */
export function useTerms(): (text: string) => string {
  const terms = termsOf(usePrecision());
  return (text) => inTerms(text, terms);
}

/** Writes an amount of the project's money. */
export function useMoney(): (amount: number) => string {
  const precision = usePrecision();
  return (amount) => writeMoney(amount, precision);
}

/** A record of the project by its id; undefined where there is none. */
export function useRecord<K extends Kind>(kind: K, id: string | undefined): Records[K] | undefined {
  const { bench } = useProject();
  return bench.records[kind].find((r) => r.id === id)?.data;
}

const stepKey = (project: string) => `ruvok.precision.${project}`;

/** The step that was last chosen in this browser for a project, where it is one of its unit; else the project's own. */
function stepOf(chosen: string | null, { unit, step }: Precision): Length {
  const [of, kept] = chosen?.split(' ') ?? [];
  return (of === unit && PRECISIONS[unit].find((p) => `${p.step}` === kept)?.step) || step;
}

/** The unit that a project does not work in. */
export const otherUnit = (unit: LengthUnit): LengthUnit => (unit === 'mm' ? 'in' : 'mm');

/** How lengths of a project are written in this browser. */
function usePrecisionOf(project: string, own: Precision = { unit: 'mm', step: DEFAULT_STEP.mm }) {
  const [chosen, choose] = useState(() => localStorage.getItem(stepKey(project)));
  const [glancing, glance] = useState(false);
  const unit = glancing ? otherUnit(own.unit) : own.unit;
  const step = glancing ? DEFAULT_STEP[unit] : stepOf(chosen, own);
  // The other unit is looked at, not another shop's words.
  const { terms = own.unit, currency } = own;
  const setStep = (next: Length) => {
    const text = `${own.unit} ${next}`;
    localStorage.setItem(stepKey(project), text);
    choose(text);
  };
  return { precision: { unit, step, terms, ...(currency ? { currency } : {}) }, setStep, glance };
}

/** The records that pieces rest on. */
type Rests = Pick<Workbench['records'], 'openings' | 'things' | 'stock' | 'slides' | 'people'>;

function workshopFrom(settings: Settings, records: Rests): Workshop {
  const map = <K extends keyof Rests>(kind: K) => new Map(records[kind].map((r) => [r.id, r.data] as const));
  return {
    settings,
    openings: map('openings'),
    things: map('things'),
    stock: map('stock'),
    slides: map('slides'),
    people: map('people'),
  };
}

/** So often it is looked whether something was changed elsewhere, ms. */
const LOOKS = 20_000;

/** Where errands are kept: one box for all projects of this page, made when it is first needed. */
let box: ErrandBox | null = null;

/** How pages of this browser tell each other what they saved: opened by the first project that is shown. */
let channel: BroadcastChannel | null = null;
const others = () => (channel ??= 'BroadcastChannel' in globalThis ? new BroadcastChannel('ruvok') : null);

function saverOf(client: QueryClient, project: string): Saver {
  box ??= 'indexedDB' in globalThis ? new BrowserErrands() : NOWHERE;
  return new Saver(client, project, box, () => others()?.postMessage(project));
}

/** Loads a project and gives it to the screens inside. */
export function ProjectProvider({
  id,
  children,
  fallback,
}: {
  id: string;
  children: ReactNode;
  fallback: (error: Error | null) => ReactNode;
}) {
  const client = useQueryClient();
  const saver = useMemo(() => saverOf(client, id), [client, id]);
  const query = useQuery({
    queryKey: benchKey(id),
    queryFn: () => saver.look(),
    staleTime: Infinity,
    refetchOnWindowFocus: () => saver.getWaiting() === 0 && saver.trouble === null && 'always',
    // What phones tick off, and other devices change.
    refetchInterval: () => (saver.getWaiting() === 0 && saver.trouble === null ? LOOKS : false),
  });
  const bench = query.data;
  const { precision, setStep, glance } = usePrecisionOf(id, bench && precisionOf(bench.project.settings));
  // What pieces rest on, and no more: another edit of the bench must not have them all worked out anew.
  const settings = bench?.project.settings;
  const { openings, things, stock, slides, people } = bench?.records ?? {};
  const workshop = useMemo(
    () =>
      settings && openings && things && stock && slides && people
        ? workshopFrom(settings, { openings, things, stock, slides, people })
        : null,
    [settings, openings, things, stock, slides, people],
  );
  const read = bench?.readings;
  const parts = bench?.made;
  const workshopOf = useMemo(() => {
    const readings = read?.map((r) => r.data) ?? [];
    const made = parts?.map((r) => r.data) ?? [];
    return (pieceId: string): Workshop => workshopFor(workshop as Workshop, readings, pieceId, made);
  }, [read, parts, workshop]);
  useEffect(() => {
    const look = ({ data }: MessageEvent<unknown>) => {
      if (data === id && saver.getWaiting() === 0 && !saver.trouble) void client.invalidateQueries({ queryKey: benchKey(id) });
    };
    const now = () => saver.tryNow();
    others()?.addEventListener('message', look);
    window.addEventListener('online', now);
    return () => {
      others()?.removeEventListener('message', look);
      window.removeEventListener('online', now);
    };
  }, [saver, client, id]);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      // What waits is kept and sent by the page that is opened next; what one has to choose is asked again.
      if (saver.trouble || !saver.isKept()) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [saver]);
  if (!bench || !workshop) return fallback(query.error);
  return (
    <ProjectContext.Provider value={{ id, bench, workshop, workshopOf, saver, precision, setStep, glance }}>
      {children}
    </ProjectContext.Provider>
  );
}

/** The edit that waits for a choice, whether edits are on their way, and what is told. */
export function useSaverState(saver: Saver) {
  const trouble = useSyncExternalStore(saver.subscribe, saver.getTrouble);
  const waiting = useSyncExternalStore(saver.subscribe, saver.getWaiting);
  const notice = useSyncExternalStore(saver.subscribe, saver.getNotice);
  const away = useSyncExternalStore(saver.subscribe, saver.getAway);
  const fault = useSyncExternalStore(saver.subscribe, saver.getFault);
  return { trouble, waiting, notice, away, fault };
}
