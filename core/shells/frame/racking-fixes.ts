import { say } from '../../figure/index.js';
import { pieceFix, toWall, type Fix } from '../../finding/index.js';
import { mm } from '../../length/index.js';
import type { Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import type { Brace, Frame } from './spec.js';

/** Where something keeps a frame square: at the rear against leaning sideways, at its ends against leaning forward. */
type At = Brace['at'];

/** Gussets that are offered: of a sheet as thick as this at least, and how far they reach. */
const GUSSET = { thick: mm(12), reach: mm(150) } as const;

/** What is offered, as it is called at one place and at both. */
const NAMES = {
  sheet: { rear: 'A sheet at its rear', ends: 'Sheets at its ends', both: 'Sheets at its rear and its ends' },
  diagonal: { rear: 'A brace across its rear', ends: 'A brace at each end', both: 'Braces across its rear and at each end' },
  gusset: { rear: 'Gussets at its rear', ends: 'Gussets at its ends', both: 'Gussets at its rear and its ends' },
} as const;

const nameFor = (what: keyof typeof NAMES, where: readonly At[]) => NAMES[what][where.length > 1 ? 'both' : (where[0] ?? 'rear')];

/** The sheets on hand that are so thick at least, the thinnest first. */
const sheetsFrom = (workshop: Workshop, thick: number) =>
  [...workshop.stock].filter(([, s]) => s.form === 'sheet' && s.thickness >= thick).sort(([, a], [, b]) => a.thickness - b.thickness);

/** Sheets on the outside, of the thinnest there is. */
function bySheets({ sheets }: Frame, where: readonly At[], workshop: Workshop): Fix[] {
  const [thin] = sheetsFrom(workshop, 0);
  if (!thin || where.some((at) => sheets?.[at])) return [];
  const more = Object.fromEntries(where.map((at) => [at, { stock: thin[0] }]));
  return [pieceFix(say`${nameFor('sheet', where)} of ${thin[1].name}`, { kind: 'piece', patch: { sheets: { ...sheets, ...more } } })];
}

/** A strip has room where what it goes across is so many times as high as it is wide at least, and a gusset where it is so many times its reach. */
const ROOM = 3;

/** The spaces between the levels of a frame that are so high at least, the highest first. */
const spacesFrom = ({ interior }: Frame, { spaces }: Shape, high: number) =>
  (interior.split?.spaces ?? [interior])
    .flatMap((s) => spaces.get(s.id) ?? [])
    .filter((s) => s.clear.height.value >= high)
    .sort((a, b) => b.clear.height.value - a.clear.height.value);

/** One strip from corner to corner at each place, in the highest space. */
function byDiagonals(piece: Frame, shape: Shape, where: readonly At[]): Fix[] {
  const { braces = [], top } = piece;
  const { stock, wide } = top.level.rails;
  const space = spacesFrom(piece, shape, ROOM * wide)[0]?.id;
  if (space === undefined) return [];
  const more = where.map((at): Brace => ({ at, is: 'diagonal', space, stock, wide }));
  return [pieceFix(say`${nameFor('diagonal', where)}`, { kind: 'piece', patch: { braces: [...braces, ...more] } })];
}

/** Gussets in the corners under the top. */
function inGussets(piece: Frame, shape: Shape, where: readonly At[], workshop: Workshop): Fix[] {
  const { braces = [], interior } = piece;
  const [stiff] = sheetsFrom(workshop, GUSSET.thick);
  const space = interior.split?.spaces.at(-1)?.id ?? interior.id;
  if (!stiff || braces.some((b) => where.includes(b.at))) return [];
  if (!spacesFrom(piece, shape, ROOM * GUSSET.reach).some((s) => s.id === space)) return [];
  const more = where.map((at): Brace => ({ at, is: 'gusset', space, stock: stiff[0], wide: GUSSET.reach }));
  return [pieceFix(say`${nameFor('gusset', where)} of ${stiff[1].name}`, { kind: 'piece', patch: { braces: [...braces, ...more] } })];
}

/** Blocks in the corners of the highest level, where its rails go from post to post. */
function inCorners({ joined, top }: Frame): Fix[] {
  const { level } = top;
  if (joined !== 'between' || level.corners || level.rails.bar) return [];
  const corners = { stock: level.rails.stock };
  return [pieceFix(say`Blocks in the corners of its top`, { kind: 'piece', patch: { top: { ...top, level: { ...level, corners } } } })];
}

/** What might keep a frame from leaning where it does, at both places together first. */
export function standingFast(piece: Frame, shape: Shape, leans: readonly At[], workshop: Workshop): readonly Fix[] {
  const places = leans.length > 1 ? [leans, ...leans.map((at) => [at])] : [leans];
  const each = places.flatMap((where) => [
    ...bySheets(piece, where, workshop),
    ...byDiagonals(piece, shape, where),
    ...inGussets(piece, shape, where, workshop),
  ]);
  return [...(leans.length > 0 ? each : []), ...inCorners(piece), toWall()];
}
