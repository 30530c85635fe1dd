import { isCastMethod } from '../../catalogue/methods.ts'
import { tipOverFeetM } from '../../catalogue/rods.ts'
import type { Setup } from '../../setup/setup.ts'
import type { Rule } from '../finding.ts'
import { length, say } from '../phrase.ts'

/** The depth with its scope, or the cast, asks for more line than is wound. */
export const deeperThanSpool: Rule = {
  id: 'deeper-than-spool',
  check: ({ setup }) => {
    const wanted = lineWanted(setup)
    if (!wanted) return []
    const woundM = setup.spool.layers.reduce((sum, { lengthM }) => sum + lengthM, 0)
    if (wanted.lineM <= woundM) return []
    return [
      {
        severity: 'fault',
        why: say`${wanted.what} wants ${length(wanted.lineM)} of line; ${length(woundM)} are wound. That is put right on the reel: more line, or another one.`,
        figure: wanted.lineM / woundM,
        remedies: [],
      },
    ]
  },
}

function lineWanted({ conditions, outfit }: Setup): { what: string; lineM: number } | undefined {
  const { water, freeboardM } = conditions
  if (!water) return undefined
  const { method, depthM, distanceM, scope } = water
  if (!isCastMethod(method)) return { what: 'The depth with its scope', lineM: scope * depthM }
  const upM = depthM + (method === 'shore' ? freeboardM + tipOverFeetM(outfit.rod) : 0)
  return { what: 'The cast with its bow', lineM: scope * Math.hypot(distanceM, upM) }
}
