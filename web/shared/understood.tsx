import styled from 'styled-components';
import type { ListFault } from '../../core/formats/csv.js';
import type { Understood } from '../../core/formats/list-table.js';
import { Faint, Fault } from './ui.js';

const Columns = styled.ul`
  margin: 6px 0;
  padding-left: 18px;
  font-size: 13px;
`;

/** Units in words, where their sign is one. */
const SAID: Readonly<Record<string, string>> = { in: 'inches', ft: 'feet', lb: 'pounds' };

const quoted = (head: string, i: number) => (head === '' ? `Column ${i + 1}` : `“${head}”`);

/** How a list was understood, before anything of it is added: what each column was taken for, what is left out, and what cannot be read. */
export function UnderstoodList({ understood, faults }: { understood: Understood; faults: readonly ListFault[] }) {
  const { taken, leftOut, headed, comma } = understood;
  if (taken.length === 0) return null;
  return (
    <section aria-label="How the list is understood">
      <Faint>{headed ? 'The columns are taken so:' : 'No line names the columns; they are taken in the usual order:'}</Faint>
      <Columns>
        {taken.map(({ head, as, unit }, i) => (
          <li key={i}>
            {quoted(head, i)}:{' '}
            {as === null
              ? 'left out, it says nothing that is used here'
              : `${as.join(', ')}${unit === null ? '' : `, in ${SAID[unit] ?? unit}`}`}
          </li>
        ))}
        {leftOut.map(({ line, text }) => (
          <li key={`line ${line}`}>
            Line {line}, “{text}”: left out, it stands over the list
          </li>
        ))}
        {comma ? <li>Numbers have a comma before their decimals</li> : null}
      </Columns>
      {faults.map((f) => (
        <Fault key={`${f.line} ${f.column}`} role="alert">
          Line {f.line} is left out: {f.given === '' ? 'nothing stands' : `“${f.given}”`}
          {f.column ? ` under “${f.column}”` : ''}
          {f.given === '' ? '' : ' cannot be read'}; give {f.accepted}.
        </Fault>
      ))}
    </section>
  );
}
