import { GRAVITY } from './gravity.js';
import { rectangleSecondMoment } from './section.js';

/** A board laid on two supports and loaded, to find how stiff it is. Lengths in mm. */
export interface BoardTest {
  readonly span: number;
  readonly width: number;
  readonly thickness: number;
  readonly kg: number;
  /** By how much the middle went down when the load was put on. */
  readonly sag: number;
  /** How finely that could be read. */
  readonly readTo: number;
  readonly load: 'middle' | 'even';
}

export interface TestedStiffness {
  /** GPa. */
  readonly elastic: number;
  /** The least and the greatest that the reading leaves possible, GPa. */
  readonly least: number;
  readonly greatest: number;
  /** How far the reading may be out, as a part of it. */
  readonly spread: number;
}

/**
 * The modulus of elasticity of a board from its own sag: E = F L³ / 48 I δ for a load at the
 * middle, 5 F L³ / 384 I δ for one spread evenly.
 * @throws RangeError for a sag that cannot be told from none
 * @example 20 kg in the middle of 800 on a board 200 x 18 that sags 3 mm, read to 0.5: 7.18 GPa, out by 17 %
 */
export function stiffnessFromTest({ span, width, thickness, kg, sag, readTo, load }: BoardTest): TestedStiffness {
  if (!(sag > readTo)) throw new RangeError('the sag is no more than what can be read; load it more, or span it wider');
  const at = (mm: number) => {
    const part = load === 'middle' ? 1 / 48 : 5 / 384;
    return (part * kg * GRAVITY * span ** 3) / (rectangleSecondMoment(width, thickness) * mm) / 1000;
  };
  return { elastic: at(sag), least: at(sag + readTo), greatest: at(sag - readTo), spread: readTo / sag };
}
