import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import type { ConnectionId } from '../../../core/catalogue/ids.ts'
import type { Pull } from '../../../core/documents/observation.ts'
import type { TiedEnd, Wish } from '../../../core/knots/choose.ts'

export const JOINS_WORDS: Record<Catalogue['connections'][ConnectionId]['joins'], string> = {
  'line-eye': 'a line to an eye',
  'line-shank': 'a line to a hook’s shank',
  'line-line': 'two lines',
  'end-loop': 'a loop in the end',
  doubles: 'doubles a line',
  'loop-loop': 'a loop to a loop or an eye',
  'side-loop': 'a loop part-way',
  stop: 'a stop on a line',
  fixture: 'part on part',
}

export const WISH_WORDS: Record<Wish, string> = {
  strength: 'strength',
  guides: 'through the guides',
  speed: 'quickest to tie',
  sea: 'tied again at sea',
  cold: 'with cold, wet hands',
  swing: 'free to swing',
  snug: 'tight on the eye',
}

export const END_WORDS: Record<Exclude<TiedEnd['end'], 'strands'>, string> = {
  strand: 'line',
  double: 'doubled line',
  loop: 'loop that is there',
  eye: 'eye or ring',
  hook: 'hook',
}

export const PARTED_WORDS: Record<Pull['parted'], string> = {
  knot: 'at the knot',
  line: 'in the line',
  hook: 'the hook gave',
  slipped: 'it slipped',
}

/** Minutes, as they are worth saying. */
export const minutesText = (minutes: number): string => (minutes < 1 ? 'half a minute' : `${Math.round(minutes * 2) / 2} min`)
