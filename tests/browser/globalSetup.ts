import { ensureBrowser } from '../../scripts/lib/browser.ts'
import { buildClient } from '../../scripts/lib/project.ts'

/** What every worker uses: the browser and the built client. */
export default function setup(): void {
  ensureBrowser()
  buildClient()
}
