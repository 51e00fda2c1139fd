import { toMm } from '../length/index.js';
import { boxOf, type Joint, type Member } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { propertiesOf, type StockProperties } from '../stock/index.js';
import { afterCreep, builtUpStiffness, slipOf, stripStiffness, torsionConstant, type Connection } from './composite.js';
import { creepOf, type Creep } from './creep.js';
import type { EdgeBeam } from './plate/index.js';
import { shearModulus, type Layer } from './section.js';

/** A member that is held along another one, and how. */
export interface Attached {
  readonly member: Member;
  readonly how: 'glued' | 'screwed along';
}

/** Screws along a strip or a layer, where nothing else is said: of 4 mm, every 150 mm, typical. */
const SCREWS = { diameter: 4, spacing: 150 } as const;

/** A section of several parts: as stiff as it is now and in the long term, N mm². */
export interface BuiltUp {
  readonly parts: readonly { readonly member: Member; readonly layer: Layer; readonly properties: StockProperties }[];
  readonly connection: Connection;
  readonly EI: number;
  /** How much the sag grows, each part by its own creep; or why that cannot be said. */
  readonly creep: Creep;
  /** A strip on one edge alone, which also twists the panel: what it adds along that edge, now and later. */
  readonly oneSided: { readonly now: EdgeBeam; readonly later: EdgeBeam | null } | null;
}

/** What is held along each member, by its id. */
export function attachedTo(members: readonly Member[], joints: readonly Joint[]): ReadonlyMap<string, readonly Attached[]> {
  const byId = new Map(members.map((m) => [m.id, m]));
  const all = new Map<string, Attached[]>();
  for (const { carried, carrier, how } of joints) {
    if (how !== 'glued' && how !== 'screwed along') continue;
    const member = byId.get(carried);
    if (member) all.set(carrier, [...(all.get(carrier) ?? []), { member, how }]);
  }
  return all;
}

function creepOfAll(properties: readonly StockProperties[], settings: Settings): readonly number[] | string {
  const each = properties.map((p) => creepOf(p.material, settings));
  const open = each.find((c) => !c.judged);
  if (open && !open.judged) return open.reason;
  return each.map((c) => (c.judged ? c.factor : 1));
}

/** A strip on one edge as a beam along the edge of the panel, the front of which is `y0`. */
function edgeBeam(base: Layer, strip: Layer, G: number, aside: number): EdgeBeam {
  const panel = { E: base.E, width: base.width, thickness: base.height };
  const EI = stripStiffness({ panel, strip: { ...strip, top: strip.top - base.top }, aside: Math.abs(aside), both: false });
  return { edge: aside > 0 ? 'y0' : 'y1', EI, GJ: G * torsionConstant(strip.width, strip.height) };
}

/**
 * The section of a member that spans across the piece with what is held along it; null where nothing is.
 * @param span for screws that slip, mm
 */
export function builtUpOf(member: Member, attached: readonly Attached[], span: number, settings: Settings): BuiltUp | null {
  if (attached.length === 0) return null;
  const all = [member, ...attached.map((a) => a.member)];
  const highest = Math.max(...all.map((m) => boxOf(m).y1));
  const parts = all.map((m) => {
    const box = boxOf(m);
    const properties = propertiesOf(m.stock);
    const layer: Layer = {
      E: properties.elastic * 1000,
      width: toMm((box.z1 - box.z0) as typeof box.z1),
      height: toMm((box.y1 - box.y0) as typeof box.y1),
      top: toMm((highest - box.y1) as typeof box.y1),
    };
    return { member: m, layer, properties };
  });
  const density = parts.reduce((sum, p) => sum + p.properties.density, 0) / parts.length;
  const connection: Connection = attached.every((a) => a.how === 'glued')
    ? { kind: 'glued' }
    : { kind: 'screwed', spacing: SCREWS.spacing, slip: slipOf(density, SCREWS.diameter) };
  const layers = parts.map((p) => p.layer);
  const EI = builtUpStiffness(layers, connection, span);
  const factors = creepOfAll(
    parts.map((p) => p.properties),
    settings,
  );
  const later = typeof factors === 'string' ? null : afterCreep(layers, factors);
  const creep: Creep =
    typeof factors === 'string' || !later
      ? { judged: false, reason: factors as string }
      : { judged: true, factor: EI / builtUpStiffness(later, connection, span), basis: 'each part by its own creep' };
  const strips = parts.filter((p) => p.member.role === 'shelf strip');
  const [strip] = strips;
  const [base] = layers as [Layer];
  const beam = (from: readonly Layer[]): EdgeBeam => {
    const own = from[parts.indexOf(strip as (typeof parts)[number])] as Layer;
    const [a, b] = [boxOf((strip as (typeof parts)[number]).member), boxOf(member)];
    const aside = toMm(((a.z0 + a.z1 - b.z0 - b.z1) / 2) as typeof a.z0);
    const stiffness = (strip as (typeof parts)[number]).properties;
    // A screwed strip slips, so that it keeps its own stiffness and little of what it could gain.
    const full = edgeBeam(from[0] as Layer, own, (shearModulus(stiffness) * own.E) / (stiffness.elastic * 1000), aside);
    if (connection.kind === 'glued') return full;
    const alone = (own.E * own.width * own.height ** 3) / 12;
    return { ...full, EI: alone + 0.1 * (full.EI - alone) };
  };
  return {
    parts,
    connection,
    EI,
    creep,
    oneSided: strips.length === 1 && base ? { now: beam(layers), later: later ? beam(later) : null } : null,
  };
}
