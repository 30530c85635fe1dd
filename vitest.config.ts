import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: ['src/{core,shared,client,cli}/**/*.test.{ts,tsx}'],
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
          testTimeout: 60_000,
        },
      },
    ],
  },
})
