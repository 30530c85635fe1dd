import type { Outfit } from '../../core/documents/outfit.ts'
import { OUTFIT_VERSION } from '../../core/documents/versions.ts'
import { LB } from '../../core/units/quantities.ts'

/** The scenario's outfits: two for the beach, one for the rocks, two for the boat. Radii and capacities are invented. */
export const DEMO_OUTFITS = {
  beach: {
    id: 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c101',
    content: {
      formatVersion: OUTFIT_VERSION,
      name: 'Beach rod, 50 lb braid',
      rod: { name: 'beach rod', lengthM: 3.9, ratingLowN: 20 * LB, ratingHighN: 60 * LB, castLowKg: 0.1, castHighKg: 0.2 },
      reel: {
        name: 'large fixed spool',
        capacityLengthM: 300,
        capacityDiameterM: 0.00037,
        arborRadiusM: 0.024,
        fullRadiusM: 0.036,
        highestDragN: 150,
      },
      wound: [
        { role: 'backing', material: 'mono', strengthN: 20 * LB, lengthM: 40 },
        { role: 'main', material: 'braid', strengthN: 50 * LB, joint: { connection: 'doubleUni' } },
      ],
    },
  },
  oldBeach: {
    id: 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c102',
    content: {
      formatVersion: OUTFIT_VERSION,
      name: 'Old beach rod, 20 lb mono',
      rod: { name: 'old beach rod', lengthM: 3.6, ratingLowN: 12 * LB, ratingHighN: 30 * LB },
      reel: {
        name: 'half-empty multiplier',
        capacityLengthM: 280,
        capacityDiameterM: 0.0004,
        arborRadiusM: 0.013,
        fullRadiusM: 0.028,
        highestDragN: 90,
      },
      wound: [{ role: 'main', material: 'mono', strengthN: 20 * LB, diameterM: 0.00042, lengthM: 120, condition: 0.9 }],
    },
  },
  rocks: {
    id: 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c103',
    content: {
      formatVersion: OUTFIT_VERSION,
      name: 'Rock rod, 30 lb braid',
      rod: { name: 'rock rod', lengthM: 3.3, ratingLowN: 12 * LB, ratingHighN: 40 * LB },
      reel: {
        name: 'fixed spool',
        capacityLengthM: 240,
        capacityDiameterM: 0.0003,
        arborRadiusM: 0.022,
        fullRadiusM: 0.031,
        highestDragN: 110,
      },
      wound: [{ role: 'main', material: 'braid', strengthN: 30 * LB }],
    },
  },
  boat: {
    id: 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c104',
    content: {
      formatVersion: OUTFIT_VERSION,
      name: 'Fulmar boat rod, 50 lb braid, top shot',
      rod: { name: 'boat rod', lengthM: 2.2, ratingLowN: 30 * LB, ratingHighN: 60 * LB },
      reel: {
        name: 'lever drag',
        capacityLengthM: 400,
        capacityDiameterM: 0.00045,
        arborRadiusM: 0.02,
        fullRadiusM: 0.034,
        highestDragN: 130,
      },
      wound: [
        { role: 'main', material: 'braid', strengthN: 50 * LB },
        { role: 'topShot', material: 'mono', strengthN: 60 * LB, lengthM: 12, joint: { connection: 'fg' } },
      ],
    },
  },
  deep: {
    id: 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c105',
    content: {
      formatVersion: OUTFIT_VERSION,
      name: 'Fulmar deep rod, 80 lb braid',
      rod: { name: 'deep rod', lengthM: 1.9, ratingLowN: 50 * LB, ratingHighN: 100 * LB },
      reel: {
        name: 'two-speed',
        capacityLengthM: 600,
        capacityDiameterM: 0.0005,
        arborRadiusM: 0.022,
        fullRadiusM: 0.04,
        highestDragN: 220,
      },
      wound: [{ role: 'main', material: 'braid', strengthN: 80 * LB, lengthM: 550 }],
    },
  },
} as const satisfies Record<string, { id: string; content: Outfit }>

export type DemoOutfit = keyof typeof DEMO_OUTFITS
