import { Controller, Get, Inject, Injectable, Module, Param, Post, Query, Req, Res } from '@nestjs/common';
import { ApiConsumes, ApiBody, ApiProduces, ApiTags, ApiQuery } from '@nestjs/swagger';
import { and, eq } from 'drizzle-orm';
import type { Request, Response } from 'express';
import { ID_ACCEPTED, ID_PATTERN } from '../../core/ids/index.js';
import { DATABASE, type Database } from '../data/database.js';
import { photos, projects } from '../data/schema.js';
import { Answers, object } from '../problems/answers.js';
import { badInput, inUse, notFound } from '../problems/problem.js';
import { pictureOf } from './picture.js';
import { ForPhones } from '../shop/rights.js';

const KEPT = object({ id: { type: 'string' }, width: { type: 'integer' }, height: { type: 'integer' } });

/** Photos are kept beside the records of a project, under ids of their own; they are added and never changed. */
@Injectable()
export class PhotosService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** @throws ProblemException 400 for what is no picture, 404 without a project, 409 when the id is taken */
  async add(projectId: string, id: string, sent: Buffer) {
    if (!ID_PATTERN.test(id)) throw badInput([{ path: '/id', message: 'this is no id', given: id, accepted: ID_ACCEPTED }]);
    const [project] = await this.db.select({ id: projects.id }).from(projects).where(eq(projects.id, projectId));
    if (!project) throw notFound(`project ${projectId}`);
    const { bytes, width, height } = await pictureOf(sent);
    const made = await this.db
      .insert(photos)
      .values({ projectId, id, bytes, width, height })
      .onConflictDoNothing()
      .returning({ id: photos.id });
    if (made.length === 0) throw inUse(`There is a photo ${id} already.`);
    return { id, width, height };
  }

  /** @throws ProblemException 404 when there is none */
  async bytes(projectId: string, id: string): Promise<Buffer> {
    const [photo] = await this.db
      .select({ bytes: photos.bytes })
      .from(photos)
      .where(and(eq(photos.projectId, projectId), eq(photos.id, id)));
    if (!photo) throw notFound(`photo ${id}`);
    return Buffer.from(photo.bytes);
  }
}

@ApiTags('photos')
@ForPhones()
@Controller('projects/:project/photos')
class PhotosController {
  constructor(@Inject(PhotosService) private readonly photos: PhotosService) {}

  @Post()
  @ApiConsumes('image/jpeg', 'image/png', 'image/webp', 'image/avif')
  @ApiBody({ schema: { type: 'string', format: 'binary' } })
  @ApiQuery({ name: 'id', required: true })
  @Answers('Keep a photo: scaled down, turned upright, without its place and time', KEPT, 201)
  add(@Param('project') project: string, @Query('id') id: string, @Req() req: Request) {
    return this.photos.add(project, id, Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0));
  }

  @Get(':id')
  @ApiProduces('image/jpeg')
  @Answers('A photo', { type: 'string', format: 'binary' })
  async show(@Param('project') project: string, @Param('id') id: string, @Res() res: Response): Promise<void> {
    const bytes = await this.photos.bytes(project, id);
    res.type('image/jpeg').set('Cache-Control', 'private, max-age=31536000, immutable').send(bytes);
  }
}

@Module({ controllers: [PhotosController], providers: [PhotosService], exports: [PhotosService] })
export class PhotosModule {}
