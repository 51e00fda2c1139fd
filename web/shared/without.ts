/** A record without one of its fields, which is how a choice that need not be made is taken back. */
export function without<T extends object, K extends keyof T>(of: T, key: K): Omit<T, K> {
  const { [key]: gone, ...rest } = of;
  void gone;
  return rest;
}
