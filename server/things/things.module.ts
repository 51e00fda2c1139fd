import { Module } from '@nestjs/common';
import { ThingSchema } from '../../core/things/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';

class ThingsController extends recordController('things', () => ThingSchema) {}

@Module({ imports: [RecordsModule], controllers: [ThingsController] })
export class ThingsModule {}
