import { Body, Controller, Get, Inject, Module, Param, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { Matches } from 'class-validator';
import { ID_ACCEPTED, ID_PATTERN } from '../../core/ids/index.js';
import { BuiltReadingSchema, type BuiltReading } from '../../core/survey/index.js';
import { Answers, listOf, recordOf } from '../problems/answers.js';
import { MatchesSchema, edge } from '../problems/schema.validator.js';
import { RecordsModule } from '../records/records.module.js';
import { RecordsService } from '../records/records.service.js';
import { ForPhones } from '../shop/rights.js';

class ReadDto {
  @ApiProperty({ example: 'reading-1', description: 'A new id: small letters, digits and hyphens' })
  @Matches(ID_PATTERN, { message: `an id has ${ID_ACCEPTED}` })
  id!: string;

  @ApiProperty({ type: 'object', additionalProperties: true, description: 'The reading, as docs/project.schema.json has it' })
  @MatchesSchema(() => BuiltReadingSchema)
  data!: BuiltReading;
}

@ApiTags('readings')
@ForPhones()
@Controller('projects/:project/readings')
class ReadingsController {
  constructor(@Inject(RecordsService) private readonly records: RecordsService) {}

  @Get()
  @Answers('All that the tape found in pieces once they stood there, oldest first', listOf(recordOf('The reading')))
  list(@Param('project') project: string) {
    return this.records.list(project, 'readings');
  }

  @Post()
  @Answers('Add what the tape found; the last of each space and reach counts, none is ever changed', recordOf('The reading'), 201)
  read(@Param('project') project: string, @Body(edge(ReadDto)) { id, data }: ReadDto) {
    return this.records.addFact(project, 'readings', id, data);
  }
}

@Module({ imports: [RecordsModule], controllers: [ReadingsController] })
export class ReadingsModule {}
