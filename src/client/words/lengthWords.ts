import type { LengthWay, OwnMeasures } from '../../core/outfits/lengthWays.ts'

/** What a length is counted in. */
const NAMES: Record<LengthWay, { one: string; many: string }> = {
  fathoms: { one: 'fathom', many: 'fathoms' },
  colours: { one: 'colour', many: 'colours' },
  turns: { one: 'turn of the handle', many: 'turns of the handle' },
  rods: { one: 'rod length', many: 'rod lengths' },
  boats: { one: 'boat length', many: 'boat lengths' },
  arms: { one: 'arm’s length', many: 'arms’ lengths' },
}

/** So many of a way of counting, to the half: “6½ colours”; from ten on to the whole. */
export function countWords(way: LengthWay, count: number): string {
  const { one, many } = NAMES[way]
  const rounded = count >= 10 ? Math.round(count) : Math.round(count * 2) / 2
  const whole = Math.floor(rounded)
  const text = rounded === whole ? String(whole) : `${whole === 0 ? '' : whole}½`
  return `${text} ${rounded === 1 || rounded === 0.5 ? one : many}`
}

/** Which of a person’s own measures a count rests on, where it was never measured. */
export const isNominal = (way: LengthWay, own: Partial<OwnMeasures>): boolean => way === 'arms' && own.armM === undefined
