import { Module } from '@nestjs/common';
import { LogEntrySchema } from '../../core/build/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';

class LogController extends recordController('log', () => LogEntrySchema) {}

@Module({ imports: [RecordsModule], controllers: [LogController] })
export class LogModule {}
