/** What each folder may import: the table of docs/architecture.md. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { pathNot: allowed },
})
const npm = (...names) => names.map((name) => `node_modules/${name}/`)

module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      from: { path: '^src' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
    only('core-is-pure', '^src/core/', [
      '^src/core',
      ...npm(
        'zod',
        'd3-scale',
        '@types/d3-scale',
        'd3-shape',
        '@types/d3-shape',
        '@neaps/tide-predictor',
        'suncalc',
        '@date-fns/tz',
      ),
    ]),
    only('shared-is-contracts', '^src/shared/', ['^src/(core|shared)', ...npm('zod')]),
    only('files-read-and-write', '^src/files/', [
      '^src/(core|shared|files)/',
      ...npm('papaparse', '@types/papaparse', 'fast-xml-parser', 'ical-generator', '@date-fns/tz', 'zod'),
    ]),
    only('cli-is-thin', '^src/cli/', ['^src/(core|shared|cli)', '^(node:)?fs$']),
    only('workers-are-thin', '^src/workers/', ['^src/(core|shared|workers)/']),
    { name: 'server-knows-no-client', severity: 'error', from: { path: '^src/server' }, to: { path: '^src/client' } },
    {
      name: 'client-knows-no-server',
      severity: 'error',
      from: { path: '^src/client', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^(src/(server|cli)|scripts|tests)/' },
    },
    {
      name: 'screens-stand-alone',
      severity: 'error',
      from: { path: '^src/client/screens/([^/]+)/' },
      to: { path: '^src/client/screens/([^/]+)/', pathNot: '^src/client/screens/$1/' },
    },
    {
      name: 'lower-client-knows-no-screens',
      severity: 'error',
      from: { path: '^src/client/(api|ui|charts|words|settings|judge)/' },
      to: { path: '^src/client/(screens|shell)' },
    },
    {
      name: 'charts-and-ui-fetch-nothing',
      severity: 'error',
      from: { path: '^src/client/(charts|ui)/' },
      to: { path: '^src/client/api' },
    },
  ],
  options: { doNotFollow: { path: 'node_modules' }, tsConfig: { fileName: 'tsconfig.json' }, tsPreCompilationDeps: true },
}
