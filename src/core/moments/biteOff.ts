import { hookDimensions } from '../catalogue/hooks.ts'
import { isWire } from '../catalogue/materials.ts'
import type { Target } from '../documents/fish.ts'
import { isLine, labelledN, lineById, parentId, pieceById } from '../documents/pieces.ts'
import type { HookPiece, LinePiece, Trace } from '../documents/trace.ts'
import type { Setup } from '../setup/setup.ts'
import { LB } from '../units/quantities.ts'
import type { Graded } from './moment.ts'

/** Label that teeth ask of the line at the hook, over the root of the fish's mass, N per √kg. Nominal, ours. */
const TEETH_N_PER_ROOT_KG = { none: 0, rasping: 9 * LB, cutting: 30 * LB }

/** Label of mono that a fish's teeth ask of the line at the hook, N. */
export const teethN = ({ teeth, typicalMassKg }: Target): number => TEETH_N_PER_ROOT_KG[teeth] * Math.sqrt(typicalMassKg)

/** Labels that are this near are alike: less than a step. */
export const NEAR_THE_TEETH = 0.85
/** Share of what rasping teeth ask for, under which it is no matter of taste. Ours. */
const FAR_UNDER = 0.6
/** Wire in front of the hook, over the length of the hook itself, that keeps the next line out of the mouth. Ours. */
const OUT_OF_THE_MOUTH = 2

/** The line that a fish bites, its label over what the teeth ask for, and whether that is a risk to be watched. */
export type BiteOff = { line: LinePiece; neededN: number; share: number; isRisk: boolean }

/**
 * What the teeth of the fish find at a hook: its line, where that is lighter than they ask for and neither wire, a long shank nor linked
 * hooks stand for it. An opened eye is no guard: it is what the teeth open.
 */
export function biteOff({ trace, conditions, catalogue }: Omit<Setup, 'outfit'>, hook: HookPiece): BiteOff | undefined {
  const { target } = conditions
  if (!target || target.teeth === 'none') return undefined
  const line = lineById(trace, parentId(hook.attach))
  const linked = linkedTo(trace, hook)
  const isGang = linked.length > 0 && ![hook, ...linked].some(({ openedEye }) => openedEye)
  const guarded = hook.pattern === 'longShank' || isGang
  const bitten = line && (isWire(line.material) ? beyondWire({ trace, catalogue }, hook, line) : line)
  if (!bitten || guarded) return undefined
  const neededN = teethN(target)
  const share = labelledN(bitten) / neededN
  if (share >= NEAR_THE_TEETH) return undefined
  return { line: bitten, neededN, share, isRisk: target.teeth === 'cutting' || share < FAR_UNDER }
}

/** Teeth that find line lighter than they ask for: to be watched, in the take and in the run. */
export const gradedBite = ({ share }: BiteOff): Graded<'teeth'> => ({
  cause: 'teeth',
  figure: { key: 'lineOverTeeth', quantity: 'share', value: share },
  verdict: 'watch',
  margin: share / NEAR_THE_TEETH,
})

/** The line above a wire that is too short to stay outside of the mouth. */
function beyondWire(
  { trace, catalogue }: Pick<Setup, 'trace' | 'catalogue'>,
  hook: HookPiece,
  wire: LinePiece,
): LinePiece | undefined {
  const shankM = hookDimensions(catalogue, hook.pattern, hook.size)?.shankM ?? 0
  if (wire.lengthM >= OUT_OF_THE_MOUTH * shankM) return undefined
  const above = pieceById(trace, parentId(wire.attach))
  const line = above && (isLine(above) ? above : lineById(trace, parentId(above.attach)))
  return line && !isWire(line.material) ? line : undefined
}

/** The hooks that hang from a hook's eye or bend, and the one that it hangs from: the upper one takes the teeth. */
function linkedTo(trace: Trace, hook: HookPiece): HookPiece[] {
  const above = parentId(hook.attach)
  return trace.pieces.filter(
    (other): other is HookPiece => other.role === 'hook' && (other.id === above || parentId(other.attach) === hook.id),
  )
}
