import { Body, Controller, Inject, Param, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsBoolean, IsISO8601, IsString, Length } from 'class-validator';
import { buildingOf, type Building } from '../../core/build/index.js';
import { Answers, recordOf } from '../problems/answers.js';
import { edge } from '../problems/schema.validator.js';
import { ProblemException } from '../problems/problem.js';
import { RecordsService } from '../records/records.service.js';
import { ForPhones } from '../shop/rights.js';

class TickDto {
  @ApiProperty({ example: 'saw', description: 'The id of the step' })
  @IsString()
  @Length(1, 300)
  step!: string;

  @ApiProperty({ example: '2026-05-04T18:00:00Z', description: 'When it was done' })
  @IsISO8601({ strict: true })
  at!: string;

  @ApiProperty({ example: true, description: 'Done, or not done after all' })
  @IsBoolean()
  done!: boolean;
}

/** So often a tick is tried again when something else changed the same building meanwhile. */
const ROUNDS = 5;

/** Ticks of steps from the bench: each says one thing, so that it can be sent again and come late without harm. */
@ApiTags('buildings')
@ForPhones()
@Controller('projects/:project/pieces/:piece/steps')
export class StepsController {
  constructor(@Inject(RecordsService) private readonly records: RecordsService) {}

  @Post()
  @Answers('Tick a step off, or take that back; sent twice it is done once', recordOf('The plan of building'), 201)
  async tick(@Param('project') project: string, @Param('piece') piece: string, @Body(edge(TickDto)) tick: TickDto) {
    await this.records.one(project, 'pieces', piece);
    for (let round = 1; ; round += 1) {
      try {
        return await this.once(project, piece, tick);
      } catch (error) {
        const again = error instanceof ProblemException && error.problem.status === 409 && round < ROUNDS;
        if (!again) throw error;
      }
    }
  }

  private async once(project: string, piece: string, { step, at, done }: TickDto) {
    const all = await this.records.list(project, 'buildings');
    const kept = all.find((b) => (b.data as Building).piece === piece);
    const now = (kept?.data ?? buildingOf(piece)) as Building;
    const known = now.done.find((d) => d.step === step);
    // What is there already stays as it was noted first.
    if (kept && done === (known !== undefined)) return kept;
    const next: Building = {
      ...now,
      done: done ? [...now.done, { step, at: new Date(at).toISOString() }] : now.done.filter((d) => d.step !== step),
    };
    const label = done ? 'Done at the bench' : 'Not done after all';
    return kept
      ? this.records.save(project, 'buildings', kept.id, kept.version, next, label)
      : this.records.create(project, 'buildings', piece, next, label);
  }
}
