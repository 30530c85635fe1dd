import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { ROOT } from '../server/root.ts'

const css = readFileSync(join(ROOT, 'src/client/styles.css'), 'utf8')

/** The colours of a light by name. */
function palette(light: string): Record<string, string> {
  const [, block = ''] = new RegExp(`\\[data-light="${light}"\\] \\{([^}]*)\\}`).exec(css) ?? []
  return Object.fromEntries([...block.matchAll(/--([\w-]+): (#[0-9a-f]{6});/g)].map(([, name, colour]) => [name, colour]))
}

/** Relative luminance of a colour, WCAG 2. */
function luminance(colour: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((at) => Number.parseInt(colour.slice(at, at + 2), 16) / 255)
    .map((share) => (share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4))
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}

const contrast = (one: string, other: string): number => {
  const [dark = 0, light = 0] = [luminance(one), luminance(other)].toSorted((a, b) => a - b)
  return (light + 0.05) / (dark + 0.05)
}

test('contrast is that of the standard: 21 for black on white, 1 for a colour on itself', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 9)
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.478, 3)
  expect(contrast('#a81f2d', '#a81f2d')).toBe(1)
})

test.each(['day', 'dusk', 'lamp'])(
  'in %s light every colour of text can be read on every ground, and fields are seen by their borders',
  (light) => {
    const colours = palette(light)
    for (const text of ['ink', 'quiet', 'tide', 'holds', 'watch', 'fails'])
      for (const ground of ['ground', 'sheet', 'well'])
        expect(contrast(colours[text]!, colours[ground]!), `${text} on ${ground}`).toBeGreaterThanOrEqual(4.5)
    for (const ground of ['ground', 'sheet', 'well'])
      expect(contrast(colours.edge!, colours[ground]!), `border of a field on ${ground}`).toBeGreaterThanOrEqual(3)
    expect(contrast(colours['on-tide']!, colours.tide!)).toBeGreaterThanOrEqual(4.5)
    // The mark of what is chosen lies under text of the main colour.
    expect(contrast(colours.ink!, colours.spread!)).toBeGreaterThanOrEqual(4.5)
  },
)
