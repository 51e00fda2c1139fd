import { useState } from 'react';
import { Link, Navigate, useNavigate, useSearchParams } from 'react-router';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { FileTrigger, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { DEFAULT_STEP, type LengthUnit } from '../../core/length/index.js';
import { ApiError, api } from '../data/api.js';
import { newId, newOpening, newSettings } from '../data/defaults.js';
import { BEGINS_WITH, stockroomOf, type BeginsWith } from '../data/yard.js';
import { newCase } from '../kinds/panel-case/begin.js';
import { UNITS } from '../settings/change-unit.js';
import { useJob } from '../data/job.js';
import { JobBar } from '../shared/job-bar.js';
import { Button, Faint, Fault, FieldLabel, Page, Panel, Row, Select, TextInput } from '../shared/ui.js';
import { ghost, ink, inkSoft, paper, tape, wood } from '../theme/tokens.js';
import { Laid } from '../shared/laid.js';

const Offers = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 14px;
  margin: 18px 0 26px;
  h2 {
    margin: 10px 0 4px;
  }
  p {
    min-height: 60px;
    margin-bottom: 10px;
    color: ${inkSoft};
  }
  svg {
    width: 100%;
    height: 110px;
    display: block;
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

function Picture({ kind }: { kind: 'demo' | 'opening' | 'things' }) {
  return (
    <svg viewBox="0 0 200 100" aria-hidden>
      <line x1="0" x2="200" y1="95" y2="95" stroke={ink} />
      {kind === 'opening' ? (
        <>
          <path d="M20 95H50V12H150V95H180" fill="none" stroke={ink} strokeWidth="2" />
          <rect x="52" y="45" width="96" height="13" fill={tape} stroke={ink} />
          <path d="M64 45v5M76 45v8M88 45v5M100 45v8M112 45v5M124 45v8M136 45v5" stroke={ink} />
        </>
      ) : kind === 'things' ? (
        <>
          <rect x="30" y="50" width="34" height="45" fill={ghost} stroke={ink} />
          <rect x="70" y="30" width="26" height="65" fill={ghost} stroke={ink} />
          <rect x="104" y="62" width="60" height="33" fill={ghost} stroke={ink} />
          <path d="M24 95V20M24 20H172M172 20V95" stroke={ink} strokeDasharray="5 4" fill="none" />
        </>
      ) : (
        <>
          <rect x="50" y="14" width="100" height="81" fill={wood} stroke={ink} />
          {[0, 1].map((i) =>
            [0, 1, 2].map((j) => (
              <rect key={`${i}${j}`} x={55 + i * 48} y={19 + j * 24} width="42" height="19" fill={paper} stroke={ink} />
            )),
          )}
        </>
      )}
    </svg>
  );
}

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
  const [name, setName] = useState('My workshop');
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
  const begin = (from: 'opening' | 'contents') =>
    attempt(async () => {
      const id = newId(name, ids);
      const given = name.trim() || 'My workshop';
      await api.createProject(id, { name: given, settings: { ...newSettings(unit), step: DEFAULT_STEP[unit] } });
      const records = stockroomOf(unit, begins);
      for (const { kind, id: own, data } of records) await api.create(id, kind, own, data, `Put ${data.name} into the stockroom`);
      const stock = records.flatMap((r) => (r.kind === 'stock' ? [r] : []));
      if (from === 'opening') await api.create(id, 'openings', 'opening', newOpening(unit), 'Added an opening');
      await api.create(
        id,
        'pieces',
        'case',
        newCase({ unit, stock }, from === 'opening' ? { kind: 'opening', id: 'opening' } : { kind: 'contents' }),
        'Started a case',
      );
      return from === 'opening' ? `/p/${id}/pieces/case/measure` : `/p/${id}/things?for=case`;
    });
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
  // With one workshop one is in it at once; all of them are a click away there.
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
      <Laid.h2 $above={22}>{ids.length > 0 ? 'Start another' : 'Start here'}</Laid.h2>
      <Row $above={8}>
        <TextField value={name} onChange={setName}>
          <FieldLabel>Name of the workshop</FieldLabel>
          <TextInput maxLength={80} />
        </TextField>
        <Laid.div $width={140}>
          <Select label="Works in" value={unit} choices={UNITS} onChange={setUnit} />
        </Laid.div>
        <Laid.div $width={240}>
          <Select label="Stockroom begins with" value={begins} choices={BEGINS_WITH} onChange={setBegins} />
        </Laid.div>
      </Row>
      <Offers>
        {ids.includes('print-shed') ? null : (
          <Panel>
            <Picture kind="demo" />
            <h2>The print shed</h2>
            <p>A made-up workshop with pieces to look at and change.</p>
            <Button isDisabled={busy} onPress={() => void attempt(async () => `/p/${(await api.loadDemo()).id}`)}>
              Open the print shed
            </Button>
          </Panel>
        )}
        <Panel>
          <Picture kind="opening" />
          <h2>From an opening</h2>
          <p>An alcove, a gap beside a door, the space under a window: measure it and fill it.</p>
          <Button data-main isDisabled={busy} onPress={() => void begin('opening')}>
            Measure an opening
          </Button>
        </Panel>
        <Panel>
          <Picture kind="things" />
          <h2>From things</h2>
          <p>List what it must hold, with sizes and mass, and let that decide.</p>
          <Button isDisabled={busy} onPress={() => void begin('contents')}>
            List the things
          </Button>
        </Panel>
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
