import { useState } from 'react';
import { creepOf, type Sag } from '../../../core/carry/index.js';
import { writeFine } from '../../../core/figure/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { StateMark } from '../../shared/state-mark.js';
import { Grid, Panel, Table } from '../../shared/ui.js';
import { LineLoadTrial, MaterialTrial, propertiesFor, sagOfShelf } from '../trial.js';

const DEPTH = 300;
const EYE = 384;

/** Builders' rules, each with a span for a thickness of 18, or what it says of a change. */
const SPANS: readonly { readonly rule: string; readonly times: number }[] = [
  { rule: 'span no more than 32 times the thickness', times: 32 },
  { rule: 'span no more than 40 times the thickness', times: 40 },
  { rule: 'span no more than 50 times the thickness', times: 50 },
];

/** Rules of thumb beside what the sums say. */
export function Thumb() {
  const { unit } = usePrecision();
  const { workshop } = useProject();
  const [material, setMaterial] = useState('birch-plywood');
  const [perMetre, setPerMetre] = useState(40);
  const properties = propertiesFor(material);
  const creep = creepOf(properties.material, workshop.settings);
  const at = (span: number, thickness: number, kg = (perMetre * span) / 1000): Sag =>
    sagOfShelf({ span, depth: DEPTH, thickness, kg }, properties);
  const base = at(720, 18).mm;
  const claims: readonly (readonly [string, string, number])[] = [
    ['Twice the span is twice the sag', 'at as much on each length', at(1440, 18).mm / base],
    ['Twice the thickness holds twice as much', 'glued; sag falls to', at(720, 36).mm / base],
    ['A quarter thicker is enough for a quarter longer', 'both together', at(900, 22.5).mm / base],
    [
      'A deeper shelf sags more',
      'half as deep again, half as much again on it',
      sagOfShelf({ span: 720, depth: 450, thickness: 18, kg: perMetre * 0.72 * 1.5 }, properties).mm / base,
    ],
    ['A third less load is a third less sag', 'but for the shelf’s own weight', at(720, 18, perMetre * 0.72 * (2 / 3)).mm / base],
  ];
  return (
    <>
      <p>
        Rules are handed on since they are short. Each below is put beside what it comes to: a shelf 300 deep and 18 thick, loaded evenly
        and left loaded.
      </p>
      <Panel role="group" aria-label="Rules to try">
        <Grid>
          <MaterialTrial value={material} set={setMaterial} />
          <LineLoadTrial label="Load" value={perMetre} set={setPerMetre} most={400} />
        </Grid>
        <Table $above={10}>
          <thead>
            <tr>
              <th>Rule for spans</th>
              <th className="figure">Span</th>
              <th className="figure">Sags later</th>
              <th className="figure">Eye’s limit</th>
            </tr>
          </thead>
          <tbody>
            {SPANS.map(({ rule, times }) => {
              const span = 18 * times;
              const later = at(span, 18).mm * (creep.judged ? creep.factor : 1);
              return (
                <tr key={rule}>
                  <td>
                    <StateMark state={!creep.judged ? 'not checked' : later > span / EYE ? 'fails' : 'fine'} size={14} /> {rule}
                  </td>
                  <td className="figure">{writeFine(span, unit, 1)}</td>
                  <td className="figure">{creep.judged ? writeFine(later, unit) : 'not checked'}</td>
                  <td className="figure">{writeFine(span / EYE, unit)}</td>
                </tr>
              );
            })}
          </tbody>
        </Table>
        <Table $above={10}>
          <thead>
            <tr>
              <th>What is said</th>
              <th>taken as</th>
              <th className="figure">The sag, times</th>
            </tr>
          </thead>
          <tbody>
            {claims.map(([claim, taken, times]) => (
              <tr key={claim}>
                <td>{claim}</td>
                <td>{taken}</td>
                <td className="figure">{times.toFixed(2)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Panel>
      <p>
        Why they fail: at a given load on each length sag goes with the fourth power of the span, at a given load in all with the third, and
        with the inverse third power of the thickness. A rule that holds for one load and one wood holds for no other.
      </p>
    </>
  );
}
