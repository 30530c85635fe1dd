import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { CLIENT_FOLDER } from './project.ts'

type Chunk = { file: string; imports?: string[]; isEntry?: boolean }

/** JavaScript that the first page needs before any chunk loaded on demand, gzipped, in bytes. */
export function firstLoadBytes(): number {
  const manifest = JSON.parse(readFileSync(join(CLIENT_FOLDER, '.vite', 'manifest.json'), 'utf8')) as Record<string, Chunk>
  const needed = new Set<string>()
  const take = (name: string) => {
    const chunk = manifest[name]
    if (!chunk || needed.has(chunk.file)) return
    needed.add(chunk.file)
    for (const imported of chunk.imports ?? []) take(imported)
  }
  for (const [name, chunk] of Object.entries(manifest)) if (chunk.isEntry) take(name)
  return [...needed].reduce((sum, file) => sum + gzipSync(readFileSync(join(CLIENT_FOLDER, file))).length, 0)
}
