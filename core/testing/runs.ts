/** How often a test tries what it makes at random: so often, or by `npm run test:long` so many times as often. */
export const runs = (many: number): number => Math.ceil(many * Number(process.env['RUVOK_LONG'] ?? 1));
