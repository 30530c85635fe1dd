import { thatHolds } from '../catalogue/hardware.ts'
import { CAST_STYLE_IDS } from '../catalogue/ids.ts'
import { labelAtLeastN } from '../catalogue/labels.ts'
import { pieceIdOf, woundRef } from '../documents/linkRef.ts'
import { isLine, lineById, parentId } from '../documents/pieces.ts'
import type { LinePiece, Trace } from '../documents/trace.ts'
import { addPart } from '../edit/addPart.ts'
import { withLength } from '../edit/changes.ts'
import { placesAt } from '../edit/places.ts'
import { type Cast, type LoadedLink, overPull } from '../moments/cast.ts'
import { CAST_OVER_PEAK, NEAR_THE_RULE } from '../moments/thresholds.ts'
import { weakLinkKeys } from '../moments/weakLink.ts'
import type { Judged, Remedy } from './finding.ts'
import { called, fittedRemedy, outfitLeader, ownPiece, withStrength } from './remedies.ts'

const STYLES = CAST_STYLE_IDS.filter((style) => style !== 'none')
/** What a wet knot keeps of a leader, on the safe side. */
const KNOTTED = 0.7
/** A little over what holds. */
const SPARE = 1.02

/** The links that bear less than three times the pull on them. */
export const shortLinks = ({ links }: Cast): LoadedLink[] => links.filter((link) => overPull(link) < CAST_OVER_PEAK.holds)

/** Those of them that belong to the trace, without the weak link: it is meant to be weak and has a finding of its own. */
export function shortOfTrace({ setup: { trace, path } }: Judged, cast: Cast): LoadedLink[] {
  const weak = cast.weakLink && weakLinkKeys(trace, path(cast.carrier))
  return shortLinks(cast).filter(({ id, ref }) => ref.at !== 'wound' && ref.at !== 'woundJoint' && !weak?.has(id))
}

/** A style of cast that pulls less, gentlest last. */
export function gentlerCast({ setup: { conditions, catalogue } }: Judged): Remedy[] {
  if (conditions.castStyle === 'none') return []
  return STYLES.slice(0, STYLES.indexOf(conditions.castStyle))
    .toReversed()
    .map((castStyle) => ({
      label: `cast more gently: ${catalogue.castStyles[castStyle].name}`,
      make: () => ({ conditions: { ...conditions, castStyle } }),
    }))
}

/** Every line of the trace that is too weak, itself or by a knot in it, with the label that holds its part of the cast. */
export function stouterLines(judged: Judged, cast: Cast): Remedy[] {
  const { trace } = judged.setup
  const wanted = new Map<LinePiece, number>()
  for (const link of shortOfTrace(judged, cast)) {
    const line = lineOf(judged, link)
    if (!line) continue
    const neededN = (SPARE * line.strengthN * CAST_OVER_PEAK.holds) / overPull(link)
    wanted.set(line, Math.max(wanted.get(line) ?? 0, labelAtLeastN(neededN)))
  }
  if (wanted.size === 0) return []
  const names = [...wanted.keys()].map(({ id }) => called(trace, id))
  return [
    {
      label: `use a stronger line for ${listed(names)}, so the cast holds`,
      make: () => ({
        trace: [...wanted].reduce((made, [{ id }, strengthN]) => withStrength(made, id, () => strengthN), trace),
      }),
    },
  ]
}

/** The weakest piece of hardware that the cast overloads, in a size or with a label that holds its load. */
export function stouterPart(judged: Judged, cast: Cast): Remedy[] {
  const short = shortOfTrace(judged, cast).flatMap((link) => {
    const piece = link.ref.at === 'piece' ? ownPiece(judged, link.ref.id) : undefined
    return piece?.role === 'hardware' ? [{ piece, link }] : []
  })
  const [worst] = short.toSorted((a, b) => overPull(a.link) - overPull(b.link))
  if (!worst) return []
  const neededN = SPARE * CAST_OVER_PEAK.holds * worst.link.loadN
  const remedy = fittedRemedy(judged, worst.piece, thatHolds(judged.setup.catalogue, worst.piece.type, neededN))
  return remedy ? [remedy] : []
}

/** The line that a link is, or the line of the trace that its strength is a share of. */
function lineOf(judged: Judged, { ref, governedBy }: LoadedLink): LinePiece | undefined {
  const piece = ownPiece(judged, pieceIdOf(ref))
  if (!piece) return undefined
  if (isLine(piece) && (ref.at === 'piece' || governedBy === 'below')) return piece
  return ref.at === 'joint' ? lineById(judged.setup.trace, parentId(piece.attach)) : undefined
}

const listed = (names: readonly string[]): string =>
  names.length < 3 ? names.join(' and ') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

/** A leader that reaches the reel and holds the cast by the model and by the shore angler’s rule. */
export function shockLeader({ setup }: Judged, cast: Cast): Remedy {
  const { trace } = setup
  const lengthM = Math.ceil(cast.leaderNeededM * 2) / 2
  const strengthN = labelAtLeastN(Math.max(NEAR_THE_RULE * cast.ruleN, cast.neededN / KNOTTED))
  const stout = (made: Trace, id: string) => withStrength(withLength(made, id, lengthM), id, (old) => Math.max(old, strengthN))
  const leader = outfitLeader(trace)
  if (leader)
    return {
      label: 'make the leader long and strong enough for the cast',
      make: () => ({ trace: stout(trace, leader.id) }),
    }
  return {
    label: 'add a shock leader',
    make: () => {
      const [place] = placesAt(trace, woundRef('main'))
      const added = place && addPart(setup, place, 'leader')
      return added?.ok ? { trace: stout(added.trace, added.chosen) } : undefined
    },
  }
}
