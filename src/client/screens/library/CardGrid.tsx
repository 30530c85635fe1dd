import { useWindowVirtualizer } from '@tanstack/react-virtual'
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react'
import { useMedia } from '../../ui/useMedia.ts'

/** About the height of a row of cards, px; each is measured once it is drawn. */
const ABOUT_PX = 110
const GAP_PX = 8
/** Rows drawn beyond the window, so that the keyboard always finds the next one. */
const BEYOND = 3

type Props = { count: number; keyOf: (i: number) => string; card: (i: number, still: boolean) => ReactNode }

/** Cards in one or two columns, of which only those near the window are drawn; `still` is false while the page is being scrolled. */
export function CardGrid({ count, keyOf, card }: Props) {
  const columns = useMedia('xl') ? 2 : 1
  const list = useRef<HTMLDivElement>(null)
  const [top, setTop] = useState(0)
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), [])
  const rows = useWindowVirtualizer({
    count: Math.ceil(count / columns),
    estimateSize: () => ABOUT_PX,
    gap: GAP_PX,
    overscan: BEYOND,
    scrollMargin: top,
    getItemKey: (row) => keyOf(row * columns),
  })
  return (
    <div ref={list} role="list" className="relative" style={{ height: rows.getTotalSize() }}>
      {rows.getVirtualItems().map(({ key, index, start }) => (
        <div
          key={key}
          ref={rows.measureElement}
          data-index={index}
          className="absolute inset-x-0 top-0 grid gap-2 xl:grid-cols-2"
          style={{ transform: `translateY(${start - top}px)` }}
        >
          {Array.from({ length: Math.min(columns, count - index * columns) }, (_, column) => {
            const i = index * columns + column
            return (
              <div key={keyOf(i)} role="listitem" aria-setsize={count} aria-posinset={i + 1} className="grid">
                {card(i, !rows.isScrolling)}
              </div>
            )
          })}
        </div>
      ))}
    </div>
  )
}
