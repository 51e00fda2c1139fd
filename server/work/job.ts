import { applyDecorators } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { IsOptional, Matches } from 'class-validator';

/** The name of a job in a query, where whoever asks wants to know how far it is. */
export function IsJob(): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ required: false, example: 'job-7f3a', description: 'A name of one’s own, by which how far it is can be asked' }),
    IsOptional(),
    Matches(/^[a-z0-9][a-z0-9-]{0,59}$/, { message: 'the name of a job has small letters, digits and hyphens, at most 60' }),
  );
}

/** A query that may name a job and nothing else. */
export class JobDto {
  @IsJob()
  job?: string;
}
