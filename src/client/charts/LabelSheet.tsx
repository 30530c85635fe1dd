import QRCode from 'qrcode'
import {
  type Box,
  LABEL_TEXT,
  type LabelPage,
  labelParts,
  QUIET_MODULES,
  SCALE_BAR_MM,
  textScale,
} from '../../core/layout/labelSheet.ts'
import type { Label } from '../../shared/print.ts'

/** Mean width of a letter, in heights of the text. */
const LETTER = 0.52
const BAR_LEFT_MM = 8
const BAR_FOOT_MM = 3

type Props = { page: LabelPage; labels: readonly Label[]; withBar: boolean }

/** A sheet of labels, its unit the millimetre: black on white in any light, as it is printed. */
export function LabelSheet({ page: { widthMm, heightMm, boxes }, labels, withBar }: Props) {
  return (
    <svg
      viewBox={`0 0 ${widthMm} ${heightMm}`}
      className="block h-auto w-full rounded border border-rule"
      role="img"
      aria-label={`A sheet with ${labels.length} labels`}
    >
      <rect width={widthMm} height={heightMm} fill="#fff" />
      {boxes.map((box, i) => labels[i] && <OneLabel key={`${box.xMm} ${box.yMm}`} box={box} label={labels[i]} />)}
      {withBar && (
        <>
          <path
            d={`M${BAR_LEFT_MM} ${heightMm - BAR_FOOT_MM - 1.5}v1.5h${SCALE_BAR_MM}v-1.5`}
            fill="none"
            stroke="#000"
            strokeWidth={0.2}
          />
          <text x={BAR_LEFT_MM + SCALE_BAR_MM + 2} y={heightMm - BAR_FOOT_MM} fontSize={2.5} fill="#000">
            {SCALE_BAR_MM} mm: measure it. If it is not, print at 100 %.
          </text>
        </>
      )}
    </svg>
  )
}

function OneLabel({ box, label: { title, lines, address } }: { box: Box; label: Label }) {
  const { code, text } = labelParts(box)
  const scale = textScale(text, lines.length)
  const titleMm = LABEL_TEXT.titleMm * scale
  const lineMm = LABEL_TEXT.lineMm * scale
  const top = text.yMm + titleMm
  return (
    <g fill="#000">
      <rect x={box.xMm} y={box.yMm} width={box.widthMm} height={box.heightMm} fill="none" stroke="#ccc" strokeWidth={0.1} />
      <path transform={`translate(${code.xMm} ${code.yMm}) scale(${code.widthMm / modulesOf(address)})`} d={codePath(address)} />
      <TextLine words={title} at={text} y={top} size={titleMm} weight={700} />
      {lines.map((line, i) => (
        <TextLine key={line} words={line} at={text} y={top + (i + 1) * LABEL_TEXT.leading * lineMm} size={lineMm} weight={400} />
      ))}
    </g>
  )
}

/** Names stay as someone typed them; the type of SVG lacks the attribute. */
const AS_TYPED: object = { translate: 'no' }

type LineProps = { words: string; at: Box; y: number; size: number; weight: number }

/** A line of text, pressed together where it would be wider than the label. */
function TextLine({ words, at: { xMm, widthMm }, y, size, weight }: LineProps) {
  const pressed = words.length * LETTER * size > widthMm ? { textLength: widthMm, lengthAdjust: 'spacingAndGlyphs' } : {}
  return (
    <text x={xMm} y={y} fontSize={size} fontWeight={weight} {...pressed} {...AS_TYPED}>
      {words}
    </text>
  )
}

const codeOf = (address: string) => QRCode.create(address, { errorCorrectionLevel: 'M' }).modules

/** Modules along a side of a code, with the clear ones around it. */
const modulesOf = (address: string): number => codeOf(address).size + 2 * QUIET_MODULES

function codePath(address: string): string {
  const modules = codeOf(address)
  let d = ''
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column)) d += `M${column + QUIET_MODULES} ${row + QUIET_MODULES}h1v1h-1z`
  return d
}
