import { familyName } from '../src/core/catalogue/familyIds.ts'
// npm run bench: whole evaluations (paths, chains, failure chances, every moment), as a table and as JSON.

import { evaluate } from '../src/core/analysis/evaluate.ts'
import { NOMINAL_CATALOGUE } from '../src/core/catalogue/catalogue.ts'
import { MAX_PIECES } from '../src/core/documents/vocabulary.ts'
import { defaultWater } from '../src/core/documents/water.ts'
import { FAMILIES } from '../src/core/families/families.ts'
import { draftOf } from '../tests/fixtures/drafts.ts'
import { longChain, manySliders, manySnoods } from '../tests/fixtures/longTraces.ts'
import { conditions, outfit, twentyFiveParts } from './subject.ts'

const RUNS = 300
const WARM_UP = 50

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

const rows = subjects.map(({ name, trace, ...more }) => {
  const times: number[] = []
  for (let run = 0; run < WARM_UP + RUNS; run += 1) {
    const start = performance.now()
    evaluate({ trace, outfit, conditions: { ...conditions, ...more }, catalogue: NOMINAL_CATALOGUE })
    if (run >= WARM_UP) times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  const at = (share: number) => Number(times[Math.floor(share * (RUNS - 1))]!.toFixed(3))
  return { name, parts: trace.pieces.length, medianMs: at(0.5), p95Ms: at(0.95), maxMs: at(1) }
})

console.table(rows)
console.log(JSON.stringify({ evaluate: rows }))
