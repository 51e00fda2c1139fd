import { Controller, Get, Inject, Module, Param, Res } from '@nestjs/common';
import type { Response } from 'express';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
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

const PDF = { type: 'string', format: 'binary' } as const;

@ApiTags('pieces')
@Controller('projects/:project/pieces/:id')
class PrintsController {
  constructor(
    @Inject(RecordsService) private readonly records: RecordsService,
    @Inject(WorkService) private readonly work: WorkService,
  ) {}

  @Get('sheets.pdf')
  @ApiProduces('application/pdf')
  @Answers('What is taken into the shop: parts, each as it is set out, and the steps', PDF)
  sheets(@Param('project') project: string, @Param('id') id: string, @Res() res: Response): Promise<void> {
    return this.print('sheets', project, id, res);
  }

  @Get('full-size.pdf')
  @ApiProduces('application/pdf')
  @Answers('Sticks, outlines and templates as large as they are, in pages that are laid on each other', PDF)
  fullSize(@Param('project') project: string, @Param('id') id: string, @Res() res: Response): Promise<void> {
    return this.print('fullSize', project, id, res);
  }

  private async print(what: 'sheets' | 'fullSize', project: string, id: string, res: Response): Promise<void> {
    const bytes = await this.work.run(what, fileOf(await this.records.workbench(project)), id);
    if (!bytes) throw notFound(`piece ${id}`);
    const name = `${id}${what === 'sheets' ? '' : '-full-size'}.pdf`;
    res
      .type('application/pdf')
      .set('Content-Disposition', `inline; filename="${name}"`)
      .set('Cache-Control', 'no-store')
      .send(Buffer.from(bytes));
  }
}

@Module({ imports: [RecordsModule], controllers: [PiecesController, SolutionController, PrintsController] })
export class PiecesModule {}
