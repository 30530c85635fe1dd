import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join, relative } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { CLIENT_SOURCES, sourcesDigest } from '../../scripts/lib/project.ts'
import { ROOT } from '../../src/server/root.ts'

let copy: string
beforeAll(() => {
  copy = mkdtempSync(join(tmpdir(), 'wide-reach-'))
  for (const file of ['package-lock.json', 'vite.config.ts', ...CLIENT_SOURCES]) {
    mkdirSync(dirname(join(copy, file)), { recursive: true })
    cpSync(join(ROOT, file), join(copy, file), { recursive: true })
  }
})
afterAll(() => rmSync(copy, { recursive: true }))

const sources = (folder: string) =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
    .map((name) => join(folder, name))

test.each(CLIENT_SOURCES)('a change under %s is another build of the client', (folder) => {
  const before = sourcesDigest(copy)
  const file = join(copy, sources(folder)[0] ?? '')
  writeFileSync(file, `${readFileSync(file, 'utf8')}\n`)
  expect(sourcesDigest(copy)).not.toBe(before)
})

test('the client is made of nothing but what its digest reads', () => {
  const outside = CLIENT_SOURCES.flatMap(sources).flatMap((file) =>
    [...readFileSync(join(ROOT, file), 'utf8').matchAll(/(?:from |import\(|new URL\()'(\.[^']+)'/g)]
      .map(([, path]) => relative(ROOT, join(ROOT, dirname(file), path ?? '')))
      .filter((path) => !CLIENT_SOURCES.some((folder) => path.startsWith(`${folder}/`))),
  )
  expect(outside).toEqual([])
})
