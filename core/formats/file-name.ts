/** A name as a file name: small letters and hyphens. @example fileName('Ink case, 2') // 'ink-case-2' */
export function fileName(name: string): string {
  return (
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'piece'
  );
}
