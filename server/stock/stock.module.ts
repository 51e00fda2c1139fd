import { Module } from '@nestjs/common';
import { StockSchema } from '../../core/stock/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';

class StockController extends recordController('stock', () => StockSchema) {}

@Module({ imports: [RecordsModule], controllers: [StockController] })
export class StockModule {}
