import type { Cut } from '../cutting/cuts.js';
import { mm } from '../length/index.js';
import type { Tools } from '../project/index.js';
import type { Stock } from '../stock/index.js';

/** What a cut is made with. */
export type ToolChoice = 'table saw' | 'mitre saw' | 'guide' | 'shop' | 'none' | 'unknown';

/** Along a fence something shorter has too little to hold on to (usual advice; the saw's own manual has the last word). */
const SHORT_AT_FENCE = mm(300);
/** A strip narrower than this needs a push stick, and is easily thrown. */
const NARROW = mm(50);
/** What falls is easily caught by the blade of a mitre saw where it is so short. */
const SHORT_AT_STOP = mm(100);

/** The saw that makes a cut, and what to look out for. @param tools none where nothing is known of them */
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
