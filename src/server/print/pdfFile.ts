import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import PDFDocument from 'pdfkit'

type Doc = PDFKit.PDFDocument
export type Weight = 'regular' | 'bold'

const fromHere = createRequire(import.meta.url)
const FONT = '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next'
const WEIGHTS: Record<Weight, number> = { regular: 400, bold: 700 }
/** The files of a font: the second has letters that the first lacks. */
const SUBSETS = ['latin', 'latin-ext'] as const

/** What the fonts have no sign for, as it is written without. */
const PLAIN: Readonly<Record<string, string>> = {
  '→': 'to',
  '≤': 'at most',
  '≥': 'at least',
  '″': '"',
  '′': "'",
  '⅓': '1/3',
  '⅛': '1/8',
  µ: 'u',
}

export const MM = 72 / 25.4

/** A PDF that is written with the fonts of the application, black on white, its pages added one by one. Sizes in points, from the top left. */
export class PdfFile {
  readonly doc: Doc
  private readonly chunks: Buffer[] = []
  private readonly widths = new Map<string, number>()

  constructor(title: string) {
    this.doc = new PDFDocument({ autoFirstPage: false, margin: 0, info: { Title: title, Creator: 'Wide Reach' } })
    this.doc.on('data', (chunk: Buffer) => this.chunks.push(chunk))
    for (const weight of Object.keys(WEIGHTS) as Weight[])
      for (const subset of SUBSETS)
        this.doc.registerFont(
          `${weight} ${subset}`,
          readFileSync(fromHere.resolve(`${FONT}-${subset}-${WEIGHTS[weight]}-normal.woff`)),
        )
  }

  addPage(widthMm: number, heightMm: number): void {
    this.doc.addPage({ size: [widthMm * MM, heightMm * MM], margin: 0 })
  }

  /** One line of text, its baseline at `y`; made smaller until it is no wider than `maxWidth`, and cut where that is too small to read. */
  line(text: string, at: { x: number; y: number; size: number; maxWidth: number; weight?: Weight; minSize?: number }): void {
    const { x, y, maxWidth, weight = 'regular', minSize = at.size } = at
    let shown = plain(text)
    let size = at.size
    while (size > minSize && this.width(shown, size, weight) > maxWidth) size -= 0.25
    while (shown.length > 1 && this.width(shown, size, weight) > maxWidth) shown = `${shown.replace(/…$/, '').slice(0, -1)}…`
    let left = x
    for (const { font, text: run } of runsOf(this.doc, shown, weight)) {
      this.doc.font(font).fontSize(size).text(run, left, y, { lineBreak: false, baseline: 'alphabetic' })
      left += this.doc.widthOfString(run)
    }
  }

  /** How wide a text is in points; its kerning with what stands beside it is left out. */
  width(text: string, size: number, weight: Weight = 'regular'): number {
    return size * this.perPoint(plain(text), weight)
  }

  /** Text in lines no wider than `maxWidth`, broken between words. */
  broken(text: string, size: number, maxWidth: number, weight: Weight = 'regular'): string[] {
    const space = size * this.perPoint(' ', weight)
    const lines: string[] = []
    let [line, used] = ['', 0]
    for (const word of plain(text).split(' ')) {
      const wide = size * this.perPoint(word, weight)
      if (line !== '' && used + space + wide > maxWidth) {
        lines.push(line)
        ;[line, used] = [word, wide]
      } else [line, used] = line === '' ? [word, wide] : [`${line} ${word}`, used + space + wide]
    }
    return [...lines, line]
  }

  /** The width of a text at one point: it grows with the size, and the same words come again and again. */
  private perPoint(text: string, weight: Weight): number {
    const key = `${weight} ${text}`
    const known = this.widths.get(key)
    if (known !== undefined) return known
    const runs = runsOf(this.doc, text, weight)
    const wide = runs.reduce((sum, run) => sum + this.doc.font(run.font).fontSize(100).widthOfString(run.text) / 100, 0)
    this.widths.set(key, wide)
    return wide
  }

  end(): Promise<Uint8Array> {
    return new Promise((resolve) => {
      this.doc.on('end', () => resolve(new Uint8Array(Buffer.concat(this.chunks))))
      this.doc.end()
    })
  }
}

const plain = (text: string) => [...text.replace(/\s+/g, ' ')].map((sign) => PLAIN[sign] ?? sign).join('')

type Font = { hasGlyphForCodePoint: (codePoint: number) => boolean }

/** A text in runs of one font each; a letter that none has is a question mark. */
function runsOf(doc: Doc, text: string, weight: Weight): { font: string; text: string }[] {
  const fonts = SUBSETS.map((subset) => {
    const name = `${weight} ${subset}`
    doc.font(name)
    return { name, font: (doc as unknown as { _font: { font: Font } })._font.font }
  })
  const runs: { font: string; text: string }[] = []
  for (const sign of text) {
    const found = fonts.find(({ font }) => font.hasGlyphForCodePoint(sign.codePointAt(0)!))
    const run = { font: found?.name ?? fonts[0]!.name, text: found ? sign : '?' }
    const last = runs.at(-1)
    if (last?.font === run.font) last.text += run.text
    else runs.push(run)
  }
  return runs
}
