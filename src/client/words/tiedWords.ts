import type { TiedReminder, TiedState } from '../../core/documents/tied.ts'

export const TIED_STATE_NAMES: Record<TiedState, string> = {
  ready: 'ready',
  onRod: 'on a rod',
  lost: 'lost',
  cutOff: 'cut off',
  retired: 'retired',
}

/** Why a tied trace should be looked at before it is fished. */
export const REMINDER_WORDS: Record<TiedReminder, { name: string; why: string }> = {
  old: { name: 'old', why: 'Nylon ages in light and knots creep. Pull each knot by hand, or retire it.' },
  usedHard: { name: 'used hard', why: 'A big fish or a snag weakens knots and line. Check every knot, or tie it again.' },
}

/** How long ago, in days or months. */
export const ageWords = (days: number): string => {
  if (days === 0) return 'today'
  if (days < 60) return days === 1 ? '1 day' : `${days} days`
  return `${Math.round(days / 30.44)} months`
}
