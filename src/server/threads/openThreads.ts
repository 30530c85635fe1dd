import { createHash, randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'esbuild'
import type { Logger } from 'pino'
import { Piscina } from 'piscina'
import { ROOT } from '../root.ts'

const FOLDER = join(ROOT, 'dist', 'threads')

/** Threads of their own for one function of a TypeScript module, named by its path in the project. A thread that dies is replaced, and that is logged. */
export async function openThreads<Job, Answer>(
  module: string,
  name: string,
  log: Logger,
  options: Pick<
    ConstructorParameters<typeof Piscina>[0] & object,
    'minThreads' | 'maxThreads' | 'idleTimeout' | 'resourceLimits'
  >,
): Promise<Piscina<Job, Answer>> {
  // The loader that the server itself was started with is not needed.
  const threads = new Piscina<Job, Answer>({ ...options, filename: await threadFile(module, name), execArgv: [] })
  // Without a listener the death of a thread would be the server’s.
  threads.on('error', (error) => log.error({ err: error, thread: name }, 'a thread was lost'))
  return threads
}

/**
 * One JavaScript file of a thread's code, whose default export is the named function of a TypeScript module.
 * Node reads it by itself: a thread that loads its TypeScript file by file takes seconds to start.
 * The name of the file is made from its content, so that servers of different versions do not meet in one.
 */
async function threadFile(module: string, name: string): Promise<string> {
  const { outputFiles } = await build({
    stdin: { contents: `export { ${name} as default } from './${module}'`, resolveDir: ROOT, loader: 'ts' },
    bundle: true,
    format: 'esm',
    platform: 'node',
    packages: 'external',
    write: false,
  })
  const code = outputFiles[0]!.contents
  const file = join(FOLDER, `${name}-${createHash('sha256').update(code).digest('hex').slice(0, 16)}.mjs`)
  if (existsSync(file)) return file
  mkdirSync(FOLDER, { recursive: true })
  // Written under another name first: another server must not load half of it.
  const partial = `${file}.${randomUUID()}`
  writeFileSync(partial, code)
  renameSync(partial, file)
  return file
}
