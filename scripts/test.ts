// npm test: everything that must hold, from a fresh clone, with one closing line.
import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from '../src/server/root.ts'
import { ensurePdfReader } from '../tests/readPdf.ts'
import { ensureBrowser } from './lib/browser.ts'
import { changesOfCheckout } from './lib/checkout.ts'
import { firstLoad } from './lib/firstLoad.ts'
import { ensurePostgres } from './lib/postgres/postgres.ts'
import { runMain } from './lib/problem.ts'
import { buildClient } from './lib/project.ts'

const RESULTS = join(ROOT, 'test-results')
const FIRST_LOAD_LIMIT = 215_000
/** Each file is a request; in a new browser a hundred of them take longer than what is in them. */
const MAX_FILES = 10
/** A checker that silently sees nothing would be green: it must have walked at least so many modules. */
const MIN_MODULES = 1_050

type Count = { passed: number; failed: number }
type Done = { status: number | null; stdout: string; output: string }
/** A step prints nothing while it runs beside another one: its output comes with its result. */
type Outcome = { count: Count; output: string }
type Step = {
  name: string
  run: () => Promise<Outcome>
  /** Waits for the production build. */
  isOnBuild?: true
}

const tool = (path: string, ...args: string[]) => [process.execPath, join(ROOT, 'node_modules', path), ...args]

/** DATABASE_URL is for npm start; the tests bring their own. */
function run([command = '', ...args]: string[]): Promise<Done> {
  const { DATABASE_URL: _, ...env } = process.env
  const child = spawn(command, args, { cwd: ROOT, env: { ...env, TZ: 'UTC', NO_COLOR: '1' }, stdio: ['ignore', 'pipe', 'pipe'] })
  let [stdout, output] = ['', '']
  child.stdout.on('data', (chunk: Buffer) => {
    stdout += chunk.toString()
    output += chunk.toString()
  })
  child.stderr.on('data', (chunk: Buffer) => {
    output += chunk.toString()
  })
  return new Promise((resolve) => child.once('close', (status) => resolve({ status, stdout, output })))
}

const together = (a: Count, b: Count): Count => ({ passed: a.passed + b.passed, failed: a.failed + b.failed })
const one = (ok: boolean): Count => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 })

async function check(command: string[]): Promise<Outcome> {
  const { status, output } = await run(command)
  return { count: one(status === 0), output }
}

async function importRules(): Promise<Outcome> {
  const { stdout } = await run(tool('dependency-cruiser/bin/dependency-cruise.mjs', 'src', '--output-type', 'json'))
  const { summary } = JSON.parse(stdout) as {
    summary: { error: number; totalCruised: number; violations: { rule: { name: string }; from: string; to: string }[] }
  }
  return {
    count: one(summary.error === 0 && summary.totalCruised >= MIN_MODULES),
    output: [
      ...summary.violations.map(({ rule, from, to }) => `${rule.name}: ${from} → ${to}`),
      `${summary.totalCruised} modules follow the import rules, ${summary.error} do not`,
    ].join('\n'),
  }
}

/** A runner that ended without writing its counts has failed as a whole. */
function counted(status: number | null, file: string, read: (json: any) => Count): Count {
  try {
    const count = read(JSON.parse(readFileSync(file, 'utf8')))
    return status !== 0 && count.failed === 0 ? { ...count, failed: 1 } : count
  } catch {
    return { passed: 0, failed: 1 }
  }
}

async function vitest(project: 'unit' | 'components' | 'server'): Promise<Outcome> {
  const file = join(RESULTS, `${project}.json`)
  const reporters = ['--reporter=dot', '--reporter=json', `--outputFile.json=${file}`]
  const { status, output } = await run(tool('vitest/vitest.mjs', 'run', `--project=${project}`, ...reporters))
  const count = counted(status, file, ({ numPassedTests, numFailedTests, numFailedTestSuites }) => ({
    passed: numPassedTests,
    failed: numFailedTests || (numFailedTestSuites > 0 ? 1 : 0),
  }))
  return { count, output }
}

async function buildAndMeasure(): Promise<Outcome> {
  await buildClient()
  const { bytes, mostFiles, rings } = firstLoad()
  const words = `first load: ${(bytes / 1000).toFixed(0)} kB of JavaScript gzipped, at most ${FIRST_LOAD_LIMIT / 1000}; ${mostFiles} files for one screen, at most ${MAX_FILES}`
  const isFine = bytes <= FIRST_LOAD_LIMIT && mostFiles <= MAX_FILES && rings.length === 0
  return { count: one(isFine), output: [words, ...rings.map((ring) => `files import each other: ${ring}`)].join('\n') }
}

/** The longest step gives way to the others, and uses both cores once they have ended. */
async function browser(): Promise<Outcome> {
  const file = join(RESULTS, 'browser.json')
  const { status, output } = await run(['nice', ...tool('@playwright/test/cli.js', 'test')])
  return {
    count: counted(status, file, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky })),
    output,
  }
}

/** Nothing that the tests do may show in the checkout. */
function checkoutUnchanged(before: Set<string> | undefined): Outcome {
  const changed = [...(changesOfCheckout() ?? [])].filter((line) => !before?.has(line))
  return { count: one(changed.length === 0), output: changed.join('\n') }
}

const typescript = (at: string): Step => ({
  name: `types of ${at}`,
  run: () => check(tool('typescript-native/bin/tsc', '-p', at, '--singleThreaded')),
})

/** Steps at a time: with a third one all of them take more processor time. */
const AT_A_TIME = 2

/**
 * When one ends, the next one starts. The longest come first, so that no core is idle at the end; beside the build run those that do
 * not need it.
 */
const STEPS: readonly Step[] = [
  { name: 'browser tests', run: browser, isOnBuild: true },
  { name: 'unit tests', run: () => vitest('unit') },
  { name: 'server tests', run: () => vitest('server'), isOnBuild: true },
  { name: 'component tests', run: () => vitest('components') },
  { name: 'import rules', run: importRules },
  ...['src/client', '.', 'tests/browser', 'src/core', 'src/offline'].map(typescript),
  { name: 'nothing unused', run: () => check(tool('knip/bin/knip.js', '--no-progress')) },
  { name: 'format and lint', run: () => check(tool('@biomejs/biome/bin/biome', 'check', '--error-on-warnings')) },
  { name: 'words', run: () => check([process.execPath, join(ROOT, 'scripts/run.mjs'), 'scripts/words/check.ts']) },
]

async function runStep({ name, run }: Step): Promise<Count> {
  const beganMs = performance.now()
  const { count, output } = await run().catch((error: Error) => ({ count: one(false), output: error.message }))
  console.log(`\n— ${name}, ${((performance.now() - beganMs) / 1000).toFixed(0)} s\n${output.trimEnd()}`)
  if (count.failed > 0) console.log(`✗ ${name}: ${count.failed} failed`)
  return count
}

async function runAll(steps: readonly Step[]): Promise<Count> {
  const building = runStep({ name: 'production build and first load', run: buildAndMeasure })
  const left = steps.map((step) => (step.isOnBuild ? { ...step, run: () => building.then(step.run) } : step))
  let total: Count = { passed: 0, failed: 0 }
  const take = async () => {
    for (let step = left.shift(); step; step = left.shift()) {
      const count = await runStep(step)
      total = together(total, count)
    }
  }
  await Promise.all(Array.from({ length: AT_A_TIME }, take))
  return together(total, await building)
}

await runMain(async () => {
  rmSync(RESULTS, { recursive: true, force: true })
  mkdirSync(RESULTS, { recursive: true })
  // Before the steps: two of them installing at a time would stand in each other's way.
  ensurePostgres()
  ensureBrowser()
  ensurePdfReader()
  const before = changesOfCheckout()
  const total = together(
    await runAll(STEPS),
    await runStep({ name: 'checkout as it was', run: async () => checkoutUnchanged(before) }),
  )
  console.log(`\n${total.passed} passed, ${total.failed} failed`)
  process.exitCode = total.failed === 0 ? 0 : 1
})
