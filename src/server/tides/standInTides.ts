import { type Harmonics, harmonicsOf, heightsThrough, meanRangesM, turnsThrough } from '../../core/physics/tide/height.ts'
import type { TideSpan } from '../../core/physics/tide/tideSpan.ts'
import { assertInYears } from '../../core/time/years.ts'
import type { Port } from '../../shared/tides.ts'
import type { TideService } from './tideService.ts'

const STEP_S = 600
/** Turns are returned for this long before and after, so that the springs and neaps around are known. */
const AROUND_MS = 20 * 86_400_000

/** The scenario's ports. Their constants are invented. */
const PORTS: readonly (Port & { harmonics: Harmonics })[] = [
  {
    id: 'port-hesk',
    name: 'Port Hesk',
    latitudeDeg: 58.604,
    longitudeDeg: -9.352,
    harmonics: harmonicsOf(2.9, [
      ['M2', 1.55, 192],
      ['S2', 0.56, 231],
      ['N2', 0.31, 171],
      ['K2', 0.15, 229],
      ['K1', 0.11, 128],
      ['O1', 0.09, 12],
      ['M4', 0.11, 251],
    ]),
  },
  {
    id: 'tarrow',
    name: 'Tarrow',
    latitudeDeg: 58.771,
    longitudeDeg: -9.118,
    harmonics: harmonicsOf(2.3, [
      ['M2', 1.18, 214],
      ['S2', 0.43, 255],
      ['N2', 0.24, 193],
      ['K2', 0.12, 252],
      ['K1', 0.12, 137],
      ['O1', 0.1, 22],
      ['M4', 0.07, 288],
    ]),
  },
]

/** The tide of an invented port, predicted from invented constants. */
export function standInTide(portId: string, fromMs: number, toMs: number): TideSpan | undefined {
  const port = PORTS.find(({ id }) => id === portId)
  if (!port) return undefined
  assertInYears(fromMs)
  assertInYears(toMs)
  return {
    heights: heightsThrough(port.harmonics, fromMs, toMs, STEP_S),
    turns: turnsThrough(port.harmonics, fromMs - AROUND_MS, toMs + AROUND_MS),
    ...meanRangesM(port.harmonics),
  }
}

/** Stands in for a real service. */
export const standInTides: TideService = {
  ports: async () => PORTS.map(({ harmonics: _, ...port }) => port),
  tide: async (portId, fromMs, toMs) => standInTide(portId, fromMs, toMs),
}
