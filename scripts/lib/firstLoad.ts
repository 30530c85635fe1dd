import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { CLIENT_FOLDER } from './project.ts'

type Chunk = { file: string; imports?: string[]; isEntry?: boolean }

type Manifest = Record<string, Chunk>

/**
 * JavaScript that the first page needs before any chunk loaded on demand: gzipped bytes; the most files that any screen needs; and the
 * files that import each other in a ring, which may read constants before they are set.
 */
export function firstLoad(): { bytes: number; mostFiles: number; rings: string[] } {
  const manifest = JSON.parse(readFileSync(join(CLIENT_FOLDER, '.vite', 'manifest.json'), 'utf8')) as Manifest
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
    rings: ringsOf(manifest),
  }
}

function ringsOf(manifest: Manifest): string[] {
  const done = new Set<string>()
  const visit = (name: string, path: readonly string[]): string[] => {
    if (path.includes(name)) return [[...path.slice(path.indexOf(name)), name].join(' → ')]
    if (done.has(name)) return []
    const rings = (manifest[name]?.imports ?? []).flatMap((next) => visit(next, [...path, name]))
    done.add(name)
    return rings
  }
  return Object.keys(manifest).flatMap((name) => visit(name, []))
}
