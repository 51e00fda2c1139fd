import type { Figure } from '../figure/index.js';
import type { Length } from '../length/index.js';
import type { Wood } from '../project/index.js';
import {
  SQUARE_EDGES,
  rectangle,
  type Edges,
  type Face,
  type Feature,
  type Frame,
  type Member,
  type Purpose,
  type Role,
} from './member.js';

/** What a rectangular member is made from; what is left out is as most members have it. */
export interface RectangularMember {
  readonly id: string;
  /** The node of the piece that it comes from. */
  readonly node: string;
  readonly role: Role;
  readonly label: string;
  readonly wood: Wood;
  readonly length: Figure;
  readonly width: Figure;
  readonly frame: Frame;
  readonly purpose?: { readonly length: Purpose; readonly width: Purpose };
  readonly edges?: Partial<Edges>;
  readonly features?: readonly Feature[];
  readonly over?: { readonly length: Length; readonly width: Length };
  readonly inner?: Face;
}

const BETWEEN: Member['purpose'] = { length: 'between', width: 'between' };
const NONE: readonly Feature[] = [];

/**
 * A rectangular member: going between what it meets, with square edges and nothing cut into it, unless said otherwise.
 * @example rectangular({ ...SHELF, wood: { id: 'ply', stock: PLY, thickness: SHELF.thickness } }).outline // SHELF.outline
 */
export function rectangular({
  id,
  node,
  role,
  label,
  wood,
  length,
  width,
  frame,
  purpose,
  edges,
  features,
  over,
  inner,
}: RectangularMember): Member {
  return {
    id,
    node,
    role,
    label,
    stockId: wood.id,
    stock: wood.stock,
    outline: rectangle(length.value, width.value),
    frame,
    length,
    width,
    thickness: wood.thickness,
    purpose: purpose ?? BETWEEN,
    features: features ?? NONE,
    edges: edges ? { ...SQUARE_EDGES, ...edges } : SQUARE_EDGES,
    ...(over ? { over } : {}),
    ...(inner ? { inner } : {}),
  };
}
