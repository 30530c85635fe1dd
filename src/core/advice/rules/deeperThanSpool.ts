import { isCastMethod } from '../../catalogue/methods.ts'
import { woundOnM } from '../../outfits/outfitLines.ts'
import { lineWantedM } from '../../setup/lineWanted.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

/** The depth with its scope, or the cast, asks for more line than is wound. */
export const deeperThanSpool: Rule = {
  id: 'deeper-than-spool',
  check: ({ setup }) => {
    const { water } = setup.conditions
    if (!water) return []
    const wantedM = lineWantedM(setup, water)
    const woundM = woundOnM(setup.spool)
    if (wantedM <= woundM) return []
    const what = isCastMethod(water.method) ? 'The cast with its bow' : 'The depth with its scope'
    return [
      {
        severity: 'fault',
        why: say`${what} needs ${length(wantedM)} of line; the reel has ${length(woundM)}. Wind on more line or use another reel.`,
        figure: wantedM / woundM,
        remedies: [],
      },
    ]
  },
}
