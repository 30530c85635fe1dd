import { parentId } from '../../documents/pieces.ts'
import { addPart } from '../../edit/addPart.ts'
import { freeLine } from '../../outfits/outfitLines.ts'
import { bodyOn } from '../../setup/baiting.ts'
import { isBody } from '../../setup/bodies.ts'
import { canTurn } from '../../setup/settling/twist.ts'
import { linesAlong } from '../../soundness/paths.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { byEdit, called } from '../remedies.ts'

/** A live bait swims round, and mono without a swivel takes the twist. */
export const liveBaitTwists: Rule = {
  id: 'live-bait-twists',
  check: ({ setup }) => {
    const { trace, outfit, catalogue, tracePath } = setup
    if (freeLine(outfit).material !== 'mono') return []
    return trace.pieces.filter(isBody).flatMap((bait) => {
      const hook = parentId(bait.attach)
      if (!bodyOn(trace, catalogue, bait).alive) return []
      const path = tracePath(hook)
      if (path.some((element) => element.kind === 'part' && canTurn(element.piece))) return []
      const [first] = linesAlong(path)
      return [
        {
          subject: bait.id,
          severity: 'caution' as const,
          why: say`${called(trace, bait.id)} swims round, and no swivel lies between it and the mono on the reel. The line twists.`,
          figure: 1,
          remedies: first
            ? [
                byEdit('add a swivel above the leader', () =>
                  addPart(setup, { at: 'end', of: parentId(first.line.attach), takes: first.line.id }, 'swivel'),
                ),
              ]
            : [],
        },
      ]
    })
  },
}
