import { useMemo, useState } from 'react'
import { type LinkRef, linkKey, pieceIdOf, pieceRef, woundRef } from '../../../core/documents/linkRef.ts'
import { hungFrom, isLine, pieceById } from '../../../core/documents/pieces.ts'
import { ridesOn } from '../../../core/edit/along.ts'
import type { EditResult } from '../../../core/edit/editResult.ts'
import { removePart } from '../../../core/edit/removePart.ts'
import { reorder } from '../../../core/edit/reorder.ts'
import { slidePart, slideRange } from '../../../core/edit/slidePart.ts'
import { splitLine } from '../../../core/edit/splitLine.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { capital } from '../../../core/units/capital.ts'
import { toast } from '../../regional/toast.ts'
import type { Bench } from './useBench.ts'

/** How far one press slides a part along its line, m. */
const SLIDE_M = 0.05

export type OpenDialog = 'add' | 'replace' | 'move' | 'remove' | undefined

export type Edits = {
  /** Which dialog is open. */
  asked: OpenDialog
  ask: (asked: OpenDialog) => void
  /** Takes an edited trace and chooses its part. */
  take: (result: EditResult, tag?: string) => void
  remove: () => void
  split: () => void
  move: (toward: 'reel' | 'hook') => void
  /** Slides a part that rides on a line, or a pulley, by steps; anything else changes places. */
  nudge: (toward: 'reel' | 'hook') => void
  slideTo: (id: string, downM: number) => void
}

/** The edits of the chosen part; what cannot be done says why. */
export function useEdits(bench: Bench, rig: Rig, selected: LinkRef, onSelect: (ref: LinkRef) => void): Edits {
  const [asked, ask] = useState<OpenDialog>()
  const { editTrace } = bench
  return useMemo(
    () => ({ asked, ask, ...editsOf(rig, selected, editTrace, ask, onSelect) }),
    [asked, rig, selected, editTrace, onSelect],
  )
}

function editsOf(
  rig: Rig,
  selected: LinkRef,
  editTrace: Bench['editTrace'],
  ask: Edits['ask'],
  onSelect: (ref: LinkRef) => void,
): Omit<Edits, 'asked' | 'ask'> {
  const { trace } = rig
  // What belongs to the outfit is no piece: an edit of it is refused in words.
  const id = pieceIdOf(selected) ?? linkKey(selected)
  const piece = pieceById(trace, id)
  const take = (result: EditResult, tag?: string) => {
    if (!result.ok) {
      toast.error(`${capital(result.why)}.`)
      return
    }
    ask(undefined)
    editTrace(() => result.trace, tag)
    if (result.said) toast(`${result.said}.`)
    onSelect(pieceById(result.trace, result.chosen) ? pieceRef(result.chosen) : woundRef('main'))
  }
  const slideTo = (which: string, downM: number) => take(slidePart(rig, which, downM), `slide ${which}`)
  const move = (toward: 'reel' | 'hook') => take(reorder(rig, id, toward))
  return {
    take,
    remove: () => {
      const hasChildren = hungFrom(trace, id).length > 0
      if (hasChildren) ask('remove')
      else take(removePart(rig, id, { below: false }))
    },
    split: () => take(splitLine(rig, id, isLine(piece) ? middleOf(piece) : 0)),
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
