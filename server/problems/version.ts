import { applyDecorators, type PipeTransform } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { IsInt, Max, Min } from 'class-validator';
import { badInput } from './problem.js';

/** The greatest version that is kept. */
const MOST = 2 ** 31 - 2;

/** The version that an edit was made on, as a field of a body. */
export function IsVersion(): PropertyDecorator {
  return applyDecorators(ApiProperty({ example: 1, description: 'The version that the edit was made on' }), IsInt(), Min(1), Max(MOST));
}

/** The same in a query. @throws ProblemException 400 for what is none */
export class VersionPipe implements PipeTransform<unknown, number> {
  transform(given: unknown): number {
    const version = typeof given === 'string' && /^\d{1,10}$/.test(given) ? Number(given) : NaN;
    if (version >= 1 && version <= MOST) return version;
    throw badInput([{ path: '/version', message: 'this is no version', given, accepted: `a whole number from 1 to ${MOST}` }]);
  }
}
