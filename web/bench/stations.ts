/** The stations of a piece, in the order of the work. */
export const STATIONS = ['measure', 'divide', 'carry', 'parts'] as const;
export type Station = (typeof STATIONS)[number];
