import type { Outfit, WoundLine } from '../documents/outfit.ts'
import { OUTFIT_VERSION } from '../documents/versions.ts'
import { LB } from '../units/quantities.ts'

type Ends = readonly [low: number, high: number]
type Start = {
  name: string
  rodM: number
  ratingLb: Ends
  castG?: Ends
  action?: Outfit['rod']['action']
  holds: { lengthM: number; diameterMm: number }
  highestDragLb: number
  gearRatio: number
  wound: readonly WoundLine[]
}

const line = (
  role: WoundLine['role'],
  material: WoundLine['material'],
  strengthLb: number,
  more: Partial<WoundLine> = {},
): WoundLine => ({ role, material, strengthN: strengthLb * LB, ...more })
const backing = (strengthLb: number, lengthM: number) => line('backing', 'mono', strengthLb, { lengthM })
const OVER_BACKING = { joint: { connection: 'doubleUni' } } as const
const BIMINI = { connection: 'bimini' } as const

/** Outfits to begin from: what is usual for each way of fishing. Nominal, ours; radii are estimated from what the reel holds. */
const STARTS: readonly Start[] = [
  {
    name: 'Light shore rod, 15 lb braid',
    rodM: 2.7,
    ratingLb: [8, 20],
    castG: [10, 40],
    action: 'fast',
    holds: { lengthM: 200, diameterMm: 0.26 },
    highestDragLb: 16,
    gearRatio: 5.8,
    wound: [backing(10, 40), line('main', 'braid', 15, OVER_BACKING)],
  },
  {
    name: 'Surf rod, 30 lb braid',
    rodM: 4.2,
    ratingLb: [15, 40],
    castG: [100, 200],
    holds: { lengthM: 300, diameterMm: 0.36 },
    highestDragLb: 34,
    gearRatio: 4.6,
    wound: [backing(20, 60), line('main', 'braid', 30, OVER_BACKING)],
  },
  {
    name: 'Rock rod, 40 lb braid',
    rodM: 3.3,
    ratingLb: [20, 50],
    castG: [80, 180],
    action: 'fast',
    holds: { lengthM: 260, diameterMm: 0.36 },
    highestDragLb: 32,
    gearRatio: 4.9,
    wound: [backing(20, 50), line('main', 'braid', 40, OVER_BACKING)],
  },
  {
    name: 'Pier rod, 20 lb mono',
    rodM: 3,
    ratingLb: [12, 30],
    castG: [60, 140],
    holds: { lengthM: 250, diameterMm: 0.4 },
    highestDragLb: 20,
    gearRatio: 4.6,
    wound: [line('main', 'mono', 20)],
  },
  {
    name: 'Boat rod, 50 lb braid',
    rodM: 2.2,
    ratingLb: [30, 60],
    holds: { lengthM: 400, diameterMm: 0.4 },
    highestDragLb: 30,
    gearRatio: 5.3,
    wound: [line('main', 'braid', 50)],
  },
  {
    name: 'Deep-water rod, 80 lb braid, top shot',
    rodM: 1.8,
    ratingLb: [50, 130],
    holds: { lengthM: 900, diameterMm: 0.45 },
    highestDragLb: 50,
    gearRatio: 3.8,
    wound: [line('main', 'braid', 80), line('topShot', 'mono', 100, { lengthM: 10, joint: { connection: 'fg' } })],
  },
  {
    name: 'Trolling rod, 50 lb mono on 80 lb braid',
    rodM: 1.8,
    ratingLb: [30, 80],
    action: 'soft',
    holds: { lengthM: 600, diameterMm: 0.6 },
    highestDragLb: 40,
    gearRatio: 3.5,
    wound: [
      line('backing', 'braid', 80),
      line('main', 'mono', 50, {
        lengthM: 300,
        joint: { connection: 'catsPaw' },
        doubled: { under: BIMINI, over: BIMINI },
      }),
    ],
  },
  {
    name: 'Live-bait rod, 50 lb braid',
    rodM: 2.4,
    ratingLb: [30, 60],
    castG: [60, 200],
    holds: { lengthM: 350, diameterMm: 0.4 },
    highestDragLb: 30,
    gearRatio: 5.1,
    wound: [line('main', 'braid', 50)],
  },
  {
    name: 'Kite rod, 50 lb hollow braid',
    rodM: 2.1,
    ratingLb: [30, 60],
    action: 'soft',
    holds: { lengthM: 450, diameterMm: 0.42 },
    highestDragLb: 34,
    gearRatio: 4,
    wound: [line('main', 'braid', 50, { hollow: true })],
  },
]

export const STARTING_OUTFITS: readonly Outfit[] = STARTS.map(
  ({ name, rodM, ratingLb, castG, action, holds, highestDragLb, gearRatio, wound }) => ({
    formatVersion: OUTFIT_VERSION,
    name,
    rod: {
      lengthM: rodM,
      ratingLowN: ratingLb[0] * LB,
      ratingHighN: ratingLb[1] * LB,
      ...(castG ? { castLowKg: castG[0] / 1000, castHighKg: castG[1] / 1000 } : {}),
      ...(action ? { action } : {}),
    },
    reel: {
      capacityLengthM: holds.lengthM,
      capacityDiameterM: holds.diameterMm / 1000,
      highestDragN: highestDragLb * LB,
      gearRatio,
    },
    wound: [...wound],
  }),
)
