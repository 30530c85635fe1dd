import { holdKindOf } from '../../catalogue/grip.ts'
import { pieceById } from '../../documents/pieces.ts'
import type { Water } from '../../documents/water.ts'
import { withFields } from '../../edit/changes.ts'
import { atStream } from '../../setup/settling/minimumSinker.ts'
import type { Settling } from '../../setup/settling/settling.ts'
import { mass, say } from '../../units/phrase.ts'
import { roundedUpKg } from '../../units/roundedUp.ts'
import { type Rule, SEVERITY_OF } from '../finding.ts'
import { called } from '../remedies.ts'

/** The sinker does not hold at the stream's peak. */
export const sinkerTooLight: Rule = {
  id: 'sinker-too-light',
  explains: ['settle'],
  check: ({ moments: { settle }, setup: { trace, conditions } }) => {
    if (!settle?.holding || settle.verdict === 'holds') return []
    const { end, settling } = settle
    const { wantedKg, trouble, atNeaps } = settle.holding
    const { weight, water } = settling
    const freeLine = pieceById(trace, end)?.role !== 'sinker'
    const neaps = atNeaps?.verdict === 'holds' ? ' At neaps it holds.' : ''
    const roundKg = wantedKg === undefined ? undefined : roundedUpKg(wantedKg)
    return [
      {
        subject: end,
        severity: SEVERITY_OF[settle.verdict],
        why:
          roundKg === undefined
            ? say`${called(trace, end)} does not hold, and no sinker would: ${trouble ?? 'the current is too strong'}.`
            : freeLine
              ? say`Free-lined, the bait of ${mass(weight.massKg)} does not stay on the bottom in the strongest current.`
              : say`${called(trace, end)} of ${mass(weight.massKg)} does not hold in the strongest current${atNeaps ? ' of springs' : ''}. Use ${mass(roundKg)}, including the reserve.${neaps}`,
        figure: wantedKg === undefined ? 1e6 : wantedKg / weight.massKg,
        remedies: [
          ...otherLine(water).map(({ label, more }) => ({
            label,
            make: () => ({ conditions: { ...conditions, water: { ...water, ...more } } }),
          })),
          ...(isWirable(settling, end)
            ? [
                {
                  label: 'a wired grip sinker of the same weight',
                  make: () => ({ trace: withFields(trace, end, { shape: 'gripWire' }) }),
                },
              ]
            : []),
          ...(water.method === 'shore'
            ? [
                {
                  label: 'cast two thirds as far',
                  make: () => ({
                    conditions: { ...conditions, water: { ...water, distanceM: Math.round((2 * water.distanceM) / 3) } },
                  }),
                },
              ]
            : []),
          ...(roundKg !== undefined && roundKg <= 5 && !freeLine
            ? [
                {
                  label: 'use the sinker that holds',
                  make: () => ({ trace: withFields(trace, end, { massKg: roundKg }) }),
                },
              ]
            : []),
          ...(atNeaps?.verdict === 'holds'
            ? [
                {
                  label: 'fish it at neaps',
                  make: () => ({ conditions: { ...conditions, water: atStream(settling, atNeaps.streamMperS).water } }),
                },
              ]
            : []),
          {
            label: 'fish near slack water, in half the current',
            make: () => ({
              conditions: { ...conditions, water: { ...water, streamMperS: water.streamMperS / 2, neapMperS: undefined } },
            }),
          },
        ],
      },
    ]
  },
}

/** Past this more line out gains little: the bow from the shore, and the practical end of the scope from a boat. */
const MAX_BOW = 1.3

/** More line let out: what is tried first, because it costs nothing. */
function otherLine(water: Water): { label: string; more: Partial<Water> }[] {
  if (water.scope >= MAX_BOW || water.method === 'uptide') return []
  const label =
    water.method === 'shore' ? 'let out a third more line than the straight distance' : 'let out a third more line than the depth'
  return [{ label, more: { scope: MAX_BOW } }]
}

/** Wires help a sinker that lies on a bed they dig into. */
const isWirable = ({ weight, water }: Settling, end: string): boolean =>
  water.method === 'shore' && water.bed !== 'rock' && weight.id === end && holdKindOf(weight.shape) !== 'wired'
