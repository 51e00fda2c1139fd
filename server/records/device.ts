import { AsyncLocalStorage } from 'node:async_hooks';

const asking = new AsyncLocalStorage<string>();

/** The name of the device whose request is being answered; null where none is. */
export const deviceNow = (): string | null => asking.getStore() ?? null;

/** Does what a device asked for, under its name. */
export function asDevice<T>(name: string, work: () => T): T {
  return asking.run(name, work);
}
