import type { CSSProperties } from 'react'

/** CSS px per millimetre where nobody calibrated the screen: a CSS inch is 96 px. True on paper, near enough on most screens. */
export const DEFAULT_PX_PER_MM = 96 / 25.4

/** A drawing in millimetres at true size: on the screen by its calibration, on paper and in a file in millimetres. */
export const trueSize = (widthMm: number, heightMm: number): { width: string; height: string; style: CSSProperties } => ({
  width: `${widthMm}mm`,
  height: `${heightMm}mm`,
  style: { width: `calc(${widthMm} * var(--mm))`, height: `calc(${heightMm} * var(--mm))` },
})
