import { type Harmonics, heightsThrough, meanRangesM, turnsThrough } from '../../core/tide/height.ts'
import { assertInYears } from '../../core/time/years.ts'
import type { Port } from '../../shared/tides.ts'
import type { TideService } from './tideService.ts'

const STEP_S = 600
/** Turns are told for so long before and after, so that the springs and neaps around are known. */
const AROUND_MS = 20 * 86_400_000

/** The scenario's ports. Their constants are invented. */
const PORTS: readonly (Port & { harmonics: Harmonics })[] = [
  {
    id: 'port-hesk',
    name: 'Port Hesk',
    latitudeDeg: 58.604,
    longitudeDeg: -9.352,
    harmonics: {
      meanLevelM: 2.9,
      constituents: [
        { name: 'M2', amplitudeM: 1.55, phaseDeg: 192 },
        { name: 'S2', amplitudeM: 0.56, phaseDeg: 231 },
        { name: 'N2', amplitudeM: 0.31, phaseDeg: 171 },
        { name: 'K2', amplitudeM: 0.15, phaseDeg: 229 },
        { name: 'K1', amplitudeM: 0.11, phaseDeg: 128 },
        { name: 'O1', amplitudeM: 0.09, phaseDeg: 12 },
        { name: 'M4', amplitudeM: 0.11, phaseDeg: 251 },
      ],
    },
  },
  {
    id: 'tarrow',
    name: 'Tarrow',
    latitudeDeg: 58.771,
    longitudeDeg: -9.118,
    harmonics: {
      meanLevelM: 2.3,
      constituents: [
        { name: 'M2', amplitudeM: 1.18, phaseDeg: 214 },
        { name: 'S2', amplitudeM: 0.43, phaseDeg: 255 },
        { name: 'N2', amplitudeM: 0.24, phaseDeg: 193 },
        { name: 'K2', amplitudeM: 0.12, phaseDeg: 252 },
        { name: 'K1', amplitudeM: 0.12, phaseDeg: 137 },
        { name: 'O1', amplitudeM: 0.1, phaseDeg: 22 },
        { name: 'M4', amplitudeM: 0.07, phaseDeg: 288 },
      ],
    },
  },
]

/** Tides of the invented ports, predicted from invented constants; stands in for a real service. */
export const standInTides: TideService = {
  ports: async () => PORTS.map(({ harmonics: _, ...port }) => port),
  tide: async (portId, fromMs, toMs) => {
    const port = PORTS.find(({ id }) => id === portId)
    if (!port) return undefined
    assertInYears(fromMs)
    assertInYears(toMs)
    return {
      heights: heightsThrough(port.harmonics, fromMs, toMs, STEP_S),
      turns: turnsThrough(port.harmonics, fromMs - AROUND_MS, toMs + AROUND_MS),
      ...meanRangesM(port.harmonics),
    }
  },
}
