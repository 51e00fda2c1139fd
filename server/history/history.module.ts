import { Module } from '@nestjs/common';
import { RecordsModule } from '../records/records.module.js';
import { HistoryController } from './history.controller.js';
import { HistoryService } from './history.service.js';

@Module({ imports: [RecordsModule], controllers: [HistoryController], providers: [HistoryService] })
export class HistoryModule {}
