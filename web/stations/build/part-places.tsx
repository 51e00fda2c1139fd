import { useMemo } from 'react';
import { alikeParts } from '../../../core/build/index.js';
import { formatLength, mm } from '../../../core/length/index.js';
import { lettersText, type Part } from '../../../core/parts/index.js';
import type { Solution } from '../../../core/solution/index.js';
import { usePrecision } from '../../data/project.js';
import { PartDrawing } from '../../shared/part-drawing.js';
import { Faint, Table } from '../../shared/ui.js';
import { Laid } from '../../shared/laid.js';
import { Term } from '../../shared/term.js';

/** Each kind of part with all that is cut into it, and every hole from both ends: what one drills by. */
export function PartPlaces({ solution, only }: { solution: Solution; only: ReadonlySet<string> }) {
  const precision = usePrecision();
  const alike = useMemo(() => alikeParts(solution, precision, only), [solution, precision, only]);
  const write = (x: number) => formatLength(mm(x), precision);
  if (alike.length === 0) return <Faint>Nothing is cut into these parts.</Faint>;
  return (
    <>
      {alike.map(({ parts, lines, rows, holes }) => {
        const [part] = parts as [Part];
        const letters = lettersText(parts.map((p) => p.letter));
        return (
          <Laid.section key={part.id} aria-label={`Machining of ${letters}`} $whole $below={22}>
            <h3>
              {letters}: <Term>{part.member.role}</Term>, {formatLength(part.cut.length.set, precision)} ×{' '}
              {formatLength(part.cut.width.set, precision)}
            </h3>
            <Laid.div $display="flex" $wrap $gap={16} $align="flex-start">
              <Laid.div $flex="0 0 260px">
                <PartDrawing part={part} holes={holes} />
              </Laid.div>
              <Laid.div $flex="1 1 360px">
                {lines.length > 0 ? (
                  <Laid.ul $size={13} $below={8}>
                    {lines.map((line) => (
                      <li key={line}>{line}</li>
                    ))}
                  </Laid.ul>
                ) : null}
                {rows.length > 0 ? (
                  <Table aria-label={`Holes of ${letters}`}>
                    <thead>
                      <tr>
                        <th>Hole</th>
                        <th>In the</th>
                        <th>Along, from both ends</th>
                      </tr>
                    </thead>
                    <tbody>
                      {rows.map((row, i) => (
                        <tr key={i}>
                          <td>
                            {row.places.length > 1 ? `${row.places.length} × ` : ''}
                            {row.text}
                          </td>
                          <td>
                            {row.surface}, {write(row.aside[1])} from the {row.aside[0]}
                          </td>
                          <td>
                            {row.places.map(([a]) => write(a)).join(', ')} <Faint>from the {row.from[0]}</Faint>
                            <br />
                            {row.places.map(([, b]) => write(b)).join(', ')} <Faint>from the {row.from[1]}</Faint>
                          </td>
                        </tr>
                      ))}
                    </tbody>
                  </Table>
                ) : null}
              </Laid.div>
            </Laid.div>
          </Laid.section>
        );
      })}
    </>
  );
}
