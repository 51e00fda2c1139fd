const swc = (extra = {}) => [
  '@swc/jest',
  {
    module: { type: 'commonjs' },
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', decorators: true, tsx: true },
      transform: { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false, react: { runtime: 'automatic' } },
      ...extra,
    },
  },
];

/** Packages that are modules only, which the test runner has to be given another way. */
const modules = (names) => [`/node_modules/(?!(${names})/)`];

/** What is about a PostgreSQL server is tried where there is one; what takes long, by `npm run test:long`. */
const leftOut = [
  ...(process.env.RUVOK_TEST_POSTGRES ? [] : ['\\.postgres\\.test\\.']),
  ...(process.env.RUVOK_LONG ? [] : ['\\.long\\.test\\.']),
];

const common = {
  transform: { '^.+\\.(ts|tsx|js|mjs)$': swc() },
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  transformIgnorePatterns: modules('earcut'),
  modulePathIgnorePatterns: ['<rootDir>/build/'],
  testPathIgnorePatterns: ['/node_modules/', ...leftOut],
};

export default {
  // As many as there are cores.
  maxWorkers: 2,
  // Nothing is held to a clock: a machine that does much else besides takes its time.
  testTimeout: 30_000,
  projects: [
    {
      ...common,
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: [
        '<rootDir>/core/**/*.test.ts',
        '<rootDir>/cli/**/*.test.ts',
        '<rootDir>/print/**/*.test.ts',
        '<rootDir>/demo/**/*.test.ts',
        '<rootDir>/hard/**/*.test.ts',
      ],
    },
    {
      ...common,
      displayName: 'server',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/server/**/*.test.ts'],
      setupFilesAfterEnv: ['<rootDir>/server/test/after.ts'],
      transformIgnorePatterns: modules(
        '@nestjs|file-type|strtok3|token-types|uint8array-extras|@tokenizer|load-esm|earcut|jsondiffpatch|@dmsnell',
      ),
    },
    {
      ...common,
      displayName: 'web',
      testEnvironment: 'jsdom',
      testEnvironmentOptions: { customExportConditions: ['node', 'node-addons'] },
      setupFiles: ['<rootDir>/web/test/setup.ts'],
      setupFilesAfterEnv: ['<rootDir>/web/test/after.cjs'],
      testMatch: ['<rootDir>/web/**/*.test.ts', '<rootDir>/web/**/*.test.tsx'],
    },
  ],
};
