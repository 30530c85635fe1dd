/** The families a trace can be started from, and what each is called; `families/data` says what it is made of. */
const FAMILY_NAMES = {
  ownDesign: 'own design',
  runningLedger: 'running ledger',
  threeWay: 'three-way bottom rig',
  captiveSinker: 'captive sinker with linked hooks',
  pulley: 'pulley rig',
  rotating: 'rotating trace',
  barrelLead: 'barrel sinker and light snood',
  heavyBottom: 'heavy bottom bait',
  boomPaternoster: 'boom paternoster',
  clippedDown: 'clipped-down surf trace',
  twinTag: 'twin tag',
  hookString: 'string of small dressed hooks',
  freeLine: 'free line',
  splitShot: 'split shot',
  sinkerAtHook: 'sinker against the hook',
  quickChange: 'quick-change live-bait leader',
  liveBaitLeader: 'live-bait leader',
  biteTrace: 'bite trace',
  slidingFloat: 'sliding float',
  straightLure: 'straight-tied lure',
  castingLeader: 'casting leader',
  jigAndTrailer: 'jig and trailer',
  bulletFree: 'soft lure, free bullet weight',
  bulletPegged: 'soft lure, pegged bullet weight',
  slidingWeightTrace: 'soft lure, sliding weight and trace',
  linkedRings: 'soft lure, weight and hook on linked rings',
  slottedWeight: 'soft lure, slotted weight',
  nailWorm: 'soft lure, nail-weighted worm',
  dropShot: 'soft lure, drop shot',
  tandemTroll: 'tandem troll',
  windOn: 'top shot and wind-on',
  deepDrop: 'deep drop',
  kiteBait: 'kite bait',
} as const

export type FamilyId = keyof typeof FAMILY_NAMES

export const FAMILY_IDS = Object.keys(FAMILY_NAMES) as [FamilyId, ...FamilyId[]]

/** How an end is meant to fish: on the bottom, dragged near it, hung in mid-water, free, or worked. */
export const FISHING_MODES = ['holds', 'drags', 'hangs', 'swims', 'worked'] as const
export type FishingMode = (typeof FISHING_MODES)[number]

/** How the families fish that do not hold the bottom. */
const FAMILY_FISHES: Partial<Record<FamilyId, FishingMode>> = {
  hookString: 'worked',
  freeLine: 'swims',
  splitShot: 'swims',
  sinkerAtHook: 'swims',
  twinTag: 'swims',
  quickChange: 'swims',
  liveBaitLeader: 'swims',
  biteTrace: 'swims',
  windOn: 'swims',
  slidingFloat: 'hangs',
  kiteBait: 'hangs',
  deepDrop: 'drags',
  dropShot: 'drags',
  straightLure: 'worked',
  castingLeader: 'worked',
  jigAndTrailer: 'worked',
  bulletFree: 'worked',
  bulletPegged: 'worked',
  slidingWeightTrace: 'worked',
  linkedRings: 'worked',
  slottedWeight: 'worked',
  nailWorm: 'worked',
  tandemTroll: 'worked',
}

/** How the end of a family is meant to fish, unless a trace says otherwise. */
export const familyFishingMode = (id: FamilyId): FishingMode => FAMILY_FISHES[id] ?? 'holds'

/** The family of a trace that was drawn from nothing. */
export const OWN_DESIGN = 'ownDesign' satisfies FamilyId

export const familyName = (id: FamilyId): string => FAMILY_NAMES[id]
