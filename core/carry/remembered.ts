/**
 * Keeps answers by what they were worked out from. Pieces are solved with every key, and most keys leave most
 * members as they were; equal members of one piece are worked out once. The oldest goes where there are too many.
 * @param most how many are kept
 */
export function remembered<T>(most: number): (key: string, work: () => T) => T {
  const known = new Map<string, T>();
  return (key, work) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const made = work();
    if (known.size >= most) known.delete(known.keys().next().value as string);
    known.set(key, made);
    return made;
  };
}
