import type { Cut } from '../cutting/cuts.js';
import { USUAL_KERF } from '../joints/index.js';
import { mm, type Length } from '../length/index.js';
import type { Settings, Tools } from '../project/index.js';
import type { Stock } from '../stock/index.js';

/** What a cut is made with. */
export type ToolChoice = 'table saw' | 'mitre saw' | 'guide' | 'shop' | 'none' | 'unknown';

/** Along a fence something shorter has too little to hold on to (usual advice; the saw's own manual has the last word). */
const SHORT_AT_FENCE = mm(300);
/** A strip narrower than this needs a push stick, and is easily thrown. */
const NARROW = mm(50);
/** What falls is easily caught by the blade of a mitre saw where it is so short. */
const SHORT_AT_STOP = mm(100);

/**
 * What is sawn away at each cut of a stock: the widest kerf of the saws that may come to it, so that nothing is short whichever makes the cut.
 * @param isRipped whether anything of it is narrower than it is
 * @example kerfOf(PLY, false, { kerf: mm(2.6) }) // mm(2.6)
 */
export function kerfOf(stock: Stock, isRipped: boolean, { kerf = USUAL_KERF, tools = {} }: Pick<Settings, 'kerf' | 'tools'>): Length {
  const { kerfs = {}, fence, guide, mitre, shop } = tools;
  const crosses = stock.form === 'board' && mitre !== undefined && stock.width <= mitre;
  if (crosses && !isRipped) return kerfs.mitre ?? kerf;
  const saws = [
    ...(crosses ? [kerfs.mitre] : []),
    ...(fence === undefined ? [] : [kerfs.fence]),
    ...(guide === undefined ? [] : [kerfs.guide]),
    ...(stock.form === 'sheet' && shop ? [kerfs.shop] : []),
  ].map((own) => own ?? kerf);
  return saws.length > 0 ? (Math.max(...saws) as Length) : kerf;
}

/**
 * The saw that makes a cut, and what to look out for. @param tools none where nothing is known of them
 * @example toolFor({ way: 'rip', at: mm(300), of: { length: mm(2500), width: mm(1250) } }, { fence: mm(600) }, 'sheet').by // 'table saw'
 */
export function toolFor(
  { way, at, of }: Cut,
  tools: Tools | undefined,
  form: Stock['form'],
): { readonly by: ToolChoice; readonly caution: string | null } {
  const [long, wide] = way === 'rip' ? [of.length, of.width] : [of.width, of.length];
  const known = tools?.fence !== undefined || tools?.guide !== undefined || tools?.mitre !== undefined || tools?.shop !== undefined;
  const by = ((): ToolChoice => {
    if (!known) return 'unknown';
    if (way === 'crosscut' && tools?.mitre !== undefined && of.width <= tools.mitre) return 'mitre saw';
    if (way === 'rip' && tools?.fence !== undefined && at <= tools.fence) return 'table saw';
    if (tools?.guide !== undefined && long <= tools.guide) return 'guide';
    if (form === 'sheet' && tools?.shop && Math.min(at, wide - at) >= tools.shop.least) return 'shop';
    return 'none';
  })();
  return { by, caution: cautionFor(way, { at, long, by }) };
}

/** How many of some cuts the shop that sells the sheets is asked to make. @example shopCuts([], undefined, 'sheet') // 0 */
export function shopCuts(cuts: readonly Cut[], tools: Tools | undefined, form: Stock['form']): number {
  return cuts.filter((c) => toolFor(c, tools, form).by === 'shop').length;
}

/**
 * What so many cuts cost there, past those that are in the price.
 * @example shopMoney(7, { shop: { free: 3, each: 0.5, least: mm(200) } }) // 2
 */
export function shopMoney(cuts: number, tools: Tools | undefined): number {
  const { free, each } = tools?.shop ?? { free: 0, each: 0 };
  return Math.max(0, cuts - free) * each;
}

/**
 * Whether something goes into the car, one way or the other; true where nothing is known of one.
 * @example goesInCar(mm(950), mm(1900), { car: { length: mm(2000), width: mm(1000) } }) // true
 */
export function goesInCar(length: Length, width: Length, tools: Tools | undefined): boolean {
  const car = tools?.car;
  if (!car) return true;
  return (length <= car.length && width <= car.width) || (width <= car.length && length <= car.width);
}

function cautionFor(
  way: Cut['way'],
  { at, long, by }: { readonly at: number; readonly long: number; readonly by: ToolChoice },
): string | null {
  if (by === 'none') return 'Have it cut, or choose other first cuts.';
  if (way === 'rip' && (by === 'table saw' || by === 'unknown')) {
    if (long < SHORT_AT_FENCE) return 'Too short to run along a fence by hand: use a sled or saw along a guide.';
    if (at < NARROW) return 'Narrow: push stick, and the guard stays on.';
  }
  if (way === 'crosscut' && at < SHORT_AT_STOP && (by === 'mitre saw' || by === 'unknown'))
    return 'Short: clamp it, keep fingers a hand away.';
  return null;
}
