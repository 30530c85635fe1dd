import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'tests/docs/*.test.ts'],
          environment: 'node',
          env: { TZ: 'UTC' },
        },
      },
      {
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts'],
          globalSetup: 'tests/server/globalSetup.ts',
          env: { TZ: 'UTC' },
          fileParallelism: false,
          testTimeout: 120_000,
        },
      },
    ],
  },
})
