import { asGPa } from '../../../core/measures/index.js';
import { useState } from 'react';
import { creepOf } from '../../../core/carry/index.js';
import { writeFine } from '../../../core/figure/index.js';
import { usePrecision } from '../../data/project.js';
import { Grid, Panel, Table } from '../../shared/ui.js';
import { LineLoadTrial, MaterialTrial, propertiesFor, sagOfShelf } from '../trial.js';

/** The longest span, mm, that keeps to a limit, by halving. */
function longest(sagAt: (span: number) => number, over: number): number {
  let [low, high] = [50, 5000];
  for (let n = 0; n < 40; n += 1) {
    const middle = (low + high) / 2;
    if (sagAt(middle) <= middle / over) low = middle;
    else high = middle;
  }
  return low;
}

/** Why tables of shelf spans differ by half. */
export function Tables() {
  const { unit } = usePrecision();
  const [material, setMaterial] = useState('birch-plywood');
  const [perMetre, setPerMetre] = useState(40);
  const properties = propertiesFor(material);
  const creep = creepOf(properties.material, { serviceClass: 1, creepSchool: 'kdef' });
  const factor = creep.judged ? creep.factor : 1;
  const shelf = (fixed: boolean, own: boolean) => (span: number) =>
    sagOfShelf({ span, depth: 300, thickness: 18, kg: (perMetre * span) / 1000, fixed }, own ? properties : { ...properties, density: 0 })
      .mm;
  const soft = { ...properties, elastic: asGPa(properties.elastic * 0.8) };
  const rows: readonly (readonly [string, number])[] = [
    ['today, span/240, without its own weight', longest(shelf(false, false), 240)],
    ['today, span/360', longest(shelf(false, true), 360)],
    ['today, span/384, what the eye sees', longest(shelf(false, true), 384)],
    ['in the long term, span/384: what is used here', longest((s) => shelf(false, true)(s) * factor, 384)],
    [
      'in the long term, and the wood a fifth softer than tabled',
      longest((s) => sagOfShelf({ span: s, depth: 300, thickness: 18, kg: (perMetre * s) / 1000 }, soft).mm * factor, 384),
    ],
    ['today, both ends built in, span/384', longest(shelf(true, true), 384)],
  ];
  return (
    <>
      <p>
        One book lets a shelf go half as far again as the next, and both are right: they answer different questions. The same shelf, 300
        deep and 18 thick, under the same load:
      </p>
      <Panel role="group" aria-label="One shelf in several tables">
        <Grid>
          <MaterialTrial value={material} set={setMaterial} />
          <LineLoadTrial label="Load" value={perMetre} set={setPerMetre} most={400} least={1} />
        </Grid>
        <Table $above={10}>
          <thead>
            <tr>
              <th>The table asks</th>
              <th className="figure">Longest span</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([asks, span]) => (
              <tr key={asks}>
                <td>{asks}</td>
                <td className="figure">{writeFine(span, unit, 0)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Panel>
      <p>
        Tables differ by the limit they hold to, by whether the load is left on, whether the shelf’s own weight counts, how its ends are
        held, and the stiffness they take for a wood that scatters by a fifth. Some give the stiffness of clear wood with its shear hidden
        in it; some have taken that out.
      </p>
    </>
  );
}
