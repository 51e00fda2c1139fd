import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { POUNDS_ON_A_FOOT } from '../../core/figure/index.js';
import { usePrecision } from '../data/project.js';
import { Fault, FieldLabel, TextInput } from './ui.js';

/** The most that is taken, kg on a metre. */
const MOST = 2000;

/**
 * The field of a load along a shelf that is kept in kg on a metre: typed so, or in pounds on a foot by those who work in inches.
 * Emptied it commits null.
 * @param value kg on a metre
 */
export function LineLoadField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: number | null;
  onCommit: (perMetre: number | null) => void;
}) {
  const { unit } = usePrecision();
  const [name, each] = unit === 'mm' ? (['kg per metre', 1] as const) : (['lb per foot', POUNDS_ON_A_FOOT] as const);
  const shown = value === null ? '' : `${Number((value * each).toFixed(2))}`;
  const [text, setText] = useState<string | null>(null);
  const typed = (text ?? shown).trim().replace(',', '.');
  const number = typed === '' ? null : Number(typed);
  const isWrong = number !== null && !(number >= 0 && number / each <= MOST);
  const commit = () => {
    if (text === null || isWrong) return;
    setText(null);
    if (typed !== shown) onCommit(number === null ? null : number / each);
  };
  return (
    <TextField
      value={text ?? shown}
      onChange={setText}
      onBlur={commit}
      onKeyDown={(e) => {
        if (e.key === 'Enter') commit();
        else if (e.key === 'Escape') setText(null);
        else return;
        e.preventDefault();
      }}
      isInvalid={isWrong}
      autoComplete="off"
    >
      <FieldLabel>{`${label}, ${name}`}</FieldLabel>
      <TextInput inputMode="decimal" placeholder="as assumed" />
      {isWrong ? (
        <Fault role="alert">
          “{text}” is not a load. Type 0 to {Math.round(MOST * each)} {name}.
        </Fault>
      ) : null}
    </TextField>
  );
}
