import { closeIdle } from './database.js';

afterAll(closeIdle);
