import { useMemo } from 'react'
import { type LinkRef, linkKey } from '../../core/documents/linkRef.ts'
import { ridesOn } from '../../core/edit/along.ts'
import { layOutReach } from '../../core/layout/reach.ts'
import type { Rig } from '../../core/setup/setup.ts'
import type { Show } from '../settings/show.ts'
import { type ReachLabel, reachLabel } from '../words/names.ts'
import { TIER_HEIGHT } from './ReachOption.tsx'

/** Mean width of a character of the labels, px at 12 px type; measured on the shipped font, a little on the wide side. */
const CHARACTER = 6.1

/** Rooms of lines’ labels, in characters: that of “mono 100 lb”, and by four more or less. */
const roomyCharacters = (characters: number) => 11 + 4 * Math.ceil((characters - 11) / 4)

/** The reach laid out with its labels, for a width in px; of many branches alike that of the chosen piece, or of the path’s end, is drawn. */
export function useReach(
  rig: Rig,
  width: number,
  show: Show,
  trueScale: boolean,
  chosen: string | undefined,
  end: string | undefined,
) {
  const { trace, outfit, catalogue } = rig
  return useMemo(() => {
    const labels = new Map<string, ReachLabel>()
    const label = (ref: LinkRef) => {
      const known = labels.get(linkKey(ref)) ?? reachLabel({ trace, outfit, catalogue }, ref, show)
      labels.set(linkKey(ref), known)
      return known
    }
    // The length of a line with branches is written after its name, to keep the space below free.
    const crowded = new Set(trace.pieces.map(ridesOn))
    const widths = new Map<string, number>()
    const widthOf = (ref: LinkRef) => {
      const { above, below } = label(ref)
      const inOne = below && crowded.has(linkKey(ref)) ? `${above.at(-1)}, ${below}` : ''
      const characters = Math.max(0, ...[...above, below ?? '', inOne].map((text) => text.length))
      // Room for a digit more or less: the strip rests while a strength or a length is stepped.
      return CHARACTER * (below === undefined ? characters : roomyCharacters(characters))
    }
    const labelWidth = (ref: LinkRef) => {
      const known = widths.get(linkKey(ref)) ?? widthOf(ref)
      widths.set(linkKey(ref), known)
      return known
    }
    const drawn = [chosen, end].filter((id) => id !== undefined)
    const layout = layOutReach(trace, outfit, {
      width,
      trunkY: 58,
      laneHeight: 70,
      tierHeight: TIER_HEIGHT,
      labelWidth,
      trueScale,
      drawn,
    })
    return { label, labelWidth, layout }
  }, [trace, outfit, catalogue, width, show, trueScale, chosen, end])
}
