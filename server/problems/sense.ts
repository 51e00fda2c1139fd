import { senseFaults } from '../../core/formats/index.js';
import { badInput } from './problem.js';

/** Refuses what an edit would bring into a record that nobody means. @throws ProblemException 400 with each number of the kind */
export function refuseSenseless(...of: Parameters<typeof senseFaults>): void {
  const faults = senseFaults(...of);
  if (faults.length > 0) throw badInput(faults);
}
