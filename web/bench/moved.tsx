import styled from 'styled-components';
import type { Moved } from '../../core/solution/index.js';
import { usePrecision } from '../data/project.js';
import { LengthText } from '../shared/length-text.js';
import { Button, Faint } from '../shared/ui.js';
import { tape, tapePale } from '../theme/tokens.js';
import { useBench } from './bench.js';
import { Laid } from '../shared/laid.js';

const Rows = styled.table`
  font-size: 13px;
  width: 100%;
  td {
    padding: 2px 6px 2px 0;
    vertical-align: baseline;
  }
  td.size {
    text-align: right;
    white-space: nowrap;
  }
`;

const Box = styled.section`
  background: ${tapePale};
  border-left: 4px solid ${tape};
  padding: 8px 10px;
  margin-bottom: 14px;
`;

/** Old and new sizes side by side. */
export function MovedList({ moved, most }: { moved: readonly Moved[]; most: number }) {
  const precision = usePrecision();
  if (moved.length === 0) return <Faint>No size changes.</Faint>;
  return (
    <>
      <Rows>
        <tbody>
          {moved.slice(0, most).map((m) => (
            <tr key={`${m.kind}${m.id}${m.what}`}>
              <td>
                {m.label} <Faint>{m.what}</Faint>
              </td>
              <td className="size">{m.before === null ? 'new' : <LengthText value={m.before} precision={precision} />}</td>
              <td>→</td>
              <td className="size">{m.after === null ? 'gone' : <LengthText value={m.after} precision={precision} />}</td>
            </tr>
          ))}
        </tbody>
      </Rows>
      {moved.length > most ? <Faint>and {moved.length - most} more sizes</Faint> : null}
    </>
  );
}

/** What the last edit moved, until it is looked at. */
export function MovedPanel() {
  const { moved, lookedAt } = useBench();
  if (moved.length === 0) return null;
  return (
    <Box aria-label="What changed" role="status">
      <Laid.div $display="flex" $spread $align="baseline">
        <h3>What changed</h3>
        <Button data-quiet onPress={lookedAt}>
          Dismiss
        </Button>
      </Laid.div>
      <MovedList moved={moved} most={5} />
    </Box>
  );
}
