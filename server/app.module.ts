import { Global, Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { CONFIG, type Config } from './config.js';
import { DATABASE, type Database } from './data/database.js';
import { BuildingsModule } from './buildings/buildings.module.js';
import { CuttingsModule } from './cuttings/cuttings.module.js';
import { HardwareModule } from './hardware/hardware.module.js';
import { HealthModule } from './health/health.module.js';
import { HistoryModule } from './history/history.module.js';
import { LogModule } from './log/log.module.js';
import { MadeModule } from './made/made.module.js';
import { OpeningsModule } from './openings/openings.module.js';
import { PeopleModule } from './people/people.module.js';
import { PhotosModule } from './photos/photos.module.js';
import { PiecesModule } from './pieces/pieces.module.js';
import { PrintsModule } from './prints/prints.module.js';
import { ProjectsModule } from './projects/projects.module.js';
import { ReadingsModule } from './readings/readings.module.js';
import { RequestGuard } from './problems/request.guard.js';
import { DiskGuard } from './records/disk.guard.js';
import { PhoneGuard } from './shop/rights.js';
import { ShopModule } from './shop/shop.module.js';
import { SlidesModule } from './slides/slides.module.js';
import { StockModule } from './stock/stock.module.js';
import { WorkController } from './work/work.controller.js';
import { WorkService } from './work/work.service.js';
import { ThingsModule } from './things/things.module.js';

const RESOURCES = [
  ProjectsModule,
  PiecesModule,
  OpeningsModule,
  ThingsModule,
  StockModule,
  SlidesModule,
  HardwareModule,
  PeopleModule,
  CuttingsModule,
  BuildingsModule,
  LogModule,
  ReadingsModule,
  MadeModule,
  PhotosModule,
  ShopModule,
  PrintsModule,
  HistoryModule,
  HealthModule,
];

@Global()
@Module({})
export class AppModule {
  static with(config: Config, db: Database): DynamicModule {
    return {
      module: AppModule,
      imports: [ThrottlerModule.forRoot([{ ttl: 60_000, limit: config.perMinute }]), ...RESOURCES],
      controllers: [WorkController],
      providers: [
        { provide: CONFIG, useValue: config },
        { provide: DATABASE, useValue: db },
        WorkService,
        { provide: APP_GUARD, useClass: ThrottlerGuard },
        { provide: APP_GUARD, useClass: PhoneGuard },
        { provide: APP_GUARD, useClass: DiskGuard },
        { provide: APP_GUARD, useClass: RequestGuard },
      ],
      exports: [CONFIG, DATABASE, WorkService],
    };
  }
}
