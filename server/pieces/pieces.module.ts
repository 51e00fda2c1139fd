import { Controller, Get, Inject, Module, Param } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { reportSolution, workshopFor, workshopOf, type KeptPiece } from '../../core/formats/index.js';
import { pieceSchema } from '../../core/kinds/index.js';
import { solve } from '../../core/solution/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';
import { notFound } from '../problems/problem.js';
import { RecordsService, fileOf } from '../records/records.service.js';

class PiecesController extends recordController('pieces', pieceSchema) {}

@ApiTags('pieces')
@Controller('projects/:project/pieces/:id/solution')
class SolutionController {
  constructor(@Inject(RecordsService) private readonly records: RecordsService) {}

  @Get()
  @ApiOperation({ summary: 'All that follows from a piece: sizes with their sums, marks, loads, checks and parts' })
  async solution(@Param('project') project: string, @Param('id') id: string) {
    const file = fileOf(await this.records.workbench(project));
    const kept: KeptPiece | undefined = file.pieces[id];
    if (!kept) throw notFound(`piece ${id}`);
    const grid = (kept.piece.rounding ?? file.project.settings.rounding).grid;
    return reportSolution(solve(kept.piece, workshopFor(workshopOf(file), Object.values(file.readings ?? {}), id), kept.letters), grid);
  }
}

@Module({ imports: [RecordsModule], controllers: [PiecesController, SolutionController] })
export class PiecesModule {}
