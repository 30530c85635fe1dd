import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'tests/docs/*.test.ts', 'tests/tables/*.test.ts', 'tests/judgement/*.test.ts'],
          environment: 'node',
          env: { TZ: 'UTC' },
          // Pure code shares its modules between files: they are loaded once a thread, not once a file.
          pool: 'threads',
          isolate: false,
          // A property test on a busy machine takes its time; what hangs still ends.
          testTimeout: 60_000,
          hookTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'components',
          include: ['src/client/**/*.test.tsx'],
          environment: 'happy-dom',
          isolate: false,
          env: { TZ: 'UTC' },
          testTimeout: 60_000,
          hookTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts'],
          globalSetup: 'tests/server/globalSetup.ts',
          env: { TZ: 'UTC' },
          fileParallelism: false,
          isolate: false,
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
})
