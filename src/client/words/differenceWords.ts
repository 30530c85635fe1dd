import type { Difference } from '../../core/analysis/differences.ts'
import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import { type Joint, jointSchema } from '../../core/documents/fields.ts'
import type { Trace } from '../../core/documents/trace.ts'
import type { Quantity } from '../../core/units/quantities.ts'
import type { Show } from '../settings/show.ts'
import { percent } from './percent.ts'

/** What a field is called; a strength or a weight goes without saying. */
const FIELD_NAMES: Record<string, string> = {
  strengthN: '',
  massKg: '',
  lengthM: 'length',
  diameterM: 'diameter',
  boreM: 'sleeve’s bore',
  connection: 'tied with',
  attach: '',
  weakLink: 'weak link',
  dragN: 'drag',
  dragMeasuredAt: 'drag measured at',
  lineOutM: 'line out',
  castStyle: 'cast',
  fishes: 'how the end fishes',
  dropM: 'drop',
  launchDeg: 'launch',
  fishSpeedMperS: 'fish’s speed',
  fishMassKg: 'fish landed',
  landing: 'how landed',
  mouthWidthM: 'mouth of the fish',
  headKg: 'head',
  headSwings: 'swings from its head',
  dragAreaM2: 'drag area, m²',
  floats: 'floats',
  metal: 'made of',
  freeboardM: 'freeboard',
  water: 'how it settles calculated',
  own: 'own test',
  depthM: 'depth',
  streamMperS: 'stream',
  distanceM: 'distance',
  driftMperS: 'drift',
  rodHeld: 'rod held',
  moving: 'how the line moves',
  speedMperS: 'boat speed',
  windMperS: 'wind',
  waterM: 'water',
  nearWaterM: 'water under the rod',
  ringFriction: 'friction at the ring',
  rodTip: 'rod tip',
  pauseS: 'pause, s',
  turnRadiusM: 'radius of a turn',
  swimsAt: 'where it swims',
  otherAt: 'the second plan',
  course: 'the boat’s way',
  beside: 'the line beside it',
  baits: 'baits under the kite',
  kiteLineN: 'kite line',
  ratedDepthM: 'rated to',
  ratedSpeedMperS: 'rated at',
  ratedLineOutM: 'rated with line out',
  ratedLineDiameterM: 'rated on line of',
  weedFactor: 'weed',
  startFactor: 'start factor',
  guideFriction: 'guide friction',
  guideWrapRad: 'guide wrap',
  allowedFraction: 'allowed fraction',
  lineSpread: 'spread of lines about their label',
  pulledSpread: 'spread of lines that were pulled',
  pulled: 'spool pulled',
  twistPerM: 'twist a metre',
}

const QUANTITY_OF: Record<string, Quantity> = {
  strengthN: 'strength',
  dragN: 'strength',
  lengthM: 'length',
  lineOutM: 'length',
  dropM: 'length',
  freeboardM: 'length',
  depthM: 'length',
  distanceM: 'length',
  streamMperS: 'speed',
  driftMperS: 'speed',
  speedMperS: 'speed',
  windMperS: 'speed',
  kiteLineN: 'strength',
  ratedSpeedMperS: 'speed',
  ratedDepthM: 'length',
  ratedLineOutM: 'length',
  ratedLineDiameterM: 'diameter',
  waterM: 'length',
  nearWaterM: 'length',
  turnRadiusM: 'length',
  diameterM: 'diameter',
  boreM: 'diameter',
  massKg: 'mass',
  fishMassKg: 'fish',
  mouthWidthM: 'diameter',
  headKg: 'mass',
  fishSpeedMperS: 'speed',
}

/** Fields of several values, which are told of as a whole. */
const PLANS = ['swimsAt', 'otherAt', 'course', 'beside', 'baits']

/** A difference as a person would say it: “leader 60 lb → 40 lb”. */
export function differenceWords(catalogue: Catalogue, difference: Difference, show: Show): string {
  if (!('field' in difference)) return `${difference.id.replaceAll('-', ' ')} ${difference.kind}`
  const name = difference.kind === 'changed' ? difference.id.replaceAll('-', ' ') : ''
  const field = FIELD_NAMES[difference.field] ?? difference.field
  if (PLANS.includes(difference.field)) return `${field} changed`
  const [before, after] = [difference.before, difference.after].map((raw) => valueWords(catalogue, difference.field, raw, show))
  if (difference.field === 'attach' && before === after) return `${name} ${before}, at another place`
  return [name, field, before, '→', after].filter((word) => word !== '').join(' ')
}

function valueWords(catalogue: Catalogue, field: string, raw: unknown, show: Show): string {
  if (raw === undefined) return absentWords(field)
  if (typeof raw === 'number') {
    const quantity = QUANTITY_OF[field]
    return quantity ? show.entered(quantity, raw) : String(raw)
  }
  if (field === 'connection') {
    const connection = jointSchema.shape.connection.safeParse(raw)
    return connection.success ? catalogue.connections[connection.data].name : String(raw)
  }
  if (field === 'weakLink') return String(raw).replaceAll('-', ' ')
  if (field === 'fuse') return fuseName(raw)
  if (field === 'own') return percent((raw as NonNullable<Joint['own']>).efficiency)
  if (field === 'attach') return hangsWords(raw)
  if (typeof raw === 'boolean') return raw ? 'yes' : 'no'
  if (Array.isArray(raw)) return raw.join(', ')
  return typeof raw === 'string' ? nameIn(catalogue, field, raw) : 'elsewhere'
}

/** What the catalogue calls a value, where it is one of its own. */
function nameIn(catalogue: Catalogue, field: string, raw: string): string {
  const { baits, hooks, sinkers, sinkerMetals, castStyles, materials, hardware, landings, methods, beds } = catalogue
  const tables: Record<string, Readonly<Record<string, { name: string }>>> = {
    bait: baits,
    pattern: hooks.patterns,
    shape: sinkers,
    metal: sinkerMetals,
    castStyle: castStyles,
    material: materials,
    type: hardware,
    landing: landings,
    method: methods,
    bed: beds,
  }
  return tables[field]?.[raw]?.name ?? raw
}

/** The link that is meant to go first: a piece, or its knot. */
function fuseName(raw: unknown): string {
  const { at, id } = raw as NonNullable<Trace['fuse']>
  return `${id.replaceAll('-', ' ')}${at === 'joint' ? '’s knot' : ''}`
}

/** What stands where nothing was said: a name, notes or a fuse are simply not there; a size is the usual one. */
function absentWords(field: string): string {
  return ['notes', 'tags', 'weakLink', 'fuse'].includes(field) ? 'none' : 'as usual'
}

const HANGS: Record<string, string> = { joined: 'tied to', fixed: 'fixed on', sliding: 'slides on', through: 'runs through' }

/** How a piece hangs, and from what. */
function hangsWords(raw: unknown): string {
  const [how, place] = raw as [string, Record<string, unknown>]
  const from = place.to ?? place.on ?? place.carrier
  return `${HANGS[how]} ${from === 'outfit' ? 'the outfit’s line' : String(from).replaceAll('-', ' ')}`
}
