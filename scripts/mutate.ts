// npm run mutate [lines] [room …]: changes the code in small wrong ways and says how many of them the room’s own tests and the
// pinned tables notice, room by room. With a number, only so many lines of each room are changed: the same ones every time.
import { spawnSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { seeded } from '../src/core/math/seeded.ts'
import { ROOT } from '../src/server/root.ts'
import { Problem, runMain } from './lib/problem.ts'

const IN_CORE = readdirSync(join(ROOT, 'src', 'core'), { withFileTypes: true }).flatMap((entry) =>
  entry.isDirectory() ? [entry.name] : [],
)
const FOLDERS = new Map([
  ...IN_CORE.map((room): [string, string] => [room, `src/core/${room}`]),
  ...['client', 'files', 'server'].map((room): [string, string] => [room, `src/${room}`]),
])

const filesOf = (folder: string) =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map((name) => join(folder, name))
    .sort()

/** So many lines with code in them, spread over a room, each as the range that a mutant may lie in. */
function sampleOf(files: readonly string[], count: number): string[] {
  const lines = files.flatMap((file) =>
    readFileSync(join(ROOT, file), 'utf8')
      .split('\n')
      .flatMap((text, i) =>
        /[-+*/<>=!?(&|]/.test(text) && !/^\s*(\/?\*|\/\/|import )/.test(text) ? [`${file}:${i + 1}-${i + 1}`] : [],
      ),
  )
  const random = seeded(1)
  return Array.from({ length: Math.min(count, lines.length) }, () => lines.splice(Math.floor(random() * lines.length), 1)[0]!)
}

/** The parts of Stryker that are used here. */
type Mutant = {
  fileName: string
  status: string
  location: { start: { line: number } }
  mutatorName: string
  replacement?: string
}
type Stryker = new (options: object) => { runMutationTest: () => Promise<Mutant[]> }

/** Installs its packages at the first use: `npm start` and `npm test` do not need them. */
async function loadStryker(): Promise<Stryker> {
  const folder = join(ROOT, 'scripts', 'mutation')
  // npm writes this file last.
  if (!existsSync(join(folder, 'node_modules', '.package-lock.json'))) {
    console.error('Installing the packages of mutation testing …')
    if (spawnSync('npm', ['ci', '--include=dev'], { cwd: folder, stdio: 'inherit' }).status !== 0)
      throw new Problem('They could not be installed. Check the connection to the package registry, then try again.')
  }
  const path = createRequire(join(folder, 'package.json')).resolve('@stryker-mutator/core')
  return ((await import(pathToFileURL(path).href)) as { Stryker: Stryker }).Stryker
}

await runMain(async () => {
  const [first = '', ...others] = process.argv.slice(2)
  const count = /^\d+$/.test(first) ? Number(first) : undefined
  const wanted = [first, ...others].filter((room) => room !== '' && !/^\d+$/.test(room))
  for (const room of wanted)
    if (!FOLDERS.has(room)) throw new Problem(`There is no room “${room}”; there are ${[...FOLDERS.keys()].join(', ')}.`)
  const rooms = wanted.length > 0 ? wanted : [...FOLDERS.keys()]
  process.env.ROOMS = rooms.map((room) => FOLDERS.get(room)).join(',')
  const Stryker = await loadStryker()
  const results = await new Stryker({
    mutate: rooms.flatMap((room) => {
      const files = filesOf(FOLDERS.get(room)!)
      return count === undefined ? files : sampleOf(files, count)
    }),
    testRunner: 'vitest',
    vitest: { configFile: 'vitest.mutate.config.ts' },
    coverageAnalysis: 'perTest',
    concurrency: 2,
    tempDirName: '.data/mutants',
    ignorePatterns: ['dist', 'docs', 'test-results', '.data'],
    reporters: ['dots'],
    mutator: { excludedMutations: ['StringLiteral', 'ObjectLiteral'] },
    ignoreStatic: true,
  }).runMutationTest()
  const tally = new Map<string, { killed: number; of: number; survivors: string[] }>()
  for (const { fileName, status, location, mutatorName, replacement } of results) {
    if (status === 'Ignored' || status === 'CompileError' || status === 'RuntimeError') continue
    const file = fileName.slice(fileName.lastIndexOf('src/'))
    const room = file.split('/')[file.startsWith('src/core/') ? 2 : 1]!
    const row = tally.get(room) ?? { killed: 0, of: 0, survivors: [] }
    row.of += 1
    if (status === 'Killed' || status === 'Timeout') row.killed += 1
    else row.survivors.push(`${file}:${location.start.line} ${mutatorName}: ${replacement}`)
    tally.set(room, row)
  }
  for (const { survivors } of tally.values()) for (const each of survivors) console.log(each)
  for (const [room, { killed, of }] of tally)
    console.log(`${room}: ${killed} of ${of} noticed, ${((100 * killed) / of).toFixed(0)} %`)
})
