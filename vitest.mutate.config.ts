import { defineConfig } from 'vitest/config'

const folders = (process.env.ROOMS ?? '').split(',').filter(Boolean)
const isServer = folders.includes('src/server')

/** What mutated code is run against: the tests of its own rooms, and the pinned tables and drafts; the server's, those of its answers. */
export default defineConfig({
  test: {
    include: [
      ...folders.map((folder) => `${folder}/**/*.test.ts`),
      'tests/tables/*.test.ts',
      ...(isServer
        ? ['documents', 'lists', 'observations', 'water', 'scale', 'standIns'].map((name) => `tests/server/${name}.test.ts`)
        : []),
    ],
    ...(isServer && { globalSetup: 'tests/server/globalSetup.ts', fileParallelism: false }),
    env: { TZ: 'UTC' },
    testTimeout: 60_000,
  },
})
