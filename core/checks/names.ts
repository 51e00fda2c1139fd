import type { Letters, Member } from '../piece/index.js';

/** A name for a member with its letter, as it stands in every sentence. @example nameOf(SHELF, { shelf: 'C' }) // 'shelf C' */
export function nameOf(member: Member, letters: Letters): string {
  const letter = letters[member.id];
  return letter ? `${member.role} ${letter}` : member.label;
}

/** Several members of a role. @example manyOf(2, 'shelf') // '2 shelves' */
export function manyOf(count: number, role: Member['role']): string {
  return `${count} ${role.endsWith('shelf') ? `${role.slice(0, -1)}ves` : `${role}s`}`;
}

/** A name as it begins a sentence. @example capital('shelf 2') // 'Shelf 2' */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Several words as they are said: "width, height and depth". @example listed(['width', 'height', 'depth']) // 'width, height and depth' */
export function listed(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
