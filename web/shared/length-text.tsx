import styled from 'styled-components';
import { exactText, formatLength, writeLength, type Length, type Precision } from '../../core/length/index.js';

const Fraction = styled.span`
  display: inline-flex;
  flex-direction: column;
  align-items: center;
  vertical-align: middle;
  font-size: 0.52em;
  line-height: 1.02;
  margin-left: 0.2em;
  span:first-child {
    border-bottom: 1.5px solid currentColor;
    padding: 0 0.1em;
  }
`;

const Wrap = styled.span`
  white-space: nowrap;
`;

/**
 * A length as it is written on the bench. Large ones stack their fraction; what is not
 * exact at the precision says so, with the exact figure for the pointer and for a screen reader.
 */
export function LengthText({
  value,
  precision,
  stacked = false,
  unit = false,
}: {
  value: Length;
  precision: Precision;
  stacked?: boolean;
  unit?: boolean;
}) {
  const w = writeLength(value, precision);
  const suffix = unit ? ` ${precision.unit}` : '';
  const plain = formatLength(value, precision);
  const title = w.exact ? undefined : `exactly ${exactText(value, precision.unit)} ${precision.unit}`;
  if (!stacked || w.numerator === undefined) {
    return (
      <Wrap title={title}>
        {plain}
        {suffix}
      </Wrap>
    );
  }
  return (
    <Wrap title={title}>
      <span className="visually-hidden">{plain}</span>
      <span aria-hidden>
        {w.exact ? '' : '≈'}
        {w.negative ? '−' : ''}
        {w.whole}
        <Fraction>
          <span>{w.numerator}</span>
          <span>{w.denominator}</span>
        </Fraction>
      </span>
      {suffix}
    </Wrap>
  );
}
