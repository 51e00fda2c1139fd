import { useState } from 'react';
import { Link, Navigate, useNavigate, useSearchParams } from 'react-router';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { FileTrigger, TextField } from 'react-aria-components';
import styled from 'styled-components';
import type { LengthUnit } from '../../core/length/index.js';
import { ApiError, api } from '../data/api.js';
import { newId, newSettings } from '../data/defaults.js';
import { BEGINS_WITH, stockroomOf, type BeginsWith } from '../data/yard.js';
import { UNITS } from '../settings/change-unit.js';
import { useJob } from '../data/job.js';
import { JobBar } from '../shared/job-bar.js';
import { Button, Faint, Fault, FieldLabel, Page, Panel, Row, Select, TextInput } from '../shared/ui.js';
import { inkSoft, tape } from '../theme/tokens.js';
import { Laid } from '../shared/laid.js';

const Offers = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 14px;
  margin: 18px 0 26px;
  h2 {
    margin: 10px 0 4px;
  }
  p {
    margin-bottom: 10px;
    color: ${inkSoft};
  }
`;

const Brand = styled.h1`
  display: flex;
  align-items: center;
  gap: 12px;
  font-weight: 750;
  font-size: 30px;
  margin: 12px 0 10px;
  &::before {
    content: '';
    width: 14px;
    height: 38px;
    background: ${tape};
  }
`;

const USUAL_NAME = 'My project';

/** Made-up projects to look at and change. */
const DEMOS = [
  { id: 'print-shed', name: 'Print shed', says: 'An example in millimetres: cases, drawers, frames and racks to look at and change.' },
  { id: 'bindery', name: 'Bindery', says: 'An example in inches: seven pieces from an inch yard.' },
] as const;

/** The project file that was chosen. @throws Error in words where it is none */
async function documentIn(file: File): Promise<unknown> {
  try {
    return JSON.parse(await file.text());
  } catch {
    throw new Error(`${file.name} breaks off or is not a project file.`);
  }
}

/** The unit that builders use where the browser was set up: inches in the few countries that sell wood by them. */
const usualUnit = (): LengthUnit => (/-(US|CA|LR|MM)$/.test(navigator.language) ? 'in' : 'mm');

/** The first page: the projects there are, and ways to begin. */
export function Welcome() {
  const projects = useQuery({ queryKey: ['projects'], queryFn: api.projects });
  const client = useQueryClient();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const [problem, setProblem] = useState<string | null>(null);
  const [stopped, setStopped] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [name, setName] = useState(USUAL_NAME);
  const [unit, setUnit] = useState<LengthUnit>(usualUnit);
  const [begins, setBegins] = useState<BeginsWith>('yard');
  const ids = (projects.data ?? []).map((p) => p.id);

  const job = useJob();

  const attempt = async (work: () => Promise<string | null>) => {
    setBusy(true);
    setProblem(null);
    setStopped(null);
    try {
      const path = await work();
      if (path === null) {
        setBusy(false);
        return;
      }
      await client.invalidateQueries({ queryKey: ['projects'] });
      void navigate(path);
    } catch (error) {
      const faults =
        error instanceof ApiError
          ? (error.problem.errors ?? []).slice(0, 4).map((f) => `${f.path || 'the file'}: ${f.message}. Accepted: ${f.accepted}`)
          : [];
      setProblem([(error as Error).message, ...faults].join(' '));
      setBusy(false);
    }
  };
  const begin = () =>
    attempt(async () => {
      const id = newId(name, ids);
      await api.createProject(id, { name: name.trim() || USUAL_NAME, settings: newSettings(unit) });
      for (const { kind, id: own, data } of stockroomOf(unit, begins))
        await api.create(id, kind, own, data, `Put ${data.name} into the stockroom`);
      return `/p/${id}`;
    });
  const demo = (of: string) => attempt(async () => `/p/${(await api.loadDemo(of)).id}`);
  const readFile = (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    void attempt(async () => {
      const isPacked = /\.zip$/i.test(file.name);
      const most = isPacked ? 150 : 10;
      if (file.size > most * 1e6) throw new Error(`${file.name} is ${Math.round(file.size / 1e6)} MB long; at most ${most} MB is read.`);
      const sent = isPacked ? new Blob([file], { type: 'application/zip' }) : await documentIn(file);
      const id = newId(file.name.replace(/\.(json|zip)$/i, ''), ids);
      const read = await job.run(async (name, signal) => {
        await api.readFile(id, sent, name, signal);
        return `/p/${id}`;
      });
      if (read === null) setStopped(`${file.name} was not read to its end. Nothing was changed.`);
      return read;
    });
  };
  // With one project one is in it at once; all of them are a click away there.
  const [only, ...others] = projects.data ?? [];
  if (only && others.length === 0 && !busy && !params.has('all')) return <Navigate to={`/p/${only.id}`} replace />;
  return (
    <Page>
      <Brand>Ruvok</Brand>
      <Laid.p $size={17} $most={640}>
        The bench-side planner for people who build their own furniture. Give it the tape readings of a place, or the things a piece must
        hold; it works out every part, gap and load before any wood is cut.
      </Laid.p>
      {problem ? <Fault role="alert">{problem}</Fault> : null}
      {projects.error ? <Fault role="alert">{projects.error.message}</Fault> : null}
      {ids.length > 0 ? (
        <>
          <Laid.h2 $above={22}>Projects</Laid.h2>
          <Laid.ul $above={8} $below={8}>
            {projects.data?.map((p) => (
              <Laid.li key={p.id} $pad="4px 0" $size={17}>
                <Link to={`/p/${p.id}`}>{p.data.name}</Link>
              </Laid.li>
            ))}
          </Laid.ul>
        </>
      ) : null}
      <Offers>
        <Panel>
          <h2>{ids.length > 0 ? 'Another project' : 'Your project'}</h2>
          <Row $below={12}>
            <TextField value={name} onChange={setName}>
              <FieldLabel>Project name</FieldLabel>
              <TextInput maxLength={80} />
            </TextField>
            <Laid.div $width={140}>
              <Select label="Works in" value={unit} choices={UNITS} onChange={setUnit} />
            </Laid.div>
            <Laid.div $width={240}>
              <Select label="Stockroom begins with" value={begins} choices={BEGINS_WITH} onChange={setBegins} />
            </Laid.div>
          </Row>
          <Button data-main isDisabled={busy} onPress={() => void begin()}>
            Start the project
          </Button>
        </Panel>
        {DEMOS.filter(({ id }) => !ids.includes(id)).map(({ id, name: called, says }) => (
          <Panel key={id}>
            <h2>{called}</h2>
            <p>{says}</p>
            <Button isDisabled={busy} onPress={() => void demo(id)}>
              Open the {called.toLowerCase()}
            </Button>
          </Panel>
        ))}
      </Offers>
      <Row>
        <FileTrigger acceptedFileTypes={['.json', 'application/json', '.zip', 'application/zip']} onSelect={readFile}>
          <Button isDisabled={busy}>Read a project file</Button>
        </FileTrigger>
        {job.progress ? null : (
          <Faint {...(stopped === null ? {} : { role: 'status' })}>
            {stopped ?? 'A file that was saved from another shed, by itself or packed with its photos.'}
          </Faint>
        )}
        <JobBar job={job} label="Reading the file" />
      </Row>
    </Page>
  );
}
