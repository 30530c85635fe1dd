import { minimumSinker } from './minimumSinker.ts'
import { nominalGrip, type Settling } from './settling.ts'

/** Line out over the straight way that is tried from the shore. */
const [MIN_SCOPE, MAX_SCOPE, STEP] = [1.05, 2, 0.05]
/** Another tenth of line is worth its slack while it saves this share of the weight. Nominal, ours. */
const [MORE, WORTH] = [0.1, 0.05]

/**
 * The bow from the shore past which more line saves little: the least, to a twentieth of the straight way, from which another
 * tenth saves under a twentieth of the weight.
 * @returns undefined where the method makes no bow, where none holds, or where the bow as it is is past that.
 */
export function bestBow(settling: Settling): { scope: number; neededKg: number } | undefined {
  const { water } = settling
  if (water.method !== 'shore') return undefined
  const grip = nominalGrip(settling)
  const neededAt = (scope: number) => {
    const minimum = minimumSinker({ ...settling, water: { ...water, scope } })
    return 'kgFor' in minimum ? minimum.kgFor(grip) : Number.POSITIVE_INFINITY
  }
  const steps = Array.from({ length: Math.round((MAX_SCOPE - MIN_SCOPE) / STEP) + 1 }, (_, i) =>
    Number((MIN_SCOPE + i * STEP).toFixed(2)),
  )
  const scope = steps.find((each) => neededAt(each + MORE) > (1 - WORTH) * neededAt(each))
  return scope !== undefined && scope > water.scope + STEP ? { scope, neededKg: neededAt(scope) } : undefined
}
