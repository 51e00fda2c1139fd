// Data flows one way: readings and specs, solve, solution, views and files. Nothing below knows what is above.
/** Folders in the order of what knows what: a folder knows those before its own line, and none after it. */
const CORE = [
  ['length', 'measures', 'solid', 'ids', 'sense'],
  ['figure'],
  ['run', 'survey', 'stock', 'things', 'cutting'],
  ['project'],
  ['piece', 'joints'],
  ['carry', 'parts'],
  ['finding', 'remedies'],
  ['interiors'],
  ['shells'],
  ['kinds'],
  ['checks'],
  ['solution', 'proposal'],
  ['layout', 'build'],
  ['log', 'elsewhere'],
  ['drawing', 'formats'],
];
const PAGE = [
  ['theme', 'data'],
  ['shared'],
  ['bench'],
  ['kinds', 'proposal', 'solid'],
  ['stations'],
  ['phone'],
  ['shed', 'stockroom', 'things', 'people', 'settings', 'handbook'],
];

const upwards = [
  ['core', CORE],
  ['web', PAGE],
].flatMap(([under, ranks]) =>
  ranks.slice(0, -1).map((names, i) => ({
    name: `${under}-${names[0]}-knows-nothing-above`,
    severity: 'error',
    from: { path: names.map((n) => `^${under}/${n}/`), pathNot: '\\.test\\.tsx?$' },
    to: {
      path: ranks
        .slice(i + 1)
        .flat()
        .map((n) => `^${under}/${n}/`),
    },
  })),
);

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(server|web|cli|demo|e2e|bench|print)/' } },
    {
      name: 'core-has-no-node-and-no-interface',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-has-no-interface-packages',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: 'node_modules/(react|styled-components|@nestjs|drizzle|@electric)' },
    },
    { name: 'server-and-page-apart', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    { name: 'page-and-server-apart', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|cli|print)/' } },
    { name: 'print-knows-the-core-alone', severity: 'error', from: { path: '^print/' }, to: { path: '^(server|web|cli|demo|e2e|bench)/' } },
    {
      name: 'known-packages-only',
      severity: 'error',
      from: { pathNot: 'vite\\.config' },
      to: { couldNotResolve: true, pathNot: '[?]url$' },
    },
    ...upwards,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      conditionNames: ['import', 'require', 'node', 'default'],
      exportsFields: ['exports'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'],
    },
  },
};
