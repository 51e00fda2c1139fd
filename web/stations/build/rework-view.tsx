import { useMemo, useState } from 'react';
import { largestFromCut, shrunkTo, sizeGiven, type Shrunk } from '../../../core/build/index.js';
import { writeArea } from '../../../core/figure/index.js';
import { formatLength, type Length } from '../../../core/length/index.js';
import { lettersText } from '../../../core/parts/index.js';
import type { Reach } from '../../../core/survey/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { Button, Faint, Fault, Grid, Row, Section, Table } from '../../shared/ui.js';
import { Laid } from '../../shared/laid.js';
import { Term } from '../../shared/term.js';

const REACHES: readonly Reach[] = ['width', 'height', 'depth'];

/** What becomes of the parts that are cut, and a way to make the piece so. */
function Becomes({ shrunk }: { shrunk: Shrunk }) {
  const { commit } = useSettledBench();
  const precision = usePrecision();
  const write = (l: Length) => formatLength(l, precision);
  const { rework, sizes, piece } = shrunk;
  const sawn = rework.parts.filter((r) => r.reaches && (r.off.length > 0 || r.off.width > 0));
  const moved = rework.parts.filter((r) => r.reaches && r.moves);
  const said = sizes.map((s) => `${s.reach} ${write(s.size)} in place of ${write(s.was)}`).join(', ');
  const patch = Object.fromEntries(sizes.map((s) => [s.reach, piece[s.reach]]));
  return (
    <>
      <Laid.p $above={6} $below={6}>
        {said ? `The ${said}. ` : ''}
        {sawn.length === 0
          ? 'Nothing is sawn off what is cut.'
          : `${sawn.length} of the parts that are cut are cut down, ${writeArea(rework.lost / 1e6, precision.unit, 3)} of them lost.`}
        {moved.length > 0
          ? ` What is cut into ${lettersText(moved.map((r) => r.part.letter))} comes elsewhere: look whether it can be made again beside what is there.`
          : ''}
      </Laid.p>
      {rework.anew.length > 0 ? (
        <Fault role="alert">Too small for it, and cut anew: {lettersText(rework.anew.map((p) => p.letter))}.</Fault>
      ) : null}
      {sawn.length > 0 ? (
        <Table aria-label="What is cut down">
          <thead>
            <tr>
              <th>Part</th>
              <th className="figure">Is</th>
              <th className="figure">Becomes</th>
              <th className="figure">Off its length</th>
              <th className="figure">Off its width</th>
            </tr>
          </thead>
          <tbody>
            {sawn.map(({ part, was, off }) => (
              <tr key={part.id}>
                <td>
                  <strong>{part.letter}</strong> <Term>{part.member.role}</Term>
                </td>
                <td className="figure">
                  {write(was.length)} × {write(was.width)}
                </td>
                <td className="figure">
                  {write(part.cut.length.set)} × {write(part.cut.width.set)}
                </td>
                <td className="figure">{write(off.length)}</td>
                <td className="figure">{write(off.width)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      ) : null}
      {sizes.length > 0 ? (
        <Row $above={8}>
          <Button onPress={() => commit({ kind: 'piece', patch }, `Made it from what is cut: ${said}`.slice(0, 150))}>Make it so</Button>
        </Row>
      ) : null}
    </>
  );
}

/** What is done where parts came out too small, or the whole of it too large: made smaller from what is cut. */
export function ReworkView() {
  const { settled } = useSettledBench();
  const precision = usePrecision();
  const largest = useMemo(() => largestFromCut(settled), [settled]);
  const [asked, setAsked] = useState<Partial<Record<Reach, Length>>>({});
  const tried = useMemo(() => {
    const sizes = REACHES.flatMap((reach) => {
      const size = asked[reach];
      return size === undefined || size === sizeGiven(settled, reach) ? [] : [{ reach, size }];
    });
    return sizes.length > 0 ? shrunkTo(settled, sizes) : null;
  }, [settled, asked]);
  return (
    <Section aria-label="Made from what is cut">
      <h3>Made from what is cut</h3>
      {largest ? (
        <>
          <p>Some parts are too small for the plan. This is the largest that can be made so that they do:</p>
          <Becomes shrunk={largest} />
        </>
      ) : null}
      <Faint>Too large for its place after all? Say how large it may be, and see what is sawn off what is there.</Faint>
      <Grid $columns={3} $above={8} $below={8} $most={520}>
        {REACHES.map((reach) => (
          <LengthField
            key={reach}
            label={`${reach.charAt(0).toUpperCase()}${reach.slice(1)} it may have`}
            value={asked[reach] ?? sizeGiven(settled, reach)}
            precision={precision}
            onCommit={(size) => size !== null && setAsked({ ...asked, [reach]: size })}
          />
        ))}
      </Grid>
      {tried ? <Becomes shrunk={tried} /> : null}
    </Section>
  );
}
