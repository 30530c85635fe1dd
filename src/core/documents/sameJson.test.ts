import { describe, expect, it } from 'vitest'
import { sameJson } from './sameJson.ts'

describe('sameJson', () => {
  it('takes no heed of the order of fields, nor of one that is undefined', () => {
    expect(sameJson({ a: 1, b: [{ c: 2, d: 3 }] }, { b: [{ d: 3, c: 2, e: undefined }], a: 1 })).toBe(true)
    expect(sameJson(undefined, undefined)).toBe(true)
  })

  it.each<[string, unknown, unknown]>([
    ['a value deep inside', { a: { b: [1, 2] } }, { a: { b: [1, 3] } }],
    ['the order of a list', [1, 2], [2, 1]],
    ['one more in a list', [1, 2], [1, 2, 3]],
    ['a field more', { a: 1 }, { a: 1, b: 0 }],
    ['a field less', { a: 1, b: false }, { a: 1 }],
    ['null for nothing', { a: null }, {}],
    ['a list for an object', { a: [] }, { a: {} }],
    ['a text for its number', { a: '1' }, { a: 1 }],
    ['an object for null', { a: {} }, { a: null }],
  ])('tells %s', (_, a, b) => {
    expect(sameJson(a, b)).toBe(false)
    expect(sameJson(b, a)).toBe(false)
  })

  it('does not go into what both share', () => {
    const shared = {
      get inside() {
        throw new Error('gone into')
      },
    }
    expect(sameJson({ shared, a: 1 }, { shared, a: 1 })).toBe(true)
  })
})
