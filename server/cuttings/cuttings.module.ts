import { Module } from '@nestjs/common';
import { CuttingSchema } from '../../core/layout/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';

class CuttingsController extends recordController('cuttings', () => CuttingSchema) {}

@Module({ imports: [RecordsModule], controllers: [CuttingsController] })
export class CuttingsModule {}
