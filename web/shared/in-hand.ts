import { useSyncExternalStore } from 'react';

/** The type under which a thing that is dragged says its id. */
export const THING = 'application/x-ruvok-thing';

let held: string | null = null;
const listeners = new Set<() => void>();

/** Takes a thing in hand, or lets go of it: where it may be put shows only meanwhile. */
export function takeInHand(thing: string | null): void {
  held = thing;
  listeners.forEach((tell) => tell());
}

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** The thing that is being dragged; null for none. */
export const useInHand = () => useSyncExternalStore(subscribe, () => held);
