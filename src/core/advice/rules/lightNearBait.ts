import { lineById, parentId, pieceById } from '../../documents/pieces.ts'
import { putAt } from '../../edit/along.ts'
import { alongM } from '../../soundness/paths.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** A light closer to the bait than this startles more than it draws, m. */
const FAR_M = 8

/** A light band set too near the bait. */
export const lightNearBait: Rule = {
  id: 'light-near-bait',
  check: ({ setup: { trace, ends, tracePath } }) =>
    trace.pieces.flatMap((light) => {
      if (light.role !== 'light') return []
      const holder = light.attach.how === 'fixed' ? light : pieceById(trace, parentId(light.attach))
      if (holder?.attach.how !== 'fixed') return []
      const { on, atM } = holder.attach
      const line = lineById(trace, on)
      const hook = ends.find(({ id, role }) => role === 'hook' && tracePath(id).some((element) => element.id === on))
      if (!line || !hook) return []
      const beyondM = tracePath(hook.id).reduce(
        (sum, element) => sum + (element.id === on ? 0 : alongM(element)),
        line.lengthM - atM,
      )
      const wantedM = atM - (FAR_M - beyondM)
      if (beyondM >= FAR_M) return []
      return [
        {
          subject: light.id,
          severity: 'caution',
          why: say`${called(trace, light.id)} hangs ${length(beyondM)} above the bait; 8 to 15 m is usual.`,
          figure: FAR_M / Math.max(beyondM, 0.01),
          remedies:
            wantedM > 0
              ? [{ label: 'slide it up to 8 m', make: () => ({ trace: putAt(trace, holder.id, wantedM - 1e-6) }) }]
              : [],
        },
      ]
    }),
}
