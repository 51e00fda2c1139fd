import { Controller, Get, Inject, Module, Param } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { pieceSchema } from '../../core/kinds/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';
import { WorkService } from '../work/work.service.js';
import { notFound } from '../problems/problem.js';
import { RecordsService, fileOf } from '../records/records.service.js';

class PiecesController extends recordController('pieces', pieceSchema) {}

@ApiTags('pieces')
@Controller('projects/:project/pieces/:id/solution')
class SolutionController {
  constructor(
    @Inject(RecordsService) private readonly records: RecordsService,
    @Inject(WorkService) private readonly work: WorkService,
  ) {}

  @Get()
  @ApiOperation({ summary: 'All that follows from a piece: sizes with their sums, marks, loads, checks and parts' })
  async solution(@Param('project') project: string, @Param('id') id: string) {
    const report = await this.work.run('report', fileOf(await this.records.workbench(project)), id);
    if (!report) throw notFound(`piece ${id}`);
    return report;
  }
}

@Module({ imports: [RecordsModule], controllers: [PiecesController, SolutionController] })
export class PiecesModule {}
