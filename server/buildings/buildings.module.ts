import { Module } from '@nestjs/common';
import { BuildingSchema } from '../../core/build/index.js';
import { recordController } from '../records/record.controller.js';
import { StepsController } from './steps.controller.js';
import { RecordsModule } from '../records/records.module.js';

class BuildingsController extends recordController('buildings', () => BuildingSchema) {}

@Module({ imports: [RecordsModule], controllers: [BuildingsController, StepsController] })
export class BuildingsModule {}
