import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { useNavigate } from 'react-router';
import { api } from '../data/api.js';
import { Page } from '../shared/plain.js';
import { Button, Faint, Fault, FieldLabel, TextInput } from '../shared/ui.js';
import { Laid } from '../shared/laid.js';

/** Asks a phone for the code that stands on the page of the desk. */
export function Pair() {
  const navigate = useNavigate();
  const [code, setCode] = useState(() => window.location.hash.slice(1).replace(/\D/g, '').slice(0, 6));
  const [name, setName] = useState('Phone in the shop');
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState(false);
  const send = async () => {
    setBusy(true);
    setWrong('');
    try {
      await api.pair(code, name.trim() || 'A phone');
      void navigate('/', { replace: true });
    } catch (error) {
      setWrong((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Page>
      <h1>Pair this phone</h1>
      <Laid.form
        $display="grid"
        $gap={14}
        $most={360}
        $above={14}
        onSubmit={(e) => {
          e.preventDefault();
          void send();
        }}
      >
        <TextField value={code} onChange={setCode}>
          <FieldLabel>The six figures on the page of the desk</FieldLabel>
          <TextInput inputMode="numeric" autoComplete="one-time-code" maxLength={6} $size={28} $spacing={6} />
        </TextField>
        <TextField value={name} onChange={setName}>
          <FieldLabel>What this phone is called</FieldLabel>
          <TextInput maxLength={60} />
        </TextField>
        {wrong ? <Fault role="alert">{wrong}</Fault> : null}
        <Button type="submit" isDisabled={busy || !/^\d{6}$/.test(code)} $leastHigh={56}>
          Pair it
        </Button>
        <Faint>
          It stays paired until it is removed at the desk, or has not come for thirty days. The desk itself does not need a code: it opens
          the address that Ruvok printed when it was started.
        </Faint>
      </Laid.form>
    </Page>
  );
}
