/** Change coefficients of solid wood per 1 % of moisture, radial and tangential (USDA Wood Handbook table 13-5, valid from 6 to 14 %). */
const CHANGE: Readonly<Record<string, readonly [radial: number, tangential: number]>> = {
  'red-oak': [0.00158, 0.00369],
  'white-oak': [0.0018, 0.00365],
  'sugar-maple': [0.00165, 0.00353],
  'yellow-birch': [0.00256, 0.00338],
  beech: [0.0019, 0.00431],
  'white-ash': [0.00169, 0.00274],
  'black-walnut': [0.0019, 0.00274],
  'black-cherry': [0.00126, 0.00248],
  'yellow-poplar': [0.00158, 0.00289],
  'red-alder': [0.00151, 0.00256],
  'douglas-fir': [0.00165, 0.00267],
  'sitka-spruce': [0.00148, 0.00263],
  'loblolly-pine': [0.00165, 0.00259],
  'ponderosa-pine': [0.00133, 0.00216],
  'white-pine': [0.00071, 0.00212],
  redcedar: [0.00111, 0.00234],
};

/** Moisture that wood goes through over a year, per cent: from 6 to 10 in a heated room, 8 to 16 in an unheated building. */
export const MOISTURE: Readonly<Record<1 | 2 | 3, readonly [low: number, high: number]>> = { 1: [6, 10], 2: [8, 16], 3: [10, 20] };

/** The range of moisture that the coefficients hold in, per cent. */
const VALID: readonly [number, number] = [6, 14];

/** How much a board changes in width over a year. */
export interface Movement {
  /** Flat sawn, the most, mm. */
  readonly flat: number;
  /** Quarter sawn, the least, mm. */
  readonly quarter: number;
  readonly from: number;
  readonly to: number;
  /** True where part of the range is outside what the coefficients were measured in. */
  readonly stretched: boolean;
}

/**
 * The change in width of a board of solid wood: width × coefficient × change of moisture.
 * @param width in mm @returns null for what is not solid wood of a known species
 * @example movementOf('red-oak', 300, 1).flat // 4.428
 */
export function movementOf(material: string, width: number, serviceClass: 1 | 2 | 3): Movement | null {
  const change = CHANGE[material];
  if (!change) return null;
  const [from, to] = MOISTURE[serviceClass];
  const per = width * (to - from);
  return { flat: per * change[1], quarter: per * change[0], from, to, stretched: from < VALID[0] || to > VALID[1] };
}
