import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { analysePull, type Reading } from './pullCurve.ts'

const at = (loads: readonly number[]): Reading[] => loads.map((loadN, i) => ({ atMs: 50 * i, loadN }))
const ramp = (from: number, to: number, count = 40) =>
  Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1))
const gone = [60, 3, 0, 0, 0]

describe('a pull on the scale', () => {
  test('lets go for good: it broke, and its peak is held', () => {
    expect(analysePull(at([...ramp(0, 100), ...gone]))).toEqual({ peakN: 100, slips: [], broke: true })
  })

  test('falls back and catches again: it slipped, and is pulled on', () => {
    const slipped = [...ramp(0, 70), 60, 52, 50, 52, 55, ...ramp(56, 90), ...gone]
    const seen = analysePull(at(slipped))
    expect(seen).toMatchObject({ peakN: 90, broke: true })
    expect(seen.slips).toEqual([{ atMs: at(slipped)[slipped.lastIndexOf(50)]!.atMs, fromN: 70, toN: 50 }])
  })

  test('wavers of a hand are neither, nor is a hand that touched the hook', () => {
    const wavering = ramp(0, 100).map((load, i) => load * (1 + 0.03 * Math.sin(i)))
    expect(analysePull(at(wavering))).toMatchObject({ slips: [], broke: false })
    expect(analysePull(at([0, 3, 4, 0, 0, 0, 0]))).toMatchObject({ broke: false })
    expect(analysePull([])).toEqual({ peakN: 0, slips: [], broke: false })
  })

  test('whatever is read, the peak is the highest load before it broke', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 500, noNaN: true })), (loads) => {
        const { peakN, broke } = analysePull(at(loads))
        if (!broke) expect(peakN).toBe(Math.max(0, ...loads))
        expect(peakN).toBeLessThanOrEqual(Math.max(0, ...loads))
      }),
    )
  })
})
