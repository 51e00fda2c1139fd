import { toMm } from '../../core/length/index.js';
import type { Piece } from '../../core/piece/index.js';
import { measureOf, type Person as Someone } from '../../core/project/index.js';
import { film, ghostEdge, inkSoft } from '../theme/tokens.js';

/** Someone beside a piece, mm: standing, or sitting as high as they do, with a level that counts for what they use. */
export interface Beside {
  readonly name: string;
  readonly height: number;
  readonly sits: { readonly seat: number; readonly crown: number; readonly at: boolean } | null;
  readonly level: { readonly label: string; readonly at: number } | null;
}

/** How high someone is as they are drawn, mm. */
export const tallOf = ({ height, sits }: Beside): number => sits?.crown ?? height;

/** How far from the right of a piece someone is who stands, mm. */
const ASIDE = 360;

/** How far from the right of a piece someone is, and how much room they take beside it, mm; with their knees under it where they sit at it. */
export function besideBy({ height, sits }: Beside): { readonly at: number; readonly room: number } {
  if (!sits) return { at: ASIDE, room: 620 };
  const at = sits.at ? 0.05 * height : 0.4 * height;
  return { at, room: at + 0.28 * height };
}

/** Someone beside what they use, as they use it; standing where nothing is said of that. */
export function besideOf(who: Someone, usedBy: Piece['usedBy']): Beside {
  const measure = (key: Parameters<typeof measureOf>[1]) => toMm(measureOf(who, key));
  const plain = { name: who.name, height: toMm(who.height), sits: null, level: null };
  const seat = measure('hollow');
  const sits = { seat, crown: seat + measure('sitting'), at: usedBy?.how === 'sits at' };
  switch (usedBy?.how) {
    case undefined:
      return plain;
    case 'stands at':
      return { ...plain, level: { label: 'elbow', at: measure('elbow') } };
    case 'sits at':
      return { ...plain, sits, level: { label: 'lap', at: measure('lap') } };
    case 'sits on':
      return { ...plain, sits, level: { label: 'hollow of the knee', at: seat } };
  }
}

interface Placed {
  readonly x: number;
  readonly foot: number;
  readonly scale: number;
}

/** A person who stands on the same floor. */
export function Person({ height, x, foot, scale, name }: Placed & Pick<Beside, 'height' | 'name'>) {
  const h = height * scale;
  const y = (part: number) => foot - h * part;
  const w = h * 0.105;
  return (
    <g aria-label={`${name}, to scale`} role="img" fill={ghostEdge} stroke={inkSoft} strokeWidth={1}>
      <circle cx={x} cy={y(0.935)} r={h * 0.062} />
      <path
        d={`M${x - w} ${y(0.82)}Q${x} ${y(0.87)} ${x + w} ${y(0.82)}L${x + w * 1.05} ${y(0.48)}L${x + w * 0.7} ${y(0.48)}L${x + w * 0.6} ${foot}L${x + w * 0.08} ${foot}L${x} ${y(0.46)}L${x - w * 0.08} ${foot}L${x - w * 0.6} ${foot}L${x - w * 0.7} ${y(0.48)}L${x - w * 1.05} ${y(0.48)}Z`}
      />
    </g>
  );
}

/** Someone who sits on a stool and faces what is at their left. */
function Sitting({ person: { name, height, sits }, x, foot, scale }: Placed & { readonly person: Beside }) {
  if (!sits) return null;
  const h = height * scale;
  const y = (mm: number) => foot - mm * scale;
  const thick = h * 0.075;
  const hip = y(sits.seat) - thick / 2;
  const knee = x - h * 0.27;
  const shoulder = y(sits.crown) + h * 0.17;
  return (
    <g aria-label={`${name}, sitting, to scale`} role="img" opacity={sits.at ? 0.8 : 1}>
      <path
        d={`M${knee - h * 0.07} ${foot - thick / 2}H${knee}V${hip}H${x}V${shoulder}`}
        fill="none"
        stroke={ghostEdge}
        strokeWidth={thick}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <path
        d={`M${x} ${shoulder}L${x - h * 0.05} ${y(sits.seat) - h * 0.14}H${x - h * 0.22}`}
        fill="none"
        stroke={ghostEdge}
        strokeWidth={thick * 0.6}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <circle cx={x - h * 0.01} cy={y(sits.crown) + h * 0.066} r={h * 0.062} fill={ghostEdge} />
      <path
        d={`M${x - h * 0.12} ${y(sits.seat)}H${x + h * 0.1}M${x - h * 0.1} ${y(sits.seat)}V${foot}M${x + h * 0.08} ${y(sits.seat)}V${foot}`}
        fill="none"
        stroke={inkSoft}
        strokeWidth={1}
        strokeDasharray="5 4"
      />
    </g>
  );
}

/** Someone beside the piece, with the level that counts for what they use, across it from where it begins. */
export function PersonBeside({ person, from, ...placed }: Placed & { readonly person: Beside; readonly from: number }) {
  const { level, sits, name, height } = person;
  const end = placed.x + (sits ? height * 0.11 * placed.scale : 40);
  const y = level ? placed.foot - level.at * placed.scale : 0;
  return (
    <>
      {sits ? <Sitting person={person} {...placed} /> : <Person name={name} height={height} {...placed} />}
      {level ? (
        <g>
          <path d={`M${from} ${y}H${end}`} fill="none" stroke={inkSoft} strokeWidth={1} strokeDasharray="2 4" />
          {/* Under the line, so that a narrow page does not cut it off. */}
          <text x={end} y={y + 14} fontSize={12} textAnchor="end" fill={inkSoft} stroke={film} strokeWidth={3} paintOrder="stroke">
            {level.label}
          </text>
        </g>
      ) : null}
    </>
  );
}
