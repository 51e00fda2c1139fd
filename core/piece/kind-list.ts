/** A list of kinds, each found by its name. It is open: one more can be added from outside. */
export interface KindList<K extends { readonly kind: string }> {
  readonly all: readonly K[];
  /** @throws Error where there is no kind of that name */
  readonly of: (kind: string) => K;
  /** Adds a kind, in place of one with the same name. @returns what takes it out again */
  readonly add: (kind: K) => () => void;
}

/**
 * A list of kinds.
 * @example kindList([{ kind: 'a' }]).of('a').kind // 'a'
 */
export function kindList<K extends { readonly kind: string }>(first: readonly K[]): KindList<K> {
  let all: readonly K[] = first;
  return {
    get all() {
      return all;
    },
    of: (kind) => {
      const found = all.find((k) => k.kind === kind);
      if (!found) throw new Error(`there is no kind ${kind}; there are ${all.map((k) => k.kind).join(', ')}`);
      return found;
    },
    add: (kind) => {
      const before = all;
      all = [...all.filter((k) => k.kind !== kind.kind), kind];
      return () => {
        all = before;
      };
    },
  };
}
