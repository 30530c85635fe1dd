import { defineConfig } from 'vitest/config'

const rooms = (process.env.ROOMS ?? '').split(',').filter(Boolean)

/** What mutated code is run against: the tests of its own rooms, and the pinned tables and drafts. */
export default defineConfig({
  test: {
    include: [...rooms.map((room) => `src/core/${room}/**/*.test.ts`), 'tests/tables/*.test.ts'],
    env: { TZ: 'UTC' },
    testTimeout: 60_000,
  },
})
