/** The arrows of the house: which room may know which. Checked by `npm run arrows`. */
const room = (name) => `^${name}/`;
const test = '\\.test\\.ts$|^tests/|^bench/';

/** Inside core, each folder may know those before it in this order (and itself). */
const CORE = [
  'numbers',
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
  'script',
  'cupboard',
  'caution',
  'run',
  'review',
  'fit',
  'course',
  'order',
  'jobs',
  'settings',
  'exchange',
];
const corePaths = CORE.map((folder, i) => ({
  name: `core-${folder}-looks-down`,
  comment: `Each knows those before it: ${CORE.join(' ← ')}`,
  severity: 'error',
  from: { path: `^core/${folder}/`, pathNot: test },
  to: { path: `^core/(${CORE.slice(i + 1).join('|') || 'nothing'})/` },
}));

/**
 * Inside web, each room may know those before it in this order (and itself). The pages know everything below them and
 * never each other; `ui` knows neither a store nor the domain; a worker knows core and the library only.
 */
const WEB = ['client', 'sync', 'state', 'ui', 'widgets', 'pages', 'app'];
const webPaths = WEB.map((folder, i) => ({
  name: `web-${folder}-looks-down`,
  comment: `Each knows those before it: ${WEB.join(' ← ')}`,
  severity: 'error',
  from: { path: `^web/${folder}/`, pathNot: test },
  to: { path: `^web/(${WEB.slice(i + 1).join('|') || 'nothing'})/` },
}));

module.exports = {
  forbidden: [
    ...corePaths,
    ...webPaths,
    {
      name: 'pages-never-import-each-other',
      severity: 'error',
      from: { path: '^web/pages/([^/]+)/' },
      to: { path: '^web/pages/', pathNot: '^web/pages/$1/' },
    },
    {
      name: 'ui-knows-neither-store-nor-domain',
      comment: 'Time alone is everybody’s: a field for a length reads and shows it.',
      severity: 'error',
      from: { path: '^web/ui/', pathNot: test },
      to: { path: '^web/(client|sync|state)/|^core/(?!time/|numbers/)|^library/|^api/|^node_modules/pinia/' },
    },
    {
      name: 'workers-know-core-and-library',
      severity: 'error',
      from: { path: '^web/workers/', pathNot: test },
      to: { path: '^web/|^api/|^server/|^node_modules/(vue|pinia|primevue)/', pathNot: '^web/workers/' },
    },
    {
      name: 'handout-stands-alone',
      comment: 'It goes into a file of its own: it knows core, the bell and itself.',
      severity: 'error',
      from: { path: '^web/handout/', pathNot: test },
      to: {
        path: '^web/|^api/|^server/|^library/|^node_modules/(vue|pinia|primevue)/',
        pathNot: '^web/handout/|^web/widgets/sound/bell\\.ts$|^web/state/bell-sound\\.ts$|^web/app/theme/tokens\\.css$',
      },
    },
    {
      name: 'web-has-rooms',
      comment: 'Whatever is in web is in one of its rooms.',
      severity: 'error',
      from: { path: '^web/', pathNot: `^web/(${WEB.join('|')}|workers|handout|public)/|${test}` },
      to: {},
    },
    {
      name: 'core-knows-zod-and-itself',
      comment:
        'And, for the outline of the figure, marching squares; for substitutes, a solver of integer programs; for days, date-fns; for tables, calendars and captions, papaparse, ical.js and media-captions; for words as they sound, double-metaphone and fastest-levenshtein.',
      severity: 'error',
      from: { path: room('core'), pathNot: test },
      to: {
        pathNot:
          '^core/|^node_modules/(zod|fast-deep-equal|d3-contour|yalps|date-fns|papaparse|ical\\.js|media-captions|double-metaphone|fastest-levenshtein|@types/(d3-contour|papaparse))/',
      },
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
