import type { FamilyId } from '../catalogue/familyIds.ts'
import type { ConnectionId, Rigging } from '../catalogue/ids.ts'

/** Words for a sinker line that is meant to break first. */
export const WEAK: readonly string[] = ['rotten bottom', 'weak link', 'breakaway link', 'sacrificial link', 'break off']

/** Other words for parts, and the name that each part goes by in the catalogue or among the new parts. */
// biome-ignore format: a table reads better in columns
export const PART_SYNONYMS: Readonly<Record<string, readonly string[]>> = {
  snood: ['dropper', 'hook length', 'hooklength', 'hook line', 'hook snood', 'branch line', 'gangion', 'ganion'],
  leader: ['shock leader', 'shocker', 'tippet', 'trace leader', 'top shot', 'topshot', 'mono cap', 'wind on leader', 'wind on', 'windon'],
  'bite trace': ['bite leader', 'wire trace', 'bite tippet', 'shock tippet', 'wire leader', 'wire'],
  'sinker line': WEAK,
  sinker: ['lead', 'weight', 'plummet'],
  'wired grip': ['grip lead', 'wired lead', 'wired sinker', 'grip sinker', 'grip weight', 'sputnik', 'grapnel sinker', 'star sinker', 'breakout lead', 'breakaway lead', 'gripper'],
  bomb: ['bank sinker', 'casting lead'],
  ball: ['egg sinker', 'egg', 'cannonball'],
  barrel: ['bean'],
  pyramid: ['diamond'],
  swivel: ['barrel swivel', 'crane swivel'],
  'three way swivel': ['3 way swivel', 'three way', '3 way'],
  snap: ['clip', 'link'],
  boom: ['spreader arm', 'stand off'],
  crimp: ['ferrule'],
  'stop knot': ['bobber stop', 'float stop'],
  lure: ['soft lure', 'soft plastic worm', 'soft plastic', 'shad', 'spoon', 'spinner', 'plug', 'popper', 'minnow', 'metal jig', 'jig', 'pirk', 'feather', 'skirt'],
  'whole squid': ['squid'],
  'whole small fish': ['whole fish', 'dead bait', 'deadbait', 'live bait', 'livebait', 'mackerel', 'sardine', 'pilchard', 'herring', 'mullet', 'flying fish', 'yellowtail'],
  'peeler crab': ['crab'],
  'fish strip': ['strip', 'belly strip', 'mackerel strip'],
  fillet: ['mackerel fillet', 'flapper'],
  lugworm: ['worm', 'lug', 'ragworm', 'bloodworm'],
  shellfish: ['mussel', 'clam', 'cockle', 'limpet'],
  prawn: ['shrimp'],
  sandeel: ['eel', 'launce'],
}

/** Names that mean different things in different places, and how to say each of them. */
export const AMBIGUOUS: Readonly<Record<string, readonly string[]>> = {
  breakaway: ['weak link', 'wired sinker'],
  'fishermans knot': ['improved clinch', 'double uni'],
}

/** Other names for whole traces, by their family. */
export const FAMILY_SYNONYMS: Readonly<Partial<Record<FamilyId, readonly string[]>>> = {
  runningLedger: ['fish finder', 'fish finder rig', 'running trace', 'running sinker rig', 'sliding sinker rig', 'running leger'],
  boomPaternoster: [
    'flapper',
    'high low',
    'high low rig',
    'hi lo',
    'paternoster',
    'dropper rig',
    'chicken rig',
    'two hook bottom rig',
  ],
  pulley: ['pulley pennel'],
  clippedDown: ['clipped down trace', 'bait clip rig', 'impact rig'],
  threeWay: ['three way rig', 'three way trace', 'dropper sinker rig'],
  rotating: ['helicopter', 'helicopter rig', 'swivel stop rig'],
  slidingFloat: ['slip float', 'slip bobber', 'running float'],
  sinkerAtHook: ['knocker', 'knocker rig', 'ball to the hook', 'sweeper'],
  dropShot: ['down shot'],
  liveBaitLeader: ['fly line', 'fly line rig', 'flat line'],
  deepDrop: ['buoy line', 'daytime drop'],
}

/** Words that say a bait is alive or dead by themselves. */
export const ALIVE: Readonly<Record<string, boolean>> = {
  'live bait': true,
  livebait: true,
  'dead bait': false,
  deadbait: false,
}

/** Words that say how a part is tied, beside the names of the knot. */
export const KNOT_WORDS: Readonly<Partial<Record<ConnectionId, readonly string[]>>> = {
  snell: ['snelled'],
  stopKnotOwn: ['in the line itself', 'in the line', 'in the body', 'in the body itself', 'tied in'],
}

/** Other words for materials, by what the table calls them. */
export const MATERIAL_SYNONYMS: Readonly<Record<string, string>> = {
  fluorocarbon: 'fluoro',
  nylon: 'mono',
  monofilament: 'mono',
  pe: 'braid',
  superline: 'braid',
}

/** Words for how a bait is put on. */
export const RIGGING_WORDS: Readonly<Record<string, Rigging>> = {
  nose: 'nose',
  throat: 'throat',
  bridled: 'bridled',
  bridle: 'bridled',
  stitched: 'stitched',
  sewn: 'stitched',
  threaded: 'threaded',
  seam: 'seam',
  bound: 'bound',
  whipped: 'bound',
  flush: 'flush',
  'point up': 'pointUp',
  ring: 'ring',
}

/** Words for what holds a part that slides: a stop above it, a stop below it, both or neither. */
export const RESTS = {
  rising: { above: true, below: false },
  resting: { above: false, below: true },
  trapped: { above: true, below: true },
  free: { above: false, below: false },
} as const
export const REST_WORDS = Object.keys(RESTS) as (keyof typeof RESTS)[]

/** Words that add nothing to a part that is already named. */
export const GENERIC = [
  'round',
  'around',
  'the',
  'shank',
  'hook',
  'sinker',
  'weight',
  'lead',
  'bait',
  'lure',
  'line',
  'leader',
  'swivel',
  'knot',
  'with',
  'a',
  'an',
  'the',
  'eye',
  'of',
  'and',
]
