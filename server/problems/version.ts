import { applyDecorators, type PipeTransform } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { IsInt, Max, Min } from 'class-validator';
import { badInput } from './problem.js';

/** The greatest version, or number of a change, that is kept. */
export const MOST_COUNTED = 2 ** 31 - 2;

/** The version that an edit was made on, as a field of a body. */
export function IsVersion(): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ example: 1, description: 'The version that the edit was made on' }),
    IsInt(),
    Min(1),
    Max(MOST_COUNTED),
  );
}

/** A number in a query that counts up from 1. @throws ProblemException 400 for what is none */
function counted(name: string, given: unknown): number {
  const number = typeof given === 'string' && /^\d{1,10}$/.test(given) ? Number(given) : NaN;
  if (number >= 1 && number <= MOST_COUNTED) return number;
  throw badInput([{ path: `/${name}`, message: `this is no ${name}`, given, accepted: `a whole number from 1 to ${MOST_COUNTED}` }]);
}

/** The version that an edit was made on, in a query. @throws ProblemException 400 for what is none */
export class VersionPipe implements PipeTransform<unknown, number> {
  transform(given: unknown): number {
    return counted('version', given);
  }
}

/** The number of a change in a query, where one is given. @throws ProblemException 400 for what is none */
export class ChangePipe implements PipeTransform<unknown, number | undefined> {
  transform(given: unknown): number | undefined {
    return given === undefined ? undefined : counted('change', given);
  }
}
