import { Controller, Get, Inject, Module, Param, Query, Res } from '@nestjs/common';
import type { Response } from 'express';
import { ApiProduces, ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsOptional, Matches } from 'class-validator';
import { pieceSchema } from '../../core/kinds/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';
import { JobDto } from '../work/job.js';
import { WorkService, whileWaited } from '../work/work.service.js';
import { Answers, listOf, object } from '../problems/answers.js';
import { edge } from '../problems/schema.validator.js';
import { notFound } from '../problems/problem.js';
import { ShopModule } from '../shop/shop.module.js';
import { ShopService } from '../shop/shop.service.js';
import { RecordsService, fileOf } from '../records/records.service.js';
import { ForPhones } from '../shop/rights.js';

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
@ForPhones()
@Controller('projects/:project/pieces/:id/solution')
class SolutionController {
  constructor(
    @Inject(RecordsService) private readonly records: RecordsService,
    @Inject(WorkService) private readonly work: WorkService,
  ) {}

  @Get()
  @Answers('All that follows from a piece: sizes with their sums, marks, loads, checks and parts', SOLUTION)
  async solution(@Param('project') project: string, @Param('id') id: string, @Res({ passthrough: true }) res: Response) {
    const file = fileOf(await this.records.workbench(project));
    const report = await this.work.run('report', [file, id], { signal: whileWaited(res) });
    if (!report) throw notFound(`piece ${id}`);
    return report;
  }
}

const PDF = { type: 'string', format: 'binary' } as const;

class FullSizeDto extends JobDto {
  @ApiProperty({ required: false, description: 'Which of its jigs, counted from 0; all of them where it is left out' })
  @IsOptional()
  @Matches(/^\d{1,4}$/, { message: 'a whole number from 0' })
  jig?: string;
}

@ApiTags('pieces')
@ForPhones()
@Controller('projects/:project/pieces/:id')
class PrintsController {
  constructor(
    @Inject(RecordsService) private readonly records: RecordsService,
    @Inject(WorkService) private readonly work: WorkService,
    @Inject(ShopService) private readonly shop: ShopService,
  ) {}

  @Get('sheets.pdf')
  @ApiProduces('application/pdf')
  @Answers('What is taken into the shop: parts, each as it is set out, and the steps', PDF)
  sheets(
    @Param('project') project: string,
    @Param('id') id: string,
    @Query(edge(JobDto)) { job }: JobDto,
    @Res() res: Response,
  ): Promise<void> {
    return this.print('sheets', project, id, res, job);
  }

  @Get('full-size.pdf')
  @ApiProduces('application/pdf')
  @Answers('Sticks, outlines and templates as large as they are, in pages that are laid on each other', PDF)
  fullSize(
    @Param('project') project: string,
    @Param('id') id: string,
    @Query(edge(FullSizeDto)) { jig, job }: FullSizeDto,
    @Res() res: Response,
  ): Promise<void> {
    return this.print('fullSize', project, id, res, job, jig === undefined ? undefined : Number(jig));
  }

  private async print(
    what: 'sheets' | 'fullSize',
    project: string,
    id: string,
    res: Response,
    job: string | undefined,
    only?: number,
  ): Promise<void> {
    const file = fileOf(await this.records.workbench(project));
    // Where phones are let in, each step on paper opens itself on one.
    const [here] = this.shop.isOpen ? this.shop.addresses(res.req) : [];
    const address = here ? `${here}/p/${project}/pieces/${id}/bench` : undefined;
    const watched = { job, signal: whileWaited(res) };
    const bytes =
      what === 'sheets'
        ? await this.work.run('sheets', [file, id, address], watched)
        : await this.work.run('fullSize', [file, id, only], watched);
    if (!bytes) throw notFound(`piece ${id}`);
    const name = `${id}${what === 'sheets' ? '' : '-full-size'}.pdf`;
    res
      .type('application/pdf')
      .set('Content-Disposition', `inline; filename="${name}"`)
      .set('Cache-Control', 'no-store')
      .send(Buffer.from(bytes));
  }
}

@Module({ imports: [RecordsModule, ShopModule], controllers: [PiecesController, SolutionController, PrintsController] })
export class PiecesModule {}
