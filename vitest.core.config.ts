import { defineConfig } from 'vitest/config'

/** The core’s own tests alone: what mutated code is run against. */
export default defineConfig({
  test: { include: ['src/core/**/*.test.ts', 'tests/tables/*.test.ts'], env: { TZ: 'UTC' }, testTimeout: 60_000 },
})
