import { keepQuick, projectFileSchema } from '../core/formats/index.js';
import { projectCheck } from './compiled.js';

if (projectCheck) keepQuick(projectFileSchema(), projectCheck);

export { main } from './main.js';
