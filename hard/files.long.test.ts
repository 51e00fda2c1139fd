import { PRINT_SHED } from '../demo/print-shed.js';
import { faultOfFile, fileOfOne } from './files.js';

test.each(Object.keys(PRINT_SHED.pieces))(
  '%s, in a file of its own, is read and worked out',
  (id) => {
    expect(faultOfFile(fileOfOne(id))).toBeNull();
  },
  180_000,
);
