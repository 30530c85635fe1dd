import type { Catalogue } from './catalogue.ts'

/** Arbor over full radius, and width over full radius, of most spools; share of the room between that round line fills. Nominal, ours. */
const ARBOR_SHARE = 0.6
const WIDTH_SHARE = 0.9
const PACKED = 0.8

type Capacity = { capacityLengthM: number; capacityDiameterM: number }
export type SpoolRadii = { arborRadiusM: number; fullRadiusM: number }

/**
 * Radii of a spool of which only the printed capacity is known: those of a usual spool that holds so much.
 * @returns radii, m. Nominal: a ruler across the spool replaces them.
 */
export function estimatedRadii({ capacityLengthM, capacityDiameterM }: Capacity): SpoolRadii {
  const roomM3 = (capacityLengthM * (Math.PI / 4) * capacityDiameterM ** 2) / PACKED
  const fullRadiusM = Math.cbrt(roomM3 / (Math.PI * WIDTH_SHARE * (1 - ARBOR_SHARE ** 2)))
  return { arborRadiusM: ARBOR_SHARE * fullRadiusM, fullRadiusM }
}

type Reel = Capacity & { arborRadiusM?: number | undefined; fullRadiusM?: number | undefined }

/** A reel’s radii: as measured, else estimated from what it holds. */
export function spoolRadii(reel: Reel): SpoolRadii {
  const { arborRadiusM, fullRadiusM } = reel
  return arborRadiusM === undefined || fullRadiusM === undefined ? estimatedRadii(reel) : { arborRadiusM, fullRadiusM }
}

/** Turns of a spool for one of the handle, where nobody said. Nominal. */
export const DEFAULT_GEAR_RATIO = 5

/** A spool weighs about so many times the nylon that it holds. Nominal, ours. */
const SPOOL_OVER_NYLON = 2

/**
 * Moment of inertia of a spool that is full of line over its radius squared: about half of what both weigh.
 * @returns kg. Nominal: a spool’s mass is printed nowhere.
 */
export function spoolEffectiveMassKg({ materials }: Catalogue, { capacityLengthM, capacityDiameterM }: Capacity): number {
  const nylonKg = capacityLengthM * (Math.PI / 4) * capacityDiameterM ** 2 * materials.mono.densityKgperM3
  return (nylonKg + SPOOL_OVER_NYLON * nylonKg) / 2
}
