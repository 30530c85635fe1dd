import fc from 'fast-check'
import ICAL from 'ical.js'
import Papa from 'papaparse'
import { describe, expect, test } from 'vitest'
import { draftOf } from '../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../tests/fixtures/outfits.ts'
import { catalogue } from '../../tests/fixtures/setups.ts'
import { MARK, tideOfDay } from '../../tests/fixtures/tides.ts'
import { defaultConditions } from '../core/documents/conditions.ts'
import { skyThrough } from '../core/physics/sky/sky.ts'
import { dayEvents } from '../core/plan/dayEvents.ts'
import { planDay } from '../core/plan/planDay.ts'
import { slacksOf, streamThrough } from '../core/plan/streamThrough.ts'
import { readGpx, writeGpx } from './gpx.ts'
import { readHeightCsv } from './heightCsv.ts'
import { writeCalendar } from './planCalendar.ts'
import { writePlanCsv } from './planCsv.ts'
import type { ReadFile } from './readCsv.ts'
import { readStreamCsv, writeStreamCsv } from './streamCsv.ts'

const faultsOf = (read: ReadFile<unknown>) =>
  read.ok ? [] : read.faults.map(({ line, message }) => `${line ?? '–'}: ${message}`)
const taken = <T>(read: ReadFile<T>): T => {
  if (!read.ok) throw new Error(faultsOf(read).join('\n'))
  return read.value
}

describe('a stream table', () => {
  const HEADING = 'hour,spring_kn,neap_kn,direction_deg'

  test('goes out and comes back the same', () => {
    expect(taken(readStreamCsv(writeStreamCsv(MARK.stream)))).toEqual(MARK.stream)
  })

  test('is read in knots, with a comma for a point, a mark at its head and empty lines in it; its hours are put in order', () => {
    const rows = taken(readStreamCsv('\uFEFFHour,Spring_kn,Neap_kn,Direction_deg\r\n1,"1,0",.5,40\r\n\r\n-1,2,1,220\r\n'))
    expect(rows.map(({ hour }) => hour)).toEqual([-1, 1])
    expect(rows[1]!.springMperS).toBeCloseTo(0.514444, 6)
  })

  test('every wrong line is named by its number', () => {
    const text = [HEADING, '-6,1,0.5,40', '-5,fast,0.5,40', '-4,1,-0.5,40', '9,1,0.5,40', '-6,1,0.5,400', '0,1,0.5'].join('\n')
    expect(faultsOf(readStreamCsv(text))).toEqual(['7: has 3 cells, the heading 4'])
    expect(faultsOf(readStreamCsv(text.replace(/\n[^\n]*$/, '')))).toEqual([
      '3: spring is not a number',
      '4: neap must not be negative',
      '5: hour is after six hours after high water',
      '6: direction_deg is over 360°',
    ])
    expect(faultsOf(readStreamCsv(`${HEADING}\n1,1,1,1\n2,1,1,1\n1,2,2,2`))).toEqual(['4: hour 1 comestwice, first on line 2'])
  })

  test.each([
    ['', 'missing: hour'],
    ['a,b\n1,2', 'missing: hour, spring_kn or spring_mps'],
    [HEADING, 'no rows'],
    [`${HEADING}\n"1,2`, 'Quoted field unterminated'],
    ['x'.repeat(5_000_001), 'over 5 MB'],
  ])('a wrong file is refused with its reason (%#)', (text, reason) => {
    expect(faultsOf(readStreamCsv(text)).join()).toContain(reason)
  })

  test('no text throws', () => {
    fc.assert(fc.property(fc.string(), (text) => void readStreamCsv(`${HEADING}\n${text}`)))
  })
})

describe('a table of heights', () => {
  const lines = ['date,time,height_m', '2026-03-28,23:10,4.6', '2026-03-29,06:20,1.0', '2026-03-29,12:40,4.8']

  test('is read on the clock of the zone, over a change of it', () => {
    const rows = taken(readHeightCsv(lines.join('\n'), 'Europe/London'))
    expect(rows.map(({ at }) => at)).toEqual(['2026-03-28T23:10:00.000Z', '2026-03-29T05:20:00.000Z', '2026-03-29T11:40:00.000Z'])
  })

  test.each([
    ['2026-02-30,10:00,1', '5: “2026-02-30” is not a day'],
    ['2026-03-29,25:00,1', '5: “25:00” is not a time, such as 06:40'],
    ['2026-03-29,18:50,low', '5: height_m is not a height from −20 to 20 m'],
    ['2026-03-29,11:00,1.0', '5: is not later than the row before it'],
    ['1949-03-29,11:00,1.0', '5: A day from 1950 to 2100, please'],
    ['2026-03-29,18:50,5.9\n2026-03-30,01:00,1.0', '4: is neither higher nor lower than the rows beside it'],
  ])('%s is refused', (line, fault) => {
    expect(faultsOf(readHeightCsv([...lines, line].join('\n'), 'Europe/London'))).toEqual([fault])
  })

  test('a year too many is refused whole', () => {
    const many = [lines[0], ...Array(3001).fill(lines[1])].join('\n')
    expect(faultsOf(readHeightCsv(many, 'UTC')).join()).toContain('3001 rows')
  })
})

describe('GPX', () => {
  const wrapped = (inner: string) => `<?xml version="1.0"?><gpx version="1.1">${inner}</gpx>`
  const place = (more = '') => `<wpt lat="58.6" lon="-9.3"><name>a &amp; b</name>${more}</wpt>`

  test('marks go out and come back whole, whatever they are called', () => {
    const names = ['Kettle <Narrows> & "more"', 'Åsund’s ledge', "it's"]
    const marks = names.map((name) => ({ ...MARK, name, notes: `${name}, at slack` }))
    const read = taken(readGpx(writeGpx(marks)))
    expect(read.map(({ mark }) => mark)).toEqual(marks)
    expect(read.map(({ name }) => name)).toEqual(names)
  })

  test('a place of another’s file comes with its name, position and words', () => {
    expect(taken(readGpx(wrapped(place('<desc>shingle</desc>'))))).toEqual([
      { name: 'a & b', latitudeDeg: 58.6, longitudeDeg: -9.3, notes: 'shingle' },
    ])
    expect(taken(readGpx(wrapped('<wpt lat="1" lon="2"/>')))[0]!.name).toBe('place 1')
  })

  test.each([
    ['no XML', 'hello <', 'It is not XML'],
    ['other XML', '<?xml version="1.0"?><kml></kml>', 'not GPX'],
    ['no places', wrapped('<trk><trkseg><trkpt lat="1" lon="2"/></trkseg></trk>'), 'no waypoints'],
    ['a position off the globe', wrapped('<wpt lat="91" lon="0"/>'), 'Place 1: its position'],
    ['no position', wrapped('<wpt lat="" lon="0"/>'), 'Place 1: its position'],
    ['10,000 places', wrapped(place().repeat(10_000)), '10000 waypoints; the limit is 200'],
    [
      'a mark of its own that was spoilt',
      wrapped(place('<extensions><wr:mark>{"name":1}</wr:mark></extensions>')),
      'cannot be read',
    ],
  ])('%s is refused with its reason', (_, text, reason) => {
    expect(faultsOf(readGpx(text)).join()).toContain(reason)
  })

  test('a mark that the version before wrote comes back whole, in today’s format', () => {
    const before = { ...MARK, formatVersion: undefined, holds: [] }
    const text = writeGpx([before as unknown as typeof MARK])
    const read = readGpx(text)
    expect(read.ok && read.value[0]!.mark).toEqual(MARK)
  })

  test('a file’s own entities are not expanded', () => {
    const bomb = `<?xml version="1.0"?><!DOCTYPE gpx [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]>${'<gpx><wpt lat="1" lon="2"><name>&b;</name></wpt></gpx>'}`
    const read = readGpx(bomb)
    if (read.ok) expect(read.value[0]!.name).toBe('&b;')
  })
})

describe('a day’s plan', () => {
  const outfit = braidOutfit(50)
  const tide = tideOfDay('2026-10-25', 'Europe/London')
  const setup = { ...draftOf('runningLedger', outfit, { ...defaultConditions(), castStyle: 'none' }), outfit, catalogue }
  const span = { fromMs: tide.startMs, toMs: tide.endMs }
  const owned = [0.17, 0.34, 0.68].map((massKg) => ({ shape: 'pear' as const, massKg }))
  const plan = planDay({ setup, mark: MARK, holds: [], tide, winds: [], ...span, owned, way: 'fewest' })
  const slacks = slacksOf(streamThrough(MARK, tide, span.fromMs, span.toMs, 300))
  const events = dayEvents({ tide, slacks, sky: skyThrough(MARK, span), plan }, span.fromMs, span.toMs)

  test('its events are in order, within the day, every kind among them', () => {
    for (const [i, { timeMs }] of events.entries()) {
      if (i > 0) expect(timeMs).toBeGreaterThanOrEqual(events[i - 1]!.timeMs)
      expect(timeMs >= span.fromMs && timeMs < span.toMs).toBe(true)
    }
    expect(new Set(events.map(({ kind }) => kind))).toEqual(
      new Set(['high', 'low', 'slack', 'change', 'dawn', 'sunrise', 'sunset', 'dusk', 'moonrise', 'moonset']),
    )
  })

  test('as a calendar it reads back with every event at its instant', () => {
    const day = { title: 'Kettle Narrows', place: 'Kettle Narrows; 58.655, -9.288', notes: 'Estimates.\nLook.' }
    const text = writeCalendar(day, events, ({ kind }) => `${kind}, really`, 0)
    const read = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((each) => new ICAL.Event(each))
    expect(read.map(({ startDate }) => startDate.toJSDate().getTime())).toEqual(
      events.map(({ timeMs }) => Math.floor(timeMs / 1000) * 1000),
    )
    expect(read.map(({ summary }) => summary)).toEqual(events.map(({ kind }) => `${kind}, really`))
    expect(read[0]!.location).toBe(day.place)
    expect(read[0]!.description).toBe(day.notes)
    expect(new Set(read.map(({ uid }) => uid)).size).toBe(events.length)
  })

  test('as a table it has a row for each half hour, on the clock, the hour that comes twice told apart', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(writePlanCsv(plan.rows, 'Europe/London'), { header: true })
    expect(errors).toEqual([])
    expect(data).toHaveLength(50)
    expect(data.filter(({ time }) => time === '01:30')).toHaveLength(2)
    expect(new Set(data.map(({ utc }) => utc)).size).toBe(50)
    for (const [i, row] of data.entries()) {
      expect(Number(row.stream_kn)).toBeCloseTo(plan.rows[i]!.stream.rateMperS * 1.943844, 1)
      expect(row.take_g === '' ? row.note : row.take_g).not.toBe('')
    }
  })
})

describe('what comes from elsewhere is refused in a sentence, what goes elsewhere carries nothing along', () => {
  const gpx = (inside: string) => `<?xml version="1.0"?>${inside}`
  test.each([
    [
      'entities that grow',
      gpx(
        '<!DOCTYPE g [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><gpx><wpt lat="1" lon="1"><name>&b;</name></wpt></gpx>',
      ),
    ],
    [
      'a file of the machine',
      gpx('<!DOCTYPE g [<!ENTITY x SYSTEM "file:///etc/hostname">]><gpx><wpt lat="1" lon="1"><name>&x;</name></wpt></gpx>'),
    ],
    ['nesting without end', gpx(`<gpx>${'<a>'.repeat(200_000)}${'</a>'.repeat(200_000)}</gpx>`)],
    ['a name of the language’s own', gpx('<gpx><__proto__><polluted>1</polluted></__proto__><constructor>1</constructor></gpx>')],
  ])('GPX with %s', (_what, file) => {
    const read = readGpx(file)
    // Nothing is expanded or fetched: the entity's own letters are all that there is of it.
    if (read.ok) expect(read.value[0]!.name).toMatch(/^&[bx];$/)
    else expect(read.faults[0]!.message).toMatch(/^(It |The file |Place |This )/)
    expect(({} as { polluted?: unknown }).polluted).toBeUndefined()
  })

  test('a calendar entry stays one entry, whatever its words are', () => {
    const day = { title: 'a\r\nEND:VCALENDAR', place: 'b\nBEGIN:VEVENT', notes: 'c\r\nATTACH:http://evil.example' }
    const text = writeCalendar(day, [{ kind: 'slack', rateMperS: 0, timeMs: 0 }], () => 'High\r\nBEGIN:VALARM', 0)
    const lines = text.split(/\r?\n/)
    expect(lines.filter((line) => line === 'BEGIN:VEVENT')).toHaveLength(1)
    expect(lines.filter((line) => /^(ATTACH|BEGIN:VALARM)/.test(line))).toEqual([])
    expect(lines.filter((line) => line === 'END:VCALENDAR')).toHaveLength(1)
  })
})
