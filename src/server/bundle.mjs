// Plain JavaScript on Node's own modules: scripts/run.mjs begins with it.
import { createHash, randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Packages with hundreds of small ES modules are bundled, which loads faster. The rest stay outside: some read files next to their code. */
const BUNDLED = /^(@date-fns\/tz|kysely|zod)(\/|$)/
const bundlePackages = {
  name: 'bundle-packages',
  setup: ({ onResolve }) => onResolve({ filter: BUNDLED }, ({ path }) => ({ path: fileURLToPath(import.meta.resolve(path)) })),
}

export async function bundle({ root, name, isNamedByContent = false, ...options }) {
  const listFile = join(root, 'dist', `${name}.json`)
  const kept = unchanged(root, listFile, options)
  if (kept) return kept
  const beganMs = Date.now()
  const { build } = await import('esbuild')
  const { outputFiles, metafile } = await build({
    ...options,
    absWorkingDir: root,
    bundle: true,
    format: 'esm',
    sourcesContent: false,
    platform: 'node',
    packages: 'external',
    plugins: [bundlePackages],
    write: false,
    metafile: true,
  })
  const code = outputFiles[0].contents
  const file = join('dist', `${name}${isNamedByContent ? `-${digestOf([code]).slice(0, 16)}` : ''}.mjs`)
  mkdirSync(dirname(listFile), { recursive: true })
  write(join(root, file), code)
  // The lock file fixes the versions of the bundled packages.
  const own = Object.keys(metafile.inputs).filter((path) => !path.startsWith('node_modules/'))
  const inputs = [...own, 'package-lock.json'].filter((path) => existsSync(join(root, path)))
  // A file that changed during the build may not be in it: without a list the next start builds again.
  if (inputs.every((path) => statSync(join(root, path)).mtimeMs < beganMs))
    write(listFile, JSON.stringify({ file, inputs, digest: digestOfInputs(root, inputs, options) }))
  return join(root, file)
}

/** The bundle of an earlier start, if all that went into it is as it was. */
function unchanged(root, listFile, options) {
  try {
    const { file, inputs, digest } = JSON.parse(readFileSync(listFile, 'utf8'))
    return digestOfInputs(root, inputs, options) === digest && existsSync(join(root, file)) ? join(root, file) : undefined
  } catch {
    return undefined
  }
}

const digestOfInputs = (root, inputs, options) =>
  digestOf([JSON.stringify(options), ...inputs.map((path) => readFileSync(join(root, path)))])

function digestOf(parts) {
  const hash = createHash('sha256')
  for (const part of parts) hash.update(part).update('\0')
  return hash.digest('hex')
}

/** Written under another name first: another start must not read half of it. */
function write(file, content) {
  const partial = `${file}.${randomUUID()}`
  writeFileSync(partial, content)
  renameSync(partial, file)
}
