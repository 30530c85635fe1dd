import { isTooLong } from './typed.ts'

export type ParsedPosition = { ok: true; deg: number } | { ok: false; message: string }

const EXAMPLES = { latitude: '58.655, or 58 39.3 N', longitude: '-9.288, or 9 17.3 W' } as const
const SIGNS: Record<string, 1 | -1> = { N: 1, E: 1, S: -1, W: -1 }

/**
 * Reads a latitude or longitude as it is written: degrees with a sign, or degrees, minutes and seconds with a letter.
 * @returns degrees, north and east above zero.
 */
export function parsePosition(kind: 'latitude' | 'longitude', text: string): ParsedPosition {
  const most = kind === 'latitude' ? 90 : 180
  const letters = kind === 'latitude' ? 'NS' : 'EW'
  if (isTooLong(text)) return { ok: false, message: `This is too long for a ${kind}: write ${EXAMPLES[kind]}.` }
  const typed = text.trim().toUpperCase().replaceAll('−', '-').replaceAll(',', '.')
  const match = /^([+-]?)(\d+(?:\.\d+)?)\s*°?(?:\s*(\d+(?:\.\d+)?)\s*['′]?)?(?:\s*(\d+(?:\.\d+)?)\s*["″]?)?\s*([NSEW]?)$/.exec(
    typed,
  )
  if (!match) return { ok: false, message: `“${text.trim()}” is not a ${kind}: write ${EXAMPLES[kind]}.` }
  const [, sign, degrees, minutes = '0', seconds = '0', letter = ''] = match
  if (letter && !letters.includes(letter))
    return { ok: false, message: `${letter} is not of a ${kind}: write ${EXAMPLES[kind]}.` }
  if (sign && letter) return { ok: false, message: 'Write a sign or a letter, not both.' }
  if (Number(minutes) >= 60 || Number(seconds) >= 60) return { ok: false, message: 'Minutes and seconds stay under 60.' }
  const deg = Number(degrees) + Number(minutes) / 60 + Number(seconds) / 3600
  if (deg > most) return { ok: false, message: `A ${kind} ends at ${most}°.` }
  return { ok: true, deg: deg === 0 ? 0 : (letter ? SIGNS[letter]! : sign === '-' ? -1 : 1) * deg }
}

/** A position as it is read off a chart: degrees and minutes to a thousandth, which is about two metres. */
export function formatPosition(kind: 'latitude' | 'longitude', deg: number): string {
  const thousandths = Math.round(Math.abs(deg) * 60_000)
  const letter = kind === 'latitude' ? (deg < 0 ? 'S' : 'N') : deg < 0 ? 'W' : 'E'
  return `${Math.floor(thousandths / 60_000)}° ${((thousandths % 60_000) / 1000).toFixed(3)}′ ${letter}`
}
