import { useEffect, useRef, type FocusEvent } from 'react';

/**
 * Keeps the focus on what had it inside of an element, known by its id, when that is drawn anew in another place.
 * @param anew What the inside is drawn from: whenever it changes, a focus that was lost is brought back.
 * @returns What the element hears: spread it on the one that holds all that can have the focus.
 */
export function useFocusKept(anew: unknown) {
  const held = useRef<string | null>(null);
  useEffect(() => {
    if (held.current && document.activeElement === document.body) document.getElementById(held.current)?.focus();
  }, [anew]);
  return {
    onFocus: ({ target }: FocusEvent) => {
      held.current = target.id || null;
    },
    onBlur: ({ target }: FocusEvent) => {
      // What is taken out of the page loses its focus too, but then nobody has left it.
      queueMicrotask(() => {
        if (target.isConnected && document.activeElement !== target) held.current = null;
      });
    },
  };
}
