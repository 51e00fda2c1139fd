import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put, Query, type Type } from '@nestjs/common';
import { ApiBody, ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsString, Length, Matches } from 'class-validator';
import type { TSchema } from '@sinclair/typebox';
import { ID_ACCEPTED, ID_PATTERN } from '../../core/ids/index.js';
import { Answers, listOf, recordOf } from '../problems/answers.js';
import { MatchesSchema, edge } from '../problems/schema.validator.js';
import { ONE, type EditedKind } from '../data/kinds.js';
import { IsVersion, VersionPipe } from '../problems/version.js';
import { RecordsService } from './records.service.js';
import { ForPhones } from '../shop/rights.js';

const LABEL = { example: 'Made the tub space 380', description: 'What was done, as undo will name it' } as const;

/** The body that makes a record of one kind. */
function createDto(kind: EditedKind, schema: () => TSchema) {
  class CreateDto {
    @ApiProperty({ example: 'alcove', description: 'A new id: small letters, digits and hyphens' })
    @Matches(ID_PATTERN, { message: `an id has ${ID_ACCEPTED}` })
    id!: string;

    @ApiProperty({ type: 'object', additionalProperties: true, description: `The ${ONE[kind]}, as docs/project.schema.json has it` })
    @MatchesSchema(schema)
    data!: unknown;

    @ApiProperty(LABEL)
    @IsString()
    @Length(1, 160)
    label!: string;
  }
  Object.defineProperty(CreateDto, 'name', { value: `Create_${kind}` });
  return CreateDto;
}

/** The body that replaces a record of one kind. */
function saveDto(kind: EditedKind, schema: () => TSchema) {
  class SaveDto {
    @IsVersion()
    version!: number;

    @ApiProperty({ type: 'object', additionalProperties: true, description: `The ${ONE[kind]}, as docs/project.schema.json has it` })
    @MatchesSchema(schema)
    data!: unknown;

    @ApiProperty(LABEL)
    @IsString()
    @Length(1, 160)
    label!: string;
  }
  Object.defineProperty(SaveDto, 'name', { value: `Save_${kind}` });
  return SaveDto;
}

/**
 * The controller of one kind of record. Each resource extends it, so that all are made,
 * read, changed and taken away in the same way.
 * @param schema what its documents are held against, asked for each time: kinds may be added
 */
export function recordController(kind: EditedKind, schema: () => TSchema) {
  const Create = createDto(kind, schema);
  const Save = saveDto(kind, schema);

  const record = recordOf(`The ${ONE[kind]}`);

  @ApiTags(kind)
  @Controller(`projects/:project/${kind}`)
  class RecordController {
    constructor(@Inject(RecordsService) readonly records: RecordsService) {}

    @ForPhones()
    @Get()
    @Answers(`Every ${ONE[kind]} of a project`, listOf(record))
    list(@Param('project') project: string) {
      return this.records.list(project, kind);
    }

    @ForPhones()
    @Get(':id')
    @Answers(`One ${ONE[kind]}`, record)
    one(@Param('project') project: string, @Param('id') id: string) {
      return this.records.one(project, kind, id);
    }

    @ForPhones()
    @Post()
    @ApiBody({ type: Create as Type })
    @Answers(`Make a ${ONE[kind]}`, record, 201)
    create(@Param('project') project: string, @Body(edge(Create as Type)) body: InstanceType<typeof Create>) {
      return this.records.create(project, kind, body.id, body.data, body.label);
    }

    @ForPhones()
    @Put(':id')
    @ApiBody({ type: Save as Type })
    @Answers(`Replace a ${ONE[kind]}; 409 with both versions when it was changed meanwhile`, record)
    save(@Param('project') project: string, @Param('id') id: string, @Body(edge(Save as Type)) body: InstanceType<typeof Save>) {
      return this.records.save(project, kind, id, body.version, body.data, body.label);
    }

    @Delete(':id')
    @HttpCode(204)
    @Answers(`Take a ${ONE[kind]} away; 409 while a piece uses it`, null)
    remove(@Param('project') project: string, @Param('id') id: string, @Query('version', new VersionPipe()) version: number) {
      return this.records.remove(project, kind, id, version);
    }
  }
  return RecordController;
}
