import { useMemo } from 'react';
import { FileDown, Printer } from 'lucide-react';
import { jigsOf, type Jig } from '../../../core/build/index.js';
import { fullSizesOf } from '../../../core/drawing/index.js';
import { fullSizeDxf, fullSizeSvg } from '../../../core/formats/full-size-files.js';
import { formatLength, type Length } from '../../../core/length/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision, useProject } from '../../data/project.js';
import { download, fileName } from '../../shared/download.js';
import { Button, Faint, Row, Table } from '../../shared/ui.js';

const KINDS: Readonly<Record<Jig['kind'], string>> = {
  stick: 'Stick',
  spacer: 'Spacer',
  stop: 'Stop block',
  board: 'Assembly board',
  template: 'Template',
};

/** What is worth making first: sticks, spacers, stops and templates, with prints as large as they are. */
export function JigsView() {
  const { settled, pieceId, piece } = useSettledBench();
  const { id } = useProject();
  const precision = usePrecision();
  const jigs = useMemo(() => jigsOf(settled, precision), [settled, precision]);
  const write = (l: Length) => formatLength(l, precision);
  const drawn = (some: readonly Jig[]) => fullSizesOf(settled, some, precision);
  const open = (query: string) => window.open(`/api/projects/${id}/pieces/${pieceId}/full-size.pdf${query}`, '_blank', 'noopener');
  const isDrawn = (jig: Jig) => jig.kind === 'stick' || 'width' in jig;
  if (jigs.length === 0) return <Faint>Nothing here is worth a jig: there are not three of anything, and every part is a rectangle.</Faint>;
  return (
    <>
      <Row $spread>
        <h2>Made before the parts</h2>
        <Row data-screen-only>
          <Button onPress={() => download(`${fileName(piece.name)}-full-size.dxf`, 'image/vnd.dxf', fullSizeDxf(drawn(jigs)))}>
            <FileDown aria-hidden /> All as DXF
          </Button>
        </Row>
      </Row>
      <Faint>
        Prints are as large as the wood, in pages that lie on each other by their crosses. Print them at 100 % and measure the line at the
        foot first.
      </Faint>
      <Table aria-label="Jigs" $above={10}>
        <thead>
          <tr>
            <th>What</th>
            <th className="figure">Size</th>
            <th>What for</th>
            <th data-screen-only>At full size</th>
          </tr>
        </thead>
        <tbody>
          {jigs.map((jig, i) => (
            <tr key={`${jig.kind} ${jig.name} ${i}`}>
              <td>
                <strong>{jig.name}</strong>
                <br />
                <Faint>{KINDS[jig.kind]}</Faint>
              </td>
              <td className="figure">{'width' in jig ? `${write(jig.length)} × ${write(jig.width)}` : write(jig.length)}</td>
              <td>
                {jig.why}
                {jig.kind === 'stick' ? (
                  <>
                    <br />
                    <Faint>{jig.marks.map((m) => write(m.at)).join(', ')}</Faint>
                  </>
                ) : null}
              </td>
              <td data-screen-only>
                {isDrawn(jig) ? (
                  <Row>
                    <Button data-quiet aria-label={`Print ${jig.name} at full size`} onPress={() => open(`?jig=${i}`)}>
                      <Printer aria-hidden /> PDF
                    </Button>
                    <Button
                      data-quiet
                      aria-label={`${jig.name} as SVG`}
                      onPress={() => drawn([jig]).forEach((d) => download(`${fileName(d.name)}.svg`, 'image/svg+xml', fullSizeSvg(d)))}
                    >
                      SVG
                    </Button>
                  </Row>
                ) : null}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}
