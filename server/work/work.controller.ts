import { Controller, Get, Inject, Param } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers, object } from '../problems/answers.js';
import { notFound } from '../problems/problem.js';
import { WorkService, type Progress } from './work.service.js';
import { ForPhones } from '../shop/rights.js';

@ApiTags('work')
@ForPhones()
@Controller('work')
export class WorkController {
  constructor(@Inject(WorkService) private readonly work: WorkService) {}

  @Get(':job')
  @Answers(
    'How far a job is that somebody waits for, by the name that was given with it; it is stopped by no longer waiting',
    object({ done: { type: 'integer' }, of: { type: 'integer' } }),
  )
  progress(@Param('job') job: string): Progress {
    const progress = this.work.progressOf(job);
    if (!progress) throw notFound('such job');
    return progress;
  }
}
