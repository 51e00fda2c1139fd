import { Body, Controller, HttpCode, Inject, Module, Param, Post, Res } from '@nestjs/common';
import { ApiBody, ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { precisionOf } from '../../core/project/index.js';
import { ToPrintSchema, type ToPrint } from '../../core/layout/index.js';
import { Answers } from '../problems/answers.js';
import { MatchesSchema, edge } from '../problems/schema.validator.js';
import { RecordsModule } from '../records/records.module.js';
import { RecordsService } from '../records/records.service.js';
import { WorkService, whileWaited } from '../work/work.service.js';
import { ForPhones } from '../shop/rights.js';

class LayoutsDto {
  @MatchesSchema(() => ToPrintSchema)
  data!: ToPrint;
}

/** Prints of what the page worked out: layouts are searched for there, and drawn here. */
@ApiTags('prints')
@ForPhones()
@Controller('projects/:project/prints')
class PrintsController {
  constructor(
    @Inject(RecordsService) private readonly records: RecordsService,
    @Inject(WorkService) private readonly work: WorkService,
  ) {}

  @Post('layouts')
  @HttpCode(200)
  @ApiProduces('application/pdf')
  @ApiBody({
    schema: { type: 'object', properties: { data: { type: 'object', description: 'A title, and stocks with their sheets and marks' } } },
  })
  @Answers('Layouts with the order of their cuts, as PDF', { type: 'string', format: 'binary' })
  async layouts(@Param('project') project: string, @Body(edge(LayoutsDto)) { data }: LayoutsDto, @Res() res: Response): Promise<void> {
    const { settings } = (await this.records.workbench(project)).project;
    const precision = precisionOf(settings);
    const bytes = await this.work.run('layouts', [data, { precision, tools: settings.tools }], { signal: whileWaited(res) });
    res.type('application/pdf').set('Cache-Control', 'no-store').send(Buffer.from(bytes));
  }
}

@Module({ imports: [RecordsModule], controllers: [PrintsController] })
export class PrintsModule {}
