import { ensureChromium } from '../../scripts/lib/browser.ts'
import { startBuiltApp } from '../../scripts/lib/builtApp.ts'
import { buildClient } from '../../scripts/lib/project.ts'

/** The built application on a PostgreSQL of the tests' own. */
export default async function setup(): Promise<() => Promise<void>> {
  ensureChromium()
  buildClient()
  const app = await startBuiltApp()
  process.env.WIDE_REACH_URL = app.url
  return app.close
}
