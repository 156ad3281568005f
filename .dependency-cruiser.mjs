/* Which way imports go: `npm run lint` fails on a circle, on an arrow that goes up, and on a way into a folder past its index. */

/** The core from the ground up: a folder imports from floors below its own only, types included. */
const floors = [
  ['same-fields'],
  ['units', 'random', 'remember', 'hex'],
  ['colour', 'vessel', 'device'],
  ['regions', 'glitter', 'ink', 'resin'],
  ['learn'],
  ['motif', 'look', 'stock', 'wet', 'pattern'],
  ['areas', 'fade'],
  ['design'],
  ['layout'],
  ['coats'],
  ['blends', 'pieces', 'on-surface'],
  ['strings'],
  ['pots', 'match'],
  ['check', 'ring'],
  ['plan'],
  ['field', 'palette', 'formats', 'suggest'],
  [
    'figure',
    'history',
    'templates',
    'glossary',
    'guide',
    'timeline',
    'batches',
    'ink-dab',
    'ink-depth',
    'ink-pot',
    'practice',
    'section',
    'string-flow',
    'trouble',
    'first-shelf',
    'cups-file',
    'outline-file',
    'photo',
    'cup-photo',
    'shelf-table',
    'sharing',
    'refit',
  ],
  ['photo-edges', 'make'],
  ['order', 'week'],
  ['money', 'calendar'],
];

const inFloors = (from) => `^core/src/(${floors.slice(from).flat().join('|')})(/|\\.ts$)`;

/** @type {import('dependency-cruiser').IConfiguration} */
export default {
  forbidden: [
    {
      name: 'no-circle',
      comment: 'Two files that need each other are one idea, or hide a third one: put what both need below both.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'through-the-index',
      comment: 'A folder of the core is reached through its index.ts: export there what others may use.',
      severity: 'error',
      from: { path: '^(core/src|core/test|server|web|e2e|bench|campaign)/([^/]+)' },
      to: { path: '^core/src/[^/]+/(?!index\\.ts$).+\\.ts$', pathNot: '^core/src/$2/' },
    },
    ...floors.map((folders, floor) => ({
      name: `down-from-${folders.join('-')}`,
      comment: 'Imports go down only (see the floors in .dependency-cruiser.mjs): what this folder needs belongs below it.',
      severity: 'error',
      from: { path: `^core/src/(${folders.join('|')})(/|\\.ts$)` },
      to: { path: inFloors(floor), pathNot: '^core/src/$1(/|\\.ts$)' },
    })),
    {
      name: 'on-some-floor',
      comment: 'A new folder of the core gets its floor in .dependency-cruiser.mjs.',
      severity: 'error',
      from: {},
      to: { path: '^core/src/', pathNot: ['^core/src/index\\.ts$', inFloors(0)] },
    },
    {
      name: 'found',
      comment: 'What is imported can’t be found.',
      severity: 'error',
      from: { pathNot: 'web/src/app/workers/new-worker' },
      to: { couldNotResolve: true },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    includeOnly: '^(core|server|web|e2e|bench|campaign|scripts)/',
    exclude: { path: '/(dist|node_modules|coverage)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.mjs', '.js', '.json'],
    },
  },
};
