import { useState } from 'react'
import { toast } from 'sonner'
import type { Outfit } from '../../../core/trace/outfit.ts'
import { ridesOn } from '../../../core/trace/redraw/along.ts'
import type { Redrawn } from '../../../core/trace/redraw/redrawn.ts'
import { removePart } from '../../../core/trace/redraw/removePart.ts'
import { reorder } from '../../../core/trace/redraw/reorder.ts'
import { slidePart, slideRange } from '../../../core/trace/redraw/slidePart.ts'
import { splitLine } from '../../../core/trace/redraw/splitLine.ts'
import { isLine, parentId, pieceOfLink } from '../../../core/trace/schema.ts'
import type { Bench } from './useBench.ts'

/** How far one press slides a part along its line, m. */
const SLIDE_M = 0.05

export type Asked = 'add' | 'replace' | 'remove' | undefined

export type Redraw = {
  /** Which dialog is open. */
  asked: Asked
  ask: (asked: Asked) => void
  /** Takes a trace drawn anew and chooses its part. */
  take: (result: Redrawn, tag?: string) => void
  remove: () => void
  split: () => void
  move: (toward: 'reel' | 'hook') => void
  /** Slides a part that rides on a line, or a pulley, by steps; anything else changes places. */
  nudge: (toward: 'reel' | 'hook') => void
  slideTo: (id: string, downM: number) => void
}

/** The edits of the chosen part; what cannot be done says why. */
export function useRedraw(bench: Bench, outfit: Outfit, selected: string, onSelect: (id: string) => void): Redraw {
  const [asked, ask] = useState<Asked>()
  const { trace } = bench.content
  const id = pieceOfLink(selected)
  const piece = trace.pieces.find((each) => each.id === id)
  const take = (result: Redrawn, tag?: string) => {
    if (!result.ok) {
      toast.error(`${result.why.charAt(0).toUpperCase()}${result.why.slice(1)}.`)
      return
    }
    ask(undefined)
    bench.editTrace(() => result.trace, tag)
    onSelect(result.chosen)
  }
  const slideTo = (which: string, downM: number) => take(slidePart(trace, outfit, which, downM), `slide ${which}`)
  const move = (toward: 'reel' | 'hook') => take(reorder(trace, outfit, id, toward))
  return {
    asked,
    ask,
    take,
    remove: () => {
      const hasChildren = trace.pieces.some(({ attach }) => parentId(attach) === id)
      if (hasChildren) ask('remove')
      else take(removePart(trace, outfit, id, { below: false }))
    },
    split: () => take(splitLine(trace, outfit, id, isLine(piece) ? middleOf(piece) : 0)),
    move,
    nudge: (toward) => {
      const range = slideRange(trace, id)
      if (range) slideTo(id, range.downM + (toward === 'hook' ? SLIDE_M : -SLIDE_M))
      else if (piece && ridesOn(piece) === undefined) move(toward)
    },
    slideTo,
  }
}

/** Where a line is split unless someone says otherwise: its middle, or the middle of what is beyond its pulley. */
function middleOf(line: { lengthM: number; attach: { how: string; atM?: number } }): number {
  const fromM = line.attach.how === 'through' ? (line.attach.atM ?? 0) : 0
  return (fromM + line.lengthM) / 2
}
