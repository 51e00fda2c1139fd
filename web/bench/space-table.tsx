import { usePrecision } from '../data/project.js';
import { LengthText } from '../shared/length-text.js';
import { Scroll, Table, WordButton } from '../shared/ui.js';
import { useBench } from './bench.js';
import { Laid } from '../shared/laid.js';

/** The drawing as a table: every space with its clear sizes, its place and what stands in it. */
export function SpaceTable() {
  const { solution, selection, select } = useBench();
  const precision = usePrecision();
  const spaces = [...solution.shape.spaces.values()].filter((s) => !s.space.split);
  return (
    <Scroll $pad={16} $flex={1}>
      <Table>
        <Laid.caption $text="left" $weight={650} $pad="0 0 6px">
          Every open space, clear sizes in {precision.unit}
        </Laid.caption>
        <thead>
          <tr>
            <th>Space</th>
            <th className="figure">Wide</th>
            <th className="figure">High</th>
            <th className="figure">Deep</th>
            <th className="figure">From left</th>
            <th className="figure">From floor</th>
            <th>Stands in it</th>
          </tr>
        </thead>
        <tbody>
          {spaces.map((s) => (
            <tr key={s.id} aria-selected={selection === s.id}>
              <td>
                <WordButton onClick={() => select(s.id)}>{s.label}</WordButton>
              </td>
              {[s.clear.width.value, s.clear.height.value, s.clear.depth.value, s.box.x0, s.box.y0].map((value, i) => (
                <td key={i} className="figure">
                  <LengthText value={value} precision={precision} />
                </td>
              ))}
              <td>{s.blocks.map((b) => `${b.count} ${b.thing.name}`).join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Scroll>
  );
}
