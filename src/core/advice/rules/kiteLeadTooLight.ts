import { withFields } from '../../edit/changes.ts'
import { leadInStepsKg } from '../../setup/moving/kite.ts'
import { mass, say } from '../../units/phrase.ts'
import type { Found, Remedy, Rule } from '../finding.ts'

/** Slack that a line to a kite is let out to, at most, where its belly stays well out of the sea. */
const EASY_SLACK = 1.05

/** A bait under a kite is lifted out of the water in gusts, or its line’s belly lies in the sea. */
export const kiteLeadTooLight: Rule = {
  id: 'kite-lead-too-light',
  explains: ['settle'],
  check: ({ moments: { settle }, setup: { trace, conditions } }) => {
    const { moving } = conditions
    const moved = settle?.moved
    if (moving?.way !== 'kite' || moved?.way !== 'kite' || settle?.verdict === 'holds') return []
    if (moved.trouble !== undefined)
      return [{ severity: 'fault', why: say`The kite cannot be calculated: ${moved.trouble}.`, figure: 1e6, remedies: [] }]
    const slacker: Remedy = {
      label: 'give the line more slack between rod and ring',
      make: () => ({ conditions: { ...conditions, moving: { ...moving, slack: Math.max(moving.slack, EASY_SLACK) } } }),
    }
    return moved.baits.flatMap((flown): Found[] => {
      if (flown.trouble !== undefined) return []
      const { bait, carriedKg, gust, steady } = flown
      if (steady.lowestM <= 0)
        return [
          {
            subject: bait.name,
            severity: 'caution',
            why: say`The line to the ${bait.name} bait hangs in the sea. It has too much slack for this wind.`,
            figure: 1 - steady.lowestM,
            remedies: [
              {
                label: 'take in slack between rod and ring',
                make: () => ({ conditions: { ...conditions, moving: { ...moving, slack: 1.02 } } }),
              },
            ],
          },
        ]
      if (carriedKg >= gust.leadMassKg) return []
      const neededKg = leadInStepsKg(gust.leadMassKg)
      const sinker = bait.leadKg === undefined ? trace.pieces.find((piece) => piece.role === 'sinker') : undefined
      return [
        {
          subject: bait.name,
          severity: carriedKg >= steady.leadMassKg ? 'caution' : 'fault',
          why: say`The ${bait.name} bait needs a ${mass(gust.leadMassKg)} sinker in gusts and carries ${mass(carriedKg)}. The wind lifts it out.`,
          figure: gust.leadMassKg / Math.max(carriedKg, 1e-4),
          remedies: [
            slacker,
            {
              label: 'a sinker that is heavy enough',
              make: () => {
                if (sinker) {
                  const massKg = sinker.massKg + neededKg - carriedKg
                  return { trace: withFields(trace, sinker.id, { massKg }) }
                }
                const baits = moving.baits.map((each) => (each.name === bait.name ? { ...each, leadKg: neededKg } : each))
                return { conditions: { ...conditions, moving: { ...moving, baits } } }
              },
            },
          ],
        },
      ]
    })
  },
}
