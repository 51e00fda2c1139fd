import { Controller, Get, Inject, Module, Param } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { pieceSchema } from '../../core/kinds/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';
import { WorkService } from '../work/work.service.js';
import { Answers, listOf, object } from '../problems/answers.js';
import { notFound } from '../problems/problem.js';
import { RecordsService, fileOf } from '../records/records.service.js';

class PiecesController extends recordController('pieces', pieceSchema) {}

/** The parts of a report; each is as the command prints it. */
const SOLUTION = object({
  name: { type: 'string' },
  overall: { type: 'object' },
  spaces: listOf({ type: 'object' }),
  loads: listOf({ type: 'object' }),
  checks: listOf({ type: 'object' }),
  parts: listOf({ type: 'object' }),
});

@ApiTags('pieces')
@Controller('projects/:project/pieces/:id/solution')
class SolutionController {
  constructor(
    @Inject(RecordsService) private readonly records: RecordsService,
    @Inject(WorkService) private readonly work: WorkService,
  ) {}

  @Get()
  @Answers('All that follows from a piece: sizes with their sums, marks, loads, checks and parts', SOLUTION)
  async solution(@Param('project') project: string, @Param('id') id: string) {
    const report = await this.work.run('report', fileOf(await this.records.workbench(project)), id);
    if (!report) throw notFound(`piece ${id}`);
    return report;
  }
}

@Module({ imports: [RecordsModule], controllers: [PiecesController, SolutionController] })
export class PiecesModule {}
