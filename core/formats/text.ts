import type { Fault } from './faults.js';
import { firstOf } from './validate.js';

/** Whether a text can be kept: without the sign of number nothing, and without halves of signs. */
const canBeKept = (text: string) => !text.includes('\u0000') && !/\p{Surrogate}/u.test(text);

/**
 * Text in a document, in its values and in the names of its fields, that cannot be kept; where, and what is accepted.
 * @example textFaults({ name: 'ink case' }) // []
 */
export function textFaults(document: unknown): readonly Fault[] {
  const faults: Fault[] = [];
  const tell = (path: string) =>
    faults.push({
      path,
      message: 'this text has signs that cannot be kept',
      accepted: 'text without NUL and without halves of signs (lone surrogates)',
    });
  const waiting: { readonly value: unknown; readonly path: string }[] = [{ value: document, path: '' }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value, path } = next;
    if (typeof value === 'string' && !canBeKept(value)) tell(path);
    if (value === null || typeof value !== 'object') continue;
    for (const [key, inner] of Object.entries(value)) {
      if (canBeKept(key)) waiting.push({ value: inner, path: `${path}/${key}` });
      else tell(path);
    }
  }
  return firstOf(faults);
}
