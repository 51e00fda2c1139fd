import { Body, Controller, Delete, Get, Header, HttpCode, Inject, Param, ParseIntPipe, Post, Put, Query } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsInt, Matches, Min } from 'class-validator';
import { writeProjectFile } from '../../core/formats/index.js';
import { ProjectSchema } from '../../core/project/index.js';
import { PRINT_SHED } from '../../demo/print-shed.js';
import { MatchesSchema, edge } from '../problems/schema.validator.js';
import { RecordsService, fileOf } from '../records/records.service.js';
import { DEMO_ID } from './demo.js';
import { ProjectsService } from './projects.service.js';

const ID = /^[a-z0-9][a-z0-9-]{0,59}$/;
const ID_TEXT = 'an id has small letters, digits and hyphens, at most 60';
const PROJECT = {
  type: 'object',
  additionalProperties: true,
  description: 'Name and settings, as docs/project.schema.json has them',
} as const;

class CreateProjectDto {
  @ApiProperty({ example: 'print-shed' })
  @Matches(ID, { message: ID_TEXT })
  id!: string;

  @ApiProperty(PROJECT)
  @MatchesSchema(() => ProjectSchema)
  data!: unknown;
}

class SaveProjectDto {
  @ApiProperty({ example: 1 })
  @IsInt()
  @Min(1)
  version!: number;

  @ApiProperty(PROJECT)
  @MatchesSchema(() => ProjectSchema)
  data!: unknown;
}

class NewIdDto {
  @ApiProperty({ example: 'print-shed' })
  @Matches(ID, { message: ID_TEXT })
  id!: string;
}

@ApiTags('projects')
@Controller('projects')
export class ProjectsController {
  constructor(
    @Inject(ProjectsService) private readonly projects: ProjectsService,
    @Inject(RecordsService) private readonly records: RecordsService,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Every project, without what is in it' })
  list() {
    return this.projects.list();
  }

  @Post()
  @ApiOperation({ summary: 'Make an empty project' })
  create(@Body(edge(CreateProjectDto)) { id, data }: CreateProjectDto) {
    return this.projects.create(id, data);
  }

  @Post('demo')
  @ApiOperation({ summary: 'Load the print shed' })
  async demo() {
    await this.projects.read(DEMO_ID, PRINT_SHED);
    return { id: DEMO_ID };
  }

  @Post('files')
  @ApiBody({ description: 'A project file, as docs/project.schema.json has it', schema: { type: 'object' } })
  @ApiOperation({ summary: 'Read a project file in under a new id' })
  read(@Query(edge(NewIdDto)) { id }: NewIdDto, @Body() document: unknown) {
    return this.projects.read(id, document);
  }

  @Get(':project')
  @ApiOperation({ summary: 'A project with everything in it' })
  workbench(@Param('project') project: string) {
    return this.records.workbench(project);
  }

  @Get(':project/file')
  @Header('Content-Type', 'application/json')
  @ApiOperation({ summary: 'A project as a file' })
  async file(@Param('project') project: string) {
    return writeProjectFile(fileOf(await this.records.workbench(project)));
  }

  @Put(':project')
  @ApiOperation({ summary: 'Rename a project or change its settings' })
  save(@Param('project') project: string, @Body(edge(SaveProjectDto)) { version, data }: SaveProjectDto) {
    return this.projects.save(project, version, data);
  }

  @Delete(':project')
  @HttpCode(204)
  @ApiOperation({ summary: 'Take a project away with everything in it' })
  remove(@Param('project') project: string, @Query('version', ParseIntPipe) version: number) {
    return this.projects.remove(project, version);
  }
}
