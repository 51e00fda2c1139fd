import { Module } from '@nestjs/common';
import { HardwareSchema } from '../../core/stock/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';

class HardwareController extends recordController('hardware', () => HardwareSchema) {}

@Module({ imports: [RecordsModule], controllers: [HardwareController] })
export class HardwareModule {}
