/** What a record of any kind is called by whoever made it. */
export function nameOfRecord(data: unknown): string {
  const { name, piece } = data as { readonly name?: string; readonly piece?: { readonly name: string } };
  return piece?.name ?? name ?? 'it';
}
