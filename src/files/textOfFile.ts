import { type ReadFile, refused } from './readCsv.ts'

/** Byte order marks and their encodings. */
const MARKS: readonly { bytes: readonly number[]; coding: string }[] = [
  { bytes: [0xef, 0xbb, 0xbf], coding: 'utf-8' },
  { bytes: [0xff, 0xfe], coding: 'utf-16le' },
  { bytes: [0xfe, 0xff], coding: 'utf-16be' },
]
/** Bytes examined to tell whether every other byte is zero. */
const SAMPLE = 1_000

/**
 * Decodes a file in UTF-8, UTF-16, or windows-1252 (a superset of Latin-1 that spreadsheets still write). Anything else is refused, so
 * no letter ever becomes a replacement character.
 */
export function textOfFile(bytes: Uint8Array): ReadFile<string> {
  const coding = codingOf(bytes)
  const text = decoded(bytes, coding) ?? (coding === 'utf-8' ? westernText(bytes) : undefined)
  return text !== undefined && isText(text)
    ? { ok: true, value: text }
    : refused('The file is not text. Save the table as CSV in UTF-8')
}

function decoded(bytes: Uint8Array, coding: string): string | undefined {
  try {
    return new TextDecoder(coding, { fatal: true }).decode(bytes)
  } catch {
    return undefined
  }
}

/** windows-1252 from 0x80 to 0x9f; elsewhere it equals Latin-1. Node 20’s own decoder treats all of it as Latin-1. */
const WINDOWS_1252 = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ'

const westernText = (bytes: Uint8Array): string =>
  Array.from(bytes, (byte) => WINDOWS_1252[byte - 0x80] ?? String.fromCharCode(byte)).join('')

/** Control characters mean a picture, an archive, or a spreadsheet’s own format. */
// biome-ignore lint/suspicious/noControlCharactersInRegex: the rule searches for these
const isText = (text: string): boolean => !/[\u0000-\u0008\u000e-\u001f\u0080-\u009f\ufffd]/.test(text)

function codingOf(bytes: Uint8Array): string {
  const marked = MARKS.find((mark) => mark.bytes.every((byte, i) => bytes[i] === byte))
  if (marked) return marked.coding
  const sample = bytes.subarray(0, SAMPLE)
  const empty = (odd: number) => sample.filter((byte, i) => i % 2 === odd && byte === 0).length
  const half = sample.length / 2
  if (half >= 2 && empty(1) > 0.4 * half) return 'utf-16le'
  return half >= 2 && empty(0) > 0.4 * half ? 'utf-16be' : 'utf-8'
}
