import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { bundle } from '../../src/server/bundle.mjs'

let root: string
beforeEach(() => {
  root = mkdtempSync(join(tmpdir(), 'wide-reach-bundle-'))
  mkdirSync(join(root, 'src'))
})
afterEach(() => rmSync(root, { recursive: true }))

/** With an old date: a file that changes during the build is not trusted. */
function write(file: string, code: string): void {
  writeFileSync(join(root, file), code)
  utimesSync(join(root, file), 1, 1)
}
const bundled = (isNamedByContent = false) =>
  bundle({ root, name: 'made/entry', isNamedByContent, entryPoints: ['src/entry.ts'] })
const answerOf = async (file: string) => (await import(`${pathToFileURL(file).href}?${readFileSync(file, 'utf8').length}`)).answer

test('is made once, again when a file that it imports has changed, and again when its list is damaged', async () => {
  write('src/entry.ts', "export { answer } from './other.ts'")
  write('src/other.ts', 'export const answer: number = 1')
  const file = await bundled()
  expect(await answerOf(file)).toBe(1)
  const made = statSync(file).ino
  expect(await bundled()).toBe(file)
  expect(statSync(file).ino).toBe(made)
  write('src/other.ts', 'export const answer: number = 12')
  expect(await bundled()).toBe(file)
  expect(await answerOf(file)).toBe(12)
  write('dist/made/entry.json', '{"file":"dist/made/entry.mjs","inp')
  expect(await answerOf(await bundled())).toBe(12)
})

test('a server of another version keeps its own file, and code that cannot be bundled is an error', async () => {
  write('src/entry.ts', 'export const answer = 1')
  const before = await bundled(true)
  write('src/entry.ts', 'export const answer = 123')
  const after = await bundled(true)
  expect([await answerOf(before), await answerOf(after)]).toEqual([1, 123])
  write('src/entry.ts', 'export const answer = (')
  await expect(bundle({ root, name: 'made/entry', entryPoints: ['src/entry.ts'], logLevel: 'silent' })).rejects.toThrow(
    'Unexpected end of file',
  )
})

test('takes in the packages of many small files, and is made again with another lock file', async () => {
  write(
    'src/entry.ts',
    "import { z } from 'zod'\nimport { answer as most } from './other.ts'\nexport const answer = z.number().max(most).safeParse(2).success",
  )
  write('src/other.ts', 'export const answer = 1')
  write('package-lock.json', '{}')
  const file = await bundled()
  expect(readFileSync(file, 'utf8')).not.toMatch(/from ?['"]zod/)
  expect(await answerOf(file)).toBe(false)
  const made = statSync(file).ino
  expect(statSync(await bundled()).ino).toBe(made)
  write('package-lock.json', '{ }')
  expect(statSync(await bundled()).ino).not.toBe(made)
})
