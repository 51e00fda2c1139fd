import { useState } from 'react';
import styled from 'styled-components';
import { TextField } from 'react-aria-components';
import { FieldLabel, Grid, NumberInput, TextInput } from '../shared/ui.js';
import { useSettledBench } from './bench.js';
import { usePieceFields } from './piece-fields.js';

const NameAndCount = styled(Grid)`
  grid-template-columns: minmax(0, 1fr) 76px;
  margin-bottom: 14px;
`;

/** What the piece is called, and how many of it are made. */
export function NameForm() {
  const { piece } = useSettledBench();
  const { change } = usePieceFields();
  const [name, setName] = useState<string | null>(null);
  const rename = () => {
    const next = name?.trim().slice(0, 80);
    if (next && next !== piece.name) change({ name: next }, `Named it ${next}`.slice(0, 150));
    setName(null);
  };
  return (
    <NameAndCount>
      <TextField value={name ?? piece.name} onChange={setName} onBlur={rename} onKeyDown={(e) => e.key === 'Enter' && rename()}>
        <FieldLabel>Name of the piece</FieldLabel>
        <TextInput maxLength={80} />
      </TextField>
      <NumberInput
        label="To make"
        value={piece.times ?? 1}
        minValue={1}
        maxValue={200}
        step={1}
        onChange={(times) => Number.isInteger(times) && times !== (piece.times ?? 1) && change({ times }, `To be made ${times} times`)}
      />
    </NameAndCount>
  );
}
