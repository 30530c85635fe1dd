import { PAPERS } from '../../core/layout/labelSheet.ts'
import type { CardBody, CardSection, Shape } from '../../shared/print.ts'
import { MM, PdfFile } from './pdfFile.ts'

const MARGIN_MM = 12
const GUTTER_MM = 6
const MAX_DRAWING_MM = 55
const TITLE_PT = 16
/** Sizes of the text that are tried, until all of it is on one page; the last one goes on to a second. */
const SIZES_PT = [9, 8.5, 8, 7.5, 7, 6.5, 6]
const LEADING = 1.3
/** What a name takes of the width of its row. */
const NAME_SHARE = 0.32

/** What is tinted on the screen. */
const GREY = '#d0d0d0'

/** A line of a column: its text, where it begins, and how far the next one is below. */
type Line = { text: string; x: number; isBold: boolean; down: number; beside?: { text: string; x: number } }

/** The card of a trace: its drawing across the page, and its sections in two columns. */
export function cardPdf(card: CardBody): Promise<Uint8Array> {
  const { widthMm, heightMm } = PAPERS[card.paper]
  const file = new PdfFile(card.title)
  const width = (widthMm - 2 * MARGIN_MM) * MM
  const columnWidth = (width - GUTTER_MM * MM) / 2
  file.addPage(widthMm, heightMm)
  const left = MARGIN_MM * MM
  let y = MARGIN_MM * MM + TITLE_PT
  file.line(card.title, { x: left, y, size: TITLE_PT, maxWidth: width, weight: 'bold', minSize: 10 })
  y += 13
  file.line(card.about, { x: left, y, size: 9, maxWidth: width, minSize: 6 })
  y += 8
  y += drawShapes(file, card.drawing, { x: left, y, width, maxHeight: MAX_DRAWING_MM * MM }) + 10
  const cautionLines = file.broken(card.caution, 7.5, width)
  const foot = heightMm * MM - MARGIN_MM * MM - cautionLines.length * 10
  const room = foot - y - 6
  const size = SIZES_PT.find((each) => columnsOf(file, card.sections, each, columnWidth, room).length <= 2) ?? SIZES_PT.at(-1)!
  const columns = balanced((height) => columnsOf(file, card.sections, size, columnWidth, height), room)
  for (const [i, lines] of columns.entries()) {
    if (i > 0 && i % 2 === 0) {
      file.addPage(widthMm, heightMm)
      y = MARGIN_MM * MM
    }
    drawColumn(file, lines, { x: left + (i % 2) * (columnWidth + GUTTER_MM * MM), y, size, width: columnWidth })
    if (i === Math.min(1, columns.length - 1))
      for (const [line, text] of cautionLines.entries())
        file.line(text, { x: left, y: foot + 8 + line * 10, size: 7.5, maxWidth: width })
  }
  return file.end()
}

const BALANCE_STEP_PT = 8

/** Two columns as even as they go; more where two are not enough. */
function balanced(inColumns: (room: number) => Line[][], room: number): Line[][] {
  const all = inColumns(Number.POSITIVE_INFINITY).flat()
  const height = all.reduce((sum, { down }) => sum + down, 0)
  for (let least = height / 2; least < room; least += BALANCE_STEP_PT) {
    const columns = inColumns(least)
    if (columns.length <= 2) return columns
  }
  return inColumns(room)
}

/** The lines of all sections, in columns no higher than the room; a section’s title never stands alone at the foot of one. */
function columnsOf(file: PdfFile, sections: readonly CardSection[], size: number, width: number, room: number): Line[][] {
  const columns: Line[][] = [[]]
  let used = 0
  for (const { title, rows, isNumbered } of sections) {
    const head: Line = { text: title, x: 0, isBold: true, down: LEADING * (size + 2) }
    for (const [i, row] of rows.entries()) {
      const lines = linesOf(file, row, size, width, isNumbered ? `${i + 1}.` : undefined)
      const block = i === 0 ? [head, ...lines] : lines
      const height = block.reduce((sum, { down }) => sum + down, 0)
      if (used + height > room && used > 0) {
        columns.push([])
        used = 0
      }
      columns.at(-1)!.push(...block)
      used += height
    }
  }
  return columns
}

function linesOf(
  file: PdfFile,
  row: CardSection['rows'][number],
  size: number,
  width: number,
  number: string | undefined,
): Line[] {
  const down = LEADING * size
  if (typeof row === 'string') {
    const indent = number === undefined ? 0 : 1.8 * size
    return file.broken(row, size, width - indent).map((text, i) => ({
      text,
      x: indent,
      isBold: false,
      down,
      ...(i === 0 && number ? { beside: { text: number, x: 0 } } : {}),
    }))
  }
  const [name, value] = row
  const indent = NAME_SHARE * width
  return file
    .broken(value, size, width - indent)
    .map((text, i) => ({ text, x: indent, isBold: false, down, ...(i === 0 ? { beside: { text: name, x: 0 } } : {}) }))
}

function drawColumn(file: PdfFile, lines: readonly Line[], at: { x: number; y: number; size: number; width: number }): void {
  let { y } = at
  for (const { text, x, isBold, down, beside } of lines) {
    y += down
    const size = isBold ? at.size + 1 : at.size
    if (beside) file.line(beside.text, { x: at.x + beside.x, y, size, maxWidth: x > 0 ? x - 3 : at.width, minSize: 5 })
    file.line(text, { x: at.x + x, y, size, maxWidth: at.width - x, weight: isBold ? 'bold' : 'regular', minSize: 5 })
  }
}

type Place = { x: number; y: number; width: number; maxHeight: number }

/** A drawing as wide as the page, or less where it would be too high. @returns its height. */
function drawShapes(file: PdfFile, { width, height, shapes }: CardBody['drawing'], at: Place): number {
  const scale = Math.min(at.width / width, at.maxHeight / height)
  const { doc } = file
  doc.save().translate(at.x, at.y).scale(scale)
  for (const shape of shapes) if (shape.kind === 'path') drawPath(doc, shape)
  doc.restore()
  for (const shape of shapes) {
    if (shape.kind !== 'text') continue
    const size = shape.size * scale
    const wide = file.width(shape.text, size)
    const shift = { start: 0, middle: wide / 2, end: wide }[shape.anchor]
    file.line(shape.text, { x: at.x + shape.x * scale - shift, y: at.y + shape.y * scale, size, maxWidth: wide + 1 })
  }
  return height * scale
}

function drawPath(doc: PDFKit.PDFDocument, { d, matrix, strokeWidth, dash, fill }: Extract<Shape, { kind: 'path' }>): void {
  doc
    .save()
    .transform(...matrix)
    .path(d)
  if (dash.length > 0) doc.dash(dash[0]!, { space: dash[1] ?? dash[0]! })
  doc.lineWidth(strokeWidth)
  const colour = fill === 'grey' ? GREY : fill
  if (colour !== 'none' && strokeWidth > 0) doc.fillAndStroke(colour, 'black')
  else if (colour !== 'none') doc.fill(colour)
  else if (strokeWidth > 0) doc.stroke('black')
  doc.restore()
}
