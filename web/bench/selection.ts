import { useCallback, useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';

/**
 * The one selection of the bench. It changes at once; the address follows, so that it can be
 * linked to, and an address that comes from elsewhere changes it.
 * @param first what is selected where the address names nothing
 */
export function useSelection(first: string): readonly [string, (id: string) => void] {
  const [params, setParams] = useSearchParams();
  const inAddress = params.get('at');
  const [selection, setSelection] = useState(inAddress ?? first);
  // What was written into the address comes back late, and must not undo a selection made since.
  const written = useRef<readonly string[]>([]);
  useEffect(() => {
    if (inAddress === null) return;
    const own = written.current.lastIndexOf(inAddress);
    if (own >= 0) written.current = written.current.slice(own + 1);
    else setSelection(inAddress);
  }, [inAddress]);
  const select = useCallback(
    (id: string) => {
      setSelection(id);
      written.current = [...written.current, id];
      setParams(
        (now) => {
          now.set('at', id);
          return now;
        },
        { replace: true, preventScrollReset: true },
      );
    },
    [setParams],
  );
  return [selection, select];
}
