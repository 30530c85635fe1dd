import { useId } from 'react'
import { PX_PER_MM_LIMITS, usePreferences, useShow } from '../../settings/preferences.tsx'
import { DEFAULT_PX_PER_MM, trueSize } from '../../settings/trueSize.ts'
import { Button, Sheet } from '../../ui/controls.tsx'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'

/** A bank card as every bank has it, mm. Source: ISO/IEC 7810, ID-1. */
const CARD = { widthMm: 85.6, heightMm: 53.98, cornerMm: 3.18 }

/** The screen’s scale set by a bank card laid on it, so that what is drawn in true size is. */
export function ScreenScale() {
  const id = useId()
  const { pxPerMm, setPxPerMm } = usePreferences()
  const show = useShow()
  return (
    <Sheet title="Scale of this screen">
      <label htmlFor={id} className="mb-2 block">
        Hold a bank card to the screen and slide until the drawing has its size.
      </label>
      <input
        id={id}
        type="range"
        className="w-full"
        min={PX_PER_MM_LIMITS.least}
        max={PX_PER_MM_LIMITS.most}
        step={0.01}
        value={pxPerMm}
        onChange={(event) => setPxPerMm(Number(event.target.value))}
        aria-valuetext={`${show.number(pxPerMm, 2)} pixels per millimetre`}
      />
      <ScrollAcross label="The bank card" className="my-2">
        <svg
          viewBox={`0 0 ${CARD.widthMm} ${CARD.heightMm}`}
          {...trueSize(CARD.widthMm, CARD.heightMm)}
          role="img"
          aria-label="A bank card"
          className="block text-ink"
        >
          <rect
            x={0.15}
            y={0.15}
            width={CARD.widthMm - 0.3}
            height={CARD.heightMm - 0.3}
            rx={CARD.cornerMm}
            fill="none"
            stroke="currentColor"
            strokeWidth={0.3}
          />
        </svg>
      </ScrollAcross>
      <Button onClick={() => setPxPerMm(DEFAULT_PX_PER_MM)} disabled={pxPerMm === DEFAULT_PX_PER_MM}>
        Reset
      </Button>
    </Sheet>
  )
}
