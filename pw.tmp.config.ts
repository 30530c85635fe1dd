import base from './playwright.config.ts'
export default {
  ...base,
  timeout: 60_000,
  expect: { timeout: 9_000 },
  reporter: [['list']],
  use: { ...base.use, actionTimeout: 9_000 },
}
