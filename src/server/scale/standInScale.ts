import { createHash, randomInt } from 'node:crypto'
import type { Reading } from '../../core/learning/pullCurve.ts'
import { normalOf, seeded } from '../../core/math/seeded.ts'
import type { Sample } from '../../shared/scale.ts'
import type { ScaleSource } from './scaleSource.ts'

/** Readings a second, and how long a pull takes to where it breaks, s. */
export const RATE_HZ = 20
const RAMP_S = 5
/** How far the truth of a kind may lie from what is thought of it, and how far one sample from another. */
const OF_KIND = 0.1
const OF_SAMPLE = 0.05
/** The scale’s own noise, and how the hand wavers. */
const NOISE = 0.004
const WAVERS = 0.015
/** One in so many slips; so far, and then it catches again. */
const SLIPS = 0.3
const SLIP_BY = 0.3
/** Readings after it has let go. */
const AFTER = 12

/**
 * Stands in for a scale: a hidden strength, the same for all samples of a kind but for their spread, a hand that wavers, and now and then
 * a knot that slips before it holds.
 * @param seed of one pull: the same, the same readings.
 */
export function* simulatedPull({ aboutN, kind }: Sample, seed: number): Generator<Reading> {
  const even = seeded(seed)
  const ofKind = normalOf(seeded(createHash('sha256').update(kind).digest().readUInt32LE(0)))
  const breaksN = Math.max(1, aboutN * (1 + OF_KIND * ofKind) * (1 + OF_SAMPLE * normalOf(even)))
  const slipsAtN = even() < SLIPS ? breaksN * (0.45 + 0.35 * even()) : Number.POSITIVE_INFINITY
  const stepN = breaksN / (RAMP_S * RATE_HZ)
  let [pulledN, slipped] = [0, false]
  let i = 0
  const reading = (loadN: number): Reading => ({ atMs: (1000 / RATE_HZ) * i++, loadN: Math.max(0, Number(loadN.toFixed(1))) })
  while (pulledN < breaksN) {
    pulledN += stepN * (0.5 + even())
    if (!slipped && pulledN > slipsAtN) {
      slipped = true
      for (const share of [0.12, 0.24, SLIP_BY]) yield reading(pulledN * (1 - share))
      pulledN *= 1 - SLIP_BY
    }
    yield reading(pulledN * (1 + WAVERS * Math.sin(i / 7) + NOISE * normalOf(even)))
  }
  for (let after = 0; after < AFTER; after += 1)
    yield reading(after === 0 ? pulledN * 0.4 : breaksN * NOISE * Math.abs(normalOf(even)))
}

export const standInScale: ScaleSource = { pull: (sample) => simulatedPull(sample, randomInt(2 ** 31)) }
