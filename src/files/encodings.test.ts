import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Gear } from '../core/documents/gear.ts'
import { GEAR_VERSION } from '../core/documents/versions.ts'
import { readGearCsv, writeGearCsv } from './gearCsv.ts'
import { readGpx } from './gpx.ts'
import { readCsv } from './readCsv.ts'
import { textOfFile } from './textOfFile.ts'
import { writeCsv } from './writeCsv.ts'

const text = 'kind,name\nlure,Åsa’s spoon – ½ oz\n'
const utf16 = (value: string, isLittle: boolean) => {
  const bytes = new Uint8Array(2 * value.length)
  const view = new DataView(bytes.buffer)
  for (let i = 0; i < value.length; i += 1) view.setUint16(2 * i, value.charCodeAt(i), isLittle)
  return bytes
}
/** The characters of the text that windows-1252 and Latin-1 encode differently. */
const WINDOWS: Record<string, number> = { '’': 0x92, '–': 0x96 }

describe('a table in the coding of another program (2026-11-29: read with signs of doubt)', () => {
  test.each<[string, Uint8Array]>([
    ['UTF-8', new TextEncoder().encode(text)],
    ['UTF-8 with a mark', new TextEncoder().encode(`\uFEFF${text}`)],
    ['windows-1252', Uint8Array.from(text, (sign) => WINDOWS[sign] ?? sign.charCodeAt(0))],
    ['UTF-16, low byte first, with a mark', utf16(`\uFEFF${text}`, true)],
    ['UTF-16, high byte first, with a mark', utf16(`\uFEFF${text}`, false)],
    ['UTF-16 without a mark', utf16(text, true)],
    ['UTF-16 without a mark, high byte first', utf16(text, false)],
  ])('%s is read', (_coding, bytes) => {
    const read = textOfFile(bytes)
    expect(read.ok && read.value.replace(/^\uFEFF/, '')).toBe(text)
  })

  test.each<[string, Uint8Array]>([
    ['a picture', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13])],
    ['an archive', Uint8Array.from([0x50, 0x4b, 3, 4, 20, 0, 6, 0, 8, 0, 0, 0, 33, 0])],
    ['half a sign of UTF-16', Uint8Array.from([0xff, 0xfe, 0x41, 0x00, 0x42])],
  ])('%s is refused in words', (_what, bytes) => {
    const read = textOfFile(bytes)
    expect(read.ok === false && read.faults[0]!.message).toContain('not text')
  })

  test('whatever is written in UTF-8 comes back, and nothing comes back with a sign of doubt', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.uint8Array(), (typed, bytes) => {
        const read = textOfFile(new TextEncoder().encode(typed))
        // biome-ignore lint/suspicious/noControlCharactersInRegex: these never occur in a table
        if (!/[\u0000-\u001f\u007f-\u009f\ufffd\ufeff]/.test(typed)) expect(read).toEqual({ ok: true, value: typed })
        const any = textOfFile(bytes)
        if (any.ok) expect(any.value).not.toContain('\ufffd')
      }),
    )
  })
})

test("a cell comes back as it was, also one that a spreadsheet would calculate (2026-11-29: “+1” came back as “'+1”)", () => {
  const cell = fc.oneof(fc.constantFrom('+1', '=A1', "'+1", "''=x", '-2', '@a', "'", "''"), fc.string())
  fc.assert(
    fc.property(fc.array(fc.record({ name: cell, note: cell }), { minLength: 1 }), (rows) => {
      const tidy = rows.map(({ name, note }) => ({
        name: `x${name}`,
        note: note
          .replace(/[\r\n\t]/g, '')
          .replaceAll('\0', '')
          .trim(),
      }))
      const read = readCsv(writeCsv(tidy), [['name']])
      expect(read.ok && read.value.map(({ cells }) => cells.note)).toEqual(tidy.map(({ note }) => note))
    }),
  )
  const item: Gear = { formatVersion: GEAR_VERSION, kind: 'sinker', name: '+1', shape: 'bomb', massKg: 0.1 }
  expect(writeGearCsv([{ item }])).toContain("'+1")
  expect(readGearCsv(writeGearCsv([{ item }]))).toEqual({ ok: true, value: [{ item }] })
})

describe('places of a GPX file (2026-11-29: lost)', () => {
  const gpx = (name: string) => `<?xml version="1.0"?><gpx version="1.1"><wpt lat="50" lon="-3">${name}</wpt></gpx>`
  const nameIn = (name: string) => {
    const read = readGpx(gpx(name))
    return read.ok ? read.value[0]!.name : read.faults
  }
  test.each([
    ['<name>Fran&#231;ois&#39;s reef &#x2013; deep</name>', 'François’s reef – deep'.replace('’', "'")],
    ['<name lang="fr">Haut-fond</name>', 'Haut-fond'],
    ['<name lang="fr">A &amp; B</name>', 'A & B'],
    ['<name>&#128031;</name>', '🐟'],
    ['<name>&amp;#65;</name>', '&#65;'],
    ['<name>&#0;&#xD800;&#x110000;</name>', '&#0;&#xD800;&#x110000;'],
    ['<name/>', 'place 1'],
  ])('%s', (written, name) => expect(nameIn(written)).toBe(name))
})
