import type { Difference } from '../../core/analysis/differences.ts'
import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import { type FamilyId, familyName } from '../../core/catalogue/familyIds.ts'
import type { Conditions } from '../../core/documents/conditions.ts'
import { FIELD_INFO, type FieldName } from '../../core/documents/fieldInfo.ts'
import type { Joint } from '../../core/documents/fields.ts'
import type { Target } from '../../core/documents/fish.ts'
import type { Mark } from '../../core/documents/mark.ts'
import type { KiteBait, Moving, SwimsAt } from '../../core/documents/moving.ts'
import type { Outfit, WoundLine } from '../../core/documents/outfit.ts'
import type { RuleSet } from '../../core/documents/ruleSet.ts'
import type { Attach, Piece, Trace } from '../../core/documents/trace.ts'
import type { Water } from '../../core/documents/water.ts'
import { percent } from '../../core/units/percent.ts'
import { isQuantity } from '../../core/units/quantities.ts'
import type { Show } from '../settings/show.ts'
import { castName } from './castWords.ts'
import { FEEDS_WORDS, FIGHTS_WORDS, TAKES_WORDS, TEETH_WORDS } from './fishWords.ts'
import { MOVING_WORDS } from './movingWords.ts'
import { WOUND_NAMES } from './names.ts'
import { CLARITY_WORDS, LIGHT_WORDS } from './purposeWords.ts'
import { RIGGING_WORDS } from './riggingWords.ts'
import { FISHING_MODE_WORDS } from './waterWords.ts'

/** Units, the catalogue’s names, and the names of outfits, marks and fish by id. */
export type DifferenceWording = { catalogue: Catalogue; show: Show; nameOf: (id: string) => string | undefined }

/** A difference as a person would say it: “leader 60 lb → 40 lb”. */
export function differenceWords(difference: Difference, wording: DifferenceWording): string {
  if (!('field' in difference)) return `${partName(difference.id)} ${difference.kind}`
  const { field, before, after } = difference
  const { label } = FIELD_INFO[field]
  const part = difference.kind === 'changed' ? partName(difference.id) : ''
  const [was, is] = [before, after].map((value) => valueWords(field, value, wording))
  // Some differences do not show in the words: a place along a line, the order of parts, the figures of a plan.
  if (was === is) return field === 'attach' ? `${part} ${was}, at another position` : sentence(part, label, 'changed')
  return sentence(part, label, was!, '→', is!)
}

const sentence = (...words: string[]) => words.filter((word) => word !== '').join(' ')
const isWound = (id: string): id is WoundLine['role'] => id in WOUND_NAMES
const partName = (id: string) => (isWound(id) ? WOUND_NAMES[id] : id.replaceAll('-', ' '))

function valueWords(field: FieldName, value: unknown, wording: DifferenceWording): string {
  const { unit, absent = 'default' } = FIELD_INFO[field]
  if (value === undefined) return absent
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') return numberWords(unit, value, wording.show)
  return WORDS[field]?.(value as never, wording) ?? String(value)
}

/** A number with three significant figures. */
const plain = (value: number) => String(Number(value.toPrecision(3)))

function numberWords(unit: (typeof FIELD_INFO)[FieldName]['unit'], value: number, show: Show): string {
  if (isQuantity(unit)) return show.entered(unit, value)
  switch (unit) {
    case 'share':
      return percent(value)
    case 'radians':
      return `${plain((value * 180) / Math.PI)}°`
    case 'degrees':
      return `${plain(value)}°`
    case 'seconds':
      return `${plain(value)} s`
    case 'squareMetres':
      return `${plain(value * 1e4)} cm²`
    case 'perMetre':
      return `${plain(value)} a metre`
    default:
      return plain(value)
  }
}

const depthWords = ({ from, m }: SwimsAt, show: Show) =>
  `${show.entered('length', m)} ${from === 'bed' ? 'above the bottom' : 'under the surface'}`

const LINE_NAMES: { [Role in Piece['role']]?: string } = { sinkerLink: 'sinker line', biteTrace: 'bite trace' }

const HANGS = { joined: 'tied to', fixed: 'fixed on', sliding: 'slides on', through: 'runs through' } as const

/** How a piece hangs, and from what. */
function hangsWords(place: Attach): string {
  const from = 'to' in place ? place.to : 'on' in place ? place.on : place.carrier
  return `${HANGS[place.how]} ${from === 'outfit' ? 'the main line' : partName(from)}`
}

const crewName = (id: string, { nameOf }: DifferenceWording) => nameOf(id) ?? 'one that was deleted'
const rows = (values: readonly unknown[]) => (values.length === 1 ? '1 row' : `${values.length} rows`)
const list = (values: readonly string[]) => values.join(', ')

/** How to write values that are neither numbers nor texts to be shown unchanged. */
const WORDS: { [Field in FieldName]?: (value: never, wording: DifferenceWording) => string } = {
  attach: hangsWords,
  material: (id: keyof Catalogue['materials'], { catalogue }) => catalogue.materials[id].name,
  role: (id: Piece['role']) => LINE_NAMES[id] ?? id,
  pattern: (id: keyof Catalogue['hooks']['patterns'], { catalogue }) => catalogue.hooks.patterns[id].name,
  shape: (id: keyof Catalogue['sinkers'], { catalogue }) => catalogue.sinkers[id].name,
  metal: (id: keyof Catalogue['sinkerMetals'], { catalogue }) => catalogue.sinkerMetals[id].name,
  type: (id: keyof Catalogue['hardware'], { catalogue }) => catalogue.hardware[id].name,
  bait: (id: keyof Catalogue['baits'], { catalogue }) => catalogue.baits[id].name,
  rigging: (id: keyof typeof RIGGING_WORDS) => RIGGING_WORDS[id].name,
  connection: (id: keyof Catalogue['connections'], { catalogue }) => catalogue.connections[id].name,
  own: ({ efficiency }: NonNullable<Joint['own']>) => percent(efficiency),
  from: partName,
  to: partName,
  family: (id: FamilyId) => familyName(id),
  fishes: (id: keyof typeof FISHING_MODE_WORDS) => FISHING_MODE_WORDS[id],
  tags: list,
  setAside: (findings: NonNullable<Trace['setAside']>) => list(findings.map(({ reason }) => `“${reason}”`)),
  pieces: () => '',
  weakLink: partName,
  fuse: ({ at, id }: NonNullable<Trace['fuse']>) => `${partName(id)}${at === 'joint' ? '’s knot' : ''}`,
  wound: (lines: Outfit['wound']) => list(lines.map(({ role }) => partName(role))),
  marksM: rows,
  doubled: () => '',
  stream: (table: Mark['stream']) => rows(table),
  heights: (table: NonNullable<Mark['heights']>) => rows(table),
  leastLengths: (lengths: NonNullable<RuleSet['leastLengths']>) => list(lengths.map(({ fish }) => fish)),
  action: (id: keyof Catalogue['rodActions'], { catalogue }) => catalogue.rodActions[id].name,
  outfitId: crewName,
  markId: crewName,
  fishId: crewName,
  castStyle: (id: Conditions['castStyle'], { catalogue }) => castName(catalogue, id),
  dragMeasuredAt: (at: Conditions['dragMeasuredAt']) => (at === 'tip' ? 'rod tip' : 'reel'),
  rodHeld: (how: Conditions['rodHeld']) => (how === 'bent' ? 'bent' : 'pointed at the fish'),
  clarity: (id: keyof typeof CLARITY_WORDS) => CLARITY_WORDS[id],
  light: (id: keyof typeof LIGHT_WORDS) => LIGHT_WORDS[id],
  landing: (id: keyof Catalogue['landings'], { catalogue }) => catalogue.landings[id].name,
  target: ({ name }: Target) => name,
  teeth: (id: keyof typeof TEETH_WORDS) => TEETH_WORDS[id],
  feeds: (id: keyof typeof FEEDS_WORDS) => FEEDS_WORDS[id],
  takes: (id: keyof typeof TAKES_WORDS) => TAKES_WORDS[id],
  fights: (ids: Target['fights']) => list(ids.map((id) => FIGHTS_WORDS[id])) || 'unknown',
  water: ({ depthM, streamMperS }: Water, { show }) => `${show.entered('depth', depthM)}, ${show.entered('speed', streamMperS)}`,
  method: (id: keyof Catalogue['methods'], { catalogue }) => catalogue.methods[id].name,
  bed: (id: keyof Catalogue['beds'], { catalogue }) => catalogue.beds[id].name,
  moving: ({ way }: Moving) => MOVING_WORDS[way],
  swimsAt: (height: SwimsAt, { show }) => depthWords(height, show),
  otherAt: (height: SwimsAt, { show }) => depthWords(height, show),
  course: (places: readonly unknown[]) => `${places.length} depths`,
  beside: ({ lineOutM }: { lineOutM: number }, { show }) => `${show.entered('length', lineOutM)} out`,
  baits: (baits: readonly KiteBait[]) => list(baits.map(({ name }) => name)),
}
