import type { z } from 'zod'
import type { markSchema } from '../../core/documents/mark.ts'
import type { Hold } from '../../core/documents/observation.ts'
import { MARK_VERSION } from '../../core/documents/versions.ts'
import { QUANTITIES } from '../../core/units/quantities.ts'
import { demoId } from './demoId.ts'

const KN = QUANTITIES.speed.units.kn
const ZONE = 'Europe/London'

/** A table from six hours before high water to six after: spring rates in knots, neaps a share of them, sets on flood and ebb. */
function stream(springKn: readonly number[], neapShare: number, floodDeg: number, ebbDeg: number, turnsAfterHour: number) {
  return springKn.map((kn, i) => ({
    hour: i - 6,
    springMperS: Math.round(kn * KN * 1000) / 1000,
    neapMperS: Math.round(neapShare * kn * KN * 1000) / 1000,
    directionDeg: i - 6 > -6 && i - 6 <= turnsAfterHour ? floodDeg : ebbDeg,
  }))
}

/** The scenario's marks. Positions, depths and streams are invented. */
export const DEMO_MARKS: readonly z.input<typeof markSchema>[] = [
  {
    formatVersion: MARK_VERSION,
    name: 'Hesk Bar',
    markKind: 'beach',
    latitudeDeg: 58.622,
    longitudeDeg: -9.401,
    timeZone: ZONE,
    depthM: 2,
    bed: 'sand',
    method: 'shore',
    scope: 1.15,
    distanceM: 90,
    portId: 'port-hesk',
    stream: stream([0.1, 0.3, 0.5, 0.6, 0.6, 0.4, 0.2, 0.2, 0.4, 0.6, 0.6, 0.4, 0.2], 0.5, 15, 195, 0),
    notes: 'Surf beach. Best on the last of the flood; weed after a westerly.',
  },
  {
    formatVersion: MARK_VERSION,
    name: 'Long Ledge',
    markKind: 'rock',
    wayBackM: 3.4,
    latitudeDeg: 58.571,
    longitudeDeg: -9.447,
    timeZone: ZONE,
    depthM: 8,
    bed: 'rock',
    method: 'shore',
    scope: 1.15,
    distanceM: 40,
    portId: 'port-hesk',
    highWaterAfterMin: -10,
    stream: stream([0.2, 0.5, 0.9, 1.1, 1, 0.6, 0.3, 0.3, 0.7, 1.1, 1, 0.7, 0.3], 0.5, 340, 160, 0),
    notes: 'Rock and kelp under a ledge. Not in a swell from the west.',
  },
  {
    formatVersion: MARK_VERSION,
    name: 'Kettle Narrows',
    markKind: 'boat',
    latitudeDeg: 58.655,
    longitudeDeg: -9.288,
    timeZone: ZONE,
    depthM: 26,
    bed: 'shingle',
    method: 'anchor',
    scope: 1.2,
    portId: 'port-hesk',
    highWaterAfterMin: 15,
    stream: stream([0.4, 1.3, 2.1, 2.6, 2.4, 1.5, 0.5, 0.7, 1.8, 2.5, 2.3, 1.5, 0.6], 0.5, 42, 221, 0),
    notes: 'At anchor on shingle; the current turns soon after high water.',
  },
  {
    formatVersion: MARK_VERSION,
    name: 'Outer Bank',
    markKind: 'boat',
    latitudeDeg: 58.702,
    longitudeDeg: -9.563,
    timeZone: ZONE,
    depthM: 53,
    bed: 'sand',
    method: 'drift',
    scope: 1.2,
    portId: 'tarrow',
    highWaterAfterMin: -40,
    stream: stream([0.3, 0.8, 1.4, 1.8, 1.7, 1.1, 0.4, 0.5, 1.2, 1.7, 1.6, 1, 0.4], 0.55, 28, 206, 0),
    notes: 'Sand and shell; the drift runs along the edge of the bank.',
  },
  {
    formatVersion: MARK_VERSION,
    name: 'The Sill',
    markKind: 'boat',
    latitudeDeg: 58.812,
    longitudeDeg: -9.71,
    timeZone: ZONE,
    depthM: 238,
    bed: 'mud',
    method: 'drift',
    scope: 1.2,
    portId: 'tarrow',
    highWaterAfterMin: -60,
    stream: stream([0.2, 0.4, 0.6, 0.8, 0.8, 0.5, 0.2, 0.3, 0.6, 0.8, 0.7, 0.5, 0.2], 0.6, 24, 204, 0),
    notes: 'Deep mud on the edge.',
  },
]

/** What wired leads were seen to do on Hesk Bar. */
export function demoHolds(): Hold[] {
  const seen = [
    { at: '2026-10-11T19:20:00.000Z', massKg: 0.15, demand: 2.1, held: true },
    { at: '2026-10-11T20:05:00.000Z', massKg: 0.15, demand: 2.6, held: true },
    { at: '2026-10-25T18:40:00.000Z', massKg: 0.125, demand: 3.4, held: false },
  ]
  return seen.map((each) => ({
    ...each,
    formatVersion: 1,
    id: demoId(`hold ${each.at}`),
    kind: 'hold',
    markId: demoId('Hesk Bar'),
    method: 'shore',
    shape: 'gripWire',
  }))
}
