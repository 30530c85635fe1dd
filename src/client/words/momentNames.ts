import type { MomentName } from '../../core/moments/moments.ts'

const NAMES: Record<MomentName, string> = {
  cast: 'Cast',
  settle: 'Settle',
  take: 'Take',
  run: 'Run',
  snag: 'Snag',
  hand: 'Hand',
}

export const momentName = (name: MomentName): string => NAMES[name]

/** The moments as choices, in the order of a trip. */
export const MOMENT_CHOICES = (Object.keys(NAMES) as MomentName[]).map((value) => ({ value, text: momentName(value) }))
