import { useState } from 'react';
import { writeFine } from '../../../core/figure/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { MATERIALS } from '../../../core/stock/index.js';
import { usePrecision } from '../../data/project.js';
import { Grid, Panel, Table } from '../../shared/ui.js';
import { LengthTrial, MassTrial, propertiesFor, sagOfShelf } from '../trial.js';

/** How much the direction of a sheet matters. */
export function Direction() {
  const { unit } = usePrecision();
  const [span, setSpan] = useState(mm(700));
  const [kg, setKg] = useState(20);
  const sheets = MATERIALS.filter((m) => m.form === 'sheet' && m.elasticAcross !== undefined && m.elasticAcross !== m.elastic);
  const sag = (id: string, across: boolean) => {
    const properties = propertiesFor(id);
    const elastic = across ? properties.elasticAcross : properties.elastic;
    return sagOfShelf({ span: toMm(span), depth: 300, thickness: 18, kg }, { ...properties, elastic }).mm;
  };
  return (
    <>
      <p>
        The outer plies of a sheet do most of the work, and they run its length. Cut across, a shelf of thin or coarse plywood is two or
        three times as limp. Boards of fibres and chips have no direction; OSB has.
      </p>
      <Panel role="group" aria-label="Directions to try">
        <Grid>
          <LengthTrial label="Span" value={span} set={setSpan} />
          <MassTrial label="Load, spread evenly" value={kg} set={setKg} most={500} />
        </Grid>
        <Table $above={10}>
          <thead>
            <tr>
              <th>{`${writeFine(18, unit, 1)} thick, ${writeFine(300, unit, 1)} deep`}</th>
              <th className="figure">Along the sheet</th>
              <th className="figure">Across it</th>
              <th className="figure">Times</th>
            </tr>
          </thead>
          <tbody>
            {sheets.map((m) => (
              <tr key={m.id}>
                <td>{m.name}</td>
                <td className="figure">{writeFine(sag(m.id, false), unit)}</td>
                <td className="figure">{writeFine(sag(m.id, true), unit)}</td>
                <td className="figure">{(sag(m.id, true) / sag(m.id, false)).toFixed(1)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Panel>
      <p>
        So mark the direction on each part before it is laid out on the sheet, and give the long spans the long way. Thin sheets differ
        most: three plies have two outer ones.
      </p>
    </>
  );
}
