/** The arrows of the house: which room may know which. Checked by `npm run arrows`. */
const room = (name) => `^${name}/`;
const test = '\\.test\\.ts$|^tests/|^bench/';

/** Inside core, each folder may know those before it in this order (and itself). */
const CORE = [
  'time',
  'knapsack',
  'document',
  'breath',
  'journal',
  'props',
  'body',
  'catalogue',
  'people',
  'heights',
  'plan',
  'timeline',
  'cupboard',
  'caution',
  'run',
  'record',
  'fit',
  'order',
  'arrange',
  'house',
];
const corePaths = CORE.map((folder, i) => ({
  name: `core-${folder}-looks-down`,
  comment:
    'time ← knapsack ← document ← breath ← journal; breath, props ← body ← catalogue ← people, heights, plan ← timeline ← cupboard, caution, run ← record ← fit ← order ← arrange, house',
  severity: 'error',
  from: { path: `^core/${folder}/`, pathNot: test },
  to: { path: `^core/(${CORE.slice(i + 1).join('|') || 'nothing'})/` },
}));

module.exports = {
  forbidden: [
    ...corePaths,
    {
      name: 'core-knows-zod-and-itself',
      comment: 'And, for the outline of the figure, marching squares; for substitutes, a solver of integer programs.',
      severity: 'error',
      from: { path: room('core'), pathNot: test },
      to: { pathNot: '^core/|^node_modules/(zod|fast-deep-equal|d3-contour|yalps|@types/d3-contour)/' },
    },
    {
      name: 'library-knows-core',
      severity: 'error',
      from: { path: room('library'), pathNot: test },
      to: { pathNot: '^core/|^library/' },
    },
    {
      name: 'api-knows-core',
      severity: 'error',
      from: { path: room('api'), pathNot: test },
      to: { pathNot: '^core/|^api/|^node_modules/zod/' },
    },
    { name: 'server-not-web', severity: 'error', from: { path: room('server') }, to: { path: room('web') } },
    { name: 'web-not-server', severity: 'error', from: { path: room('web') }, to: { path: room('server') } },
    {
      name: 'only-tests-know-tests',
      severity: 'error',
      from: { pathNot: test },
      to: { path: '^tests/|\\.test\\.ts$' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'nothing-unresolved',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\.(woff2|css)$' },
    },
    {
      name: 'through-the-public-face',
      comment: 'Another folder of core is known by its index only.',
      severity: 'error',
      from: { path: '^core/([^/]+)/', pathNot: test },
      to: { path: '^core/([^/]+)/(?!index\\.ts$)', pathNot: '^core/$1/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^dist/|^data/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.vue', '.js'],
    },
  },
};
