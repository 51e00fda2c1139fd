import Papa from 'papaparse';

/** Rows as CSV with line ends as spreadsheets have them; what one would take for a formula is made plain. */
export function csvOf(rows: readonly (readonly (string | number)[])[]): string {
  return `${Papa.unparse(rows as (string | number)[][], { newline: '\r\n', escapeFormulae: /^[=+\-@\t]/ })}\r\n`;
}
