import { beforeEach, expect, test, vi } from 'vitest'

const read = async () => {
  vi.resetModules()
  return (await import('./browserFormats.ts')).BROWSER_FORMATS
}
const KEY = 'wide-reach.browser-formats'

beforeEach(() => localStorage.clear())

test('the formats of a language are stored for the next start, and read again when the language changes', async () => {
  const formats = await read()
  expect(formats).toEqual({ decimalSign: '.', clock: '12', dayOrder: 'month' })
  const { language, ...rest } = JSON.parse(localStorage.getItem(KEY)!)
  expect(rest).toEqual({ formats })
  const others = { decimalSign: ',', clock: '24', dayOrder: 'day' }
  localStorage.setItem(KEY, JSON.stringify({ language, formats: others }))
  expect(await read()).toEqual(others)
  localStorage.setItem(KEY, JSON.stringify({ language: `${language}-x`, formats: others }))
  expect(await read()).toEqual(formats)
  expect(JSON.parse(localStorage.getItem(KEY)!)).toEqual({ language, formats })
})

test.each(['null', '{', '{"language":"en-US","formats":{"decimalSign":"x"}}'])(
  'a stored value of %s is ignored',
  async (text) => {
    localStorage.setItem(KEY, text)
    expect(await read()).toEqual({ decimalSign: '.', clock: '12', dayOrder: 'month' })
  },
)
