import { Module } from '@nestjs/common';
import { BuildingSchema } from '../../core/build/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';

class BuildingsController extends recordController('buildings', () => BuildingSchema) {}

@Module({ imports: [RecordsModule], controllers: [BuildingsController] })
export class BuildingsModule {}
