import fc from 'fast-check'
import { expect, test } from 'vitest'
import { cutText, filledText, text } from './text.ts'

const FISH = '🐟'

test('a NUL and half a character are refused with a sentence; whole characters of any kind are kept', () => {
  for (const broken of ['a\u0000b', FISH.slice(0, 1), `net ${FISH.slice(1)}`])
    expect(text(80).safeParse(broken).error?.issues[0]?.message).toMatch(/cannot be stored/)
  expect(text(80).parse(`Kelp ${FISH} Ñandú 岩`)).toBe(`Kelp ${FISH} Ñandú 岩`)
})

test('length is counted in characters, blanks alone are nothing', () => {
  expect(text(2).safeParse(FISH + FISH).success).toBe(true)
  expect(text(2).safeParse(`${FISH}${FISH}a`).success).toBe(false)
  expect(filledText(4, 'needs a name').safeParse('   ').error?.issues[0]?.message).toBe('needs a name')
  expect(filledText(8, 'needs a name').parse('  reef ')).toBe('reef')
})

test('whatever is cut can be stored, is no longer than asked, and is the beginning', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), fc.integer({ min: 1, max: 40 }), (long, most) => {
      const cut = cutText(long, most)
      expect(text(most).safeParse(cut).success).toBe(true)
      expect(long.startsWith(cut)).toBe(true)
      expect([...cut]).toHaveLength(Math.min([...long].length, most))
    }),
  )
})

test('a check that failed is the last: what is too long, or cannot be stored, is looked at no further', () => {
  const looked: string[] = []
  const noted = (typed: string) => {
    looked.push(typed)
    return true
  }
  expect(
    text(3)
      .refine(noted)
      .safeParse('too long')
      .error?.issues.map(({ message }) => message),
  ).toEqual(['is over 3 letters'])
  expect(text(3).refine(noted).safeParse('a\u0000').success).toBe(false)
  expect(looked).toEqual([])
  expect(text(3).refine(noted).safeParse('ab').success).toBe(true)
  expect(looked).toEqual(['ab'])
})
