import { lineDiameterM } from '../catalogue/materials.ts'
import type { Conditions } from '../documents/conditions.ts'
import { type LineOut, mainLine } from '../outfits/outfitLines.ts'
import type { SpoolFill } from '../physics/spool/fill.ts'
import { type DragInput, strengthDrag } from '../physics/strength/drag.ts'
import { strengthWaterDragN } from '../physics/strength/waterDrag.ts'
import { withinHalfPoundsN } from '../units/halfPounds.ts'
import { LB } from '../units/quantities.ts'
import type { Setup } from './setup.ts'

/** What is dragged through the water: the wound lines that are out. */
type Dragged = Pick<Setup, 'conditions' | 'catalogue'> & { out: LineOut[] }

/** What `strength.waterDrag` is asked of one wound line that is out. */
export const waterDragInput = ({ line, outM }: LineOut, { conditions, catalogue }: Omit<Dragged, 'out'>) => ({
  lineOutM: outM,
  diameterM: lineDiameterM(catalogue, line),
  speedMperS: conditions.fishSpeedMperS,
})

/** Drag of the line out, each wound line by its own diameter, N. */
export const lineDragN = (dragged: Dragged): number =>
  dragged.out.reduce((sum, line) => sum + strengthWaterDragN(waterDragInput(line, dragged)), 0)

/** What a reel works against: the line in the water, the line class, and the drag it is set to, N. */
export type DragLoad = { waterDragN: number; lineClassN: number; dragN: number }

/** What `strength.drag` is asked of a reel set to a drag, with the line out as the spool says. */
export function dragInput(
  { conditions, spool }: Pick<Setup, 'conditions'> & { spool: SpoolFill },
  weakestN: number,
  { waterDragN, lineClassN, dragN }: DragLoad,
): DragInput {
  return {
    weakestN,
    lineClassN,
    spoolFullRadiusM: spool.radiusFullM,
    spoolRadiusM: spool.radiusM,
    // Measured at the tip, the setting has the guides' friction in it already.
    guideWrapRad: conditions.dragMeasuredAt === 'tip' ? 0 : conditions.guideWrapRad,
    guideFriction: conditions.guideFriction,
    startFactor: conditions.startFactor,
    waterDragN,
    allowedFraction: conditions.allowedFraction,
    dragN,
  }
}

/** The drag over the line class, in the middle of what is usual. */
export const DEFAULT_DRAG_SHARE = 0.3
/** Share of the highest safe drag that is set where nobody gave one, or as a remedy. Ours. */
export const UNDER_CEILING = 0.9

/** A drag that somebody gave: it no longer follows the chain. */
export const givenDrag = (dragN: number): Pick<Conditions, 'dragN' | 'dragAssumed'> => ({ dragN, dragAssumed: undefined })

/** The drag of someone who gave none, N: a share of the line class, or less where the weakest link allows less; in half pounds. */
export function usualDragN(setup: Dragged & Pick<Setup, 'outfit'> & { spool: SpoolFill }, weakestN: number | undefined): number {
  const lineClassN = mainLine(setup.outfit).strengthN
  const wantedN = DEFAULT_DRAG_SHARE * lineClassN
  const load = { waterDragN: lineDragN(setup), lineClassN, dragN: wantedN }
  const ceilingN = weakestN === undefined ? wantedN : strengthDrag(dragInput(setup, weakestN, load)).ceilingN
  return Math.max(withinHalfPoundsN(Math.min(wantedN, UNDER_CEILING * ceilingN)), LB / 2)
}
