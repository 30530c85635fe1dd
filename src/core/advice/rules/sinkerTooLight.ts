import { pieceById } from '../../documents/pieces.ts'
import { withPiece } from '../../edit/changes.ts'
import type { Rule } from '../finding.ts'
import { mass, say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** The sinker does not hold at the stream's peak. */
export const sinkerTooLight: Rule = {
  id: 'sinker-too-light',
  check: ({ moments: { settle }, setup: { trace, conditions } }) => {
    if (!settle || settle.verdict === 'holds') return []
    const { end, settling, wantedKg, trouble } = settle
    const { weight, water } = settling
    const freeLine = pieceById(trace, end)?.role !== 'sinker'
    const roundKg = wantedKg === undefined ? undefined : Math.ceil(wantedKg * 100) / 100
    return [
      {
        subject: end,
        severity: settle.verdict === 'fails' ? 'fault' : 'caution',
        why:
          wantedKg === undefined
            ? say`${called(trace, end)} does not hold, nor would another: ${trouble ?? 'the stream is too strong'}.`
            : freeLine
              ? say`Free-lined, the bait of ${mass(weight.massKg)} does not stay on the bottom at the stream’s peak: it streams up and away.`
              : say`${called(trace, end)} of ${mass(weight.massKg)} does not hold at the stream’s peak: ${mass(wantedKg)} are wanted, the reserve included.`,
        figure: wantedKg === undefined ? 1e6 : wantedKg / weight.massKg,
        remedies: [
          ...(roundKg !== undefined && roundKg <= 5 && !freeLine
            ? [
                {
                  label: 'take the weight that holds',
                  make: () => ({ trace: withPiece(trace, end, (old) => ({ ...old, massKg: roundKg }) as typeof old) }),
                },
              ]
            : []),
          {
            label: 'fish it towards slack water: half the stream',
            make: () => ({
              conditions: { ...conditions, water: { ...water, streamMperS: water.streamMperS / 2 } },
            }),
          },
        ],
      },
    ]
  },
}
