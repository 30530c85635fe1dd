// Part of npm run bench: the layout of random sound traces of up to 60 parts, as a table and as JSON.
import fc from 'fast-check'
import { layOutReach } from '../src/core/layout/reach.ts'
import { attempt, growthArb, STARTS } from '../tests/fixtures/randomTraces.ts'
import { REACH_OPTIONS } from '../tests/fixtures/reach.ts'
import { outfit } from './subject.ts'

const LAYOUTS = 20_000
const LIMIT_MS = 50
/** The rest of the machine can stop any layout once; a slow layout is slow again. */
const TRIES = 3

const times: number[] = []
let paused = 0
const took = (work: () => unknown): number => {
  const start = performance.now()
  work()
  return performance.now() - start
}
const samples = fc.sample(fc.tuple(fc.constantFrom(...STARTS), growthArb), { numRuns: LAYOUTS / 10, seed: 29 })
for (const [start, edits] of samples) {
  let trace = start
  for (const edit of edits) {
    if (times.length === LAYOUTS) break
    const result = attempt(trace, outfit, edit)
    if (!result.ok || result.trace.pieces.length > 60) continue
    trace = result.trace
    const layOut = () => layOutReach(trace, outfit, REACH_OPTIONS)
    let ms = took(layOut)
    if (ms > LIMIT_MS) paused += 1
    for (let again = 1; again < TRIES && ms > LIMIT_MS; again += 1) ms = Math.min(ms, took(layOut))
    times.push(ms)
  }
}
times.sort((a, b) => a - b)
const at = (share: number) => Number(times[Math.floor(share * (times.length - 1))]!.toFixed(3))
const row = { layouts: times.length, medianMs: at(0.5), p99Ms: at(0.99), maxMs: at(1), measuredAgain: paused }
console.table([row])
console.log(JSON.stringify({ layout: row }))
