import { Controller, Get, Inject, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { sql } from 'drizzle-orm';
import { Answers, object } from '../problems/answers.js';
import { DATABASE, type Database } from '../data/database.js';

@ApiTags('health')
@Controller('health')
class HealthController {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  @Get()
  @Answers('Whether the server and its database answer', object({ status: { type: 'string', enum: ['ok'] } }))
  async health() {
    await this.db.execute(sql`select 1`);
    return { status: 'ok' };
  }
}

@Module({ controllers: [HealthController] })
export class HealthModule {}
