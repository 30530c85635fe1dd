import type { ReactNode } from 'react'
import { IntervalBar } from '../../charts/IntervalBar.tsx'
import type { Named } from '../../lessons/useNames.ts'

type Props = {
  name: Named
  /** Smaller words after the name. */
  aside?: ReactNode
  /** The interval in which the figure lies, nine times in ten, and what is drawn beside it. */
  interval: { low: number; mean: number; high: number }
  least?: number
  most: number
  /** What was expected, on the same scale. */
  expected?: number | undefined
  figure: ReactNode
  isStrong?: boolean
  children?: ReactNode
}

/** A line of what was learned: its name, its interval drawn, its figure, and where it was seen. */
export function LessonRow({ name, aside, interval, least, most, expected, figure, isStrong = false, children }: Props) {
  return (
    <li className="grid gap-x-4 gap-y-0.5 border-t border-rule py-2 first:border-t-0 sm:grid-cols-[13rem_minmax(6rem,1fr)_14rem] sm:items-center">
      <span
        className={`first-letter:uppercase ${isStrong ? 'font-semibold' : ''}`}
        {...(name.isTyped ? { translate: 'no' } : {})}
      >
        {name.text}
      </span>
      <IntervalBar {...interval} least={least} most={most} expected={expected} isStrong={isStrong} />
      <span className="tabular-nums sm:text-right">{figure}</span>
      {(aside || children) && (
        <span className="flex flex-wrap items-baseline gap-x-3 text-sm text-quiet sm:col-span-3">
          {aside}
          {children}
        </span>
      )}
    </li>
  )
}
