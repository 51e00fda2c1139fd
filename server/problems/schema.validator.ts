import type { TSchema } from '@sinclair/typebox';
import { ValidationPipe, type Type } from '@nestjs/common';
import { registerDecorator, type ValidationError, type ValidationOptions } from 'class-validator';
import { faultsIn, type Fault } from '../../core/formats/index.js';
import { badInput } from './problem.js';

/** Holds a property against a schema of the core; its faults keep the path inside the property. */
export function MatchesSchema(schema: () => TSchema, options?: ValidationOptions): PropertyDecorator {
  return (target, key) => {
    registerDecorator({
      name: 'matchesSchema',
      target: target.constructor,
      propertyName: key as string,
      ...(options ? { options } : {}),
      validator: {
        validate: (value: unknown) => faultsIn(schema(), value).length === 0,
        defaultMessage: (args) => JSON.stringify(faultsIn(schema(), args?.value)),
      },
    });
  };
}

function faultsOf(errors: readonly ValidationError[], path = ''): Fault[] {
  return errors.flatMap((e): Fault[] => {
    const here = `${path}/${e.property}`;
    const own = Object.entries(e.constraints ?? {}).flatMap(([name, message]): Fault[] => {
      if (name === 'matchesSchema') return (JSON.parse(message) as Fault[]).map((f) => ({ ...f, path: `${here}${f.path}` }));
      if (name === 'whitelistValidation')
        return [{ path: here, message: 'this field is not known here', accepted: 'no other fields than those of the request' }];
      return [{ path: here, message, given: e.value as unknown, accepted: message }];
    });
    return [...own, ...faultsOf(e.children ?? [], here)];
  });
}

/** The check at every edge: unknown fields are refused, and every fault is named with its field. */
export function edge(expectedType?: Type): ValidationPipe {
  return new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    ...(expectedType ? { expectedType } : {}),
    exceptionFactory: (errors) => badInput(faultsOf(errors)),
  });
}
