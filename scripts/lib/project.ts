import { execFile } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { promisify } from 'node:util'
import { gzipSync } from 'node:zlib'
import { ROOT } from '../../src/server/root.ts'

/** The folders that the client’s bundles are made from. */
export const CLIENT_SOURCES = ['src/client', 'src/core', 'src/shared', 'src/workers', 'src/offline', 'src/files'] as const
/** Where the database and its backups are kept. */
export const DATA_FOLDER = process.env.DATA_FOLDER ? resolve(process.env.DATA_FOLDER) : join(ROOT, '.data')
export const CLIENT_FOLDER = join(ROOT, 'dist', 'client')

/** Builds the client, its scripts and styles compressed beside them, unless the last build was made from the very same sources. */
export async function buildClient(): Promise<void> {
  const stamp = join(ROOT, 'dist', 'sources')
  const now = sourcesDigest()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return
  console.error('Building the client …')
  await promisify(execFile)(process.execPath, [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build'], {
    cwd: ROOT,
    // Whoever calls: another mode would build React's slower development half.
    env: { ...process.env, NODE_ENV: 'production' },
  }).catch(({ stdout, stderr }) => {
    throw new Error(`The client cannot be built.\n${stdout}${stderr}`)
  })
  for (const file of filesUnder(CLIENT_FOLDER, 'assets').filter((name) => /\.(js|css)$/.test(name))) {
    const path = join(CLIENT_FOLDER, file)
    writeFileSync(`${path}.gz`, gzipSync(readFileSync(path), { level: 9 }))
  }
  writeFileSync(stamp, now)
}

/** One word for everything that the built client is made of; another word is another build. */
export function sourcesDigest(root = ROOT): string {
  const digest = createHash('sha256')
  const files = ['package-lock.json', 'vite.config.ts', ...CLIENT_SOURCES.flatMap((folder) => filesUnder(root, folder))]
  for (const file of files) digest.update(file).update(readFileSync(join(root, file)))
  return digest.digest('hex')
}

function filesUnder(root: string, folder: string): string[] {
  return readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .map((name) => join(folder, name))
    .filter((path) => statSync(join(root, path)).isFile())
    .sort()
}
