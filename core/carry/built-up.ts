import type { Joint, Member } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { cross, scaled, type Vector } from '../solid/index.js';
import { propertiesOf, type StockProperties } from '../stock/index.js';
import { afterCreep, builtUpStiffness, slipOf, stripStiffness, torsionConstant, type Connection } from './composite.js';
import { creepOf, type Creep } from './creep.js';
import { exactly, middleOf, reachAlong } from './fixings/contact.js';
import type { EdgeBeam } from './plate/index.js';
import { rectangleSecondMoment, type Layer } from './section.js';

/** A member that is held along another one, and how. */
export interface Attached {
  readonly member: Member;
  readonly how: 'glued' | 'screwed along';
}

/** Screws along a strip or a layer, where nothing else is said: of 4 mm, every 150 mm, typical. */
export const ALONG = { diameter: 4, spacing: 150 } as const;

/** A part of a section, and what it is held by; null for the member itself, the base. */
export interface SectionPart {
  readonly member: Member;
  readonly how: Attached['how'] | null;
  readonly layer: Layer;
  readonly properties: StockProperties;
}

/** A section of several parts: as stiff as it is now and in the long term, N mm². */
export interface BuiltUp {
  /** The base first. */
  readonly parts: readonly SectionPart[];
  readonly connection: Connection;
  readonly EI: number;
  /** How much the sag grows, each part by its own creep; or why that cannot be said. */
  readonly creep: Creep;
  /** As a panel with beams along its edges, now and later, and how thick the panel is with its layers, mm. */
  readonly panel: { readonly now: readonly EdgeBeam[]; readonly later: readonly EdgeBeam[] | null; readonly thickness: number };
  /** A strip on one edge alone also twists the panel, so that it is no beam. */
  readonly oneSided: boolean;
}

/** Whether what is held along a member that lies goes along enough of it to be a part of its section; a block under it is none. */
function stiffens(member: Member, base: Member): boolean {
  if (member.role === 'gusset' || member.role === 'corner block') return false;
  const onEdge = base.frame.n[1] === 0 && member.role === 'stiffener';
  return (base.frame.n[1] !== 0 || onEdge) && 2 * member.length.value >= base.length.value;
}

/** What is held along each member that stiffens it, by its id. @example attachedTo(SOLVED.shape.members, SOLVED.shape.joints).size // 0 */
export function attachedTo(members: readonly Member[], joints: readonly Joint[]): ReadonlyMap<string, readonly Attached[]> {
  const byId = new Map(members.map((m) => [m.id, m]));
  const all = new Map<string, Attached[]>();
  for (const { carried, carrier, how } of joints) {
    if (how !== 'glued' && how !== 'screwed along') continue;
    const [member, base] = [byId.get(carried), byId.get(carrier)];
    if (member && base && stiffens(member, base)) all.set(carrier, [...(all.get(carrier) ?? []), { member, how }]);
  }
  return all;
}

/** The directions of the section of a member that lies: square to its face, upwards, and along it from its rear to its front. */
function sectionWays({ frame: { u, v, n } }: Member): readonly [up: Vector, out: Vector] {
  // On edge its face looks aside, and its breadth goes up.
  if (n[1] === 0) return [scaled(v, v[1] < 0 ? -1 : 1), n];
  const way = n[1] < 0 ? -1 : 1;
  return [scaled(n, way), scaled(cross(u, n), way)];
}

const long = ([low, high]: readonly [number, number]) => exactly(high - low);

function partsOf(member: Member, attached: readonly Attached[]): readonly SectionPart[] {
  const all = [{ member, how: null }, ...attached];
  const [up, out] = sectionWays(member);
  const highest = Math.max(...all.map((a) => reachAlong(a.member, up)[1]));
  return all.map(({ member: m, how }) => {
    const properties = propertiesOf(m.stock);
    const layer: Layer = {
      E: properties.elastic * 1000,
      width: long(reachAlong(m, out)),
      height: long(reachAlong(m, up)),
      top: exactly(highest - reachAlong(m, up)[1]),
    };
    return { member: m, how, layer, properties };
  });
}

/** How the parts are held: by glue where all are, else by screws that slip. */
function connectionOf(parts: readonly SectionPart[]): Connection {
  if (parts.every((p) => p.how !== 'screwed along')) return { kind: 'glued' };
  const density = parts.reduce((sum, p) => sum + p.properties.density, 0) / parts.length;
  return { kind: 'screwed', spacing: ALONG.spacing, slip: slipOf(density, ALONG.diameter) };
}

/** What part of the way to glue a screwed strip goes on one edge, where no span of its own is known for annex B. */
const SLIPPING = 0.1;

/** A strip on one edge as a beam along the edge of the panel, the front of which is `y0`. */
function edgeBeam(base: SectionPart, strip: SectionPart, [panel, own]: readonly [Layer, Layer], connection: Connection): EdgeBeam {
  const [, out] = sectionWays(base.member);
  const [a, b] = [strip.member, base.member].map((m) => middleOf(reachAlong(m, out))) as [number, number];
  const aside = exactly(a - b);
  const full = stripStiffness({
    panel: { E: panel.E, width: panel.width, thickness: panel.height },
    strip: { ...own, top: own.top - panel.top },
    aside: Math.abs(aside),
    both: false,
  });
  const alone = own.E * rectangleSecondMoment(own.width, own.height);
  const G = (strip.properties.shear * 1000 * own.E) / strip.layer.E;
  return {
    edge: aside > 0 ? 'y0' : 'y1',
    EI: connection.kind === 'glued' ? full : alone + SLIPPING * (full - alone),
    GJ: G * torsionConstant(own.width, own.height),
  };
}

/** The panel that a strip is held to: a second layer of the same board counts where it is glued on. */
function panelOf(parts: readonly SectionPart[], layers: readonly Layer[]): Layer {
  const base = layers[0] as Layer;
  const glued = layers.filter((_, i) => parts[i]?.member.role === 'shelf layer' && parts[i]?.how === 'glued');
  return {
    ...base,
    height: glued.reduce((sum, l) => sum + l.height, base.height),
    top: Math.min(base.top, ...glued.map((l) => l.top)),
  };
}

const stripsIn = (parts: readonly SectionPart[]) => parts.filter((p) => p.member.role === 'shelf strip');

function asPanel(parts: readonly SectionPart[], later: readonly Layer[] | null, connection: Connection): BuiltUp['panel'] {
  const now = parts.map((p) => p.layer);
  const beams = (layers: readonly Layer[]) =>
    stripsIn(parts).map((strip) =>
      edgeBeam(parts[0] as SectionPart, strip, [panelOf(parts, layers), layers[parts.indexOf(strip)] as Layer], connection),
    );
  return { now: beams(now), later: later ? beams(later) : null, thickness: panelOf(parts, now).height };
}

/**
 * The section of a member that spans across the piece with what is held along it; null where nothing is.
 * @param span for screws that slip, mm
 * @example builtUpOf(SHELF, [], 600, SHOP.settings) // null
 */
export function builtUpOf(member: Member, attached: readonly Attached[], span: number, settings: Settings): BuiltUp | null {
  if (attached.length === 0) return null;
  const parts = partsOf(member, attached);
  const connection = connectionOf(parts);
  const layers = parts.map((p) => p.layer);
  const EI = builtUpStiffness(layers, connection, span);
  const each = parts.map((p) => creepOf(p.properties.material, settings));
  const open = each.find((c) => !c.judged);
  const oneSided = stripsIn(parts).length === 1;
  if (open) return { parts, connection, EI, creep: open, panel: asPanel(parts, null, connection), oneSided };
  const later = afterCreep(
    layers,
    each.map((c) => (c.judged ? c.factor : 1)),
  );
  const creep: Creep = {
    judged: true,
    factor: Math.max(1, EI / builtUpStiffness(later, connection, span)),
    basis: 'each part by its own creep',
  };
  return { parts, connection, EI, creep, panel: asPanel(parts, later, connection), oneSided };
}
