import { useState } from 'react';
import styled from 'styled-components';
import { CornerDownRight, PenLine } from 'lucide-react';
import { columnSum, inTerms, type Figure, type SumLine, type Unit } from '../../core/figure/index.js';
import { exactText, writeLength, type Length, type Precision } from '../../core/length/index.js';
import { LengthText } from './length-text.js';
import { useLeads } from './leads.js';
import { Button, Faint } from './ui.js';
import { ghostEdge, ink, link } from '../theme/tokens.js';

const Column = styled.table`
  width: 100%;
  font-size: 13px;
  margin-top: 6px;
  td {
    padding: 3px 0;
    vertical-align: middle;
    line-height: 1.15;
  }
  td.sign {
    width: 20px;
    font-weight: 600;
  }
  td.amount {
    width: 86px;
    text-align: right;
    font-weight: 700;
    font-size: 15px;
    padding-right: 10px;
    white-space: nowrap;
  }
  tr.result td {
    border-top: 1.5px solid ${ink};
    padding-top: 5px;
    padding-bottom: 5px;
  }
  tr.answer td.amount {
    font-size: 19px;
  }
`;

const Follow = styled.button`
  all: unset;
  cursor: pointer;
  text-decoration: underline;
  text-decoration-color: ${ghostEdge};
  text-underline-offset: 3px;
  &:hover {
    text-decoration-color: currentColor;
  }
  &:focus-visible {
    outline: 3px solid ${link};
  }
  svg {
    width: 12px;
    height: 12px;
    vertical-align: -1px;
  }
`;

const Trail = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  margin-top: 4px;
`;

function Amount({ figure, precision }: { figure: Figure<Unit>; precision: Precision }) {
  if (figure.unit === 'length') {
    const value = figure.amount as Length;
    const digits = exactText(value, precision.unit);
    // A sum that does not close at the shop precision is shown exactly, where that takes no more than four decimals.
    return writeLength(value, precision).exact || (digits.split('.')[1]?.length ?? 0) > 4 ? (
      <LengthText value={value} precision={precision} stacked />
    ) : (
      <>{digits}</>
    );
  }
  return <>{Number(figure.amount.toFixed(4))}</>;
}

function Times({ line, precision }: { line: SumLine; precision: Precision }) {
  if (!line.times || line.times.each.unit !== 'length') return null;
  return (
    <Faint>
      {' '}
      {line.times.by} × <LengthText value={line.times.each.amount as Length} precision={precision} />
    </Faint>
  );
}

/** What a line is called; where its figure comes from a field it leads there. */
function Label({ figure: { operation }, label }: { figure: Figure<Unit>; label: string }) {
  const leads = useLeads();
  const go = operation.kind === 'leaf' && operation.source ? leads(operation.source) : null;
  if (!go) return <span>{label}</span>;
  return (
    <Follow onClick={go} aria-label={`Change ${label}`}>
      {label} <PenLine aria-hidden />
    </Follow>
  );
}

/** A figure set out as builders write it; each line that rests on others can be followed to its own sum. */
export function Sum({ figure, precision, answer }: { figure: Figure<Unit>; precision: Precision; answer: string }) {
  const [trail, setTrail] = useState<readonly Figure<Unit>[]>([]);
  const [root, setRoot] = useState(figure);
  if (root !== figure) {
    setRoot(figure);
    setTrail([]);
  }
  const shown = trail.at(-1) ?? figure;
  const lines = columnSum(shown);
  // What a record or a space is called was typed.
  const termed = ({ operation: of }: Figure<Unit>, label: string) =>
    of.kind === 'leaf' && of.source && 'id' in of.source ? label : inTerms(label, precision.terms ?? precision.unit);
  return (
    <div>
      {trail.length > 0 ? (
        <Trail>
          <Button data-quiet onPress={() => setTrail(trail.slice(0, -1))}>
            Back to {trail.length > 1 ? (trail.at(-2)?.label ?? 'the sum before') : answer}
          </Button>
        </Trail>
      ) : null}
      <Column>
        <caption className="visually-hidden">How {shown.label ?? answer} came about</caption>
        <tbody>
          {lines.map((line, i) => {
            const last = i === lines.length - 1;
            const result = line.sign === '=' || line.sign === '→';
            const label = termed(line.figure, line.label || (last ? answer : ''));
            return (
              <tr key={i} className={`${result ? 'result' : ''} ${last ? 'answer' : ''}`}>
                <td className="sign">{line.sign}</td>
                <td className="amount">
                  <Amount figure={line.figure} precision={precision} />
                </td>
                <td>
                  {line.opens && !last ? (
                    <Follow onClick={() => setTrail([...trail, line.figure])} aria-label={`Follow ${label}`}>
                      {label} <CornerDownRight aria-hidden />
                    </Follow>
                  ) : (
                    <Label figure={line.times?.each ?? line.figure} label={label} />
                  )}
                  <Times line={line} precision={precision} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </Column>
    </div>
  );
}
