import { Module } from '@nestjs/common';
import { PersonSchema } from '../../core/project/index.js';
import { recordController } from '../records/record.controller.js';
import { RecordsModule } from '../records/records.module.js';

class PeopleController extends recordController('people', () => PersonSchema) {}

@Module({ imports: [RecordsModule], controllers: [PeopleController] })
export class PeopleModule {}
