import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { Text, TextField } from 'react-aria-components';
import { LONGEST_MEANT, exactText, formatLength, readLength, writeLength, type Length, type Precision } from '../../core/length/index.js';
import styled from 'styled-components';
import type { Source } from '../../core/figure/index.js';
import { paper, inkSoft } from '../theme/tokens.js';
import { steady } from './steady.js';
import { fieldOf } from './leads.js';
import { Fault, FieldLabel, TextInput } from './ui.js';

/** What it was read as lies over what comes below. */
const Field = styled(TextField)`
  position: relative;
`;

/** Over the label and not under the field, so that nothing moves when it comes or goes. */
const Echo = styled(Text)`
  position: absolute;
  right: 0;
  top: 0;
  padding-left: 6px;
  background: ${paper};
  color: ${inkSoft};
  font-size: 12px;
  pointer-events: none;
`;

/** How a length stands in a field before it is touched: at the precision where it is exact there, else exactly. */
export function entryText(value: Length | null, precision: Precision): string {
  if (value === null) return '';
  return writeLength(value, precision).exact ? formatLength(value, precision).replace('−', '-') : exactText(value, precision.unit);
}

export interface LengthFieldProps {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: Length | null;
  readonly precision: Precision;
  readonly least?: Length;
  readonly greatest?: Length;
  /** What is assumed while it is empty: shown pale in its place. */
  readonly standsIn?: Length;
  /** May be left empty, which commits null. */
  readonly optional?: boolean;
  /** What figures come from it. */
  readonly of?: Source;
  readonly onCommit: (value: Length | null) => void;
  /** On every keystroke: what was understood so far, or null when it is back as it was. */
  readonly onDraft?: (value: Length | null) => void;
}

/**
 * The one control for lengths. It takes lengths as builders write them, echoes what was
 * understood, refuses in place what was not, and commits on Enter or when it is left.
 */
function LengthBox({
  label,
  hideLabel,
  value,
  precision,
  least,
  greatest = LONGEST_MEANT,
  standsIn,
  optional,
  of,
  onCommit,
  onDraft,
}: LengthFieldProps) {
  const shown = entryText(value, precision);
  const [text, setText] = useState<string | null>(null);
  const echo = useId();
  // What is being typed stays, whatever comes from elsewhere meanwhile.
  const here = useRef(false);
  useEffect(() => {
    if (!here.current) setText(null);
  }, [shown]);

  const options = { unit: precision.unit, ...(least === undefined ? {} : { least }), greatest };
  const empty = text !== null && text.trim() === '' && optional;
  const reading = text === null || empty ? null : readLength(text, options);
  const problem = reading && !reading.ok ? reading.problem : null;

  const change = (next: string) => {
    setText(next);
    const read = readLength(next, options);
    onDraft?.(read.ok ? read.length : null);
  };
  const revert = () => {
    setText(null);
    onDraft?.(null);
  };
  const commit = () => {
    if (text === null || text === shown) return revert();
    if (empty) onCommit(null);
    else if (reading?.ok && reading.length !== value) onCommit(reading.length);
    if (reading?.ok || empty) setText(null);
    onDraft?.(null);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      commit();
    } else if (event.key === 'Escape' && text !== null) {
      revert();
    }
  };

  return (
    <Field
      value={text ?? shown}
      onChange={change}
      onKeyDown={onKeyDown}
      onFocus={() => (here.current = true)}
      onBlur={() => {
        here.current = false;
        commit();
      }}
      isInvalid={problem !== null}
      {...(hideLabel ? { 'aria-label': label } : {})}
      autoComplete="off"
    >
      {hideLabel ? null : <FieldLabel>{label}</FieldLabel>}
      <TextInput
        inputMode="text"
        {...fieldOf(of)}
        spellCheck={false}
        {...(standsIn === undefined ? {} : { placeholder: `${entryText(standsIn, precision)} assumed` })}
        aria-describedby={text === null ? undefined : echo}
      />
      {text !== null && reading?.ok && text !== shown ? (
        <Echo slot="description" id={echo}>
          {reading.echo}
        </Echo>
      ) : null}
      {problem ? (
        <Fault id={echo} role="alert">
          {problem.message}. Accepted: {problem.accepted}
        </Fault>
      ) : null}
    </Field>
  );
}

export const LengthField = steady(LengthBox);
