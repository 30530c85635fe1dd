// npm test: everything that must hold, from a fresh clone, with one closing line.
import { spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { changesOfCheckout } from './lib/checkout.ts'
import { firstLoadBytes } from './lib/firstLoad.ts'
import { runMain } from './lib/problem.ts'
import { buildClient, ROOT } from './lib/project.ts'

const RESULTS = join(ROOT, 'test-results')
const FIRST_LOAD_LIMIT = 215_000
/** A checker that silently sees nothing would be green: it must have walked at least so many modules. */
const MIN_MODULES = 880

type Count = { passed: number; failed: number }

const tool = (path: string, ...args: string[]) => [process.execPath, join(ROOT, 'node_modules', path), ...args]

/** DATABASE_URL is for npm start; the tests bring their own. */
function run([command = '', ...args]: string[], quiet = false) {
  const { DATABASE_URL: _, ...env } = process.env
  return spawnSync(command, args, {
    cwd: ROOT,
    env: { ...env, TZ: 'UTC' },
    stdio: ['ignore', quiet ? 'pipe' : 'inherit', 'inherit'],
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  })
}

const together = (a: Count, b: Count): Count => ({ passed: a.passed + b.passed, failed: a.failed + b.failed })
const one = (ok: boolean): Count => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 })
const check = (command: string[]) => one(run(command).status === 0)

function importRules(): Count {
  const { stdout } = run(tool('dependency-cruiser/bin/dependency-cruise.mjs', 'src', '--output-type', 'json'), true)
  const { summary } = JSON.parse(stdout) as {
    summary: { error: number; totalCruised: number; violations: { rule: { name: string }; from: string; to: string }[] }
  }
  for (const { rule, from, to } of summary.violations) console.error(`${rule.name}: ${from} → ${to}`)
  console.log(`${summary.totalCruised} modules follow the import rules, ${summary.error} do not`)
  return one(summary.error === 0 && summary.totalCruised >= MIN_MODULES)
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

/** One project at a time: run together they take longer than one after the other. */
function vitest(project: 'unit' | 'server'): Count {
  const file = join(RESULTS, `${project}.json`)
  const reporters = ['--reporter=dot', '--reporter=json', `--outputFile.json=${file}`]
  const { status } = run(tool('vitest/vitest.mjs', 'run', `--project=${project}`, ...reporters))
  return counted(status, file, ({ numPassedTests, numFailedTests, numFailedTestSuites }) => ({
    passed: numPassedTests,
    failed: numFailedTests || (numFailedTestSuites > 0 ? 1 : 0),
  }))
}

function firstLoad(): Count {
  const bytes = firstLoadBytes()
  console.log(`first load: ${(bytes / 1000).toFixed(0)} kB of JavaScript gzipped, at most ${FIRST_LOAD_LIMIT / 1000}`)
  return one(bytes <= FIRST_LOAD_LIMIT)
}

function build(): Count {
  try {
    buildClient()
    return one(true)
  } catch {
    return one(false)
  }
}

function browser(): Count {
  const file = join(RESULTS, 'browser.json')
  const { status } = run(tool('@playwright/test/cli.js', 'test'))
  return counted(status, file, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }))
}

/** Each side with its own surroundings: the core with none, the server without a DOM, the client without Node. */
const types = () =>
  ['.', 'src/core', 'src/client', 'tests/browser'].map((at) => check(tool('typescript/bin/tsc', '-p', at))).reduce(together)

/** Nothing that the tests do may show in the checkout. */
function checkoutUnchanged(before: Set<string> | undefined): Count {
  const changed = [...(changesOfCheckout() ?? [])].filter((line) => !before?.has(line))
  for (const line of changed) console.error(line)
  return one(changed.length === 0)
}

const STEPS: [string, () => Count][] = [
  ['format and lint', () => check(tool('@biomejs/biome/bin/biome', 'check', '--error-on-warnings'))],
  ['types', types],
  ['import rules', importRules],
  ['nothing unused', () => check(tool('knip/bin/knip.js', '--no-progress'))],
  ['production build', build],
  ['first load', firstLoad],
  ['unit tests', () => vitest('unit')],
  ['server tests', () => vitest('server')],
  ['browser tests', browser],
]

await runMain(async () => {
  rmSync(RESULTS, { recursive: true, force: true })
  mkdirSync(RESULTS, { recursive: true })
  const before = changesOfCheckout()
  let total: Count = { passed: 0, failed: 0 }
  for (const [name, step] of STEPS) {
    console.log(`\n— ${name}`)
    const count = step()
    total = together(total, count)
    if (count.failed > 0) console.log(`✗ ${name}: ${count.failed} failed`)
  }
  console.log('\n— checkout as it was')
  total = together(total, checkoutUnchanged(before))
  console.log(`\n${total.passed} passed, ${total.failed} failed`)
  process.exitCode = total.failed === 0 ? 0 : 1
})
