import { existsSync } from 'node:fs'
import { installDebianPackage } from './debian.ts'

/** Chromium without a window interface: a fifth quicker than the full one, which does as well where this one cannot be installed. */
const HEADLESS_SHELL = '/usr/bin/chromium-headless-shell'
const CHROMIUM = '/usr/bin/chromium'

/** Debian's Chromium as a test browser: no services of its own, no network beyond what a page asks for. */
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--disable-dev-shm-usage',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

export const browserPath = (): string => (existsSync(CHROMIUM) && !existsSync(HEADLESS_SHELL) ? CHROMIUM : HEADLESS_SHELL)

export function ensureBrowser(): void {
  if (existsSync(HEADLESS_SHELL)) return
  try {
    installDebianPackage('chromium-headless-shell', 'The browser tests')
  } catch (error) {
    if (!existsSync(CHROMIUM)) throw error
  }
}
