import { type Catalogue, efficiencyOf, type Measured } from '../catalogue/catalogue.ts'
import type { Material } from '../catalogue/ids.ts'
import type { Joint } from '../documents/fields.ts'
import type { LinkRef } from '../documents/linkRef.ts'
import { jointOf, pieceById } from '../documents/pieces.ts'
import type { Rig } from '../setup/setup.ts'
import { materialsBeside } from './connectionRules.ts'

/** What the crew’s pulls say of a joint in one of the materials that it is tied in. */
/** `nominal`: what it began with, a ratio; undefined where the connection is not tied in that material as a rule. */
export type OwnFigure = Measured & { material: Material; nominal: number | undefined }

/** The figures that a joint counts with because the crew pulled its knot; none where it has a figure of its own, or only nominal ones. */
export function ownFiguresOf(catalogue: Catalogue, joint: Joint | undefined, materials: readonly Material[]): OwnFigure[] {
  if (!joint || joint.own) return []
  return [...new Set(materials)].flatMap((material): OwnFigure[] => {
    const figure = efficiencyOf(catalogue, joint, material)
    return figure?.origin === 'own'
      ? [{ ...figure, material, nominal: catalogue.connections[joint.connection].efficiency[material] }]
      : []
  })
}

/** The same of a link by its reference; none of what is no joint. */
export function ownFiguresAt(rig: Rig, ref: LinkRef): OwnFigure[] {
  const { trace, outfit, catalogue } = rig
  if (ref.at === 'joint') {
    const piece = pieceById(trace, ref.id)
    return piece ? ownFiguresOf(catalogue, jointOf(piece), materialsBeside(piece, rig)) : []
  }
  if (!('role' in ref)) return []
  const over = outfit.wound.findIndex(({ role }) => role === ref.role)
  const [under, line] = [outfit.wound[over - 1], outfit.wound[over]]
  if (!line || !under) return []
  switch (ref.at) {
    case 'woundJoint':
      return ownFiguresOf(catalogue, line.joint, [under.material, line.material])
    case 'woundKnot':
      return ownFiguresOf(catalogue, line.doubled?.[ref.side], [ref.side === 'under' ? under.material : line.material])
    case 'wound':
      return []
  }
}

/** So many of one’s own pulls, in words, and so many breaks on the water beside them. */
export function yourPulls(tests: number, breaks = 0): string {
  const pulls = tests === 1 ? 'your test' : `your ${tests} tests`
  if (breaks === 0) return pulls
  const broke = breaks === 1 ? '1 break on the water' : `${breaks} breaks on the water`
  return tests === 0 ? broke : `${pulls} and ${broke}`
}

const rounded = (share: number) => Math.round(100 * share)

/** What a figure rests on, in words: “your 6 pulls in mono: 81 % ± 3 %”. The spread is that of a single knot. */
export const ownFigureText = ({ materials }: Catalogue, { tests, breaks, material, mean, spread, nominal }: OwnFigure): string =>
  `${yourPulls(tests, breaks)} in ${materials[material].name}: ${rounded(mean)}\u00a0% ± ${rounded(mean * spread)}\u00a0%${nominal === undefined ? '' : ` (nominal ${rounded(nominal)}\u00a0%)`}`

/** The same of all of a link’s figures; empty where it has none. */
export const ownFiguresText = (rig: Rig, ref: LinkRef): string =>
  ownFiguresAt(rig, ref)
    .map((figure) => ownFigureText(rig.catalogue, figure))
    .join(', ')

/** The same as a sentence that follows what is said of the link’s strength. */
export function restsOnPulls(rig: Rig, ref: LinkRef): string {
  const text = ownFiguresText(rig, ref)
  return text && ` This uses ${text}.`
}
