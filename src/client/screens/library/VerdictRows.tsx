import type { ReactNode } from 'react'
import type { MomentName } from '../../../core/moments/moments.ts'
import { MOMENT_CHOICES } from '../../words/momentNames.ts'

const WAITING = <span className="text-quiet">…</span>

/** A line for each moment, kept free until what it says is known, so that the card keeps its height. */
export function VerdictRows({ said = () => WAITING }: { said?: (moment: MomentName) => ReactNode }) {
  return (
    <ul className="text-sm leading-tight max-sm:flex max-sm:flex-wrap max-sm:gap-x-4">
      {MOMENT_CHOICES.map(({ value, text }) => (
        <li key={value} className="flex justify-between gap-2">
          {text} {said(value)}
        </li>
      ))}
    </ul>
  )
}
