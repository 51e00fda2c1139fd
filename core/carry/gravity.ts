/** Standard gravity as builders' tables round it, N/kg. */
export const GRAVITY = 9.81;
