import { ProjectFileSchema, keepQuick } from '../core/formats/index.js';
import { projectCheck } from './compiled.js';

if (projectCheck) keepQuick(ProjectFileSchema, projectCheck);

export { main } from './main.js';
