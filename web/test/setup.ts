import React from 'react';
import { TextDecoder, TextEncoder } from 'node:util';
import { deserialize, serialize } from 'node:v8';

// What browsers have and the page under test does not.
Object.assign(globalThis, {
  TextEncoder,
  TextDecoder,
  structuredClone: <T>(value: T): T => deserialize(serialize(value)) as T,
  CSS: { escape: (id: string) => id.replace(/[^\w-]/g, '\\$&') },
});

/**
 * React takes a stack of calls for each of the first ten thousand elements of every second, to tell later where it was made:
 * a quarter of the time of large forms, and nothing here asks for it.
 */
const { __CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE: internals } = React as unknown as Record<string, object>;
Object.defineProperty(internals, 'recentlyCreatedOwnerStacks', { get: () => 1e4, set: () => undefined });
