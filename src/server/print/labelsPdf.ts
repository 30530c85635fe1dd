import QRCode from 'qrcode'
import {
  type Box,
  FOOT_MM,
  LABEL_TEXT,
  labelPages,
  labelParts,
  QUIET_MODULES,
  SCALE_BAR_MM,
  textScale,
} from '../../core/layout/labelSheet.ts'
import type { Label, LabelsBody } from '../../shared/print.ts'
import { MM, PdfFile } from './pdfFile.ts'

/** A name or a line that is too long is made smaller down to this, points. */
const MIN_PT = 5

/** Labels as a PDF: a sheet with its scale bar, or each on a page of its own. */
export function labelsPdf({ grid, labels }: LabelsBody): Promise<Uint8Array> {
  const file = new PdfFile('Labels')
  let next = 0
  for (const { widthMm, heightMm, boxes } of labelPages(grid, labels.length)) {
    file.addPage(widthMm, heightMm)
    for (const box of boxes) drawLabel(file, box, labels[next++]!)
    if (grid.kind === 'sheet') drawScaleBar(file, grid.marginXMm, heightMm)
  }
  return file.end()
}

function drawLabel(file: PdfFile, box: Box, { title, lines, address }: Label): void {
  const { code, text } = labelParts(box)
  drawCode(file, code, address)
  const x = text.xMm * MM
  const maxWidth = text.widthMm * MM
  const scale = textScale(text, lines.length) * MM
  const titlePt = LABEL_TEXT.titleMm * scale
  const linePt = LABEL_TEXT.lineMm * scale
  let y = text.yMm * MM + titlePt
  file.line(title, { x, y, maxWidth, size: titlePt, weight: 'bold', minSize: MIN_PT })
  for (const line of lines) {
    y += LABEL_TEXT.leading * linePt
    file.line(line, { x, y, maxWidth, size: linePt, minSize: Math.min(MIN_PT, linePt) })
  }
}

function drawCode(file: PdfFile, { xMm, yMm, widthMm }: Box, address: string): void {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' })
  const module = (widthMm * MM) / (modules.size + 2 * QUIET_MODULES)
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column))
        file.doc.rect(xMm * MM + (column + QUIET_MODULES) * module, yMm * MM + (row + QUIET_MODULES) * module, module, module)
  file.doc.fill('black')
}

const BAR_FOOT_MM = 3
const TICK_MM = 1.5

function drawScaleBar(file: PdfFile, marginMm: number, heightMm: number): void {
  const x = Math.max(marginMm, 5) * MM
  const y = (heightMm - Math.min(BAR_FOOT_MM, FOOT_MM)) * MM
  const end = x + SCALE_BAR_MM * MM
  file.doc
    .lineWidth(0.5)
    .moveTo(x, y - TICK_MM * MM)
    .lineTo(x, y)
    .lineTo(end, y)
    .lineTo(end, y - TICK_MM * MM)
    .stroke('black')
  file.line(`${SCALE_BAR_MM} mm: measure it. If it is not, print at 100 %.`, { x: end + 2 * MM, y, size: 7, maxWidth: 110 * MM })
}
