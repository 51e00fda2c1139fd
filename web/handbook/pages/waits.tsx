import { QUARTS_PER_LITRE, writeArea, writeTemperature } from '../../../core/figure/index.js';
import { usePrecision } from '../../data/project.js';
import { useState } from 'react';
import { FINISHES, GLUES, timeAt, waitText } from '../../../core/build/index.js';
import { Panel, Table } from '../../shared/ui.js';
import { WarmthTrial } from '../trial.js';

/** What glue and finishes wait for. */
export function Waits() {
  const { unit } = usePrecision();
  const [celsius, setCelsius] = useState(12);
  const said = (minutes: number) => (minutes === 0 ? '–' : waitText(timeAt(minutes, celsius)));
  return (
    <>
      <p>
        Most of the days between the first cut and the finished piece are waits. Boards come to rest in the room, glue sets, coats dry. What
        is on the tin is told for a room of about {writeTemperature(20, unit)}; in a cold shed it takes twice as long for every{' '}
        {unit === 'mm' ? 'ten' : 'eighteen'} degrees less, and under its least temperature glue does not set at all: it looks dry, and the
        joint has no strength.
      </p>
      <Panel role="group" aria-label="Waits by temperature">
        <WarmthTrial label="It is" value={celsius} set={setCelsius} />
        <Table $above={10}>
          <thead>
            <tr>
              <th>Glue</th>
              <th className="figure">closed within</th>
              <th className="figure">in clamps</th>
              <th className="figure">may be worked after</th>
            </tr>
          </thead>
          <tbody>
            {GLUES.filter((g) => g.id !== 'none').map((g) => (
              <tr key={g.id}>
                <td>
                  {g.name}
                  {celsius < g.least ? `: does not set under ${writeTemperature(g.least, unit)}` : ''}
                </td>
                <td className="figure">{said(g.open)}</td>
                <td className="figure">{celsius < g.least ? 'never' : said(g.clamp)}</td>
                <td className="figure">{celsius < g.least ? 'never' : said(g.cure)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
        <Table $above={10}>
          <thead>
            <tr>
              <th>Finish</th>
              <th className="figure">between coats</th>
              <th className="figure">before it is used</th>
              <th className="figure">{unit === 'mm' ? 'a litre' : 'a quart'} covers</th>
            </tr>
          </thead>
          <tbody>
            {FINISHES.filter((f) => f.id !== 'none').map((f) => (
              <tr key={f.id}>
                <td>{f.name}</td>
                <td className="figure">{said(f.between)}</td>
                <td className="figure">{said(f.before)}</td>
                <td className="figure">{unit === 'mm' ? writeArea(f.spread, unit) : writeArea(f.spread / QUARTS_PER_LITRE, unit)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Panel>
      <p>
        These are typical figures; the maker’s sheet has the last word. A plan that knows them puts a glue-up at the end of an evening and
        the next coat into the next one, and does what waits for neither in between.
      </p>
      <p>
        Rags with oil warm up as the oil takes up air, and can set themselves on fire in a heap: spread them out to dry outdoors, or keep
        them under water. Gloves for epoxy and polyurethane, air for all of them.
      </p>
    </>
  );
}
