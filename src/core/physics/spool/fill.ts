import { CoreError } from '../../errors.ts'

type SpoolLayer = { id: string; diameterM: number; lengthM?: number | undefined }

export type SpoolInput = {
  capacityLengthM: number
  capacityDiameterM: number
  arborRadiusM: number
  fullRadiusM: number
  /** From the arbor up; at most one leaves its length out and fills the rest. */
  layers: readonly SpoolLayer[]
  lineOutM: number
}

export type SpoolFill = {
  layers: { id: string; lengthM: number; share: number }[]
  fillShare: number
  radiusFullM: number
  radiusM: number
  dragGrowth: number
}

/**
 * How full a spool is and how its radius falls as line leaves from the top layer down.
 *   share = L d² / (Lcap dcap²),  r = √(arbor² + share (full² − arbor²))
 * Volume is given as length × diameter² in the reel maker's own winding, so packing cancels. Over 100 % is a result.
 * @returns lengths and radii in m; shares of capacity and the drag's growth as ratios.
 * @throws CoreError 'overfull' when an open layer has no room left, 'line-out-over-spool' when more is out than was wound.
 * Source: volume of an annulus of constant width. Valid for level winding; a wrong diameter counts by its square.
 */
export function spoolFill(input: SpoolInput): SpoolFill {
  const capacity = input.capacityLengthM * input.capacityDiameterM ** 2
  const shareOf = (layer: SpoolLayer, lengthM: number) => (lengthM * layer.diameterM ** 2) / capacity
  const closedShare = input.layers.reduce(
    (sum, layer) => sum + (layer.lengthM === undefined ? 0 : shareOf(layer, layer.lengthM)),
    0,
  )

  const layers = input.layers.map((layer) => {
    if (layer.lengthM !== undefined) return { id: layer.id, lengthM: layer.lengthM, share: shareOf(layer, layer.lengthM) }
    const room = 1 - closedShare
    if (!(room > 0))
      throw new CoreError(
        'overfull',
        `No room is left for ${layer.id}: the other layers fill ${(closedShare * 100).toFixed(0)} %`,
        {
          value: closedShare,
          id: layer.id,
        },
      )
    return { id: layer.id, lengthM: (room * capacity) / layer.diameterM ** 2, share: room }
  })

  const fillShare = layers.reduce((sum, layer) => sum + layer.share, 0)
  const radiusAt = (share: number) =>
    Math.sqrt(input.arborRadiusM ** 2 + share * (input.fullRadiusM ** 2 - input.arborRadiusM ** 2))
  const radiusFullM = radiusAt(fillShare)
  const radiusM = radiusAt(fillShare - shareOut(layers, input.lineOutM))
  return { layers, fillShare, radiusFullM, radiusM, dragGrowth: radiusFullM / radiusM }
}

function shareOut(layers: readonly { lengthM: number; share: number }[], lineOutM: number): number {
  let left = lineOutM
  let share = 0
  for (const layer of layers.toReversed()) {
    const fromThis = Math.min(left, layer.lengthM)
    share += layer.share * (fromThis / layer.lengthM)
    left -= fromThis
    if (left <= 0) return share
  }
  // A last crumb is rounding of the lengths added up, not line.
  if (left > 1e-9 * lineOutM)
    throw new CoreError('line-out-over-spool', `${lineOutM} m is out, ${(lineOutM - left).toFixed(1)} m was wound`, {
      value: lineOutM,
      woundM: lineOutM - left,
    })
  return share
}
