/** Keeps what was found out about two things that never change, for as long as both are there. @example ofTwo()(SHELF, RAIL, () => 5) // 5 */
export function ofTwo<A extends object, B extends object, T>(): (a: A, b: B, work: () => T) => T {
  const known = new WeakMap<A, WeakMap<B, { readonly found: T }>>();
  return (a, b, work) => {
    const others = known.get(a) ?? new WeakMap<B, { readonly found: T }>();
    known.set(a, others);
    const before = others.get(b);
    if (before) return before.found;
    const found = work();
    others.set(b, { found });
    return found;
  };
}
