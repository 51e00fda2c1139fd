import { size } from '../../figure/index.js';
import { add, sub } from '../../length/index.js';
import { boxOf, facingFrame, flatFrame, rectangular, type Held, type Member, type Strip } from '../../piece/index.js';
import { woodOf, type Wood } from '../../project/index.js';
import { layerId, type PanelMaking } from './making.js';

/** A member that is held to a shelf along its length. */
export interface Added {
  readonly member: Member;
  readonly held: Held;
}

type Edge = 'front' | 'back';

function edgesOf(strip: Strip): readonly Edge[] {
  return strip.at === 'both' ? ['front', 'back'] : [strip.at];
}

/** The strips that lie against the edges of a shelf, so that it is so much less deep. */
export function flushStrips({ spec: { strip }, workshop }: PanelMaking): { readonly front?: Wood; readonly back?: Wood } {
  if (strip?.top !== 'flush') return {};
  return Object.fromEntries(edgesOf(strip).map((edge) => [edge, woodOf(workshop, strip.stock)]));
}

/** The second layer of a doubled shelf, on the first. */
export function layerOf({ spec, wood }: PanelMaking, shelf: Member): readonly Added[] {
  if (spec.doubled === undefined) return [];
  const { origin } = shelf.frame;
  const member = rectangular({
    id: layerId(spec.id),
    node: spec.id,
    role: 'shelf layer',
    label: `upper layer of ${shelf.label}`,
    wood,
    frame: flatFrame({ ...origin, y: add(origin.y, wood.thickness.value) }),
    length: shelf.length,
    width: shelf.width,
    edges: { v0: shelf.edges.v0 },
  });
  return [{ member: { ...member, housedWith: shelf.id }, held: spec.doubled }];
}

/** The strips along the edges of a shelf: under it, or against its edges with the upper faces flush. */
export function stripsOf({ piece, space, spec, line, datum, workshop }: PanelMaking, shelf: Member): readonly Added[] {
  const { strip } = spec;
  if (!strip) return [];
  const wood = woodOf(workshop, strip.stock);
  const box = boxOf(shelf);
  // Between the sides: a shelf that goes into them is longer than what goes under it.
  const [x0, length] = shelf.length.value > space.clear.width.value ? [space.box.x0, space.clear.width] : [box.x0, shelf.length];
  const y = sub(strip.top === 'under' ? box.y0 : add(datum, line.far.value), strip.high);
  const at = (edge: Edge) => {
    if (strip.top === 'under') return edge === 'front' ? sub(box.z1, wood.thickness.value) : box.z0;
    return edge === 'front' ? box.z1 : sub(box.z0, wood.thickness.value);
  };
  return edgesOf(strip).map((edge): Added => ({
    held: strip.held,
    member: rectangular({
      id: `${spec.id}/shelf-strip/${edge}`,
      node: spec.id,
      role: 'shelf strip',
      label: `${edge} strip of ${shelf.label}`,
      wood,
      frame: facingFrame({ x: x0, y, z: at(edge) }),
      length,
      width: size('strip', strip.high, { in: 'member', id: spec.id, field: 'strip.high' }),
      ...(edge === 'front' ? { edges: { v0: piece.edges.front, v1: piece.edges.front } } : {}),
    }),
  }));
}
