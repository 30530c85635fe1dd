import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from './scripts/lib/browser.ts'
import { startBuiltApp } from './scripts/lib/builtApp.ts'
import { buildClient } from './scripts/lib/project.ts'

buildClient()
const app = await startBuiltApp()
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
const [w, ...paths] = process.argv.slice(2)
const page = await browser.newPage({ viewport: { width: Number(w), height: Number(w) < 500 ? 844 : 800 } })
let i = 0
for (const p of paths) {
  const [path, click] = p.split('#')
  await page.goto(app.url + path, { waitUntil: 'networkidle' })
  await page.waitForTimeout(1500)
  if (click) {
    await page.getByRole('button', { name: click }).first().click()
    await page.waitForTimeout(900)
  }
  await page.screenshot({ path: `/tmp/shot${i++}.png` })
}
await browser.close()
await app.close()
process.exit(0)
