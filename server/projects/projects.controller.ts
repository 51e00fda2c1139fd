import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Body, Controller, Delete, Get, Header, HttpCode, Inject, Param, Post, Put, Query, Req, Res } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiProduces, ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsIn, IsOptional, Matches } from 'class-validator';
import type { Request, Response } from 'express';
import { ID_ACCEPTED, ID_PATTERN } from '../../core/ids/index.js';
import { writeProjectFile } from '../../core/formats/index.js';
import { ProjectSchema } from '../../core/project/index.js';
import { EDITED, ONE } from '../data/kinds.js';
import { Answers, listOf, object, recordOf } from '../problems/answers.js';
import { MatchesSchema, edge } from '../problems/schema.validator.js';
import { IsJob, JobDto } from '../work/job.js';
import { WorkService, whileWaited } from '../work/work.service.js';
import { IsVersion, VersionPipe } from '../problems/version.js';
import { RecordsService, fileOf } from '../records/records.service.js';
import { DEMOS, DEMO_IDS, FIRST_DEMO, type DemoId } from './demo.js';
import { ProjectsService } from './projects.service.js';
import { ForPhones } from '../shop/rights.js';

const ID_TEXT = `an id has ${ID_ACCEPTED}`;
const PROJECT = {
  type: 'object',
  additionalProperties: true,
  description: 'Name and settings, as docs/project.schema.json has them',
} as const;

const RECORD = recordOf('Name and settings');
const NEW = object({ id: { type: 'string' } });
const WORKBENCH = object({
  id: { type: 'string' },
  version: { type: 'integer' },
  project: { type: 'object' },
  records: object(Object.fromEntries(EDITED.map((kind) => [kind, listOf(recordOf(`The ${ONE[kind]}`))]))),
  readings: listOf(recordOf('The reading')),
  made: listOf(recordOf('What became of the part')),
});

class CreateProjectDto {
  @ApiProperty({ example: 'print-shed' })
  @Matches(ID_PATTERN, { message: ID_TEXT })
  id!: string;

  @ApiProperty(PROJECT)
  @MatchesSchema(() => ProjectSchema)
  data!: unknown;
}

class SaveProjectDto {
  @IsVersion()
  version!: number;

  @ApiProperty(PROJECT)
  @MatchesSchema(() => ProjectSchema)
  data!: unknown;
}

class DemoDto {
  @ApiProperty({ enum: DEMO_IDS, required: false })
  @IsOptional()
  @IsIn(DEMO_IDS, { message: `it is one of: ${DEMO_IDS.join(', ')}` })
  of?: DemoId;
}

class NewFileDto {
  @ApiProperty({ example: 'print-shed' })
  @Matches(ID_PATTERN, { message: ID_TEXT })
  id!: string;

  @IsJob()
  job?: string;
}

@ApiTags('projects')
@Controller('projects')
export class ProjectsController {
  constructor(
    @Inject(ProjectsService) private readonly projects: ProjectsService,
    @Inject(RecordsService) private readonly records: RecordsService,
    @Inject(WorkService) private readonly work: WorkService,
  ) {}

  @ForPhones()
  @Get()
  @Answers('Every project, without what is in it', listOf(RECORD))
  list() {
    return this.projects.list();
  }

  @Post()
  @Answers('Make an empty project', RECORD, 201)
  create(@Body(edge(CreateProjectDto)) { id, data }: CreateProjectDto) {
    return this.projects.create(id, data);
  }

  @Post('demo')
  @Answers('Load a made-up project: the print shed, or its bindery, which works in inches', NEW, 201)
  async demo(@Query(edge(DemoDto)) { of = FIRST_DEMO }: DemoDto) {
    await this.projects.read(of, DEMOS[of]);
    return { id: of };
  }

  @Post('files')
  @ApiConsumes('application/json', 'application/zip')
  @ApiBody({ description: 'A project file, as docs/project.schema.json has it; or one packed with its photos', schema: { type: 'object' } })
  @Answers('Read a project file in under a new id', NEW, 201)
  read(
    @Query(edge(NewFileDto)) { id, job }: NewFileDto,
    @Body() document: unknown,
    @Req() req: Request,
    @Res({ passthrough: true }) res: Response,
  ) {
    const watched = { job, signal: whileWaited(res) };
    return req.is('application/zip') ? this.projects.readPacked(id, req, watched) : this.projects.read(id, document, watched);
  }

  @ForPhones()
  @Get(':project')
  @Answers('A project with everything in it', WORKBENCH)
  workbench(@Param('project') project: string) {
    return this.records.workbench(project);
  }

  @ForPhones()
  @Get(':project/file')
  @Header('Content-Type', 'application/json')
  @Answers('A project as a file', { type: 'object', description: 'As docs/project.schema.json has it' })
  async file(@Param('project') project: string) {
    return writeProjectFile(fileOf(await this.records.workbench(project)));
  }

  @ForPhones()
  @Get(':project/archive')
  @ApiProduces('application/zip')
  @Answers('A project with its photos as a ZIP: project.json and photos/ID.jpg', { type: 'string', format: 'binary' })
  async archive(@Param('project') project: string, @Query(edge(JobDto)) { job }: JobDto, @Res() res: Response): Promise<void> {
    await this.work
      .here({ job }, async (told) => {
        const parts = await this.projects.packed(project, told);
        res.type('application/zip').set('Content-Disposition', `attachment; filename="${project}.zip"`);
        await pipeline(Readable.from(parts), res);
      })
      .catch((error: NodeJS.ErrnoException) => {
        // Whoever no longer waits ends it. A fault is logged, and is seen by the end that is missing.
        if (error.code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error;
      });
  }

  @Put(':project')
  @Answers('Rename a project or change its settings', RECORD)
  save(@Param('project') project: string, @Body(edge(SaveProjectDto)) { version, data }: SaveProjectDto) {
    return this.projects.save(project, version, data);
  }

  @Delete(':project')
  @HttpCode(204)
  @Answers('Take a project away with everything in it', null)
  remove(@Param('project') project: string, @Query('version', new VersionPipe()) version: number) {
    return this.projects.remove(project, version);
  }
}
