/** A record that a piece names, and where. */
export interface Named {
  readonly kind: 'opening' | 'stock' | 'slide' | 'thing';
  readonly id: string;
  /** Where, in words: a use of the piece, or a node of its interior. */
  readonly where: string;
}

/** A record that a kind names. */
export type Names = Omit<Named, 'where'>;

/** The stock that a kind names. */
export const stockNames = (ids: readonly string[]): Names[] => ids.map((id) => ({ kind: 'stock', id }));
