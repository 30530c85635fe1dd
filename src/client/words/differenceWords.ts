import { connectionOf } from '../../core/gear/connections.ts'
import type { Difference } from '../../core/trace/differences.ts'
import { jointSchema } from '../../core/trace/schema.ts'
import type { Quantity } from '../../core/units/quantities.ts'
import type { Show } from '../settings/preferences.tsx'

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
  dropM: 'drop',
  launchDeg: 'launch',
  fishSpeedMperS: 'fish’s speed',
  fishMassKg: 'fish lifted',
  freeboardM: 'freeboard',
  water: 'reckoned how it settles',
  depthM: 'depth',
  streamMperS: 'stream',
  distanceM: 'distance',
  driftMperS: 'drift',
  weedFactor: 'weed',
  startFactor: 'start factor',
  guideFriction: 'guide friction',
  guideWrapRad: 'guide wrap',
  allowedFraction: 'allowed fraction',
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
  diameterM: 'diameter',
  boreM: 'diameter',
  massKg: 'mass',
  fishMassKg: 'fish',
  fishSpeedMperS: 'speed',
}

/** A difference as a person would say it: “leader 60 lb → 40 lb”. */
export function differenceWords(difference: Difference, show: Show): string {
  if (!('field' in difference)) return `${difference.id.replaceAll('-', ' ')} ${difference.kind}`
  const name = difference.kind === 'changed' ? difference.id.replaceAll('-', ' ') : ''
  const field = FIELD_NAMES[difference.field] ?? difference.field
  const [before, after] = [difference.before, difference.after].map((raw) => valueWords(difference.field, raw, show))
  if (difference.field === 'attach' && before === after) return `${name} ${before}, at another place`
  return [name, field, before, '→', after].filter((word) => word !== '').join(' ')
}

function valueWords(field: string, raw: unknown, show: Show): string {
  if (raw === undefined) return absentWords(field)
  if (typeof raw === 'number') {
    const quantity = QUANTITY_OF[field]
    return quantity ? show.entered(quantity, raw) : String(raw)
  }
  if (field === 'connection') {
    const connection = jointSchema.shape.connection.safeParse(raw)
    return connection.success ? connectionOf(connection.data).name : String(raw)
  }
  if (field === 'weakLink' || field === 'fuse')
    return String(raw)
      .replace(/\.joint$/, '’s knot')
      .replaceAll('-', ' ')
  if (field === 'attach') return hangsWords(raw)
  if (typeof raw === 'boolean') return raw ? 'yes' : 'no'
  if (Array.isArray(raw)) return raw.join(', ')
  return typeof raw === 'string' ? raw : 'elsewhere'
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
