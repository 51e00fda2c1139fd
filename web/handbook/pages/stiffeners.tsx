import { useMemo, useState } from 'react';
import {
  GRAVITY,
  builtUpStiffness,
  rectangleSecondMoment,
  sagOfPanel,
  slipOf,
  stripStiffness,
  torsionConstant,
  type EdgeBeam,
} from '../../../core/carry/index.js';
import { writeFine } from '../../../core/figure/index.js';
import { mm, toMm } from '../../../core/length/index.js';
import { usePrecision } from '../../data/project.js';
import { Faint, Grid, Panel, Table } from '../../shared/ui.js';
import { LengthTrial, MassTrial, MaterialTrial, propertiesFor } from '../trial.js';

const SPAN = 900;
const DEPTH = 300;

/** What strips and layers do, glued and screwed, on one edge and on both. */
export function Stiffeners() {
  const { unit } = usePrecision();
  const [thickness, setThickness] = useState(mm(18));
  const [high, setHigh] = useState(mm(45));
  const [kg, setKg] = useState(40);
  const [material, setMaterial] = useState('mdf');
  const rows = useMemo(() => {
    const [t, h] = [toMm(thickness), toMm(high)];
    const properties = propertiesFor(material);
    const strip = propertiesFor('white-ash');
    const [E, Es] = [properties.elastic * 1000, strip.elastic * 1000];
    const beam = {
      length: SPAN,
      supports: [{ x: 0 }, { x: SPAN }],
      lines: [{ from: 0, to: SPAN, perMm: (kg * GRAVITY) / SPAN }],
      points: [],
    };
    const section = { width: DEPTH, thickness: t, properties };
    const edge = (where: EdgeBeam['edge'], both: boolean): EdgeBeam => ({
      edge: where,
      EI: stripStiffness({
        panel: { E, width: DEPTH, thickness: t },
        strip: { E: Es, width: 18, height: h, top: t },
        aside: (DEPTH - 18) / 2,
        both,
      }),
      GJ: strip.shear * 1000 * torsionConstant(18, h),
    });
    const panel = (beams: readonly EdgeBeam[]) =>
      sagOfPanel({ beam, section, edges: { front: 'free', back: 'free' }, beams, lines: [], mesh: 8 });
    const plain = E * rectangleSecondMoment(DEPTH, t);
    const sag = (EI: number) => (5 * kg * GRAVITY * SPAN ** 3) / (384 * EI);
    const layers = [0, t].map((top) => ({ E, width: DEPTH, height: t, top }));
    const of = (name: string, front: number, back: number) => ({ name, front, back });
    const alike = (name: string, EI: number) => of(name, sag(EI), sag(EI));
    const one = panel([edge('y0', false)]);
    const both = panel([edge('y0', true), edge('y1', true)]);
    return [
      alike('the board alone', plain),
      of('an ash strip of 18 under the front, glued', one.front, one.back),
      of('one under both edges, glued', both.front, both.back),
      alike('a second layer, glued', builtUpStiffness(layers, { kind: 'glued' }, SPAN)),
      alike(
        'a second layer, screwed every 150',
        builtUpStiffness(layers, { kind: 'screwed', spacing: 150, slip: slipOf(properties.density, 4) }, SPAN),
      ),
      alike('a second layer, only laid on', builtUpStiffness(layers, { kind: 'loose' }, SPAN)),
    ];
  }, [thickness, high, kg, material]);
  return (
    <>
      <p>
        A strip on edge is the cheapest way to a stiff shelf: stiffness goes with the third power of height, and a strip is all height. But
        a strip on one edge holds that edge alone. The other one sags, and the board twists.
      </p>
      <Panel role="group" aria-label="Stiffeners to try">
        <Grid>
          <LengthTrial label="Board thick" value={thickness} set={setThickness} />
          <LengthTrial label="Strip high" value={high} set={setHigh} />
          <MassTrial label="Load, spread evenly" value={kg} set={setKg} most={500} />
          <MaterialTrial value={material} set={setMaterial} />
        </Grid>
        <Table $above={10}>
          <thead>
            <tr>
              <th>
                {writeFine(SPAN, unit, 0)} long, {writeFine(DEPTH, unit, 0)} deep
              </th>
              <th className="figure">Front sags</th>
              <th className="figure">Back sags</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.name}>
                <td>{r.name}</td>
                <td className="figure">{writeFine(r.front, unit)}</td>
                <td className="figure">{writeFine(r.back, unit)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
        <Faint>Today, without the weight of the wood. One edge by a thin plate with a beam along it; layers by EN 1995-1-1 annex B.</Faint>
      </Panel>
      <p>
        Screws slip: layers that are screwed are far nearer to loose than to glued. Glue over the whole length, and clamp it. Where nothing
        is known of how two pieces are held, a tenth of the way to glued is taken.
      </p>
    </>
  );
}
