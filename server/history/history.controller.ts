import { Body, Controller, Get, HttpCode, Inject, Param, Post, Query } from '@nestjs/common';
import { ApiProperty, ApiQuery, ApiTags } from '@nestjs/swagger';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, IsOptional, Matches, Max, Min } from 'class-validator';
import { ChangePipe, MOST_COUNTED } from '../problems/version.js';
import { Answers, PROSPECTS, listOf, object, orNull, recordOf } from '../problems/answers.js';
import { edge } from '../problems/schema.validator.js';
import { EDITED, PROJECT, type EditedKind } from '../data/kinds.js';
import { HistoryService, type Scope } from './history.service.js';
import { ForPhones } from '../shop/rights.js';

const ENTRY = new RegExp(`^(${[...EDITED, PROJECT].join('|')})(/[a-z0-9][a-z0-9-]{0,59})?$`);

class ScopeDto {
  @ApiProperty({
    example: ['pieces/ink-case', 'openings/alcove'],
    description: 'The records, or kinds of record, whose changes are walked together',
  })
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(100)
  @Matches(ENTRY, { each: true, message: 'each must be a kind, or a kind and an id, such as pieces/ink-case' })
  scope!: string[];
}

class WalkDto extends ScopeDto {
  @ApiProperty({
    required: false,
    example: 1204,
    description: 'The change that is meant, as the history tells it; 409 where another comes first',
  })
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(MOST_COUNTED)
  change?: number;
}

function scopeOf(entries: readonly string[]): Scope {
  return entries.map((entry) => {
    const [kind, id] = entry.split('/') as [EditedKind, string?];
    return id === undefined ? { kind } : { kind, id };
  });
}

/** The step that was done, where there was one, and what could be next. */
const WALKED = object({
  ...PROSPECTS,
  step: orNull(
    object({ label: { type: 'string' }, kind: { type: 'string' }, recordId: { type: 'string' }, record: orNull(recordOf('The record')) }),
  ),
});

const CHANGE = object({
  change: { type: 'integer' },
  label: { type: 'string' },
  kind: { type: 'string' },
  recordId: { type: 'string' },
  device: { type: 'string', nullable: true },
  at: { type: 'string' },
  undone: { type: 'boolean' },
});

@ApiTags('history')
@ForPhones()
@Controller('projects/:project')
export class HistoryController {
  constructor(@Inject(HistoryService) private readonly history: HistoryService) {}

  @Get('history')
  @ApiQuery({
    name: 'scope',
    isArray: true,
    type: String,
    required: false,
    description: 'The records, or kinds of record, that are asked about; what is none of them is passed over',
  })
  @Answers('What could be taken back and done again next, for some records', object(PROSPECTS))
  prospects(@Param('project') project: string, @Query('scope') scope: string | string[] = []) {
    const entries = (Array.isArray(scope) ? scope : [scope]).filter((entry) => ENTRY.test(entry));
    return entries.length === 0
      ? { undo: null, redo: null, undoChange: null, redoChange: null }
      : this.history.prospects(project, scopeOf(entries));
  }

  @Get('changes')
  @ApiQuery({ name: 'before', type: Number, required: false, description: 'Only changes older than this one' })
  @Answers('What was changed, when, and by which device; the latest 50 first', listOf(CHANGE))
  changes(@Param('project') project: string, @Query('before', new ChangePipe()) before: number | undefined) {
    return this.history.list(project, before);
  }

  @Post('undo')
  @HttpCode(200)
  @Answers('Take back the latest change of some records', WALKED)
  async undo(@Param('project') project: string, @Body(edge(WalkDto)) { scope, change }: WalkDto) {
    return { step: await this.history.undo(project, scopeOf(scope), change), ...(await this.history.prospects(project, scopeOf(scope))) };
  }

  @Post('redo')
  @HttpCode(200)
  @Answers('Do again the change that was taken back last', WALKED)
  async redo(@Param('project') project: string, @Body(edge(WalkDto)) { scope, change }: WalkDto) {
    return { step: await this.history.redo(project, scopeOf(scope), change), ...(await this.history.prospects(project, scopeOf(scope))) };
  }
}
