import { useRef } from 'react'
import { type LinkRef, linkKey } from '../../core/documents/linkRef.ts'
import { nearestItem } from '../../core/layout/nearestItem.ts'
import type { Rig } from '../../core/setup/setup.ts'
import { useShow } from '../settings/preferences.tsx'
import { StillReach } from './StillReach.tsx'
import { useReach } from './useReach.ts'

type Props = { rig: Rig; width: number; name: string; links: ReadonlySet<string>; onTouch: (ref: LinkRef) => void }

/** The reach, to be touched where something happened: a touch is for the nearest of some links. A list beside it serves the keyboard. */
export function TouchReach({ rig, width, name, links, onTouch }: Props) {
  const show = useShow()
  const drawing = useRef<SVGSVGElement>(null)
  const { layout } = useReach(rig, width, show, false, undefined, undefined)
  const items = layout.items.filter(({ ref }) => links.has(linkKey(ref)))
  return (
    <button
      type="button"
      tabIndex={-1}
      aria-label={name}
      className="block"
      onClick={({ clientX, clientY }) => {
        const at = drawing.current?.getBoundingClientRect()
        const item = at && nearestItem(items, clientX - at.left, clientY - at.top)
        if (item) onTouch(item.ref)
      }}
    >
      <StillReach ref={drawing} rig={rig} width={width} />
    </button>
  )
}
