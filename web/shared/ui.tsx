import styled, { css } from 'styled-components';
import {
  Button as AriaButton,
  Checkbox as AriaCheckbox,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
  Select as AriaSelect,
  Table as AriaTable,
  SelectValue,
  type CheckboxProps,
  type SelectProps,
  NumberField,
  type NumberFieldProps,
} from 'react-aria-components';
import { Check, ChevronDown } from 'lucide-react';
import { laid, type LaidOut } from './laid.js';
import { steady } from './steady.js';
import { buttonLook } from './plain.js';
import { edge, film, ink, inkSoft, line, link, paper, red, shade, tape, tapePale } from '../theme/tokens.js';

export { Faint, Page, Row } from './plain.js';

/** A button; `data-main` marks the one that is most likely wanted. */
export const Button = styled(AriaButton)<LaidOut>`
  ${buttonLook}
  ${laid}
`;

export const fieldBox = css`
  width: 100%;
  min-height: 30px;
  padding: 3px 8px;
  border: 1px solid ${edge};
  border-radius: 2px;
  background: white;
  &[data-invalid] {
    border-color: ${red};
    border-width: 2px;
  }
`;

export const TextInput = styled(Input)<LaidOut>`
  ${fieldBox}
  ${laid}
  &::placeholder {
    font-size: 13px;
    font-style: italic;
    color: ${inkSoft};
  }
`;

export const FieldLabel = styled(Label)`
  display: block;
  font-size: 12px;
  color: ${inkSoft};
  margin-bottom: 2px;
`;

const NumberBox = styled(NumberField)`
  input {
    ${fieldBox}
  }
`;

/** The field of a number, with its name over it. */
export const NumberInput = steady(({ label, ...rest }: NumberFieldProps & { label: string }) => (
  <NumberBox {...rest}>
    <FieldLabel>{label}</FieldLabel>
    <Input />
  </NumberBox>
));

/** A figure that only stands in. */
export const Assumed = styled.em`
  color: ${inkSoft};
  border-bottom: 1.5px dashed ${edge};
`;

export const Fault = styled.div<LaidOut>`
  color: ${red};
  font-size: 12px;
  font-weight: 600;
  margin-top: 2px;
  ${laid}
`;

export const Grid = styled.div<LaidOut & { $columns?: number }>`
  display: grid;
  grid-template-columns: repeat(${(p) => p.$columns ?? 2}, minmax(0, 1fr));
  gap: 8px 10px;
  align-items: start;
  ${laid}
`;

export const Section = styled.section<LaidOut>`
  &:not(:first-child) {
    margin-top: 18px;
    padding-top: 14px;
    border-top: 1px solid ${line};
  }
  > h2,
  > h3 {
    margin-bottom: 8px;
  }
  ${laid}
`;

const SelectButton = styled(AriaButton)`
  ${fieldBox}
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
  text-align: left;
  cursor: pointer;
  font-size: 13px;
  svg {
    width: 14px;
    flex: none;
  }
  /* A long name goes on to a second line rather than being cut off. */
  .react-aria-SelectValue {
    line-height: 1.2;
    overflow-wrap: anywhere;
  }
`;

export const FloatingBox = styled(Popover)`
  border: 1px solid ${ink};
  background: ${paper};
  box-shadow: ${shade};
  min-width: max(var(--trigger-width), 160px);
  max-height: 320px;
  overflow: auto;
  /* Which of its choices has the focus is seen; the list itself shows none. */
  .react-aria-ListBox {
    outline: none;
  }
`;

const Option = styled(ListBoxItem)`
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 6px 10px;
  cursor: pointer;
  font-size: 13px;
  &[data-focused] {
    background: ${tapePale};
    outline: 2px solid ${tape};
    outline-offset: -2px;
  }
  svg {
    width: 14px;
  }
`;

export interface Choice<T extends string> {
  readonly id: T;
  readonly label: string;
}

/** One choice out of a few. */
function SelectField<T extends string>({
  label,
  hideLabel,
  value,
  choices,
  onChange,
  ...rest
}: { label: string; hideLabel?: boolean; value: T | null; choices: readonly Choice<T>[]; onChange: (value: T) => void } & Omit<
  SelectProps<object>,
  'children' | 'onChange' | 'value'
>) {
  return (
    <AriaSelect
      {...rest}
      value={value}
      onChange={(key) => key !== null && onChange(String(key) as T)}
      {...(hideLabel ? { 'aria-label': label } : {})}
    >
      {hideLabel ? null : <FieldLabel>{label}</FieldLabel>}
      <SelectButton>
        <SelectValue>{({ selectedText, defaultChildren }) => selectedText || defaultChildren}</SelectValue>
        <ChevronDown aria-hidden />
      </SelectButton>
      <FloatingBox>
        <ListBox items={choices}>
          {(item: Choice<T>) => (
            <Option id={item.id} textValue={item.label}>
              {({ isSelected }) => (
                <>
                  <Check aria-hidden visibility={isSelected ? 'visible' : 'hidden'} />
                  {item.label}
                </>
              )}
            </Option>
          )}
        </ListBox>
      </FloatingBox>
    </AriaSelect>
  );
}

export const Select = steady(SelectField) as typeof SelectField;

const CheckLabel = styled(AriaCheckbox)`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  cursor: pointer;
  font-size: 13px;
  .box {
    width: 16px;
    height: 16px;
    border: 1.5px solid ${ink};
    display: grid;
    place-items: center;
    border-radius: 2px;
    background: ${paper};
    flex: none;
  }
  &[data-selected] .box {
    background: ${ink};
    color: ${paper};
  }
  &[data-focus-visible] {
    outline: 3px solid ${link};
    outline-offset: 2px;
  }
  svg {
    width: 12px;
    height: 12px;
  }
`;

/** A box that is ticked or not. */
function TickBox({ children, ...rest }: CheckboxProps & { children: string }) {
  return (
    <CheckLabel {...rest}>
      {({ isSelected }) => (
        <>
          <span className="box">{isSelected ? <Check aria-hidden strokeWidth={3} /> : null}</span>
          {children}
        </>
      )}
    </CheckLabel>
  );
}

export const Tick = steady(TickBox);

/** Over all columns of a form. */
export const Wide = styled.div`
  grid-column: 1 / -1;
`;

/** The same over all columns of a form. */
export function WideTick(props: CheckboxProps & { children: string }) {
  return (
    <Wide>
      <Tick {...props} />
    </Wide>
  );
}

export const Panel = styled.div<LaidOut>`
  background: ${paper};
  border: 1px solid ${line};
  padding: 14px 16px;
  ${laid}
`;

const tableLook = css`
  width: 100%;
  font-size: 13px;
  background: ${paper};
  th {
    text-align: left;
    font-weight: 600;
    font-size: 12px;
    color: ${inkSoft};
    padding: 6px 8px;
    border-bottom: 1px solid ${ink};
    vertical-align: bottom;
  }
  td {
    padding: 6px 8px;
    border-bottom: 1px solid ${line};
    vertical-align: middle;
  }
  td.figure,
  th.figure {
    text-align: right;
    white-space: nowrap;
  }
`;

export const Table = styled.table<LaidOut>`
  ${tableLook}
  ${laid}
`;

/** A table whose rows are picked: by pointer, or with the arrows. */
export const PickTable = styled(AriaTable)`
  ${tableLook}
  tbody tr {
    cursor: pointer;
  }
  tr[data-selected] td,
  tr[data-selected] th {
    background: ${tapePale};
  }
  tr[data-focus-visible] {
    outline: 3px solid ${link};
    outline-offset: -3px;
  }
`;

export const Scroll = styled.div<LaidOut>`
  overflow-x: auto;
  background: ${film};
  ${laid}
`;

/** A word in a line or a table that does something when it is pressed. */
export const WordButton = styled.button`
  all: unset;
  cursor: pointer;
  text-decoration: underline;
  text-underline-offset: 3px;
  &:focus-visible {
    outline: 3px solid ${link};
    outline-offset: 1px;
  }
`;
