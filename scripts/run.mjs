// The one way in: makes sure the npm packages of the lock file are there, then runs a TypeScript entry in this process.
// Plain JavaScript on Node's own modules, because it must run in a fresh clone with nothing installed.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { bundle } from '../src/server/bundle.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
if (!((major === 20 && minor >= 19) || (major === 22 && minor >= 12) || major > 22)) {
  console.error(`Wide Reach needs Node 20.19 or later, or 22.12 or later. This is ${process.versions.node}.`)
  process.exit(1)
}

const stamp = join(root, 'node_modules', '.wide-reach-lock')
const lock = createHash('sha256')
  .update(readFileSync(join(root, 'package-lock.json')))
  .digest('hex')
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
  console.error('Installing npm packages …')
  // `npm ci` leaves the lock file as it is committed.
  const install = spawnSync('npm', ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  if (install.status !== 0) {
    console.error('The npm packages could not be installed. Check the connection to the package registry, then try again.')
    process.exit(1)
  }
  writeFileSync(stamp, lock)
}

const [entry, ...rest] = process.argv.slice(2)
const file = await bundle({
  root,
  name: `commands/${entry.replace(/\.ts$/, '')}`,
  entryPoints: [entry],
  sourcemap: 'inline',
  // esbuild has printed the error already.
}).catch(() => process.exit(1))
process.setSourceMapsEnabled(true)
process.argv = [process.argv[0], resolve(root, entry), ...rest]
await import(pathToFileURL(file).href)
