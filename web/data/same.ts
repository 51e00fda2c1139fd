/** Whether two documents say the same, whatever the order of their fields. */
export function sameData(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (a === null || b === null || typeof a !== 'object' || typeof b !== 'object' || Array.isArray(a) !== Array.isArray(b)) return false;
  const [one, other] = [a, b].map((o) => new Map(Object.entries(o).filter(([, v]) => v !== undefined))) as [
    Map<string, unknown>,
    Map<string, unknown>,
  ];
  return one.size === other.size && [...one].every(([key, value]) => other.has(key) && sameData(value, other.get(key)));
}
