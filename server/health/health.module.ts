import { Controller, Get, Inject, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { sql } from 'drizzle-orm';
import { Answers, object } from '../problems/answers.js';
import { DATABASE, type Database } from '../data/database.js';
import { ForPhones } from '../shop/rights.js';

/** The database is given so long before it counts as busy, ms. */
const PATIENCE = 20;

@ApiTags('health')
@ForPhones()
@Controller('health')
class HealthController {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  @Get()
  @Answers(
    'Whether the server and its database answer; the database is busy while it reads in a file or undoes a lot',
    object({ status: { type: 'string', enum: ['ok', 'busy'] } }),
  )
  async health() {
    const answers = this.db.execute(sql`select 1`).then(() => 'ok' as const);
    // Whoever asks is answered at once, whatever the database is at.
    const status = await Promise.race([answers, new Promise<'busy'>((resolve) => setTimeout(resolve, PATIENCE, 'busy').unref())]);
    return { status };
  }
}

@Module({ controllers: [HealthController] })
export class HealthModule {}
