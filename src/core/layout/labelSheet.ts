import { CoreError } from '../errors.ts'

/** Paper that labels are printed on, mm; a single label is a page of its own. */
export const PAPERS = {
  A4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const
export type Paper = keyof typeof PAPERS

/** A sheet of labels: rows and columns between margins; or labels one by one, each on a page of its own size. */
export type LabelGrid =
  | {
      kind: 'sheet'
      paper: Paper
      columns: number
      rows: number
      marginXMm: number
      marginYMm: number
      gapMm: number
      /** Labels of the first sheet that are used already. */
      skip: number
    }
  | { kind: 'single'; widthMm: number; heightMm: number }

export type Box = { xMm: number; yMm: number; widthMm: number; heightMm: number }
export type LabelPage = { widthMm: number; heightMm: number; boxes: Box[] }

/** Smaller labels hold no code that a phone reads, and no text. */
export const MIN_LABEL = { widthMm: 25, heightMm: 12 } as const
/** Left free at the foot of a sheet, where its scale bar is. */
export const FOOT_MM = 7
export const SCALE_BAR_MM = 50

/**
 * The pages for a number of labels, each label with its place from the top left corner, mm.
 * @throws CoreError 'out-of-range' where the labels of the grid would be too small.
 */
export function labelPages(grid: LabelGrid, count: number): LabelPage[] {
  if (grid.kind === 'single') {
    const { widthMm, heightMm } = grid
    checkSize(widthMm, heightMm)
    return Array.from({ length: count }, () => ({ widthMm, heightMm, boxes: [{ xMm: 0, yMm: 0, widthMm, heightMm }] }))
  }
  const { columns, rows, marginXMm, marginYMm, gapMm, skip } = grid
  const paper = PAPERS[grid.paper]
  const widthMm = (paper.widthMm - 2 * marginXMm - (columns - 1) * gapMm) / columns
  const heightMm = (paper.heightMm - marginYMm - Math.max(marginYMm, FOOT_MM) - (rows - 1) * gapMm) / rows
  checkSize(widthMm, heightMm)
  const perPage = columns * rows
  const pages: LabelPage[] = []
  for (let i = 0; i < count; i += 1) {
    const place = (i + skip) % perPage
    if (i === 0 || place === 0) pages.push({ ...paper, boxes: [] })
    pages.at(-1)!.boxes.push({
      xMm: marginXMm + (place % columns) * (widthMm + gapMm),
      yMm: marginYMm + Math.floor(place / columns) * (heightMm + gapMm),
      widthMm,
      heightMm,
    })
  }
  return pages
}

function checkSize(widthMm: number, heightMm: number): void {
  if (!(widthMm >= MIN_LABEL.widthMm && heightMm >= MIN_LABEL.heightMm))
    throw new CoreError(
      'out-of-range',
      `A label of ${widthMm.toFixed(0)} × ${heightMm.toFixed(0)} mm is too small: at least ${MIN_LABEL.widthMm} × ${MIN_LABEL.heightMm} mm`,
      {
        widthMm,
        heightMm,
      },
    )
}

/** Clear modules that a code needs around it. */
export const QUIET_MODULES = 2
/** Heights of the text of a label, mm: its name and the lines under it; `leading` is from one line to the next, in heights. */
export const LABEL_TEXT = { titleMm: 3.5, lineMm: 2.65, leading: 1.25 } as const

/** How much smaller the text is made so that its name and its lines are within the label. */
export function textScale(text: Pick<Box, 'heightMm'>, lines: number): number {
  const { titleMm, lineMm, leading } = LABEL_TEXT
  return Math.min(1, text.heightMm / (leading * (titleMm + lines * lineMm)))
}

const PADDING_MM = 1.5
/** A code of more than this reads no better. */
const MAX_CODE_MM = 24
/** Text takes at least this share of a label’s width. */
const MIN_TEXT_SHARE = 0.5

/** The parts of a label: the square of its code, at the left, and the text beside it. */
export function labelParts({ xMm, yMm, widthMm, heightMm }: Box): { code: Box; text: Box } {
  const inner = { width: widthMm - 2 * PADDING_MM, height: heightMm - 2 * PADDING_MM }
  const side = Math.min(inner.height, MAX_CODE_MM, inner.width * (1 - MIN_TEXT_SHARE))
  const code = { xMm: xMm + PADDING_MM, yMm: yMm + PADDING_MM + (inner.height - side) / 2, widthMm: side, heightMm: side }
  const textX = code.xMm + side + PADDING_MM
  return {
    code,
    text: { xMm: textX, yMm: yMm + PADDING_MM, widthMm: xMm + widthMm - PADDING_MM - textX, heightMm: inner.height },
  }
}
