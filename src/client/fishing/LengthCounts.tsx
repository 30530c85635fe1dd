import { Fragment } from 'react'
import { lastMark, lengthWays } from '../../core/outfits/lengthWays.ts'
import type { Rig } from '../../core/setup/setup.ts'
import { usePreferences, useShow } from '../settings/preferences.tsx'
import { countWords, isNominal } from '../words/lengthWords.ts'

/** A length of line in everything people count by: fathoms, colours, turns, rods, boats, arms, and the mark on the line. */
export function LengthCounts({
  rig: { catalogue, outfit },
  lengthM,
  label,
}: {
  rig: Pick<Rig, 'catalogue' | 'outfit'>
  lengthM: number
  label: string
}) {
  const { own } = usePreferences()
  const show = useShow()
  const mark = lastMark(outfit, lengthM)
  return (
    <p className="text-sm">
      <span className="font-semibold">{label}</span> {show.computed('length', lengthM)}
      {lengthWays(catalogue, outfit, lengthM, own).map(({ way, count }) => (
        <Fragment key={way}>
          {' '}
          <span className="whitespace-nowrap">
            · {countWords(way, count)}
            {isNominal(way, own) && <span className="text-quiet"> (nominal)</span>}
          </span>
        </Fragment>
      ))}
      {mark && ` · ${show.computed('length', mark.beyondM)} past the line mark at ${show.entered('length', mark.atM)}`}
    </p>
  )
}
