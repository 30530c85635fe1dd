/** What each room may import: the drawing of docs/architecture.md. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { pathNot: allowed },
})
const never = (name, from, to) => ({ name, severity: 'error', from: { path: from, pathNot: '\\.test\\.tsx?$' }, to })
const npm = (...names) => names.flatMap((name) => [`node_modules/${name}/`, `node_modules/@types/${name}/`])

/** The rooms of the core from the ground up: each knows itself and those before it. */
const CORE_ROOMS = [
  'units',
  'math',
  'time',
  'physics',
  'statistics',
  'stock',
  'catalogue',
  'calculations',
  'documents',
  'soundness',
  'outfits',
  'setup',
  'joints',
  'knots',
  'edit',
  'moments',
  'purpose',
  'families',
  'advice',
  'drafting',
  'analysis',
  'learning',
  'plan',
  'lessons',
  'build',
  'batch',
  'change',
  'layout',
]
/** The rooms of the client, the same way: what is drawn knows nothing of the server until `api`. */
const CLIENT_ROOMS = [
  'regional',
  'settings',
  'catalogue',
  'words',
  'ui',
  'fishing',
  'charts',
  'api',
  'scale',
  'jobs',
  'lessons',
  'plan',
  'documents',
  'moments',
  'screens',
  'shell',
]
const FETCHING_PACKAGES = npm('@tanstack/react-query')
const CORE_PACKAGES = npm(
  'zod',
  'd3-scale',
  'd3-shape',
  '@neaps/tide-predictor',
  'suncalc',
  '@date-fns/tz',
  'safe-stable-stringify',
  'fastest-levenshtein',
)

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: { path: '^src' }, to: { circular: true } },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '^virtual:pwa-' } },
    ...CORE_ROOMS.map((room, i) =>
      only(`core-${room}`, `^src/core/${room}/`, [
        `^src/core/(${CORE_ROOMS.slice(0, i + 1).join('|')})/`,
        '^src/core/errors\\.ts$',
        ...CORE_PACKAGES,
      ]),
    ),
    only('core-errors', '^src/core/errors\\.ts$', ['^$']),
    never('tables-through-the-catalogue', '^src/(?!core/catalogue/)', { path: '^src/core/catalogue/tables/' }),
    only('shared-is-contracts', '^src/shared/', ['^src/(core|shared)/', ...npm('zod')]),
    only('files-read-and-write', '^src/files/', [
      '^src/(core|shared|files)/',
      ...npm(
        'papaparse',
        'fast-xml-parser',
        'ical-generator',
        '@date-fns/tz',
        'safe-stable-stringify',
        'zod',
        'jsonc-parser',
        'fastest-levenshtein',
      ),
    ]),
    only('cli-is-thin', '^src/cli/', ['^src/(core|shared|files|cli)/', '^(node:)?fs$']),
    only('workers-are-thin', '^src/workers/', ['^src/(core|shared|files|workers)/']),
    only('offline-knows-the-contracts', '^src/offline/', [
      '^src/shared/',
      ...npm('workbox-expiration', 'workbox-precaching', 'workbox-routing', 'workbox-strategies'),
    ]),
    never('server-knows-no-client', '^src/server/', { path: '^src/(client|workers|offline|files|cli)/' }),
    never('server-resources-stand-alone', '^src/server/(documents|observations|calculations|tides|weather|health|backup)/', {
      path: '^src/server/(documents|observations|calculations|tides|weather|health|backup)/',
      pathNot: '^src/server/$1/',
    }),
    never('server-ground-knows-no-resource', '^src/server/http/', {
      path: '^src/server/(documents|observations|calculations|tides|weather|health|backup)/',
    }),
    never('client-knows-no-server', '^src/client/', { path: '^(src/(server|cli)|scripts|tests)/' }),
    never('screens-stand-alone', '^src/client/screens/([^/]+)/', {
      path: '^src/client/screens/([^/]+)/',
      pathNot: '^src/client/screens/$1/',
    }),
    ...CLIENT_ROOMS.map((room, i) =>
      never(`client-${room}`, `^src/client/${room}/`, {
        path: '^src/client/',
        pathNot: `^src/client/(${CLIENT_ROOMS.slice(0, i + 1).join('|')})/`,
      }),
    ),
    never('client-draws-without-fetching', `^src/client/(${CLIENT_ROOMS.slice(0, CLIENT_ROOMS.indexOf('api')).join('|')})/`, {
      path: FETCHING_PACKAGES.join('|'),
    }),
    only('client-folders-are-rooms', '^src/client/(main|routes)\\.tsx$', [
      `^src/client/(${CLIENT_ROOMS.join('|')}|routes\\.tsx|styles\\.css)`,
      'node_modules/',
    ]),
    never(
      'every-folder-is-a-room',
      `^src/(?!(core/(${CORE_ROOMS.join('|')})|client/(${CLIENT_ROOMS.join('|')})|server|shared|files|workers|offline|cli)/)(?!core/errors\\.ts|client/(main|routes)\\.tsx)`,
      { path: '.*' },
    ),
    never('a-view-of-a-moment-goes-through-the-table', '^src/client/(?!moments/)', {
      path: '^src/client/moments/(cast|settle|take|run|snag|hand)View',
    }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'types'] },
  },
}
