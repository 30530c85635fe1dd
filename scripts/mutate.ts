// npm run mutate [room …]: changes the core in small wrong ways and says how many of them the room’s own tests and the pinned
// tables notice, room by room.
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { Stryker } from '@stryker-mutator/core'
import { Problem, runMain } from './lib/problem.ts'
import { ROOT } from './lib/project.ts'

const ROOMS = readdirSync(join(ROOT, 'src', 'core'), { withFileTypes: true }).flatMap((entry) =>
  entry.isDirectory() ? [entry.name] : [],
)

await runMain(async () => {
  const wanted = process.argv.slice(2)
  for (const room of wanted)
    if (!ROOMS.includes(room)) throw new Problem(`There is no room “${room}” in src/core; there are ${ROOMS.join(', ')}.`)
  const rooms = wanted.length > 0 ? wanted : ROOMS
  process.env.ROOMS = rooms.join(',')
  const results = await new Stryker({
    mutate: rooms.flatMap((room) => [`src/core/${room}/**/*.ts`, `!src/core/${room}/**/*.test.ts`]),
    testRunner: 'vitest',
    vitest: { configFile: 'vitest.core.config.ts' },
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
    const room = fileName.split('/core/')[1]?.split('/')[0] ?? ''
    const row = tally.get(room) ?? { killed: 0, of: 0, survivors: [] }
    row.of += 1
    if (status === 'Killed' || status === 'Timeout') row.killed += 1
    else
      row.survivors.push(`${fileName.slice(fileName.indexOf('src/core'))}:${location.start.line} ${mutatorName}: ${replacement}`)
    tally.set(room, row)
  }
  for (const { survivors } of tally.values()) for (const each of survivors) console.log(each)
  for (const [room, { killed, of }] of tally)
    console.log(`${room}: ${killed} of ${of} noticed, ${((100 * killed) / of).toFixed(0)} %`)
})
