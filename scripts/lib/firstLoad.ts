import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { CLIENT_FOLDER } from './project.ts'

type Chunk = { file: string; imports?: string[]; isEntry?: boolean }

/** JavaScript that the first page needs before any chunk loaded on demand: gzipped bytes; and the most files that any screen needs. */
export function firstLoad(): { bytes: number; mostFiles: number } {
  const manifest = JSON.parse(readFileSync(join(CLIENT_FOLDER, '.vite', 'manifest.json'), 'utf8')) as Record<string, Chunk>
  const take = (needed: Set<string>, name: string): Set<string> => {
    const chunk = manifest[name]
    if (!chunk || needed.has(chunk.file)) return needed
    needed.add(chunk.file)
    return (chunk.imports ?? []).reduce(take, needed)
  }
  const first = Object.keys(manifest)
    .filter((name) => manifest[name]?.isEntry)
    .reduce(take, new Set<string>())
  return {
    bytes: [...first].reduce((sum, file) => sum + gzipSync(readFileSync(join(CLIENT_FOLDER, file))).length, 0),
    mostFiles: Math.max(...Object.keys(manifest).map((name) => take(new Set(first), name).size)),
  }
}
