import { Body, Controller, Get, Inject, Module, Param, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { Matches } from 'class-validator';
import { ID_ACCEPTED, ID_PATTERN } from '../../core/ids/index.js';
import { MadePartSchema, type MadePart } from '../../core/survey/index.js';
import { Answers, listOf, recordOf } from '../problems/answers.js';
import { MatchesSchema, edge } from '../problems/schema.validator.js';
import { RecordsModule } from '../records/records.module.js';
import { RecordsService } from '../records/records.service.js';
import { ForPhones } from '../shop/rights.js';

class MadeDto {
  @ApiProperty({ example: 'made-1', description: 'A new id: small letters, digits and hyphens' })
  @Matches(ID_PATTERN, { message: `an id has ${ID_ACCEPTED}` })
  id!: string;

  @ApiProperty({ type: 'object', additionalProperties: true, description: 'What became of a part, as docs/project.schema.json has it' })
  @MatchesSchema(() => MadePartSchema)
  data!: MadePart;
}

@ApiTags('made')
@ForPhones()
@Controller('projects/:project/made')
class MadeController {
  constructor(@Inject(RecordsService) private readonly records: RecordsService) {}

  @Get()
  @Answers('All parts that were cut, fitted or spoiled, oldest first', listOf(recordOf('What became of the part')))
  list(@Param('project') project: string) {
    return this.records.list(project, 'made');
  }

  @Post()
  @Answers('Add what became of a part; the last of each counts, none is ever changed', recordOf('What became of the part'), 201)
  make(@Param('project') project: string, @Body(edge(MadeDto)) { id, data }: MadeDto) {
    return this.records.addFact(project, 'made', id, data);
  }
}

@Module({ imports: [RecordsModule], controllers: [MadeController] })
export class MadeModule {}
