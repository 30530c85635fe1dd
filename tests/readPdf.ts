import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import jsQR from 'jsqr'
import { installDebianPackage } from '../scripts/lib/debian.ts'

export function ensurePdfReader(): void {
  if (!existsSync('/usr/bin/pdftoppm')) installDebianPackage('poppler-utils', 'Reading PDFs back')
}

export type ReadPdf = { text: string; pages: { widthMm: number; heightMm: number }[]; codes: string[] }

const POINT_MM = 25.4 / 72
const DPI = 200

type Box = { xMm: number; yMm: number; widthMm: number; heightMm: number }

/**
 * A PDF as another program reads it: its text, the size of each page, and the codes that a camera sees.
 * @param looks where the camera looks on each page: at a label at a time.
 */
export function readPdf(pdf: Uint8Array, looks: readonly (readonly Box[])[] = []): ReadPdf {
  const folder = mkdtempSync(join(tmpdir(), 'pdf-'))
  const file = join(folder, 'read.pdf')
  try {
    writeFileSync(file, pdf)
    const info = run('pdfinfo', ['-f', '1', '-l', '99', file])
    const pages = [...info.matchAll(/^Page\s+\d+ size:\s+([\d.]+) x ([\d.]+) pts/gm)].map(([, width, height]) => ({
      widthMm: Number(width) * POINT_MM,
      heightMm: Number(height) * POINT_MM,
    }))
    run('pdftoppm', ['-r', String(DPI), file, join(folder, 'page')])
    const digits = String(pages.length).length
    const codes = pages.flatMap((_, i) => {
      if (!looks[i]) return []
      const page = pixelsOf(readFileSync(join(folder, `page-${String(i + 1).padStart(digits, '0')}.ppm`)))
      return looks[i].flatMap((box) => codeIn(page, box) ?? [])
    })
    return { text: run('pdftotext', ['-layout', file, '-']), pages, codes }
  } finally {
    rmSync(folder, { recursive: true })
  }
}

function run(tool: string, args: string[]): string {
  ensurePdfReader()
  const { error, stdout, stderr, status } = spawnSync(tool, args, { encoding: 'utf8' })
  if (status !== 0) throw new Error(`${tool}: ${error?.message ?? stderr}`)
  return stdout
}

type Picture = ReturnType<typeof pixelsOf>

/** The code in a part of a page. */
function codeIn({ pixels, width }: Picture, { xMm, yMm, widthMm, heightMm }: Box): string | undefined {
  const [x, y, w, h] = [xMm, yMm, widthMm, heightMm].map((mm) => Math.round((mm / 25.4) * DPI)) as [
    number,
    number,
    number,
    number,
  ]
  const part = new Uint8ClampedArray(4 * w * h)
  for (let row = 0; row < h; row += 1)
    part.set(pixels.subarray(4 * ((y + row) * width + x), 4 * ((y + row) * width + x + w)), 4 * row * w)
  return jsQR(part, w, h)?.data
}

/** A picture in the plainest format there is: a heading, then three bytes a pixel. */
function pixelsOf(ppm: Buffer) {
  const [heading = '', width = 0, height = 0] = /^P6\s+(\d+)\s+(\d+)\s+255\s/.exec(ppm.subarray(0, 40).toString('latin1')) ?? []
  const pixels = new Uint8ClampedArray(4 * Number(width) * Number(height)).fill(255)
  for (let from = heading.length, to = 0; to < pixels.length; from += 3, to += 4) pixels.set(ppm.subarray(from, from + 3), to)
  return { pixels, width: Number(width), height: Number(height) }
}
