import { existsSync } from 'node:fs'
import { installDebianPackage } from './debian.ts'

export const CHROMIUM = '/usr/bin/chromium'

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

export function ensureChromium(): void {
  if (!existsSync(CHROMIUM)) installDebianPackage('chromium', 'The browser tests')
}
