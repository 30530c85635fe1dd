// npm run bench: whole evaluations (paths, chains, failure chances, every moment), as a table and as JSON. Between any two of them some
// hanging lines are solved: an evaluation in such solves is a ratio of one run, whatever else the machine does.
import { evaluate } from '../src/core/analysis/evaluate.ts'
import { NOMINAL_CATALOGUE } from '../src/core/catalogue/catalogue.ts'
import { familyName } from '../src/core/catalogue/familyIds.ts'
import { MAX_PIECES } from '../src/core/documents/vocabulary.ts'
import { defaultWater } from '../src/core/documents/water.ts'
import { FAMILIES } from '../src/core/families/families.ts'
import { waterHang } from '../src/core/physics/water/hang.ts'
import { draftOf } from '../tests/fixtures/drafts.ts'
import { BOAT } from '../tests/fixtures/hang.ts'
import { longChain, manySliders, manySnoods } from '../tests/fixtures/longTraces.ts'
import { conditions, outfit, twentyFiveParts } from './subject.ts'

const RUNS = 300
const WARM_UP = 100
/** Hanging lines that are solved after each evaluation. */
const LINES = 20

const subjects = [
  { name: '25-part paternoster, three hooks', trace: twentyFiveParts() },
  ...(['shore', 'anchor'] as const).map((method) => ({
    name: `the same, settled: ${method}`,
    trace: twentyFiveParts(),
    water: defaultWater(NOMINAL_CATALOGUE, method),
  })),
  ...[longChain, manySliders, manySnoods].map((made) => made(MAX_PIECES)).map((trace) => ({ name: trace.name, trace })),
  ...FAMILIES.map(({ id }) => ({ name: familyName(id), trace: draftOf(id, outfit, conditions).trace })),
]

const timed = (work: () => void): number => {
  const start = performance.now()
  work()
  return performance.now() - start
}
const middle = (times: readonly number[], share = 0.5) => times.toSorted((a, b) => a - b)[Math.floor(share * (times.length - 1))]!
const inMs = (ms: number) => Number(ms.toFixed(3))

const rows = subjects.map(({ name, trace, ...more }) => {
  const setup = { trace, outfit, conditions: { ...conditions, ...more }, catalogue: NOMINAL_CATALOGUE }
  const [times, lines]: [number[], number[]] = [[], []]
  for (let run = 0; run < WARM_UP + RUNS; run += 1) {
    const ms = timed(() => evaluate(setup))
    const linesMs = timed(() => {
      for (let i = 0; i < LINES; i += 1) waterHang(BOAT, { tolerance: 1e-6 })
    })
    if (run < WARM_UP) continue
    times.push(ms)
    lines.push(linesMs / LINES)
  }
  return {
    ...{ name, parts: trace.pieces.length, medianMs: inMs(middle(times)), p95Ms: inMs(middle(times, 0.95)) },
    inHangingLines: Math.round(middle(times) / middle(lines)),
  }
})

console.table(rows)
console.log(JSON.stringify({ evaluate: rows }))
