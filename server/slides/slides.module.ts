import { Module } from '@nestjs/common';
import { SlideSchema } from '../../core/stock/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';

class SlidesController extends recordController('slides', () => SlideSchema) {}

@Module({ imports: [RecordsModule], controllers: [SlidesController] })
export class SlidesModule {}
