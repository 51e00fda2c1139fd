import styled from 'styled-components';
import { exactText, formatLength, writeLength, type Length, type Precision } from '../../core/length/index.js';

const Fraction = styled.span`
  display: inline-flex;
  flex-direction: column;
  align-items: center;
  vertical-align: middle;
  font-size: max(0.52em, 8px);
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

/** How wide a bold figure, and a digit of a stacked fraction, is to its height, by the font that ships with the app. */
const WIDE = { figure: 0.62, fraction: 0.34 } as const;

/**
 * How wide a bold length is at most as it is written, its fraction stacked, px.
 * @param size of its font, px
 */
export function writtenWide(value: Length, precision: Precision, size: number): number {
  const w = writeLength(value, precision);
  const marks = (w.exact ? 0 : 1) + (w.negative ? 1 : 0);
  const fraction = w.numerator === undefined ? 0 : Math.max(`${w.numerator}`.length, `${w.denominator}`.length) * WIDE.fraction + 0.4;
  return size * ((w.whole.length + marks) * WIDE.figure + fraction);
}

/** How wide a length is at most as it is written in one line, px. @param size of its font, px */
export const plainWide = (value: Length, precision: Precision, size: number): number =>
  size * formatLength(value, precision).length * WIDE.figure;

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
