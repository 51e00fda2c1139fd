import { useState } from 'react';
import { UNITS_PER, mm, type LengthUnit } from '../../core/length/index.js';
import { TextField } from 'react-aria-components';
import { USUAL_KERF } from '../../core/joints/index.js';
import { KERF_MEANT, type Settings } from '../../core/project/index.js';
import { NAMED_LIMITS } from '../../core/carry/index.js';
import { useHistory } from '../data/history.js';
import { usePrecision, useProject } from '../data/project.js';
import { without } from '../shared/without.js';
import { Header } from '../shared/header.js';
import { Phones } from '../phone/phones.js';
import { Changes } from './changes.js';
import { ChangeUnit, UNITS } from './change-unit.js';
import { ToolsForm } from './tools-form.js';
import { WhatItDoes } from './what-it-does.js';
import { LengthField } from '../shared/length-field.js';
import { Faint, FieldLabel, Grid, Page, Section, Select, TextInput, type Choice } from '../shared/ui.js';

const PROJECT = ['project'];

const TERMS: readonly Choice<LengthUnit>[] = [
  { id: 'mm', label: 'housing, rebate, toe board' },
  { id: 'in', label: 'dado, rabbet, toe kick' },
];

const NO_CURRENCY = 'none';

const NAMES = new Intl.DisplayNames(undefined, { type: 'currency' });

/** Every currency that the browser knows, by its name in the builder's own language. */
const CURRENCIES: readonly Choice<string>[] = [
  { id: NO_CURRENCY, label: 'none: numbers alone' },
  ...Intl.supportedValuesOf('currency')
    .map((id) => ({ id, label: `${id} ${NAMES.of(id) ?? ''}` }))
    .sort((a, b) => a.label.localeCompare(b.label)),
];

/** The choices that hold for every piece of the project. */
export function ProjectSettings() {
  const { bench, saver } = useProject();
  const history = useHistory(PROJECT);
  const precision = usePrecision();
  const { project } = bench;
  const { settings } = project;
  const [name, setName] = useState(project.name);
  const save = (patch: Partial<Settings>) => saver.saveProject({ ...project, settings: { ...settings, ...patch } }, project);
  const { limit, rounding } = settings;
  // What is as usual is not kept.
  const put = (key: 'terms' | 'currency', value: string, usual: string) =>
    saver.saveProject({ ...project, settings: value === usual ? without(settings, key) : { ...settings, [key]: value } }, project);
  const [wanted, setWanted] = useState<LengthUnit | null>(null);
  return (
    <>
      <Header history={history} />
      <Page>
        <h1>Settings of {project.name}</h1>
        <Faint>They hold for every piece.</Faint>
        <Section $above={16}>
          <Grid $columns={2}>
            <TextField
              value={name}
              onChange={setName}
              onBlur={() => name.trim() && name.trim() !== project.name && saver.saveProject({ ...project, name: name.trim() }, project)}
            >
              <FieldLabel>Name</FieldLabel>
              <TextInput maxLength={80} />
            </TextField>
            <Select label="Works in" value={settings.unit} choices={UNITS} onChange={setWanted} />
            <Select
              label="Words of the trade"
              value={settings.terms ?? settings.unit}
              choices={TERMS}
              onChange={(terms) => put('terms', terms, settings.unit)}
            />
            <Select
              label="Currency of prices"
              value={settings.currency ?? NO_CURRENCY}
              choices={CURRENCIES}
              onChange={(code) => put('currency', code, NO_CURRENCY)}
            />
          </Grid>
          {wanted !== null && wanted !== settings.unit ? <ChangeUnit to={wanted} onSettled={() => setWanted(null)} /> : null}
        </Section>
        <Section>
          <h2>Loads and sag</h2>
          <Grid $columns={2}>
            <Select
              label="Where it will stand (service class)"
              value={`${settings.serviceClass}`}
              choices={[
                { id: '1', label: '1, a heated room' },
                { id: '2', label: '2, unheated, or a garden building' },
                { id: '3', label: '3, wet' },
              ]}
              onChange={(c) => save({ serviceClass: Number(c) as 1 | 2 | 3 })}
            />
            <Select
              label="How sag grows"
              value={settings.creepSchool}
              choices={[
                { id: 'kdef', label: 'by EN 1995-1-1, table 3.2' },
                { id: 'half', label: 'half as much again; panels twice' },
              ]}
              onChange={(creepSchool) => save({ creepSchool })}
            />
            <Select
              label="How far a member may sag"
              value={limit.kind === 'span' ? `${limit.over}` : 'amount'}
              choices={[
                ...NAMED_LIMITS.map((l) => ({ id: `${l.over}`, label: `span/${l.over}: ${l.meaning}` })),
                { id: 'amount', label: 'a fixed amount' },
              ]}
              onChange={(over) => save({ limit: over === 'amount' ? { kind: 'amount', mm: 2 } : { kind: 'span', over: Number(over) } })}
            />
            {limit.kind === 'amount' ? (
              <LengthField
                label="Sag allowed"
                value={mm(limit.mm)}
                least={mm(0.1)}
                greatest={mm(100)}
                precision={precision}
                onCommit={(most) => most !== null && save({ limit: { kind: 'amount', mm: most / UNITS_PER.mm } })}
              />
            ) : null}
          </Grid>
          <WhatItDoes />
        </Section>
        <Section>
          <h2>Setting out</h2>
          <Grid $columns={2}>
            <LengthField
              label="The saw blade takes away"
              value={settings.kerf ?? USUAL_KERF}
              {...KERF_MEANT}
              precision={precision}
              onCommit={(kerf) => kerf !== null && save({ kerf })}
            />
            <Select
              label="What is rounded"
              value={rounding.set}
              choices={[
                { id: 'gaps', label: 'the spaces, for those who use spacers' },
                { id: 'edges', label: 'the edges, for those who mark from the tape' },
                { id: 'exact', label: 'nothing: exact sizes' },
              ]}
              onChange={(set) => save({ rounding: { ...rounding, set } })}
            />
            <LengthField
              label="Round to"
              value={rounding.grid}
              precision={precision}
              onCommit={(grid) => grid !== null && save({ rounding: { ...rounding, grid } })}
            />
            <Select
              label="Leftover"
              value={rounding.leftover}
              choices={[
                { id: 'last', label: 'to the last spaces' },
                { id: 'first', label: 'to the first spaces' },
                { id: 'spread', label: 'spread evenly' },
              ]}
              onChange={(leftover) => save({ rounding: { ...rounding, leftover } })}
            />
          </Grid>
        </Section>
        <ToolsForm settings={settings} onSave={save} />
        <Phones />
        <Changes />
      </Page>
    </>
  );
}
