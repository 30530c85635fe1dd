import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser'
import type { Mark } from '../core/documents/mark.ts'
import { cutText } from '../core/documents/text.ts'
import { MAX_NAME, MAX_NOTES } from '../core/documents/vocabulary.ts'
import { readContent } from '../shared/documentKinds.ts'
import { MAX_BYTES, type ReadFile, refused } from './readCsv.ts'

/** A place of a file: by its own fields alone, or a whole mark that was written here. */
export type Waypoint = { name: string; latitudeDeg: number; longitudeDeg: number; notes?: string; mark?: Mark }

const MAX_MARKS = 200
const NAMESPACE = 'urn:wide-reach:mark:1'

type RawPoint = { '@lat'?: string; '@lon'?: string; name?: unknown; desc?: unknown; extensions?: { 'wr:mark'?: unknown } }

/** Reads the places of a GPX file; a mark that was exported from here comes back whole. */
export function readGpx(text: string): ReadFile<Waypoint[]> {
  if (text.length > MAX_BYTES) return refused('The file is over 5 MB, too large for marks')
  const valid = XMLValidator.validate(text)
  if (valid !== true) return refused(`It is not XML: ${valid.err.msg}`, valid.err.line)
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    parseTagValue: false,
    // Entities of the file's own are not expanded: a short file must stay short.
    processEntities: false,
    isArray: (name) => name === 'wpt',
  })
  const parsed = parsedBy(parser, text)
  if ('fault' in parsed) return refused(`This XML cannot be read: ${parsed.fault}`)
  const { gpx } = parsed
  if (gpx === undefined) return refused('It is XML, but not GPX')
  const points = gpx.wpt ?? []
  if (points.length > MAX_MARKS) return refused(`It has ${points.length} waypoints; the limit is ${MAX_MARKS}`)
  if (points.length === 0)
    return refused(gpx.trk || gpx.rte ? 'It has a track or a route, but no waypoints' : 'It has no waypoints')
  const read = points.map(waypointOf)
  const faults = read.flatMap((point, i) => (typeof point === 'string' ? [{ message: `Place ${i + 1}: ${point}` }] : []))
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: read as Waypoint[] }
}

type RawFile = { gpx?: { wpt?: RawPoint[]; trk?: unknown; rte?: unknown } }

/** The parser throws at what could do harm: entities from outside, nesting without end, names of the language’s own. */
function parsedBy(parser: XMLParser, text: string): RawFile | { fault: string } {
  try {
    return parser.parse(text) as RawFile
  } catch (error) {
    return { fault: (error as Error).message }
  }
}

function waypointOf(raw: RawPoint, i: number): Waypoint | string {
  const [latitudeDeg, longitudeDeg] = [raw['@lat'], raw['@lon']].map((each) => (each?.trim() ? Number(each) : Number.NaN))
  if (!(Math.abs(latitudeDeg!) <= 90 && Math.abs(longitudeDeg!) <= 180)) return 'its position is not valid'
  const name = cutText(textOf(raw.name), MAX_NAME) || `place ${i + 1}`
  const notes = cutText(textOf(raw.desc), MAX_NOTES)
  const point = { name, latitudeDeg: latitudeDeg!, longitudeDeg: longitudeDeg!, ...(notes ? { notes } : {}) }
  const own = textOf(raw.extensions?.['wr:mark'])
  if (!own) return point
  const mark = ownMark(own)
  return mark ? { ...point, mark } : 'its mark cannot be read'
}

/** A mark as it was written here, by this version or an earlier one. */
function ownMark(text: string): Mark | undefined {
  try {
    const read = readContent('marks', JSON.parse(text))
    return read.ok ? read.content : undefined
  } catch {
    return undefined
  }
}

const ENTITIES: Record<string, string> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'" }

/** The text of an element, with or without attributes. Decodes the five XML entities and numeric references, nothing else. */
function textOf(value: unknown): string {
  if (typeof value === 'object' && value !== null) return textOf((value as { '#text'?: unknown })['#text'])
  if (typeof value !== 'string') return ''
  return value
    .replace(
      /&(?:(amp|lt|gt|quot|apos)|#(\d{1,7})|#x([0-9a-f]{1,6}));/gi,
      (entity, name?: string, decimal?: string, hex?: string) =>
        name ? ENTITIES[name.toLowerCase()]! : characterOf(decimal ? Number(decimal) : Number.parseInt(hex!, 16), entity),
    )
    .trim()
}

/** A character by its number, or the entity unchanged if XML does not allow that character. */
function characterOf(code: number, entity: string): string {
  const isSurrogate = code >= 0xd800 && code <= 0xdfff
  return (code < 32 && ![9, 10, 13].includes(code)) || isSurrogate || code > 0x10ffff ? entity : String.fromCodePoint(code)
}

export type PlacedMark = Mark & { latitudeDeg: number; longitudeDeg: number }
export const isPlaced = (mark: Mark): mark is PlacedMark => mark.latitudeDeg !== undefined && mark.longitudeDeg !== undefined

/** Marks as GPX: any reader has their names, places and notes, and this application the whole of them. */
export function writeGpx(marks: readonly PlacedMark[]): string {
  const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true })
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      '@version': '1.1',
      '@creator': 'Wide Reach',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      '@xmlns:wr': NAMESPACE,
      wpt: marks.map((mark) => ({
        '@lat': mark.latitudeDeg,
        '@lon': mark.longitudeDeg,
        name: mark.name,
        ...(mark.notes ? { desc: mark.notes } : {}),
        extensions: { 'wr:mark': JSON.stringify(mark) },
      })),
    },
  }) as string
}
