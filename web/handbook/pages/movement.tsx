import { useState } from 'react';
import { movementOf } from '../../../core/carry/index.js';
import { writeFine } from '../../../core/figure/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { materialOf } from '../../../core/stock/index.js';
import { usePrecision } from '../../data/project.js';
import { Faint, Grid, Panel, Table } from '../../shared/ui.js';
import { LengthTrial, MaterialTrial } from '../trial.js';

const PLACES = [
  [1, 'a heated room'],
  [2, 'an unheated building'],
  [3, 'a wet place'],
] as const;

/** How much solid wood moves over a year. */
export function Movement() {
  const { unit } = usePrecision();
  const [width, setWidth] = useState(mm(400));
  const [material, setMaterial] = useState('red-oak');
  return (
    <>
      <p>
        Solid wood takes up and gives off moisture with the seasons and gets wider and narrower by it; its length hardly changes. Held
        across its width it splits. Sheets stay as they are.
      </p>
      <Panel role="group" aria-label="A board to try">
        <Grid>
          <LengthTrial label="Width" value={width} set={setWidth} />
          <MaterialTrial value={material} set={setMaterial} only={(id) => materialOf(id)?.form === 'solid'} />
        </Grid>
        <Table $above={10}>
          <thead>
            <tr>
              <th>Over a year in</th>
              <th className="figure">Moisture</th>
              <th className="figure">Flat sawn</th>
              <th className="figure">Quarter sawn</th>
            </tr>
          </thead>
          <tbody>
            {PLACES.map(([serviceClass, place]) => {
              const m = movementOf(material, toMm(width), serviceClass);
              return m ? (
                <tr key={place}>
                  <td>
                    {place} {m.stretched ? <Faint>past where the figures hold</Faint> : null}
                  </td>
                  <td className="figure">
                    {m.from} to {m.to} %
                  </td>
                  <td className="figure">{writeFine(m.flat, unit)}</td>
                  <td className="figure">{writeFine(m.quarter, unit)}</td>
                </tr>
              ) : null;
            })}
          </tbody>
        </Table>
        <Faint>Width × coefficient × change of moisture, USDA Wood Handbook table 13-5, which holds from 6 to 14 %.</Faint>
      </Panel>
      <ul>
        <li>Leave a panel in grooves half of that at each side, and glue it nowhere but at its middle.</li>
        <li>Hold a solid top with buttons or slotted holes.</li>
        <li>Edge a sheet with solid wood along the grain, never across the end of a wide board.</li>
      </ul>
    </>
  );
}
