/** Imports point one way: app → ui, studio → data → core; ui → core; devices stand behind ports; demo → studio. */
const { readdirSync } = require('node:fs');

/** Floors of the studio from the ground up; a room uses those below it, and those beside it as long as none of them uses it in turn. */
const STUDIO_FLOORS = [
  ['kernel', 'jobs'],
  ['settings', 'people', 'tokens', 'catalogue', 'books'],
  ['reservations', 'ledger', 'stock'],
  [
    ...['wire', 'drawers', 'scrap', 'prices', 'counting', 'deliveries', 'photos', 'holes'],
    ...['patterns', 'batches', 'trayMaking', 'logbook', 'making', 'shelf', 'corrections'],
  ],
  [
    ...['cuttingPlan', 'cuttingTable', 'makeable', 'schedule', 'toBuy', 'fitting', 'calculate'],
    ...[
      'lists',
      'paper',
      'pictures',
      'labels',
      'find',
      'instruments',
      'sittings',
      'selling',
      'orders',
      'jobRegistry',
    ],
  ],
];

const onNoFloor = readdirSync('src/studio', { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && !STUDIO_FLOORS.flat().includes(entry.name))
  .map(({ name }) => name);
if (onNoFloor.length > 0) throw new Error(`src/studio: ${onNoFloor.join(', ')} stands on no floor`);

const rooms = (floors) => `^src/studio/(${floors.flat().join('|')})/`;

const forbid = (name, comment, from, to) => ({ name, comment, severity: 'error', from, to });

module.exports = {
  forbidden: [
    forbid('no-circular', 'A ring of imports has no bottom to stand on.', {}, { circular: true }),
    ...STUDIO_FLOORS.slice(1).map((_, below) =>
      forbid(
        `no-way-up-from-studio-floor-${below + 1}`,
        'A room of the studio knows nothing of the floors above it.',
        { path: rooms(STUDIO_FLOORS.slice(0, below + 1)), pathNot: '\\.test\\.ts$' },
        { path: rooms(STUDIO_FLOORS.slice(below + 1)) },
      ),
    ),
    forbid(
      'core-is-pure',
      'The core runs the same in a browser, a worker, the server and a test.',
      { path: '^src/core', pathNot: '\\.test\\.ts$' },
      // The solver is a pure computation too.
      { pathNot: '^(src/core|node_modules/(highs|date-fns)/)' },
    ),
    forbid(
      'data-knows-only-core',
      'The data room stores; it does not decide or draw.',
      { path: '^src/data' },
      { path: '^src/(app|ui|studio|devices)' },
    ),
    forbid(
      'steps-are-frozen',
      'A step of the schema that has shipped holds its values itself: what the core says may change.',
      { path: '^src/data/migrations/' },
      { pathNot: '^src/data/migrations/' },
    ),
    forbid(
      'studio-does-not-draw',
      'Use cases know neither screens nor the framework.',
      { path: '^src/studio' },
      { path: '^(src/(app|ui)|node_modules/(next|react)/)' },
    ),
    forbid(
      'nothing-knows-the-demonstration',
      'The demonstration studio is one more that works with the use cases; only the page that says how one signs in to it knows of it.',
      { path: '^src', pathNot: '^src/(demo/|app/lib/demo\\.ts$)|\\.test\\.ts$' },
      { path: '^src/demo' },
    ),
    forbid(
      'devices-know-only-core',
      'A device stands behind its port; it knows nothing of the studio.',
      { path: '^src/devices' },
      { path: '^src/(app|ui|studio|data)' },
    ),
    forbid(
      'ui-knows-only-core',
      'Shared components draw what they are given.',
      { path: '^src/ui' },
      { path: '^src/(app|studio|data|devices)' },
    ),
    forbid(
      'one-door-to-the-database',
      'Only the data room talks to PostgreSQL.',
      { path: '^src', pathNot: '^src/data' },
      { path: 'node_modules/(sequelize|pg|umzug)/' },
    ),
    forbid(
      'pages-go-through-use-cases',
      'Pages load and act through src/studio, never straight from the data room.',
      { path: '^src/app' },
      { path: '^src/data' },
    ),
    forbid(
      'techniques-come-one-by-one',
      'What a browser may be sent takes the techniques it is given: all of them together weigh as much as a page may.',
      {
        path: '^src/(ui|core/(technique|techniqueKit|techniques/each|parameter|plan|pattern/(composition|resolve|changes|readComposition|bodyOf)|costing|batch|judgement|drawing|piece))',
        pathNot: '\\.test\\.tsx?$',
      },
      { path: '^src/core/techniques/registry' },
    ),
    forbid(
      'no-tests-in-product',
      'Shipped code imports no test.',
      { path: '^src', pathNot: '\\.test\\.tsx?$' },
      { path: '\\.test\\.tsx?$' },
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
};
