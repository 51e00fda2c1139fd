import type { Member } from '../piece/index.js';

/** A member with its far end sawn at 45°, so that it fills its box no more. */
export const bevelled = (member: Member): Member => ({
  ...member,
  ends: [{ normal: [Math.SQRT1_2, Math.SQRT1_2, 0], at: member.length.value }],
});
