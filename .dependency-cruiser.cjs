// Data flows one way: readings and specs, solve, solution, views and files. Nothing below knows what is above.
const folder = (name) => `^core/${name}/`;
const ranks = [
  ['length'],
  ['figure', 'project'],
  ['run', 'survey', 'stock', 'things'],
  ['piece', 'joints'],
  ['carry', 'parts'],
  ['finding', 'remedies'],
  ['interiors'],
  ['shells'],
  ['kinds'],
  ['checks'],
  ['solution', 'proposal'],
  ['drawing', 'formats'],
];

const upwards = ranks.slice(0, -1).map((names, i) => ({
  name: `core-${names[0]}-knows-nothing-above`,
  severity: 'error',
  from: { path: names.map(folder), pathNot: '\\.test\\.ts$' },
  to: {
    path: ranks
      .slice(i + 1)
      .flat()
      .map(folder),
    pathNot: names.includes('project') ? [folder('run'), folder('survey'), folder('stock'), folder('things')] : [],
  },
}));

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(server|web|cli|demo|e2e|bench)/' } },
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
    { name: 'page-and-server-apart', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|cli)/' } },
    { name: 'stations-apart', severity: 'error', from: { path: '^web/(shared|theme)/' }, to: { path: '^web/(stations|shed|bench)/' } },
    { name: 'known-packages-only', severity: 'error', from: { pathNot: 'vite\\.config' }, to: { couldNotResolve: true, pathNot: '[?]url$' } },
    ...upwards,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'] },
  },
};
