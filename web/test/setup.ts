import { TextDecoder, TextEncoder } from 'node:util';
import { deserialize, serialize } from 'node:v8';

// What browsers have and the page under test does not.
Object.assign(globalThis, {
  TextEncoder,
  TextDecoder,
  structuredClone: <T>(value: T): T => deserialize(serialize(value)) as T,
  CSS: { escape: (id: string) => id.replace(/[^\w-]/g, '\\$&') },
});
