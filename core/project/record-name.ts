/** What a record of any kind is called by whoever made it. @example nameOfRecord(TIN) // 'tin' */
export function nameOfRecord(data: unknown): string {
  const { name, piece, text, what } = data as {
    readonly name?: string;
    readonly piece?: { readonly name: string } | string;
    readonly text?: string;
    readonly what?: string;
  };
  const named = (typeof piece === 'object' ? piece.name : undefined) ?? name ?? text ?? what;
  return named ? named.slice(0, 60) : 'it';
}
