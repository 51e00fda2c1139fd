import { Module } from '@nestjs/common';
import { RecordsModule } from '../records/records.module.js';
import { Incoming } from './incoming.js';
import { ProjectsController } from './projects.controller.js';
import { ProjectsService } from './projects.service.js';

@Module({ imports: [RecordsModule], controllers: [ProjectsController], providers: [ProjectsService, Incoming], exports: [ProjectsService] })
export class ProjectsModule {}
