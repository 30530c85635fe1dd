import type { Logger } from 'pino'
import { Piscina } from 'piscina'
import { bundle } from '../bundle.mjs'
import { ROOT } from '../root.ts'

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
  const filename = await bundle({
    root: ROOT,
    name: `threads/${name}`,
    isNamedByContent: true,
    stdin: { contents: `export { ${name} as default } from './${module}'`, resolveDir: ROOT, loader: 'ts' },
  })
  // The loader that the server itself was started with is not needed.
  const threads = new Piscina<Job, Answer>({ ...options, filename, execArgv: [] })
  // Without a listener the death of a thread would be the server’s.
  threads.on('error', (error) => log.error({ err: error, thread: name }, 'a thread was lost'))
  return threads
}
