import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import { type FamilyId, familyName } from '../../core/catalogue/familyIds.ts'
import type { Dimension } from '../../core/lessons/counts.ts'
import type { Catch, Loss } from '../../core/lessons/lessons.ts'
import { kindOfKey } from '../../core/lessons/linkKinds.ts'

/** The pages of what was learned, in the order in which they are read. */
export const TOPICS = [
  { id: 'breaks', name: 'Breaks', about: 'Which knots and lines broke first, and which were predicted to.' },
  { id: 'losses', name: 'Losses', about: 'Snags, sinkers and traces lost by mark, bottom and kind of trace, and what to carry.' },
  { id: 'weak-link', name: 'Weak link', about: 'What a trip costs with a stronger or a weaker weak link.' },
  { id: 'holding', name: 'Holding', about: 'Which marks hold a sinker as predicted.' },
  { id: 'fish', name: 'Fish', about: 'Bites and fish by tide, light, bait, hook and trace.' },
  { id: 'calibration', name: 'Predicted and seen', about: 'How often a prediction came true.' },
] as const
export type Topic = (typeof TOPICS)[number]['id']

export const LOSS_WORDS: Record<Loss, string> = { snags: 'snags', sinkersLost: 'sinkers lost', tracesLost: 'traces lost' }
export const CATCH_WORDS: Record<Catch, string> = { bites: 'bites', missed: 'missed bites', fish: 'fish' }

export const DIMENSION_WORDS: Record<Dimension, string> = {
  all: 'all trips',
  mark: 'mark',
  bed: 'bottom',
  family: 'kind of trace',
  trace: 'trace',
  hook: 'hook',
  bait: 'bait',
  tide: 'tide',
  light: 'light',
  moon: 'moon',
  change: 'change tried',
}

const WATER_WORDS: Readonly<Record<string, string>> = {
  slack: 'slack',
  rising: 'rising tide',
  falling: 'falling tide',
  day: 'day',
  twilight: 'dusk and dawn',
  night: 'night',
  moon: 'night with a moon',
  noMoon: 'night without a moon',
  none: 'no change in the last hour',
}

/** A link by its kind: “snell in mono”, “braid line”, “swivel”. */
export function linkKindName({ connections, materials, hardware }: Catalogue, key: string): string {
  const kind = kindOfKey(key)
  if (kind.of === 'line') return `${materials[kind.material]?.name ?? kind.material} line`
  if (kind.of === 'part') return (hardware as Record<string, { name: string } | undefined>)[kind.part]?.name ?? kind.part
  const name = connections[kind.connection]?.name ?? kind.connection
  return kind.material ? `${name} in ${materials[kind.material]?.name ?? kind.material}` : name
}

/** What a value of a dimension is called in the application’s own words; undefined of a name that someone typed. */
export function ownValueName(catalogue: Catalogue, by: Dimension, value: string): string | undefined {
  const named = (table: object) => (table as Record<string, { name: string } | undefined>)[value]?.name
  switch (by) {
    case 'bed':
      return named(catalogue.beds)
    case 'family':
      return familyName(value as FamilyId)
    case 'hook':
      return named(catalogue.hooks.patterns)
    case 'bait':
      return named(catalogue.baits)
    case 'change':
      return WATER_WORDS[value] ?? `within an hour of another ${value}`
    case 'mark':
    case 'trace':
      return undefined
    default:
      return WATER_WORDS[value] ?? value
  }
}

/** A chance as odds: “1 in 40”. */
export function oddsWords(chance: number): string {
  if (chance >= 0.4) return 'as likely as not'
  const one = 1 / Math.max(chance, 1e-6)
  const rounded = Number(one.toPrecision(one < 20 ? 1 : 2))
  return `1 in ${Math.max(2, rounded)}${chance < 1e-6 ? ' or less' : ''}`
}
