import { Module } from '@nestjs/common';
import { OpeningSchema } from '../../core/survey/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';

class OpeningsController extends recordController('openings', () => OpeningSchema) {}

@Module({ imports: [RecordsModule], controllers: [OpeningsController] })
export class OpeningsModule {}
