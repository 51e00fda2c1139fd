import type { DividingRole } from '../piece/index.js';

/**
 * The member id of what lies between two parts of a divided space: its node, role and instance.
 * @example dividingMemberId('a', 'shelf') // 'a/shelf/1'
 */
export function dividingMemberId(node: string, role: DividingRole): string {
  return `${node}/${role}/1`;
}
